import { findRecipe, METHODS } from "../book";
import { diffRecipes } from "./diff";
import { bookDocument, recipeFrom, type RecipeDocument } from "./document";
import { chosenKey, farmRecipe, recipeOfKey, versionsOffered } from "./pick";
import { reviewRecipe } from "./review";
import { scaleRecipe } from "./scale";

const schools = METHODS.flatMap(({ id, schools: all }) => all.map((school) => [id, school.id] as const));
const EXTRACT = bookDocument("cultured-extract");
/** The extract with one ingredient's usual amount changed. */
const withAmount = (ingredient: string, usual: number, high = usual): RecipeDocument => ({
  ...EXTRACT,
  ingredients: EXTRACT.ingredients.map((line) =>
    line.ingredient === ingredient && line.amount.type === "per-basis"
      ? { ...line, amount: { ...line.amount, perBasis: { low: Math.min(usual, 0.001), default: usual, high } } }
      : line,
  ),
});
const flagsOf = (document: RecipeDocument) => reviewRecipe(document).map(({ weight, path }) => `${weight} ${path}`);

describe("a recipe written down", () => {
  it.each(schools)("%s, %s: is the same recipe read back, and nothing in it is flagged", (methodId, schoolId) => {
    const document = JSON.parse(JSON.stringify(bookDocument(methodId, schoolId))) as RecipeDocument;
    const book = findRecipe(methodId, schoolId);
    const back = recipeFrom(document);
    expect(scaleRecipe({ recipe: back, vesselL: 200 })).toEqual(scaleRecipe({ recipe: book, vesselL: 200 }));
    expect(back.cautions).toEqual(book.cautions);
    expect(reviewRecipe(document)).toEqual([]);
    expect(diffRecipes(document, bookDocument(methodId, schoolId))).toEqual([]);
  });
  it("takes how it ripens and what it may hurt from the book, whatever is written", () => {
    const back = recipeFrom({ ...EXTRACT, name: "Ours" });
    expect(back.readiness).toEqual(findRecipe("cultured-extract").readiness);
    expect(back.school).toEqual({ id: "equal-parts", name: "Ours", stance: EXTRACT.note });
  });
});

describe("the difference of two versions", () => {
  it("names each thing that came, went or changed, and nothing else", () => {
    const after: RecipeDocument = {
      ...withAmount("molasses", 0.02),
      steps: [...EXTRACT.steps.slice(1), { id: "own", text: "Sing to it.", why: "", adds: [] }],
      cues: EXTRACT.cues.map((cue) => (cue.says === "ready" ? { ...cue, says: "past" as const } : cue)),
      shelfH: 24,
      note: "half as long",
    };
    const changes = diffRecipes(EXTRACT, after);
    expect(changes).toContainEqual({
      where: "amount",
      what: "Molasses",
      before: "10 mL/L (10 to 10)",
      after: "20 mL/L (1 to 20)",
    });
    expect(changes).toContainEqual({ where: "step", what: "own", before: null, after: "Sing to it." });
    expect(changes.find(({ where, after: now }) => where === "step" && now === null)).toBeDefined();
    expect(changes.filter(({ where }) => where === "sign").every(({ after: now }) => now === "past")).toBe(true);
    expect(changes).toContainEqual(expect.objectContaining({ what: "Keeps", after: "1 d" }));
    expect(changes.map(({ what }) => what)).not.toContain("Lactic culture");
  });
  it("is the other way round the other way round", () => {
    const other = withAmount("plant", 0.2);
    const there = diffRecipes(EXTRACT, other);
    const back = diffRecipes(other, EXTRACT);
    expect(back.map(({ before, after }) => [after, before])).toEqual(there.map(({ before, after }) => [before, after]));
  });
});

