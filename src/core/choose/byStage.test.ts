import { findRecipe, METHODS } from "../book";
import { CROP_STAGE_IDS, rateForStage } from "./byStage";

describe("strength by stage", () => {
  it("never takes the strength of grown plants for seedlings", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools) {
        const rate = rateForStage("seedling", findRecipe(id, school.id));
        if (rate) expect([id, rate.use]).toEqual([id, "seedling"]);
      }
    expect(rateForStage("seedling", findRecipe("shell-calcium"))).toBeNull();
    expect(rateForStage("seedling", findRecipe("plant-juice"))!.partsWater.strongest).toBeGreaterThanOrEqual(1000);
  });
  it("keeps its usual within its own strongest and weakest", () => {
    for (const { id } of METHODS)
      for (const stage of CROP_STAGE_IDS) {
        const rate = rateForStage(stage, findRecipe(id));
        if (!rate) continue;
        const { strongest, default: usual, weakest } = rate.partsWater;
        expect([id, stage, strongest <= usual && usual <= weakest]).toEqual([id, stage, true]);
      }
  });
});
