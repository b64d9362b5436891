import { DomainError, type DomainErrorParams, type Figure, type FigureHint } from "@/core/errors";
import type { ApplyCaution } from "@/core/apply/cautions";
import { COMPLAINTS } from "./en/complaints";
import { DOOR } from "./en/door";
import { FIGURES, NAMED, sayFigureName } from "./en/figures";
import { HOLDS, sayHold } from "./en/holds";
import { REFUSALS, type ReasonWanted } from "./en/refusals";
import type { Complaint, DoorCode } from "./codes";
import { sayFileFault, sayFileLayout, sayRow } from "./fileFaults";
import { FILE_FAULTS, ROW_WOULD } from "./en/fileFaults";
import type { FileFault, FileFaultCode, RowWould } from "@/formats/csv/fileFault";
import { sayComplaint } from "./complaints";
import { sayCaution } from "./en/caution";
import { sayDomain } from "./domain";
import { sayDoor } from "./door";
import { sayRefusal, type Refused, type RefusalCode, type RefusalParams } from "./refusals";
import { speechOf } from "./speech";
import type { HoldReason } from "@/core/stock/lotState";

const STOOD_HOT: HoldReason = { code: "stood-hot" };
const CAUTION: ApplyCaution = { code: "expired", weight: "reason", hoursPast: 30 };
const LEFT = { amount: 1.23456, unit: "kg" } as const;

