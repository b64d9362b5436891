import { addDays } from "../calendar";
import { cropFacts, type EdiblePart } from "../book/crops";

/** How far a crop is. `settling`: set out days ago, its roots not yet at home; `rest`: a perennial out of its season. */
export const GROWTH_STAGES = ["bare", "seedling", "settling", "growing", "flowering", "fruiting", "rest"] as const;
export type GrowthStage = (typeof GROWTH_STAGES)[number];
/** Stages that can be seen on something that grows. */
export type SeenStage = Exclude<GrowthStage, "bare">;

/** The stages by which strengths go. */
export type PlotStage = "bare" | "seedling" | "growing" | "flowering" | "fruiting" | "perennial";

/** What grows on a plot over a time; days as ISO dates. */
export interface Planting {
  readonly crop: string;
  /** What is eaten; null where the book's word for the crop stands. */
  readonly part: EdiblePart | null;
  readonly perennial: boolean;
  /** Null where nobody knows. */
  readonly plantedOn: string | null;
  /** Sown in place, not set out as a plant. */
  readonly sown: boolean;
  readonly plants: number | null;
  readonly spacingCm: number | null;
  readonly harvestFrom: string | null;
  readonly harvestTo: string | null;
  /** Cleared; null while it stands. */
  readonly endedOn: string | null;
  readonly seen: { readonly stage: SeenStage; readonly on: string } | null;
}

/** Days of a stage where nobody has seen otherwise; judged, in the middle of what garden crops take. */
const SEEDLING_D = 28;
const SETTLING_D = 14;
/** Before the first harvest of what is eaten as fruit, seed or flower. */
const FLOWERS_BEFORE_HARVEST_D = 42;
const FRUITS_BEFORE_HARVEST_D = 21;
/** What was seen of a crop that is never past it (a rest, a flush) stands so long. */
const SEEN_STANDS_D = 60;

const ORDER: readonly GrowthStage[] = ["bare", "seedling", "settling", "growing", "flowering", "fruiting"];

/** Whether it stands on a day: planted, and not cleared. An annual whose harvest is over by a fortnight is taken as cleared. */
export function stands(planting: Planting, day: string): boolean {
  if (planting.plantedOn !== null && planting.plantedOn > day) return false;
  if (planting.endedOn !== null) return planting.endedOn > day;
  return planting.perennial || planting.harvestTo === null || addDays(planting.harvestTo, 14) >= day;
}

/** How far it is by its dates alone. */
function stageByDate(
  { crop, part, perennial, plantedOn, sown, harvestFrom, harvestTo }: Planting,
  day: string,
): SeenStage {
  const eaten = part ?? cropFacts(crop, false)?.part ?? "none";
  const sets = eaten === "fruit" || eaten === "seed" || eaten === "flower";
  const isPicked = harvestFrom !== null && day >= harvestFrom && (harvestTo === null || day <= harvestTo);
  if (sets && harvestFrom !== null) {
    if (isPicked || (day < harvestFrom && addDays(day, FRUITS_BEFORE_HARVEST_D) >= harvestFrom)) return "fruiting";
    if (day < harvestFrom && addDays(day, FLOWERS_BEFORE_HARVEST_D) >= harvestFrom) return "flowering";
  }
  if (perennial) return harvestTo !== null && day > harvestTo ? "rest" : "growing";
  if (plantedOn !== null && sown && addDays(plantedOn, SEEDLING_D) > day) return "seedling";
  if (plantedOn !== null && !sown && addDays(plantedOn, SETTLING_D) > day) return "settling";
  return "growing";
}

/** How far it is on a day: what was seen counts, until its dates have gone beyond that. */
export function stageOn(planting: Planting, day: string): GrowthStage {
  if (!stands(planting, day)) return "bare";
  const byDate = stageByDate(planting, day);
  const { seen } = planting;
  if (!seen || seen.on > day) return byDate;
  const isFresh = addDays(seen.on, SEEN_STANDS_D) >= day;
  if (planting.perennial || seen.stage === "rest") return isFresh ? seen.stage : byDate;
  // A seedling that was seen grows up all the same.
  if (seen.stage === "seedling" || seen.stage === "settling") {
    const grownOn = addDays(seen.on, seen.stage === "seedling" ? SEEDLING_D : SETTLING_D);
    return day < grownOn ? seen.stage : byDate === "seedling" || byDate === "settling" ? "growing" : byDate;
  }
  return ORDER.indexOf(byDate) > ORDER.indexOf(seen.stage) ? byDate : seen.stage;
}

/** The stage by which strengths go: roots that are not at home yet are given what a seedling is; what rests, what a perennial is. */
export function strengthStage(planting: Planting | null, day: string): PlotStage {
  if (!planting) return "bare";
  const stage = stageOn(planting, day);
  if (stage === "bare") return "bare";
  if (stage === "settling") return planting.perennial ? "perennial" : "seedling";
  if (stage === "rest") return "perennial";
  return planting.perennial && stage === "growing" ? "perennial" : stage;
}

/** What stands on a plot on a day, the latest planted of it; null on bare ground. */
export const plantingOn = <P extends Planting>(plantings: readonly P[], day: string): P | null =>
  plantings
    .filter((planting) => stands(planting, day))
    .toSorted((a, b) => (b.plantedOn ?? "").localeCompare(a.plantedOn ?? ""))[0] ?? null;

/** What goes in next; null where nothing is meant to. */
export const nextPlanting = <P extends Planting>(plantings: readonly P[], day: string): P | null =>
  plantings
    .filter(({ plantedOn, endedOn }) => plantedOn !== null && plantedOn > day && endedOn === null)
    .toSorted((a, b) => a.plantedOn!.localeCompare(b.plantedOn!))[0] ?? null;

/**
 * Plants on so much ground at a spacing, in a square or a row: counted where nobody did.
 * @param areaM2 m² @param spacingCm apart in both directions, cm
 */
export const plantsAt = (areaM2: number, spacingCm: number): number =>
  Math.max(1, Math.floor(areaM2 / (spacingCm / 100) ** 2 + 1e-9));
