import { findRecipe } from "../book";
import type { Act } from "../book/words";
import { keptOnAir } from "./keptOnAir";
import type { LogItem } from "./log";
import { smellAhead } from "./nextSmell";
import { shelfStartH } from "./shelfStart";

const act = (hour: number, what: Act): LogItem => ({ hour, kind: "act", act: what });
const smell = (hour: number, word: string): LogItem => ({ hour, kind: "smell", word }) as LogItem;

describe("keeping a ready brew on its air", () => {
  const tea = findRecipe("aerated-tea");
  it("has an end: a night, or the closing of its window", () => {
    expect(keptOnAir(tea, [act(30, "kept-on-air")], null)).toEqual({ fromH: 30, untilH: 42 });
    expect(keptOnAir(tea, [act(30, "kept-on-air")], 36)).toEqual({ fromH: 30, untilH: 36 });
    expect(keptOnAir(tea, [act(30, "kept-on-air")], 25)).toEqual({ fromH: 30, untilH: 30 });
  });
  it("does not grow by being said again, and is none without air or word", () => {
    expect(keptOnAir(tea, [act(30, "kept-on-air"), act(41, "kept-on-air")], null)?.untilH).toBe(42);
    expect(keptOnAir(tea, [], null)).toBeNull();
    expect(keptOnAir(findRecipe("leaf-mould-brew"), [act(30, "kept-on-air")], null)).toBeNull();
  });
});

describe("the smell that comes next", () => {
  const extract = findRecipe("cultured-extract");
  const words = (says: string) =>
    extract.cues.filter((cue) => cue.kind === "smell" && cue.says === says).map(({ word }) => word);
  it("is the method's own ready smell while it is not yet", () => {
    const ahead = smellAhead(extract, [smell(40, words("not-yet")[0]!)])!;
    expect(ahead.says).toBe("ready");
    expect(ahead.next).toEqual([...new Set(words("ready"))]);
  });
  it("is what spoils or passes it once it is ready, by its latest smell", () => {
    const ahead = smellAhead(extract, [smell(40, words("not-yet")[0]!), smell(300, words("ready")[0]!)])!;
    expect(["past", "failed"]).toContain(ahead.says);
    expect(ahead.next).not.toContain(words("ready")[0]);
  });
  it("is none before anyone smelt it, nor after a foul one", () => {
    expect(smellAhead(extract, [])).toBeNull();
    expect(smellAhead(extract, [smell(40, "putrid")])).toBeNull();
  });
});

describe("what is kept in its drum", () => {
  it("keeps from when its bag came out, not from when it was drawn off", () => {
    const extract = findRecipe("cultured-extract");
    expect(shelfStartH(extract, [act(400, "bag-out")], 900)).toBe(400);
    expect(shelfStartH(extract, [act(950, "bag-out")], 900)).toBe(900);
  });
});