/** Figures for every code; one without them does not compile. */
const EXAMPLES: { readonly [C in RefusalCode]: RefusalParams<C> } = {
  "not-found": { thing: "vessel" },
  "no-farm": {},
  "reason-needed": { because: { code: "salt", gPerL: 41.234, mostGPerL: 12.345 } },
  "domain": { error: new DomainError("negative", { what: "labour", value: -1, unit: "min" }) },
  "sent-before": {},
  "in-future": {},
  "harvest-before-planting": {},
  "harvest-ends-early": {},
  "ended-before-planting": {},
  "shares-do-not-match": { plots: 3, shares: 2 },
  "use-not-of-method": { method: "Milk spray" },
  "day-ahead": {},
  "day-over": {},
  "before-start": {},
  "too-long-ago": {},
  "not-there-yet": {},
  "received-ahead": {},
  "expires-early": {},
  "opened-early": {},
  "collected-backwards": {},
  "not-made-yet": {},
  "no-time-zone": { zone: "Mars/Crater" },
  "no-date": {},
  "needed": {},
  "which-water": {},
  "which-water-thins": {},
  "which-plants": {},
  "which-vessel": {},
  "strain-first": { meshMm: 0.2 },
  "which-rinse": {},
  "rinse-over-yield": {},
  "what-was-seen": {},
  "which-entry": {},
  "which-answer": {},
  "how-many-kg": {},
  "yield-kg": {},
  "yield-l": {},
  "how-much-went-in": {},
  "how-the-ball-holds": {},
  "what-has-changed": {},
  "one-strip-field": {},
  "both-ends": {},
  "ends-crossed": {},
  "injector-ratio": {},
  "nothing-goes-in": {},
  "nothing-went-in": {},
  "used-in-batch-only": {},
  "no-such-word": {},
  "same-as-before": {},
  "name-taken": { name: "Blue drum" },
  "name-of-book": { name: "Molasses" },
  "name-of-device": { name: "Mast" },
  "name-of-unit": { name: "cup" },
  "farm-set-up": {},
  "vessel-filled": { vessel: "Blue drum" },
  "vessel-mixing": { vessel: "Blue drum", by: "Ana" },
  "not-ended": {},
  "held-done": {},
  "no-passkeys-here": {},
  "phone-is-shared": {},
  "passkey-too-late": {},
  "passkey-unfit": {},
  "wrong-passkey": {},
  "job-begun": {},
  "check-stands": {},
  "trial-scale": {},
  "trial-change-kind": {},
  "trial-any-one-input": {},
  "trial-day-past": {},
  "trial-arms-fixed": {},
  "trial-frozen": {},
  "trial-bed-in-it": {},
  "trial-stopped": {},
  "trial-compared": {},
  "trial-unread": {},
  "trial-looked": {},
  "trial-nothing-new": {},
  "trial-look-stays": {},
  "trial-score-range": { steps: 5 },
  "trial-code-twice": {},
  "practice-code": {},
  "practice-unfinished": {},
  "version-used": { name: "Cultured extract" },
  "drawn-since": {},
  "end-used": { what: "Nettle extract" },
  "end-vessel-washed": { vessel: "Blue drum" },
  "end-vessel-taken": { vessel: "Blue drum" },
  "vessel-holds-batch": { vessel: "Blue drum" },
  "season-moved": { rules: 3 },
  "vessel-planned": { vessel: "Blue drum", method: "Leaf soak", from: "2031-03-02", until: "2031-03-20" },
  "vessel-dirty": { vessel: "Blue drum" },
  "vessel-without-air": { vessel: "Blue drum", method: "Castings tea" },
  "farm-not-set-up": {},
  "last-person": {},
  "recording-as": { name: "Ana" },
  "state-of-kind": {},
  "put-off-back": {},
  "put-off-far": {},
  "put-off-why": {},
  "vessel-away": { vessel: "Blue drum", state: "lent" },
  "vessel-of-dung": { vessel: "Blue drum", held: "Dung soak" },
  "over-brim": { takesL: 223.4567, vessel: "Blue drum", holdsL: 208.1976 },
  "no-room-left": { vessel: "Blue drum", roomL: 12.3456 },
  "more-than-stands": { standsL: 33.3333 },
  "more-than-it-gives": {},
  "batch-closed": { as: "discarded", by: "Ana" },
  "start-logged": {},
  "never-started": {},
  "entry-moved-stock": {},
  "stock-corrected": { name: "Molasses" },
  "lot-used": { name: "Molasses" },
  "lot-of-log": {},
  "water-used": {},
  "undone-already": {},
  "may-not": { role: "helper", least: "grower" },
  "not-yours": { least: "grower" },
  "wrong-sign-in": {},
  "wrong-passphrase": {},
  "too-many-tries": { minutes: 15 },
  "passphrase-weak": { fault: "short" },
  "pin-weak": { fault: "row" },
  "wrong-pin": { left: 3 },
  "phone-signed-out": {},
  "no-invitation": {},
  "claimed-already": {},
  "not-shared": {},
  "pin-first": {},
  "last-steward": {},
  "batch-held": {},
  "batch-failed": {},
  "discard-yields-nothing": {},
  "no-ingredient": { method: "Leaf soak" },
  "ring": { name: "Extract", batchId: 7 },
  "clash": { why: "Vinegar and shells foam over." },
  "beds-and-elsewhere": {},
  "use-not-there": { plot: "Seed mix", use: "septic" },
  "step-twice": {},
  "step-done": { by: "Ana" },
  "step-is-put-on": {},
  "same-store-twice": {},
  "residue-in-shed": {},
  "entry-corrected": {},
  "mixing-given-up": {},
  "mixing-finished": {},
  "checks-left": { left: "Gloves on" },
  "answer-stops": { then: "Wait until it bubbles." },
  "not-ticked": {},
  "steps-left": { next: "Worm castings" },
  "version-unconfirmed": { what: "Molasses is far more than growers use." },
  "version-moved": { last: 3 },
  "recipe-refused": { texts: ["Brugmansia Never use it in a brew."] },
  "poisonous": { why: "Foxglove stops the heart." },
  "plants-are-picked": {},
  "castings-unfit": { why: "They are rotten." },
  "water-is-no-lot": {},
  "counts-otherwise": { name: "Black syrup" },
  "lot-barred": { hold: STOOD_HOT },
  "short-of-stock": { left: LEFT, name: "Molasses", hold: STOOD_HOT },
  "short-of-lot": { left: LEFT },
  "lot-counted-wrong": { left: LEFT },
  "more-than-came-in": { more: LEFT },
  "line-is-a-correction": {},
  "line-corrected": {},
  "no-weighing": { measure: "scoop" },
  "plan-ended": {},
  "short-of-store": { leftL: 58.33333 },
  "short-for-plots": { takesL: 61.23456, leftL: 58.33333 },
  "keeps-no-longer": { method: "Castings tea" },
  "lid-bursts": { method: "Lactic serum" },
  "not-sour-enough": { ph: 4.6123 },
  "use-barred": { caution: CAUTION },
  "treatment-fails": { reasons: [{ code: "strip-needed" }] },
  "short-of-water": { leftL: 12.34567, wantedL: 40 },
  "no-photograph": {},
  "no-times": {},
  "no-figures": { column: "humidity" },
  "file-too-slow": {},
  "file-unreadable": { fault: { code: "file-empty" } },
  "rows-wrong": { wrong: 2, rows: 10, line: 4, faults: [{ code: "which-ingredient" }] },
};
const REASONS: { readonly [C in ReasonWanted["code"]]: Extract<ReasonWanted, { readonly code: C }> } = {
  "caution": { code: "caution", caution: CAUTION, inFull: true },
  "residue-on-food": { code: "residue-on-food" },
  "not-ready": { code: "not-ready", verdict: { state: "early", spoilt: null } },
  "unknown-plant": { code: "unknown-plant", why: "The book does not know moonwort." },
  "resting-place": { code: "resting-place", place: "Oaks", until: "2031-05-01" },
  "worms-unfit": { code: "worms-unfit", why: "It drips." },
  "plastic-not-picked": { code: "plastic-not-picked" },
  "salt": { code: "salt", gPerL: 41.23456, mostGPerL: 12 },
  "thin-starter": {
    code: "thin-starter",
    thin: { ingredient: "leachate", share: 0.00123, leastShare: 0.0456 },
  },
  "lot-held": { code: "lot-held", left: null, name: "Aged dung", hold: { code: "beans-sown", sownOn: "2031-03-01" } },
  "water-unfit": { code: "water-unfit", water: "Tap", reasons: [{ code: "chlorine-left", totalMgPerL: 1.2345 }] },
  "water-not-yet": { code: "water-not-yet", leftH: 13.4 },
};
const HELD: { readonly [C in HoldReason["code"]]: Extract<HoldReason, { readonly code: C }> } = {
  "dung": { code: "dung", age: "fresh", animal: "cow" },
  "urine-stored": {
    code: "urine-stored",
    donor: "person",
    collectedUntil: "2031-03-01",
    holdD: 30,
    notBefore: "2031-03-31",
  },
  "urine-medicine": { code: "urine-medicine" },
  "char-source": { code: "char-source", source: "briquettes" },
  "beans-crippled": { code: "beans-crippled" },
  "beans-sown": { code: "beans-sown", sownOn: "2031-03-01" },
  "herbicide-untested": { code: "herbicide-untested" },
  "stood-hot": { code: "stood-hot" },
  "handful": { code: "handful", word: "drips" },
  "past-day": { code: "past-day", isLiving: true, day: "2031-03-01" },
};
const WRONG: { readonly [C in Complaint["code"]]: Extract<Complaint, { readonly code: C }> } = {
  "needed": { code: "needed" },
  "not-known": { code: "not-known" },
  "too-low": { code: "too-low", limit: 0.001 },
  "not-above": { code: "not-above", limit: 0 },
  "too-high": { code: "too-high", limit: 20_000 },
  "wrong-form": { code: "wrong-form" },
  "too-long": { code: "too-long", limit: 80 },
  "too-few": { code: "too-few", limit: 1 },
  "too-many": { code: "too-many", limit: 50 },
  "none-of": { code: "none-of", allowed: ["a", "b"] },
  "no-date": { code: "no-date" },
  "no-moment": { code: "no-moment" },
  "wrong-type": { code: "wrong-type", type: "number" },
  "unfit": { code: "unfit" },
};

