import { findRecipe, METHODS } from "../../book";
import type { LogItem } from "../log";
import { looksOf, meaningOf } from "./looks";
import { soundnessOf } from "./soundness";

const smell = (hour: number, word: string, by?: string): LogItem => ({
  hour,
  kind: "smell",
  word,
  ...(by ? { by } : {}),
});
const film = (hour: number, word: string): LogItem => ({ hour, kind: "film", word });
const ph = (hour: number, value: number): LogItem => ({
  hour,
  kind: "ph",
  value,
  instrument: "meter",
  spot: "mid-depth",
});
const extract = findRecipe("cultured-extract");
const of = (log: readonly LogItem[], recipe = extract) => soundnessOf(recipe, looksOf(recipe, log));
const codes = (log: readonly LogItem[]) =>
  of(log).reasons.map((reason) => ("word" in reason ? reason.word : reason.code));

describe("one look", () => {
  it("is what one person wrote within minutes, however often it was tapped", () => {
    expect(looksOf(extract, [smell(10, "sulphur"), smell(10.1, "sulphur"), film(10.2, "none")])).toHaveLength(1);
    expect(looksOf(extract, [smell(10, "sulphur"), smell(11, "sulphur")])).toHaveLength(2);
    expect(looksOf(extract, [smell(10, "sulphur", "a"), smell(10.1, "sulphur", "b")])).toHaveLength(2);
  });
  it("has a meaning for rot, ammonia and fish in every method, and for sourness in a brew on air", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools) {
        const recipe = findRecipe(id, school.id);
        const rank = recipe.readiness.type === "ripens" && ["soak", "char"].includes(recipe.readiness.model.cls);
        for (const word of ["putrid", "sulphur", "ammonia", "fishy"] as const)
          if (!rank)
            expect([id, word, meaningOf(recipe, { kind: "smell", word })?.says ?? "nothing"]).not.toContain("nothing");
        expect(meaningOf(recipe, { kind: "smell", word: "putrid" })?.says).toBe("failed");
      }
    expect(meaningOf(findRecipe("aerated-tea"), { kind: "smell", word: "vinegar" })?.says).toBe("warns");
  });
});

describe("whether a batch may be used", () => {
  it("is not doubted while it smells as it should", () => expect(of([smell(100, "cidery")]).level).toBeNull());
  it("is doubted from the first bad look, and for good from the second", () => {
    expect(of([smell(100, "putrid")]).level).toBe("hold");
    expect(codes([smell(100, "putrid")])).toEqual(["putrid", "hold"]);
    expect(of([smell(100, "putrid"), smell(110, "sulphur")]).level).toBe("discard");
    expect(of([film(50, "coloured mould")]).level).toBe("hold");
    expect(of([film(50, "coloured mould"), film(60, "coloured mould")]).level).toBe("discard");
    expect(of([smell(50, "putrid"), film(60, "coloured mould")]).level).toBe("discard");
  });
  it("takes one word tapped twice, and two words of one look, for one look", () => {
    expect(of([smell(100, "sulphur"), smell(100.1, "sulphur")]).level).toBe("hold");
    expect(of([smell(100, "sulphur"), film(100.1, "coloured mould")]).level).toBe("hold");
  });
  it("stays thrown away whatever is smelt later", () =>
    expect(
      of([
        smell(100, "putrid"),
        smell(110, "sulphur"),
        smell(120, "cidery"),
        smell(130, "cidery"),
        smell(140, "cidery"),
      ]).level,
    ).toBe("discard"));
  it("is cleared by two clean looks, which it says; one is not enough", () => {
    const once = [smell(100, "sulphur"), smell(120, "yogurt-sour")];
    expect(of(once).level).toBe("hold");
    expect(of([...once, smell(140, "cidery")])).toMatchObject({
      level: null,
      reasons: [{ code: "doubt-lifted", word: "sulphur" }],
    });
  });
  it("is not cleared of mould by a nose, only by looking", () => {
    const nose = [film(100, "coloured mould"), smell(120, "cidery"), smell(140, "cidery")];
    expect(of(nose).level).toBe("hold");
    expect(of([...nose, film(150, "none"), film(160, "none")]).level).toBeNull();
  });
  it("wants a third bad look where it was found sour twice, or was clean look after look before", () => {
    const twice = [smell(400, "putrid"), smell(410, "putrid")];
    expect(of([ph(380, 3.7), ph(390, 3.7), ...twice]).level).toBe("hold");
    expect(of([ph(380, 4.8), ph(390, 4.7), ...twice]).level).toBe("discard");
    const clean = [300, 320, 340, 360].map((hour) => smell(hour, "cidery"));
    expect(of([...clean, ...twice]).level).toBe("hold");
    expect(of([...clean, ...twice, smell(420, "putrid")]).level).toBe("discard");
  });
  it("is warned by fish or ammonia without being held, and held by two such in a row", () => {
    expect(of([smell(100, "ammonia")]).level).toBeNull();
    expect(of([smell(100, "ammonia"), smell(120, "fishy")]).level).toBe("hold");
  });
  it("is never touched by readings, hours or what a soak smells of by nature", () => {
    expect(of([ph(50, 6), ph(300, 3), ph(400, 2.6)]).level).toBeNull();
    expect(
      of([smell(190, "ammonia"), smell(290, "ammonia"), smell(300, "sulphur")], findRecipe("leaf-soak")).level,
    ).toBeNull();
  });
});
