import type { School, UseRate } from "../book/types";
import type { UseId } from "../book/uses";

/** Where a crop or a bed stands, as a grower would say it. */
export const CROP_STAGES = {
  "seed-mix": "Seed mix",
  "seedling": "Seedlings",
  "growing": "Growing leaf",
  "flowering": "Turning to flower",
  "fruiting": "Fruiting",
  "bare": "Bare bed, before planting",
  "perennial": "Perennials and trees",
} as const;
export type CropStage = keyof typeof CROP_STAGES;
export const CROP_STAGE_IDS = Object.keys(CROP_STAGES) as readonly CropStage[];

/** Uses that fit a stage, the likeliest first. */
const USES_OF_STAGE: Readonly<Record<CropStage, readonly UseId[]>> = {
  "seed-mix": ["seed-mix"],
  "seedling": ["seedling"],
  "growing": ["drench-growing", "foliar", "injector"],
  "flowering": ["foliar", "drench-growing", "injector"],
  "fruiting": ["drench-growing", "foliar", "injector"],
  "bare": ["drench-bare", "incorporate", "top-dress"],
  "perennial": ["drench-growing", "top-dress", "foliar"],
};

/**
 * How strong an input may go on at a stage. Null where the book states no strength for it: the strength for grown plants is never taken for
 * seedlings, whom it burns.
 */
export function rateForStage(stage: CropStage, recipe: Pick<School, "uses">): UseRate | null {
  for (const use of USES_OF_STAGE[stage]) {
    const rate = recipe.uses.find((candidate) => candidate.use === use);
    if (rate) return rate;
  }
  return null;
}