describe("the review of a grower's recipe", () => {
  it("holds figures that are far from what growers use", () => {
    expect(flagsOf(withAmount("molasses", 0.5))).toEqual(["unconfirmed /ingredients/1/amount/perBasis/default"]);
    expect(flagsOf(withAmount("molasses", 0.012))).toEqual([]);
  });
  it("holds a starter that is too thin to start", () => {
    expect(reviewRecipe(withAmount("lactic-culture", 0.004)).map(({ text }) => text)).toContainEqual(
      expect.stringContaining("under 0.5 %"),
    );
  });
  it.each([
    ["a six-micron bag", "Tie it in a six-micron bag.", "unconfirmed"],
    ["a 6 µm bag in figures", "Strain through 6 µm.", "unconfirmed"],
    ["a handful of salt", "Throw in a handful of sea salt.", "unconfirmed"],
    ["N-P-K with one figure missing", "Add feed, NPK 5-1.", "unconfirmed"],
    ["N-P-K without a figure", "Add 2 kg of NPK.", "unconfirmed"],
    ["a poisonous plant", "Add foxglove leaves.", "refused"],
    ["a nicotine plant", "Steep tobacco with it.", "refused"],
  ])("finds %s in the words of a step", (_what, text, weight) => {
    const document = { ...EXTRACT, steps: [{ ...EXTRACT.steps[0]!, text }, ...EXTRACT.steps.slice(1)] };
    expect(flagsOf(document)).toContain(`${weight} /steps/0/text`);
  });
  const told = (...texts: readonly string[]): RecipeDocument => ({
    ...EXTRACT,
    steps: EXTRACT.steps.map((step, index) => ({ ...step, text: texts[index] ?? "Wait." })),
  });
  it.each([
    ["a bucket of two sizes", ["Fill a 3 gal bucket.", "Pour into the 5-gallon bucket."], "3 gal bucket"],
    ["a handful and a cup of one thing", ["Add a handful of castings.", "Add one cup of castings."], "handful of cast"],
  ])("asks which is meant of %s", (_what, texts, said) => {
    const flags = reviewRecipe(told(...texts));
    expect(flags).toHaveLength(1);
    expect(flags[0]).toMatchObject({ weight: "unconfirmed", path: "/steps/1/text" });
    expect(flags[0]!.text).toContain(said);
  });
  it.each([
    ["the same bucket said in two ways", ["Fill a 5 gal bucket.", "Stir in the 5-gallon bucket."]],
    ["two vessels of two kinds", ["Fill a 5 gal bucket.", "Pour into the 55 gal drum."]],
    ["N-P-K in full", ["Feed of NPK 5-1-1."]],
  ])("leaves alone %s", (_what, texts) => expect(flagsOf(told(...texts))).toEqual([]));
  const strong = (index: number, partsWater: number): RecipeDocument => ({
    ...EXTRACT,
    uses: EXTRACT.uses.map((use, at) =>
      at === index
        ? {
            ...use,
            partsWater: {
              strongest: Math.min(use.partsWater.strongest, partsWater),
              default: partsWater,
              weakest: Math.max(use.partsWater.weakest, partsWater),
            },
          }
        : use,
    ),
  });
  it("holds a strength that burns or does nothing, at each use", () => {
    EXTRACT.uses.forEach(({ partsWater }, index) => {
      // Nothing is stronger than neat.
      if (partsWater.strongest > 0)
        expect(flagsOf(strong(index, partsWater.strongest / 3))).toEqual([
          `unconfirmed /uses/${index}/partsWater/default`,
        ]);
      expect(flagsOf(strong(index, partsWater.weakest * 3))).toEqual([`unconfirmed /uses/${index}/partsWater/default`]);
      expect(flagsOf(strong(index, partsWater.strongest))).toEqual([]);
    });
  });
  it("lets a step warn of what must not go in, and a mesh that is usual", () => {
    const text = "Never foxglove. Strain through 400 µm.";
    expect(flagsOf({ ...EXTRACT, steps: [{ ...EXTRACT.steps[0]!, text }, ...EXTRACT.steps.slice(1)] })).toEqual([]);
  });
  it.each([
    ["a tight lid on what makes gas", { ...EXTRACT, lid: "sealed" as const }, "/lid"],
    [
      "a sign of failure that was dropped",
      { ...EXTRACT, cues: EXTRACT.cues.filter(({ says }) => says !== "failed") },
      "/cues",
    ],
    ["nothing that says ready", { ...EXTRACT, cues: EXTRACT.cues.filter(({ says }) => says !== "ready") }, "/cues"],
    [
      "an ingredient that goes in at no step",
      { ...EXTRACT, steps: EXTRACT.steps.map((step) => ({ ...step, adds: [] })) },
      "/ingredients/0/ingredient",
    ],
    ["no basis to count by", { ...EXTRACT, ingredients: EXTRACT.ingredients.slice(1) }, "/ingredients"],
    ["a basis that isn't one", withAmount("water", 2), "/ingredients"],
    ["a span that runs backwards", withAmount("molasses", 0.01, 0.005), "/ingredients/1/amount/perBasis"],
    ["a fill outside its span", { ...EXTRACT, fillShare: { low: 0.5, default: 0.9, high: 0.8 } }, "/fillShare"],
  ])("refuses %s", (_what, document, path) => expect(flagsOf(document)).toContain(`refused ${path}`));
  it("holds a vessel without headspace", () =>
    expect(flagsOf({ ...EXTRACT, fillShare: { low: 0.9, default: 0.97, high: 0.99 } })).toEqual([
      "unconfirmed /fillShare/default",
    ]));
  it("holds a vessel that is almost empty", () =>
    expect(flagsOf({ ...EXTRACT, fillShare: { low: 0.05, default: 0.08, high: 0.9 } })).toEqual([
      "unconfirmed /fillShare/default",
    ]));
  it("refuses a method or school that the book doesn't have", () => {
    expect(() => reviewRecipe({ ...EXTRACT, method: "moon-water" })).toThrow("unknown-method");
    expect(() => reviewRecipe({ ...EXTRACT, school: "thirds" })).toThrow("unknown-school");
  });
});

