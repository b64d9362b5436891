import { findRecipe } from "../book";
import { findModel } from "../ferment/models";
import { actsOf, countedPh, signsOf, type LogItem } from "./log";
import { latestAirOff } from "./reasons";
import { shelfStartH } from "./shelfStart";
import { isRot, seenBy } from "./wordClasses";

const ph = (hour: number, value: number, more: object = {}): LogItem =>
  ({ hour, kind: "ph", value, instrument: "meter", spot: "mid-depth", ...more }) as LogItem;
const smell = (hour: number, word: string): LogItem => ({ hour, kind: "smell", word });
const act = (hour: number, what: "air-off" | "air-on" | "power-cut" | "power-back" | "bag-out"): LogItem => ({
  hour,
  kind: "act",
  act: what,
});
const measured: LogItem[] = (["bubbles", "sunk", "parted", "core"] as const).map((kind) => ({
  hour: 1,
  kind,
  value: 40,
}));
const tea = findModel("A2_tea_sugar");
const extract = findModel("B1_plant_ferment");

describe("a log", () => {
  it("gives signs alone, oldest first, and neither figures nor acts among them", () => {
    const log = [smell(9, "earthy"), ...measured, ph(2, 5), act(3, "air-off"), smell(4, "raw sweet")];
    expect(signsOf(log).map(({ hour }) => hour)).toEqual([4, 9]);
    expect(actsOf(log)).toEqual([act(3, "air-off")]);
  });
  it("counts a pH from the middle that came to rest and can be, at its very bounds too", () => {
    const log = [
      ph(7, 9),
      ph(1, 2),
      ph(2, 1.99),
      ph(3, 9.01),
      ph(4, 4, { spot: "film" }),
      ph(5, 4, { settled: false }),
      ph(6, 4, { settled: true }),
      ...measured,
    ];
    expect(countedPh(log).map(({ hour }) => hour)).toEqual([1, 6, 7]);
  });
  it("knows when the air last stopped for good, by hand or by a cut", () => {
    expect(latestAirOff([])).toBeNull();
    expect(latestAirOff([act(9, "air-off"), act(3, "air-on"), act(1, "power-cut")])).toBe(9);
    expect(latestAirOff([act(1, "air-off"), act(2, "air-on")])).toBeNull();
    expect(latestAirOff([act(1, "power-cut"), act(2, "power-back"), act(3, "bag-out")])).toBeNull();
    expect(latestAirOff([act(1, "power-cut"), act(3, "bag-out")])).toBe(1);
  });
});

