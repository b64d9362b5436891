import { sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import { sayEntry, type EntryLike } from "./entry";
import { ENDED_WORDS, STATE_WORDS, THING_NAMES } from "./things";
import { inText } from "@/formats/grammar";
import { READING_NAMES, TRIAL_NOTED } from "./trialWords";

/** A line of the history as its words need it. */
export interface HistoryTold {
  readonly subject: string;
  readonly word: string | null;
  readonly amount: number | null;
  readonly unit: "kg" | "L" | null;
  readonly extra: Readonly<Record<string, unknown>>;
}

type Say = (line: HistoryTold, units: UnitSystem) => string;

const amountOf = ({ amount, unit }: HistoryTold, units: UnitSystem): string =>
  amount === null || unit === null ? "" : sayStock(Math.abs(amount), unit, units, 3);
const withNote = (text: string, { extra }: HistoryTold): string =>
  extra.note ? `${text}: ${String(extra.note)}` : text;
const lower = (text: string | null): string => inText(text ?? "");

const ENDED: Readonly<Record<string, string>> = ENDED_WORDS;
const STOCK: Readonly<Record<string, string>> = { wasted: "thrown away", corrected: "corrected", counted: "counted" };
const CHECKED: Readonly<Record<string, string>> = {
  "loosened": "gas let out",
  "smelt-good": "smelled good",
  "smelt-off": "smelled bad",
};
const MOVED: Readonly<Record<string, string>> = {
  "wasted": "thrown away",
  "corrected": "corrected",
  "moved": "moved to stock",
  "composted": "put on compost",
  "bare-ground": "put on bare soil",
  "poured": "poured into another container",
  "counted": "counted",
};
const TREATED: Readonly<Record<string, string>> = {
  none: "set aside",
  stand: "left to stand",
  bubble: "bubbled with air",
  ascorbic: "treated with vitamin C",
  carbon: "run through a carbon filter",
};
const EVENTS: Readonly<Record<string, string>> = {
  washed: "washed",
  calibrated: "calibrated",
  broken: "broken",
  mended: "repaired",
};
const BIN: Readonly<Record<string, string>> = {
  fed: "worms fed",
  harvested: "castings taken",
  weighed: "worms weighed",
  note: "noted",
};
const UNDONE: Readonly<Record<string, string>> = {
  "lot": "stock that was added",
  "stock-move": "a change of stock",
  "container-move": "a change of a container",
  "pour": "a pouring",
  "visit": "a visit to a gathering place",
  "bin-entry": "an entry of a worm bin",
  "tool-event": "an entry of equipment",
  "look": "a check of a bed",
  "reading": "a reading of a bed",
  "trial-entry": "a note of a trial",
  "water": "water set aside",
  "plan-drop": "dropping a plan",
  "filling-drop": "cancelling a filling",
  "planting": "a planting",
  "stage": "how far a crop was",
  "water-read": "a chlorine strip",
  "water-level": "a water level",
  "lab": "a laboratory's figure",
  "job": "a change of a job",
  "schedule": "a change of a schedule",
  "land-mark": "a change of a mark on the map",
  "harvest-rule": "days before harvest",
  "learning-reset": "forgetting what was learned",
  "patch-look": "a look at a patch test",
  "store-check": "a check of a container",
  "keeping": "another use-by day",
  "own-recipe": "an own version of a recipe",
  "bed-shape": "a drawing of a bed",
};
const ORIGIN: Readonly<Record<string, string>> = {
  "bought": "bought",
  "foraged": "gathered",
  "home-made": "home-made",
  "given": "given",
};

/** Facts by the words of their fields. */
const FACTS: Readonly<Record<string, string>> = {
  name: "name",
  kind: "kind",
  volumeL: "full volume",
  diameterM: "inner width",
  site: "place",
  airW: "pump and heater",
  heldBefore: "what was in it before",
  state: "in use or not",
  stepMl: "smallest dose",
  partsWater: "parts of water",
  count: "how many",
  size: "size",
  outlets: "outlets",
  note: "note",
  densityKgPerL: "density",
  keepsD: "days it keeps",
  caution: "safety note",
  keeping: "how it is kept",
  ground: "what it is like",
  permission: "who allows it",
  restD: "days of rest",
  timeZone: "time zone",
  latitudeDeg: "latitude",
  longitudeDeg: "longitude",
  units: "units",
  currency: "currency",
  labourMinorPerH: "cost of work",
  powerMinorPerKWh: "cost of power",
  climateMeanC: "climate",
  climateSwingC: "climate",
};

const isState = (value: unknown): value is keyof typeof STATE_WORDS =>
  typeof value === "string" && value in STATE_WORDS;

function sayChanged({ subject, word, extra }: HistoryTold): string {
  const was = (extra.was ?? {}) as Readonly<Record<string, unknown>>;
  const became = (extra.became ?? {}) as Readonly<Record<string, unknown>>;
  const what =
    word === "farm" ? "Farm settings" : `${subject} (${THING_NAMES[word as keyof typeof THING_NAMES]?.one ?? word})`;
  if (Object.keys(became).join() === "state" && isState(became.state)) return `${what}: ${STATE_WORDS[became.state]}`;
  if (Object.keys(became).join() === "name") return `${what}: renamed, was ${String(was.name)}`;
  return `${what}: ${[...new Set(Object.keys(became).map((fact) => FACTS[fact] ?? fact))].join(", ")} changed`;
}

/** What each line of the history tells, the thing first. */
export const HISTORY_WORDS = {
  "filled": (line, units) => `${line.subject}: filled with ${lower(line.word)}, ${amountOf(line, units)}`,
  "logged": ({ subject, word, extra }, units) => {
    const entry: EntryLike = {
      kind: extra.kind as EntryLike["kind"],
      numberValue: extra.numberValue === null ? null : Number(extra.numberValue),
      word: (extra.word ?? null) as string | null,
      instrument: (extra.instrument ?? null) as string | null,
      spot: (extra.spot ?? null) as string | null,
      note: String(extra.note ?? ""),
      moved:
        extra.amount === null || extra.amount === undefined
          ? null
          : { itemId: (extra.itemId ?? null) as string | null, amount: Number(extra.amount) },
    };
    const said = entry.kind === "withdrawn" ? "an entry crossed out" : sayEntry(entry, units);
    return `${subject}, ${lower(word)}: ${said}${extra.correctsId && entry.kind !== "withdrawn" ? " (corrected)" : ""}`;
  },
  "start-undone": ({ subject, word }) => `${subject}: the start of ${lower(word)} undone, it never was`,
  "ended": (line, units) => {
    const name = lower(String(line.extra.name ?? ""));
    return `${line.subject}: ${name} ${ENDED[line.word ?? ""] ?? "ended"}${line.amount === null ? "" : `, ${amountOf(line, units)}`}`;
  },
  "end-undone": ({ subject, word }) => `${subject}: the end of ${lower(word)} undone, it runs on`,
  "washed": ({ subject }) => `${subject}: washed`,
  "washing-undone": ({ subject }) => `${subject}: washing undone`,
  "planned": ({ subject, word }) => `Planned for ${word ? sayDay(word) : "a day"}: ${lower(subject)}`,
  "plan-ended": ({ subject }) => `Plan dropped: ${lower(subject)}`,
  "recipe": ({ subject, word }) => `${subject}: own version ${word} saved`,
  "lot-in": (line, units) => `${line.subject}: ${amountOf(line, units)} added, ${ORIGIN[line.word ?? ""] ?? line.word}`,
  "moved-stock": (line, units) =>
    withNote(`${line.subject}: ${amountOf(line, units)} ${STOCK[line.word ?? ""] ?? line.word}`, line),
  "checked-container": ({ subject, word }) => `${subject}: ${CHECKED[word ?? ""] ?? word}`,
  "moved-container": (line, units) =>
    `${line.subject}: ${amountOf(line, units)} ${MOVED[line.word ?? ""] ?? line.word}`,
  "supply": ({ subject }) => `${subject}: how it is bought`,
  "water-read": ({ subject, amount }) => `${subject}: chlorine ${amount === null ? "read" : `${amount} mg/L`}`,
  "water-treated": (line, units) =>
    `${line.subject}: ${amountOf(line, units)} ${TREATED[line.word ?? ""] ?? line.word}`,
  "equipment": ({ subject, word }) => `${subject}: ${EVENTS[word ?? ""] ?? word}`,
  "gathered": ({ subject }) => `${subject}: visited`,
  "worm-bin": (line, units) =>
    `${line.subject}: ${BIN[line.word ?? ""] ?? line.word}${line.amount ? `, ${amountOf(line, units)}` : ""}`,
  "applied": (line, units) =>
    `${line.subject}: ${line.amount === null ? "" : `${sayVolume(line.amount, units)} `}applied on ${plural(Number(line.word ?? 0), "bed")}`,
  "application-undone": (line) =>
    withNote(`${line.subject}: ${line.extra.anew ? "date of the application changed" : "application undone"}`, line),
  "planting": ({ subject, word, extra }) =>
    `${subject}: ${String(extra.crop ?? "") || "planting"} ${word === "cleared" ? "cleared" : "planted or changed"}`,
  "drew-bed": ({ subject, word }) => `${subject}: ${word === "away" ? "taken off the map" : "drawn"}`,
  "looked-at-bed": (line) => withNote(`${line.subject}: checked`, line),
  "measured-bed": ({ subject, word, amount, unit }) =>
    `${subject}: ${inText(READING_NAMES[word as keyof typeof READING_NAMES] ?? String(word))}${amount === null ? " read" : ` ${amount}${unit ? ` ${unit}` : ""}`}`,
  "trial-begun": ({ subject, word }) => `Trial “${subject}”: ${word === "begun" ? "begun, lots drawn" : "changed"}`,
  "trial-noted": ({ subject, word }) => `Trial “${subject}”: ${TRIAL_NOTED[word as keyof typeof TRIAL_NOTED] ?? word}`,
  "season-plan": () => "Took a plan of the season",
  "season-terms": ({ extra }) => `Season: ${Number(extra.hours)} hours a week, ${Number(extra.cans)} cans`,
  "season-budget": ({ subject }) => `Budget of ${subject} set`,
  "bought-instead": ({ subject, word }) =>
    `${subject}: ${word === "away" ? "no more compared with" : "to be compared with what is made"}`,
  "schedule": ({ subject, word }) => `Schedule ${subject}: ${word === "away" ? "put away" : "saved"}`,
  "job": ({ subject, word }) => `Job ${subject}: ${word === "away" ? "put away" : "saved"}`,
  "added": ({ subject, word }) => `${subject}: added (${THING_NAMES[word as keyof typeof THING_NAMES]?.one ?? word})`,
  "changed": (line) => sayChanged(line),
  "undone": ({ word }) => `Undone: ${UNDONE[word ?? ""] ?? word}`,
} as const satisfies Record<string, Say>;

/** Parts of the farm, as the history is looked through. */
export const HISTORY_PART_WORDS = { making: "Making", stock: "Stock", field: "Field", farm: "Farm" } as const;

export const sayHistory = (code: keyof typeof HISTORY_WORDS, line: HistoryTold, units: UnitSystem): string =>
  (HISTORY_WORDS[code] as Say)(line, units);
