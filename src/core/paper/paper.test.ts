import { findRecipe, METHODS } from "../book";
import { cautionsOnVessel, contentsOf, labelDilution, labelNumber } from "./label";
import { labelsPerPage, paperNamed, PAPERS } from "./papers";

describe("labels on paper", () => {
  it("go four on a sheet and one on a roll", () => {
    expect(labelsPerPage(paperNamed("a4"))).toEqual({ columns: 2, rows: 2 });
    expect(labelsPerPage(paperNamed("letter"))).toEqual({ columns: 2, rows: 2 });
    for (const paper of PAPERS.filter(({ roll }) => roll))
      expect(labelsPerPage(paper)).toEqual({ columns: 1, rows: 1 });
  });
  it("are A4 where an address names no paper that there is", () => {
    expect(paperNamed("papyrus").id).toBe("a4");
    expect(paperNamed(undefined).id).toBe("a4");
  });
});

describe("what a label says", () => {
  it("names what is in it, the most first and each once", () =>
    expect(
      contentsOf([
        { ingredientId: "brown-sugar", used: 1 },
        { ingredientId: "plant", used: 4 },
        { ingredientId: "brown-sugar", used: 0.3 },
        { ingredientId: "sea-salt", used: 0 },
      ]),
    ).toEqual(["plant", "brown-sugar"]));
  it("puts the cautions on it that hurt whoever opens it, three at most", () => {
    expect(cautionsOnVessel(findRecipe("drum-manure-tea").cautions)).toContain("manure");
    for (const { cautions } of METHODS) expect(cautionsOnVessel(cautions).length).toBeLessThanOrEqual(3);
  });
  it("tells how thin it goes on, and nothing where it goes nowhere", () => {
    expect(labelDilution(findRecipe("cultured-extract"))!.partsWater).toBeGreaterThan(1);
    expect(labelDilution({ uses: [] })).toBeNull();
  });
  it("numbers the parts of a batch", () => {
    expect(labelNumber(12, null)).toBe("12");
    expect(labelNumber(12, 3)).toBe("12/3");
  });
});
