import { findRecipe } from "../book";
import type { Spoilage } from "../ferment/outlook/spoilage";
import type { LogItem } from "./log";
import { spoiltOf } from "./spoilt";

const recipe = findRecipe("cultured-extract");
const SOUND: Spoilage = { chance: 0.02, level: "ok", hard: [], needsSmellCheck: false };
const smell = (hour: number, word: string): LogItem => ({ hour, kind: "smell", word });
const film = (hour: number, word: string): LogItem => ({ hour, kind: "film", word });
const judged = (log: LogItem[], spoilage: Partial<Spoilage> = {}) =>
  spoiltOf({ recipe, log, nowH: 400, forecast: { spoilage: { ...SOUND, ...spoilage } } as never });
const codes = (found: ReturnType<typeof judged>) =>
  found!.reasons.map((reason) => ("word" in reason ? reason.word : reason.code));

describe("whether a batch must not be used", () => {
  it("is not asked of a sound one, nor of one that is only watched", () => {
    expect(judged([smell(100, "cidery")])).toBeNull();
    expect(judged([], { level: "watch" })).toBeNull();
  });
  it("holds by the model alone, with its chance, and throws out by it too", () => {
    expect(judged([], { level: "hold", chance: 0.2 })).toEqual({
      level: "hold",
      reasons: [{ code: "hold", chance: 0.2, laterGood: false }],
    });
    expect(judged([], { level: "discard", hard: ["rotten-without-air"] })).toEqual({
      level: "discard",
      reasons: [{ code: "hard-rule", rule: "rotten-without-air" }],
    });
  });
  it("holds on one bad sign and names it", () => {
    const found = judged([smell(100, "putrid")]);
    expect(found!.level).toBe("hold");
    expect(codes(found)).toEqual(["putrid", "hold"]);
  });
  it("says when a good smell came after it: later, and of no rot", () => {
    const later = (log: LogItem[]) => judged(log)!.reasons.some((reason) => reason.code === "hold" && reason.laterGood);
    expect(later([smell(100, "putrid"), smell(120, "cidery")])).toBe(true);
    expect(later([smell(90, "cidery"), smell(100, "putrid")])).toBe(false);
    expect(later([smell(80, "cidery"), smell(90, "cidery"), smell(100, "putrid")])).toBe(false);
    expect(later([film(80, "none"), smell(90, "cidery"), smell(100, "putrid")])).toBe(false);
    expect(later([smell(100, "putrid"), smell(100, "cidery")])).toBe(false);
    expect(later([smell(100, "putrid"), film(120, "none")])).toBe(false);
    // The first bad sign counts, whatever stands before it.
    expect(later([film(10, "none"), smell(100, "sulphur"), smell(101, "earthy")])).toBe(true);
  });
  it("throws out on mould with colours, on two bad signs, and on one twice; each named once, the last two", () => {
    expect(judged([film(50, "coloured mould")])!.level).toBe("discard");
    const two = judged([smell(50, "putrid"), smell(60, "sulphur")]);
    expect([two!.level, codes(two)]).toEqual(["discard", ["putrid", "sulphur"]]);
    const twice = judged([smell(50, "putrid"), smell(60, "putrid")]);
    expect([twice!.level, codes(twice)]).toEqual(["discard", ["putrid"]]);
    expect(codes(judged([smell(50, "putrid"), smell(55, "sulphur"), film(60, "coloured mould")]))).toEqual([
      "sulphur",
      "coloured mould",
    ]);
  });
});
