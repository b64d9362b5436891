import { findRecipe } from "@/core/book";
import { readMeasured } from "@/formats/measured";
import type { ShelfItem } from "@/services/shed/readShed";
import { basisOf, leansOnHeld, workOutFill, type FillDraft } from "./workOutFill";

const item = (ingredientId: string, onHand: number): ShelfItem => ({
  ingredientId,
  name: ingredientId,
  unit: "L",
  onHand,
  lots: [],
  softHeld: 0,
  heldBecause: null,
  expiresOn: null,
  unitCostMinor: 0,
});
const SHELF = [item("molasses", 5), item("lactic-culture", 0.6), item("plant", 3), item("castings", 20)];
const draft = (change: Partial<FillDraft> = {}, methodId = "cultured-extract"): FillDraft => {
  return {
    recipe: findRecipe(methodId),
    vessel: { volumeL: 200, diameterM: null },
    size: "vessel",
    wanted: "",
    depth: "",
    stated: [],
    substitutes: [],
    include: [],
    picked: new Set(),
    drafts: {},
    read: (typed, of) => readMeasured(typed, of, [], "metric"),
    units: "metric",
    shelf: SHELF,
    ...change,
  };
};

describe("a fill while it is being typed", () => {
  it("fills the vessel to its line by itself", () => {
    const plan = workOutFill(draft());
    expect(plan.filledL).toBeCloseTo(170, 1);
    expect(plan.overBrim).toBe(false);
    expect(plan.lines.map(({ key, changed }) => [key, changed])).toEqual([
      ["water/mix", false],
      ["molasses/mix", false],
      ["lactic-culture/mix", false],
      ["plant/mix", false],
    ]);
  });
  it("goes as far as the shed goes, and says what runs out", () => {
    const plan = workOutFill(draft({ size: "shed" }));
    expect(plan.scaled?.limitedBy).toBe("lactic-culture");
    expect(plan.scaled?.basisAmount).toBeCloseTo(60, 6);
  });
  it("does not ask the shed for what is picked fresh", () => {
    const bare = draft({ size: "shed", shelf: SHELF.filter(({ ingredientId }) => ingredientId !== "plant") });
    expect(workOutFill(bare).problem).toBe("The shed has no chopped plant.");
    expect(workOutFill({ ...bare, picked: new Set(["plant"]) }).problem).toBeNull();
  });
  it("makes the amount that was named, in either notation, or says why it can't", () => {
    expect(workOutFill(draft({ size: "amount", wanted: "90,5" })).scaled?.basisAmount).toBe(90.5);
    expect(workOutFill(draft({ size: "amount", wanted: "" })).problem).toBe("How many L of water?");
    expect(workOutFill(draft({ size: "amount", wanted: "190" })).problem).toMatch(
      /the vessel takes 170 L up to its fill line/,
    );
    expect(workOutFill(draft({ size: "amount", wanted: "0" })).problem).toMatch(/must be above 0, not 0 mL/);
  });
  it("keeps what was typed beside what the recipe says, and counts its room", () => {
    const plan = workOutFill(draft({ drafts: { "water/mix": "100", "molasses/mix": "2" } }));
    const molasses = plan.lines.find(({ ingredient }) => ingredient === "molasses")!;
    expect([molasses.typed, molasses.changed]).toEqual(["2", true]);
    expect(molasses.amount).toBeCloseTo(1.66, 2);
    expect(plan.filledL).toBeLessThan(105);
  });
  it("sees the brim, and waits while an amount can't be read", () => {
    expect(workOutFill(draft({ drafts: { "water/mix": "250" } })).overBrim).toBe(true);
    expect(workOutFill(draft({ drafts: { "water/mix": "lots" } })).filledL).toBe(0);
  });
  it("takes in what may go in as well, once it is ticked", () => {
    const has = (include: FillDraft["include"]) =>
      workOutFill(draft({ include }, "aerated-tea")).lines.some(({ ingredient }) => ingredient === "kelp-meal");
    expect([has([]), has(["kelp-meal"])]).toEqual([false, true]);
  });
  it("counts a juice by its plant, with the cap as a line of its own", () => {
    expect(basisOf(findRecipe("plant-juice"))).toEqual({ word: "chopped plant", unit: "kg" });
    expect(workOutFill(draft({}, "plant-juice")).lines.map(({ key }) => key)).toEqual([
      "plant/mix",
      "brown-sugar/mix",
      "brown-sugar/cap",
    ]);
  });
  it("offers as many digits as can be poured", () => {
    const digits = workOutFill(draft()).lines.map(({ typed }) => (typed.split(".")[1] ?? "").length);
    expect(digits).toEqual([1, 3, 3, 3]);
  });
});

describe("what leans on stock that is on hold", () => {
  const lineOf = (used: number | null, pickedNow = false) => [
    { ...workOutFill(draft()).lines.find(({ ingredient }) => ingredient === "molasses")!, used, pickedNow },
  ];
  const shelf = [{ ...item("molasses", 1), softHeld: 2 }];
  it.each([
    [0.9, false],
    [1.5, true],
    [3.5, false],
    [null, false],
  ])("%s of 1 L and 2 L held: %s", (used, leans) => expect(leansOnHeld(lineOf(used), shelf)).toBe(leans));
  it("not where it is picked for the batch, or the shed has none at all", () => {
    expect(leansOnHeld(lineOf(1.5, true), shelf)).toBe(false);
    expect(leansOnHeld(lineOf(1.5), [])).toBe(false);
  });
});