describe("the recipe that a farm goes by", () => {
  const own = {
    methodId: "cultured-extract",
    schoolId: "equal-parts",
    versionNo: 2,
    document: withAmount("molasses", 0.02),
  };
  it("is the cautious recipe's until it picks another, or a version of its own", () => {
    expect(chosenKey("plant-juice", [])).toEqual({
      methodId: "plant-juice",
      schoolId: "equal-weight",
      versionNo: null,
    });
    const choices = [{ methodId: "cultured-extract", schoolId: "equal-parts", versionNo: 2 }];
    const molasses = (recipe: ReturnType<typeof farmRecipe>) =>
      scaleRecipe({ recipe, vesselL: 200, targetBasis: 100 }).lines.find(({ ingredient }) => ingredient === "molasses")!
        .amount;
    expect(molasses(farmRecipe({ choices, versions: [own] }, "cultured-extract"))).toBeCloseTo(2, 9);
    expect(molasses(farmRecipe({ choices: [], versions: [own] }, "cultured-extract"))).toBeCloseTo(1, 9);
    expect(molasses(recipeOfKey({ ...own, versionNo: 7 }, [own]))).toBeCloseTo(1, 9);
  });
  it("offers the newest version, and the one it goes by", () => {
    const versions = [1, 2, 3].map((versionNo) => ({ ...own, versionNo }));
    const offered = (versionNo: number | null) =>
      versionsOffered(
        { choices: [{ methodId: "cultured-extract", schoolId: "equal-parts", versionNo }], versions },
        "cultured-extract",
        "equal-parts",
      ).map((version) => version.versionNo);
    expect(offered(null)).toEqual([3]);
    expect(offered(1)).toEqual([1, 3]);
    expect(offered(3)).toEqual([3]);
  });
});