const CRAFT: { readonly [C in keyof DomainErrorParams]: { readonly code: C; readonly params: DomainErrorParams[C] } } =
  {
    "not-positive": { code: "not-positive", params: { what: "yield", value: 0, unit: "L" } },
    "negative": { code: "negative", params: { what: "acid-strength", value: -1, unit: "kg" } },
    "out-of-range": {
      code: "out-of-range",
      params: { what: "air-temperature", value: -60, unit: "°C", min: -30, max: 50 },
    },
    "season-unreadable": { code: "season-unreadable", params: { message: "must be a number" } },
    "ledger-fault": { code: "ledger-fault", params: { fault: "short", name: "molasses" } },
    "trial-fault": { code: "trial-fault", params: { fault: "no-control", name: "without" } },
    "season-fault": { code: "season-fault", params: { fault: "not-monday", name: "2031-03-04" } },
    "unknown-unit": { code: "unknown-unit", params: { unit: "smoots" } },
    "dimension-mismatch": { code: "dimension-mismatch", params: { from: "An amount of volume", to: "mass" } },
    "density-unknown": { code: "density-unknown", params: { ingredient: null } },
    "measure-shadows-unit": { code: "measure-shadows-unit", params: { name: "cup" } },
    "ratio-unreadable": { code: "ratio-unreadable", params: { text: "a glug" } },
    "ratio-ambiguous": { code: "ratio-ambiguous", params: { text: "500:1", partsWater: [500, 0.002] } },
    "ratio-without-water": { code: "ratio-without-water", params: { text: "1:0" } },
    "ratio-too-strong-to-be-a-mix": { code: "ratio-too-strong-to-be-a-mix", params: { text: "120 %" } },
    "dilution-underdetermined": { code: "dilution-underdetermined", params: { given: 1 } },
    "dilution-overdetermined": { code: "dilution-overdetermined", params: { given: 3 } },
    "total-below-part": { code: "total-below-part", params: { part: "water", partL: 20.12345, totalL: 10 } },
    "unknown-method": { code: "unknown-method", params: { id: "moon-water" } },
    "unknown-school": { code: "unknown-school", params: { id: "thirds", method: "tea", known: ["a", "b"] } },
    "unknown-ingredient": { code: "unknown-ingredient", params: { id: "unicorn" } },
    "unknown-use": { code: "unknown-use", params: { id: "bathe" } },
    "ingredient-not-in-method": { code: "ingredient-not-in-method", params: { ingredient: "ash", method: "tea" } },
    "no-substitute": { code: "no-substitute", params: { ingredient: "molasses", substitute: "ash" } },
    "amount-unstated": { code: "amount-unstated", params: { ask: "How much guano goes in?" } },
    "limit-below-fixed": {
      code: "limit-below-fixed",
      params: { ingredient: "sugar", amount: 0.5, fixed: 1.23456, unit: "kg" },
    },
    "over-brim": { code: "over-brim", params: { neededL: 223.4567, roomL: 200 } },
    "no-room": { code: "no-room", params: { vesselL: 20, headspaceL: 30 } },
    "injector-too-weak": { code: "injector-too-weak", params: { wantedPartsWater: 20, injectorPartsWater: 100 } },
    "plot-without-size": { code: "plot-without-size", params: { plot: "Bed 1", need: "area" } },
    "time-order": { code: "time-order", params: { at: "2031-01-01T00:00Z" } },
    "unknown-word": { code: "unknown-word", params: { word: "meh", known: ["a", "b"] } },
    "one-tool": { code: "one-tool", params: { given: 2 } },
    "ring-corners": { code: "ring-corners", params: { corners: 2, most: 400 } },
    "ring-crosses": { code: "ring-crosses", params: {} },
    "split-misses": { code: "split-misses", params: { parts: 1 } },
    "merge-apart": { code: "merge-apart", params: { parts: 2 } },
    "geojson-unreadable": { code: "geojson-unreadable", params: { why: "outside" } },
    "figure-unreadable": {
      code: "figure-unreadable",
      params: { text: "3 smoots", hint: { code: "not-a-unit", word: "smoots", measures: ["pail"] } },
    },
  };

