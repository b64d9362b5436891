import { ph, smell } from "@/testing/logItems";
import { findRecipe } from "../book";
import { outcomeOf, scoreOf } from "./outcome";

const extract = findRecipe("cultured-extract");
const tea = findRecipe("aerated-tea");

describe("what came of a batch", () => {
  it("goes by the first pH at its target and the last above it", () => {
    expect(outcomeOf(extract, [ph(100, 5), ph(200, 4.2), ph(260, 3.9), ph(300, 3.7)], 320)).toEqual({
      notBeforeH: 200,
      byH: 260,
    });
    expect(outcomeOf(extract, [ph(260, 3.9)], 320)).toEqual({ notBeforeH: null, byH: 260 });
  });
  it("goes by signs where they decide, and past says it was ready before", () => {
    expect(outcomeOf(tea, [smell(12, "raw sweet"), smell(20, "raw sweet"), smell(30, "earthy")], 31)).toEqual({
      notBeforeH: 20,
      byH: 30,
    });
    expect(outcomeOf(findRecipe("leaf-mould-brew"), [{ hour: 60, kind: "surface", word: "flat" }], null)).toEqual({
      notBeforeH: null,
      byH: 60,
    });
  });
  it("counts a pH at its very target, no word that says nothing, and no not-yet of the same hour or later", () => {
    expect(outcomeOf(extract, [ph(200, 4.2), ph(260, 4)], null)).toEqual({ notBeforeH: 200, byH: 260 });
    expect(outcomeOf(extract, [ph(200, 4.2)], 300)).toEqual({ notBeforeH: null, byH: 300 });
    expect(outcomeOf(tea, [smell(10, "vinegar"), smell(30, "earthy")], null)).toEqual({ notBeforeH: null, byH: 30 });
    const both = [smell(20, "raw sweet"), smell(30, "raw sweet"), smell(30, "earthy"), smell(40, "raw sweet")];
    expect(outcomeOf(tea, both, null)).toEqual({ notBeforeH: 20, byH: 30 });
    expect(outcomeOf(tea, [smell(25, "earthy"), smell(28, "earthy")], null)).toEqual({ notBeforeH: null, byH: 25 });
  });
  it("is at the latest when it was strained, and nothing where it never came to that", () => {
    expect(outcomeOf(tea, [], 33)).toEqual({ notBeforeH: null, byH: 33 });
    expect(outcomeOf(tea, [], null)).toBeNull();
  });
});

describe("how a forecast did", () => {
  const truth = { notBeforeH: 200, byH: 260 };
  it.each([
    [{ p10: 210, p50: 240, p90: 300 }, "hit", 10],
    [{ p10: 100, p50: 150, p90: 190 }, "too-early", -80],
    [{ p10: 270, p50: 300, p90: 400 }, "too-late", 70],
    [{ p10: null, p50: null, p90: null }, "too-late", null],
    [{ p10: 240, p50: null, p90: null }, "hit", null],
  ] as const)("%j: %s", (window, verdict, offH) => expect(scoreOf(window, truth)).toEqual({ verdict, offH }));
  it("is right at its very edges", () => {
    expect(scoreOf({ p10: 260, p50: 300, p90: 400 }, truth).verdict).toBe("hit");
    expect(scoreOf({ p10: 100, p50: 150, p90: 200 }, truth).verdict).toBe("hit");
  });
  it("has no distance where one end is not known", () =>
    expect(scoreOf({ p10: 1, p50: 2, p90: 3 }, { notBeforeH: null, byH: 9 }).offH).toBeNull());
  it("is left open where nobody looked before", () =>
    expect(scoreOf({ p10: 100, p50: 150, p90: 190 }, { notBeforeH: null, byH: 260 }).verdict).toBe("open"));
});
