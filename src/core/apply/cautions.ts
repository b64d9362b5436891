import type { Recipe } from "../book/recipe";
import type { UseRate } from "../book/types";
import type { UseId } from "../book/uses";
import type { Recheck } from "../stock/storeChecks";

/** What speaks against an application: `reason` wants one from the person, `never` can't be overridden. */
export type ApplyCaution =
  | { readonly code: "expired"; readonly weight: "reason"; readonly hoursPast: number }
  | { readonly code: "long-dead"; readonly weight: "never"; readonly hours: number; readonly limitH: number }
  | { readonly code: "late-for-leaves"; readonly weight: "reason"; readonly hours: number; readonly limitH: number }
  | { readonly code: "smelt-off"; readonly weight: "never" }
  | { readonly code: "smelt-doubtful"; readonly weight: "reason" }
  | { readonly code: "smell-first"; readonly weight: "never"; readonly because: Recheck["because"] }
  | { readonly code: "use-unknown"; readonly weight: "reason"; readonly method: string }
  | { readonly code: "too-strong"; readonly weight: "reason"; readonly strongest: number; readonly partsWater: number }
  | {
      readonly code: "leaf-eaten-soon";
      readonly weight: "reason";
      readonly plot: string;
      readonly daysToHarvest: number | null;
    };

export interface ApplyCase {
  readonly recipe: Recipe;
  readonly rate: UseRate | null;
  readonly use: { readonly id: UseId; readonly target: "leaves" | "soil" | "other" };
  readonly partsWater: number;
  readonly hoursPastExpiry: number;
  readonly hoursSinceShelf: number;
  /** As last smelt, and whether it must be smelt again first. */
  readonly smelt: "good" | "off" | "doubtful";
  readonly recheck: Recheck | null;
  readonly plots: readonly { readonly name: string; readonly leafEaten: boolean; readonly harvestOn: string | null }[];
  /** The farm's calendar day. */
  readonly today: string;
}

/** Sugared living brews stay off leaves that are eaten sooner than this. The farm's own code and certifier stand above it. */
const LEAF_TO_HARVEST_D = 90;
const DAY_MS = 86_400_000;

function leafCaution({ recipe, use, plots, today }: ApplyCase): ApplyCaution[] {
  if (use.target !== "leaves" || !recipe.cautions.includes("sugar-regrowth")) return [];
  const soon = plots
    .filter(({ leafEaten }) => leafEaten)
    .map(({ name, harvestOn }) => ({
      plot: name,
      daysToHarvest: harvestOn === null ? null : Math.round((Date.parse(harvestOn) - Date.parse(today)) / DAY_MS),
    }))
    .find(({ daysToHarvest }) => daysToHarvest === null || daysToHarvest < LEAF_TO_HARVEST_D);
  return soon ? [{ code: "leaf-eaten-soon", weight: "reason", ...soon }] : [];
}

function clockCautions({ recipe, use, hoursPastExpiry, hoursSinceShelf }: ApplyCase): ApplyCaution[] {
  if (recipe.keeping.afterH) {
    const { leaves, soil, hardEnd } = recipe.keeping.afterH;
    // Past the hard end it is foul; compost still takes it.
    if (hoursSinceShelf > hardEnd && use.id !== "compost")
      return [{ code: "long-dead", weight: "never", hours: hoursSinceShelf, limitH: hardEnd }];
    if (use.target === "leaves" && hoursSinceShelf > leaves)
      return [{ code: "late-for-leaves", weight: "reason", hours: hoursSinceShelf, limitH: leaves }];
    if (hoursSinceShelf > soil && use.id !== "compost")
      return [{ code: "expired", weight: "reason", hoursPast: hoursSinceShelf - soil }];
    return [];
  }
  return hoursPastExpiry > 0 && use.id !== "compost"
    ? [{ code: "expired", weight: "reason", hoursPast: hoursPastExpiry }]
    : [];
}

function noseCautions({ use, smelt, recheck }: ApplyCase): ApplyCaution[] {
  if (use.id === "compost") return [];
  if (smelt === "off") return [{ code: "smelt-off", weight: "never" }];
  return [
    ...(recheck ? [{ code: "smell-first", weight: "never", because: recheck.because } as const] : []),
    ...(smelt === "doubtful" ? [{ code: "smelt-doubtful", weight: "reason" } as const] : []),
  ];
}

/** Everything that speaks against an application, the gravest first; empty where nothing does. */
export function findCautions(application: ApplyCase): ApplyCaution[] {
  const { rate, recipe, partsWater } = application;
  const strength: ApplyCaution[] =
    rate === null
      ? [{ code: "use-unknown", weight: "reason", method: recipe.name }]
      : partsWater < rate.partsWater.strongest * (1 - 1e-9)
        ? [{ code: "too-strong", weight: "reason", strongest: rate.partsWater.strongest, partsWater }]
        : [];
  return [
    ...clockCautions(application),
    ...noseCautions(application),
    ...leafCaution(application),
    ...strength,
  ].toSorted((a, b) => Number(b.weight === "never") - Number(a.weight === "never"));
}