const FILE_WRONG: { readonly [C in FileFaultCode]: Extract<FileFault, { code: C }> } = {
  "how-much": { code: "how-much" },
  "which-unit": { code: "which-unit" },
  "which-ingredient": { code: "which-ingredient" },
  "which-lot": { code: "which-lot" },
  "counts-as-what": { code: "counts-as-what" },
  "no-name": { code: "no-name" },
  "below-zero": { code: "below-zero" },
  "not-above-zero": { code: "not-above-zero" },
  "name-in-book": { code: "name-in-book" },
  "not-in-book": { code: "not-in-book", name: "stardust" },
  "not-known": { code: "not-known", name: "stardust" },
  "too-much": { code: "too-much", most: 100_000 },
  "too-long": { code: "too-long", letters: 80 },
  "not-between": { code: "not-between", least: 0.02, most: 5, unit: "kg/L" },
  "no-whole-days": { code: "no-whole-days", most: 10_000 },
  "none-of": { code: "none-of", allowed: ["bought", "given"] },
  "no-day": { code: "no-day", typed: "3/4/2031" },
  "no-number": { code: "no-number", typed: "two" },
  "unreadable": { code: "unreadable", why: "Which gallon?" },
  "no-lot": { code: "no-lot", lot: "77", mayBeNew: true },
  "lot-differs": { code: "lot-differs", lot: 7 },
  "lot-is-other": { code: "lot-is-other", lot: 7, name: "molasses" },
  "known-otherwise": { code: "known-otherwise", name: "Beet syrup" },
  "again": { code: "again", line: 2, of: "lot" },
  "no-plot": { code: "no-plot", name: "Bed 99" },
  "no-planting": { code: "no-planting", typed: "44" },
  "before": { code: "before", column: "planted_on" },
  "received-ahead": { code: "received-ahead" },
  "expires-early": { code: "expires-early" },
  "file-empty": { code: "file-empty" },
  "no-rows": { code: "no-rows" },
  "quote-open": { code: "quote-open", line: 9 },
  "no-column": {
    code: "no-column",
    missing: ["lot"],
    found: ["a", "b"],
    wanted: ["lot", "on_hand"],
    optional: ["place"],
  },
  "too-many-rows": { code: "too-many-rows", rows: 30_000, most: 20_000 },
};
const WOULD: { readonly [C in RowWould["code"]]: Extract<RowWould, { code: C }> } = {
  "planting-there": { code: "planting-there", plot: "Bed 3", crop: "leeks" },
  "planting": { code: "planting", plot: "Bed 3", crop: "leeks" },
  "lot-there": { code: "lot-there", lot: 3 },
  "lot": { code: "lot", ingredient: "honey", amount: 2.34567, unit: "kg", receivedOn: "2031-03-01" },
  "counted-same": { code: "counted-same", lot: 3, amount: 2.34567, unit: "L" },
  "counted": { code: "counted", lot: 3, ingredient: "honey", before: 2.34567, after: 1.23456, unit: "kg" },
  "thing-there": { code: "thing-there", name: "Blue drum" },
  "thing": { code: "thing", name: "Blue drum", volumeL: 208.1976, words: ["drum"] },
  "thing-changed": { code: "thing-changed", name: "Blue drum", volumeL: 208.1976, words: ["drum", "lean-to"] },
  "ingredient-there": { code: "ingredient-there", name: "Beet syrup" },
  "ingredient": { code: "ingredient", name: "Beet syrup", countsAs: "molasses" },
};

