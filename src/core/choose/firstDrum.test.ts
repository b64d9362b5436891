import { METHODS } from "../book";
import { INGREDIENT_IDS, type IngredientId } from "../book/ingredients";
import { findPlant } from "../book/plants";
import { commonVessels } from "../recipe/commonVessels";
import { findFirstThings, FIRST_THINGS, firstOptions, thingFor } from "./firstDrum";

const hand = (things: readonly string[], change: object = {}) => ({
  have: new Set(findFirstThings(things).flatMap(({ as }) => as)),
  hasAir: false,
  heldBefore: "nothing" as const,
  goal: null,
  ...change,
});
const soon = () => 100;

describe("what can be made on the first day", () => {
  it("puts first what lacks nothing, and of that what uses most of what is there", () => {
    const options = firstOptions(hand(["nettles", "leaf-mould"]), soon);
    expect(options[0]!.recipe.id).toBe("leaf-soak");
    expect(options[0]!.lacking).toEqual([]);
    const lacks = options.map(({ lacking, lacksAir }) => lacking.length + Number(lacksAir));
    expect(lacks).toEqual(lacks.toSorted((a, b) => a - b));
  });
  it("can make every method of the book from things that can be touched, air with them", () => {
    const all = firstOptions(
      hand(
        FIRST_THINGS.map(({ id }) => id),
        { hasAir: true },
      ),
      soon,
    );
    expect(
      all.filter(({ lacking, lacksAir }) => lacking.length > 0 || lacksAir).map(({ recipe }) => recipe.id),
    ).toEqual([]);
    expect(all).toHaveLength(METHODS.filter(({ family }) => family !== "preparation").length);
  });
  it("names one thing for whatever may lack, by which it is there", () => {
    for (const id of INGREDIENT_IDS as readonly IngredientId[]) expect(thingFor(id).as).toContain(id);
    for (const { lacking } of firstOptions(hand([]), soon))
      for (const id of lacking) expect(FIRST_THINGS).toContain(thingFor(id));
  });
  it("keeps manure vessels for manure, and shows why nothing else goes in", () => {
    const options = firstOptions(hand([], { heldBefore: "manure" }), soon);
    expect(options.filter(({ barred }) => !barred).map(({ recipe }) => recipe.vesselUse)).toEqual(
      options.filter(({ barred }) => !barred).map(() => "manure"),
    );
    expect(options.findIndex(({ barred }) => barred)).toBe(options.filter(({ barred }) => !barred).length);
  });
  it("shows what is made for a goal alone, and lets nothing stand in for what all is counted on", () => {
    const wanted = firstOptions(hand([], { goal: "calcium" }), soon);
    expect(wanted.length).toBeGreaterThan(0);
    expect(wanted.every(({ recipe }) => recipe.goals.some(({ goal }) => goal === "calcium"))).toBe(true);
    for (const { recipe, standIns } of firstOptions(hand(FIRST_THINGS.map(({ id }) => id)), soon))
      expect(standIns.map(({ instead }) => instead)).not.toContain(recipe.basis);
  });
  it("knows each of its plants by name", () => {
    for (const { species } of FIRST_THINGS) if (species !== undefined) expect(findPlant(species)).not.toBeNull();
  });
  it("has common vessels of the farm's own units, the largest first", () => {
    expect(commonVessels("metric").map(({ volumeL }) => volumeL)).toEqual([1000, 200, 60, 30, 12, 10, 3]);
    expect(commonVessels("us").find(({ id }) => id === "drum")!.volumeL).toBeCloseTo(208.198, 3);
  });
});