describe("growers' words in the model's classes", () => {
  it.each([
    ["raw sweet", "sweet_raw"],
    ["fresh green", "sweet_raw"],
    ["yeasty", "yeasty"],
    ["fruity", "yeasty"],
    ["cidery", "sour_clean"],
    ["yogurt-sour", "sour_clean"],
    ["vinegar", "sour_clean"],
    ["earthy", "neutral_earthy"],
    ["neutral", "neutral_earthy"],
    ["sulphur", "rotten"],
    ["putrid", "rotten"],
  ])("%s smells of %s", (word, value) => {
    expect(seenBy(smell(5, word), tea, [])).toEqual({ hour: 5, type: "smell", value, eps: 0.3 });
    expect(isRot("smell", word)).toBe(value === "rotten");
  });
  it.each([
    ["still", "none"],
    ["fine bubbles", "first_ring"],
    ["ring at the wall", "first_ring"],
    ["patches", "patches"],
    ["full head", "full_head"],
    ["thick fine head", "full_head"],
    ["collapsing", "collapsing"],
    ["flat", "gone"],
  ])("a surface that is %s has foam of %s", (word, value) =>
    expect(seenBy({ hour: 5, kind: "surface", word }, tea, [])).toEqual({ hour: 5, type: "foam", value, eps: 0.12 }),
  );
  it.each([
    ["none", "none"],
    ["thin pale", "white_flat"],
    ["white bubbly", "white_flat"],
    ["white fuzzy", "white_fuzzy"],
    ["coloured mould", "coloured"],
  ])("a film of %s is %s", (word, value) =>
    expect(seenBy({ hour: 5, kind: "film", word }, tea, [])).toEqual({ hour: 5, type: "film", value }),
  );
  it("a still surface of what makes no head stands for so many bubbles", () => {
    const seen = (word: string) => seenBy({ hour: 5, kind: "surface", word }, extract, []);
    expect(seen("still")).toEqual({ hour: 5, type: "bubbles", value: 0 });
    expect(seen("flat")).toEqual({ hour: 5, type: "bubbles", value: 0 });
    expect(seen("fine bubbles")).toEqual({ hour: 5, type: "bubbles", value: extract.bubblesPerMin / 2 });
    expect(seen("patches")).toBeNull();
    expect(seenBy({ hour: 5, kind: "surface", word: "still" }, findModel("F1_char_charge"), [])).toBeNull();
  });
  it("a word without a class says loosely what its cue says; failure and an unknown word say nothing of progress", () => {
    const cues = [
      { kind: "solids", word: "floating", says: "ready", because: "" },
      { kind: "solids", word: "slimy", says: "failed", because: "" },
    ] as never;
    const seen = (word: string) => seenBy({ hour: 5, kind: "solids", word }, extract, cues);
    expect(seen("floating")).toEqual({ hour: 5, type: "judge", value: "ready", eps: 0.4 });
    expect(seen("slimy")).toBeNull();
    expect(seen("sunk")).toBeNull();
  });
  it("figures are figures, shares in hundredths, and a drifting probe is trusted less", () => {
    expect(measured.map((item) => seenBy(item, extract, []))).toEqual([
      { hour: 1, type: "bubbles", value: 40 },
      { hour: 1, type: "sink", value: 0.4 },
      { hour: 1, type: "sep", value: 0.4 },
      { hour: 1, type: "core", value: 40 },
    ]);
    expect(seenBy(ph(5, 4.2), extract, [])).toMatchObject({
      hour: 5,
      type: "ph",
      value: 4.2,
      method: "meter",
      sd: 0.25,
    });
    expect(seenBy(ph(5, 4.2, { sd: 0.3 }), extract, [])).toMatchObject({ sd: 0.3 });
    expect(seenBy(ph(5, 4.2, { instrument: "strip" }), extract, [])).toMatchObject({ method: "strip", sd: 0.4 });
    expect(seenBy(act(5, "air-off"), extract, [])).toBeNull();
  });
});

describe("where the shelf clock begins", () => {
  const teaRecipe = findRecipe("aerated-tea");
  it("is when the air stopped, and never after the straining", () => {
    expect(shelfStartH(teaRecipe, [act(30, "air-off")], 34)).toBe(30);
    expect(shelfStartH(teaRecipe, [act(34, "air-off")], 34)).toBe(34);
    expect(shelfStartH(teaRecipe, [act(36, "air-off")], 34)).toBe(34);
    // What was done after it no longer matters to it.
    expect(shelfStartH(teaRecipe, [act(30, "air-off"), act(36, "air-on")], 34)).toBe(30);
    // Air that came back does not give back what was lost without it.
    expect(shelfStartH(teaRecipe, [act(30, "air-off"), act(32, "air-on")], 34)).toBe(32);
    expect(shelfStartH(teaRecipe, [act(30, "air-off"), act(30.5, "air-on")], 34)).toBe(34);
  });
  it("is when the solids came out of what keeps in its drum", () => {
    const soak = findRecipe("cultured-extract");
    expect(shelfStartH(soak, [act(200, "bag-out")], 300)).toBe(200);
    expect(shelfStartH(soak, [act(310, "bag-out")], 300)).toBe(300);
    expect(shelfStartH(soak, [], 300)).toBe(300);
  });
});