const UNIT = String.raw`(?:US gal|US fl oz|US tsp|L|mL|kg|g|lb|oz|°C|°F|h|min)`;
/** A sentence that a person can be shown: whole, each unit once, no figure finer than four places, no day as a computer writes it. */
function wellSaid(text: string): void {
  expect(text.trim()).not.toBe("");
  expect(text).not.toMatch(/undefined|NaN|null|\[object|Infinity/);
  expect(text).not.toMatch(new RegExp(`\\d ${UNIT} ${UNIT}\\b`));
  expect(text.replace(/\d{4}-\d\d-\d\d/g, "")).not.toMatch(/\d\.\d{5,}/);
  expect(text).not.toMatch(/ {2}|\.\./);
}

describe.each(["metric", "us"] as const)("what the farm says in %s", (units) => {
  const say = speechOf(units);
  const foreign = units === "us" ? /\d (?:L|mL|kg|g|°C)\b(?! to)/ : /US gal|US fl oz|\d lb\b|\d oz\b|°F/;
  const said = (refused: Refused) => {
    const { message, fields } = sayRefusal(refused, say);
    for (const text of [message, ...Object.values(fields)]) {
      wellSaid(text);
      expect(text).not.toMatch(foreign);
    }
    return { message, fields };
  };
  it.each(Object.keys(REFUSALS) as RefusalCode[])("refuses by %s", (code) => {
    const { message, fields } = said({ code, params: EXAMPLES[code], paths: ["/here"] } as Refused);
    expect(message).toMatch(/^[A-Z"“p1-9]/);
    expect(fields).toHaveProperty("/here");
  });
  it.each(Object.values(REASONS))("asks for a reason by $code", (because) => {
    said({ code: "reason-needed", params: { because }, paths: ["/x", "/overrideReason"] });
  });
  it.each(Object.values(HELD))("holds by $code", (reason) => {
    wellSaid(sayHold(reason));
    expect(sayHold(reason)).toMatch(/^[a-z]/);
  });
  it.each(Object.values(WRONG))("complains by $code", (complaint) => {
    for (const path of ["/volumeL", "/takenKg", "/airC", "/amount", "/totalMgPerL"]) {
      const text = sayComplaint(complaint, path, say);
      wellSaid(text);
      expect(text).not.toMatch(foreign);
    }
  });
  it.each(Object.values(CRAFT))("tells what makes no sense by $code", (error) => {
    const text = sayDomain(error, say);
    wellSaid(text);
    // Ways to write a ratio or a figure are shown in both.
    if (error.code !== "ratio-unreadable" && error.code !== "figure-unreadable") expect(text).not.toMatch(foreign);
  });
  it.each(Object.values(FILE_WRONG))("tells what is wrong in a file by $code", (fault) =>
    wellSaid(sayFileFault(fault, say)),
  );
  it.each(Object.values(WOULD))("tells what a row would do by $code", (would) => {
    const text = sayRow(would, say);
    wellSaid(text);
    expect(text).not.toMatch(foreign);
  });
  it.each(Object.keys(DOOR) as DoorCode[])("says %s at the door", (code) => wellSaid(sayDoor(code)));
});

/** A hint for every way in which a typed figure can't be worked out. */
const HINTS: Readonly<Record<FigureHint["code"], FigureHint>> = {
  "nothing-typed": { code: "nothing-typed" },
  "no-number": { code: "no-number" },
  "not-above-nothing": { code: "not-above-nothing" },
  "too-much": { code: "too-much" },
  "parts-without-volume": { code: "parts-without-volume" },
  "ratio-without-volume": { code: "ratio-without-volume" },
  "vessel-wanted": { code: "vessel-wanted" },
  "both-volumes": { code: "both-volumes" },
  "volume-after-in": { code: "volume-after-in" },
  "ratio-after-at": { code: "ratio-after-at" },
  "no-unit": { code: "no-unit", measures: ["pail", "scoop"] },
  "not-a-unit": { code: "not-a-unit", word: "smoots", measures: [] },
  "left-over": { code: "left-over", rest: "or so", read: { value: 16, unit: "L" } },
  "differs-in-kind": { code: "differs-in-kind", read: { value: 16, unit: "L" }, per: "hour" },
  "which-method": {
    code: "which-method",
    name: "brew",
    methods: [{ name: "Leaf-mould brew", sugar: "no sugar", time: "a day" }],
  },
  "unknown-name": { code: "unknown-name", name: "teq", nearest: "Tea", read: { value: 16, unit: "L" } },
};

/** Figures for everything that can speak against an application. */
const AGAINST: { readonly [C in ApplyCaution["code"]]: ApplyCaution } = {
  "expired": CAUTION,
  "long-dead": { code: "long-dead", weight: "never", hours: 90, limitH: 48, aired: true },
  "late-for-leaves": { code: "late-for-leaves", weight: "reason", hours: 9, limitH: 4, aired: false },
  "smelt-off": { code: "smelt-off", weight: "never" },
  "over-ceiling": {
    code: "over-ceiling",
    weight: "reason",
    plot: "Bed 3",
    what: "salt",
    gPerM2: 51.23456,
    ceilingGPerM2: 45,
    source: "irrigation-water",
  },
  "hazard-indoors": { code: "hazard-indoors", weight: "blocked", hazard: "dung" },
  "not-together": { code: "not-together", weight: "blocked", because: "acid-and-ash" },
  "smelt-doubtful": { code: "smelt-doubtful", weight: "reason" },
  "smell-first": { code: "smell-first", weight: "never", because: "hot-spell" },
  "use-unknown": { code: "use-unknown", weight: "reason", method: "Milk spray" },
  "too-strong": { code: "too-strong", weight: "reason", strongest: 32, partsWater: 10.123 },
  "undiluted-on-plants": { code: "undiluted-on-plants", weight: "never", strongest: 32 },
  "patch-marked": { code: "patch-marked", weight: "blocked", partsWater: 40 },
  "patch-test-first": { code: "patch-test-first", weight: "reason", usual: 250, partsWater: 40, waiting: true },
  "hazard-on-leaves": { code: "hazard-on-leaves", weight: "blocked", hazard: "dung", plot: "Bed 1" },
  "hazard-before-harvest": {
    code: "hazard-before-harvest",
    weight: "blocked",
    hazard: "milk",
    plot: "Bed 1",
    daysToHarvest: 12,
    ruleD: 30,
    touchesSoil: true,
    ownRule: false,
  },
  "urine-too-young": { code: "urine-too-young", weight: "blocked", plot: "Bed 1", storedD: 20 },
  "again-so-soon": { code: "again-so-soon", weight: "reason", plot: "Bed 1", daysAgo: 2, everyD: 14 },
  "near-water": { code: "near-water", weight: "blocked", plot: "Bed 1", waters: ["the brook"] },
  "more-than-soaks-in": { code: "more-than-soaks-in", weight: "reason", plot: "Bed 1", lPerM2: 9.87, mostLPerM2: 5 },
  "river-on-leaves": { code: "river-on-leaves", weight: "reason", plot: "Bed 1" },
  "leaf-eaten-soon": { code: "leaf-eaten-soon", weight: "reason", plot: "Bed 1", daysToHarvest: 20 },
  "full-sun": { code: "full-sun", weight: "blocked", onLeaves: true, lowInH: 5.52 },
  "rain-on-leaves": { code: "rain-on-leaves", weight: "reason", rainMm: 2.345, inH: 3 },
  "leaves-wet": { code: "leaves-wet", weight: "reason", rainMm: 2.345 },
  "wind-drift": { code: "wind-drift", weight: "reason", windMPerS: 5.4321 },
  "too-hot-out": { code: "too-hot-out", weight: "reason", airC: 31.234, onLeaves: true },
  "too-cold-out": { code: "too-cold-out", weight: "reason", airC: -1.234, onLeaves: false },
};

describe.each(["metric", "us"] as const)("what speaks against an application, in %s", (units) => {
  it.each(Object.values(AGAINST))("is said of $code", (caution) => {
    const text = sayCaution(caution, speechOf(units));
    wellSaid(text);
    expect(text).not.toMatch(units === "us" ? / m\/s| °C/ : / miles| °F/);
  });
});

describe("a typed figure", () => {
  it.each(Object.values(HINTS))("has a hint for $code", (hint) => {
    for (const text of ["", "16 smoots"]) wellSaid(sayDomain({ code: "figure-unreadable", params: { text, hint } }));
  });
  it("is named for every quantity that may be out of bounds", () => {
    const names = [
      ...Object.keys(FIGURES),
      ...Object.keys(NAMED).map((named) => [named, "bed 1"] as const),
    ] as Figure[];
    for (const what of names) {
      wellSaid(sayDomain({ code: "not-positive", params: { what, value: 0, unit: "L" } }));
      expect(sayFigureName(what)).toMatch(/^[A-Z]/);
    }
  });
});

describe("limits", () => {
  it("are said in what their field is typed in", () => {
    const most: Complaint = { code: "too-high", limit: 20_000 };
    expect(sayComplaint(most, "/volumeL", speechOf("us"))).toBe("At most 5\u202f283 US gal.");
    expect(sayComplaint({ code: "too-high", limit: 40 }, "/lines/2/liquidC", speechOf("us"))).toBe("At most 104 °F.");
    expect(sayComplaint(most, "/minutes", speechOf("us"))).toBe("At most 20\u202f000.");
  });
  it("have a word for every code", () => {
    expect(Object.keys(EXAMPLES).toSorted()).toEqual(Object.keys(REFUSALS).toSorted());
    expect(Object.keys(HELD).toSorted()).toEqual(Object.keys(HOLDS).toSorted());
    expect(Object.keys(FILE_WRONG).toSorted()).toEqual(Object.keys(FILE_FAULTS).toSorted());
    expect(Object.keys(WOULD).toSorted()).toEqual(Object.keys(ROW_WOULD).toSorted());
    expect(sayFileLayout({ delimiter: ";", encoding: "utf-8", unknown: ["Colour"] })).toEqual([
      "Parted by semicolons, in UTF-8.",
      'Left alone: "Colour".',
    ]);
    expect(Object.keys(WRONG).toSorted()).toEqual(Object.keys(COMPLAINTS).toSorted());
  });
});
