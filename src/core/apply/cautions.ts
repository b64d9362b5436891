import { cropFacts } from "../book/crops";
import { BARS, mattersOn, ruleDays, ruleFor, SOIL_ONLY, URINE_RAW_STORED_D } from "../safety/carried";
import { findUse } from "../book/uses";
import type { ApplyCase, ApplyCaution } from "./applyCase";
import { ceilingCautions, NOTHING_BROUGHT, timesBrought } from "./brought";
import { notTogether } from "./care";
import { concentrateFor } from "./reach";
import { hourCautions } from "./hourCautions";
import { strengthCautions } from "./strengthCautions";

export type { ApplyCase, ApplyCaution } from "./applyCase";

/** Sugared living brews stay off leaves that are eaten sooner than this. The farm's own code and certifier stand above it. */
const LEAF_TO_HARVEST_D = 90;
const DAY_MS = 86_400_000;

function leafCaution({ recipe, use, plots, today }: ApplyCase): ApplyCaution[] {
  if (use.target !== "leaves" || !recipe.cautions.includes("sugar-regrowth")) return [];
  const soon = plots
    // By somebody's word, or else by the book's: lettuce is leaf though nobody says so.
    .filter(({ crop, leafEaten, part = null }) => cropFacts(crop, leafEaten, part)?.part === "leaf")
    .map(({ name, harvestOn }) => ({
      plot: name,
      daysToHarvest: harvestOn === null ? null : Math.round((Date.parse(harvestOn) - Date.parse(today)) / DAY_MS),
    }))
    .find(({ daysToHarvest }) => daysToHarvest === null || daysToHarvest < LEAF_TO_HARVEST_D);
  return soon ? [{ code: "leaf-eaten-soon", weight: "reason", ...soon }] : [];
}

const daysTo = (harvestOn: string | null, today: string): number | null =>
  harvestOn === null ? null : Math.max(0, Math.round((Date.parse(harvestOn) - Date.parse(today)) / DAY_MS));

/** Dung, urine, milk and unwashed leaf against what is eaten of each plot, and when. */
function hazardCautions({ use, plots, carries, rules, urineStoredD, today }: ApplyCase): ApplyCaution[] {
  // Compost heats or waits, and is no crop.
  if (use.id === "compost") return [];
  return carries.flatMap((hazard) => {
    const rule = ruleFor(hazard, rules);
    const eaten = plots.flatMap((plot) => {
      const crop = cropFacts(plot.crop, plot.leafEaten, plot.part ?? null);
      return crop && crop.part !== "none" ? [{ plot, crop }] : [];
    });
    const wet = use.target === "leaves" && SOIL_ONLY.includes(hazard) ? plots[0] : undefined;
    const young =
      hazard === "urine" && (urineStoredD ?? 0) < URINE_RAW_STORED_D
        ? eaten.find(({ crop }) => crop.eatenRaw)
        : undefined;
    // What only lies on leaves from outside matters where leaves are wetted.
    const matters = mattersOn(hazard, use.target === "leaves");
    const soon = !matters
      ? undefined
      : eaten
          .map(({ plot, crop }) => ({
            plot: plot.name,
            daysToHarvest: daysTo(plot.harvestOn, today),
            ruleD: ruleDays(rule, crop),
            touchesSoil: crop.touchesSoil,
          }))
          .filter(({ daysToHarvest, ruleD }) => ruleD > 0 && (daysToHarvest === null || daysToHarvest < ruleD))
          .toSorted((a, b) => (a.daysToHarvest ?? 0) - (b.daysToHarvest ?? 0))[0];
    return [
      ...(wet ? [{ code: "hazard-on-leaves", weight: "blocked", hazard, plot: wet.name } as const] : []),
      ...(soon
        ? [
            {
              code: "hazard-before-harvest",
              weight: BARS.includes(hazard) ? "blocked" : "reason",
              hazard,
              ...soon,
              ownRule: rules.some((one) => one.hazard === hazard),
            } as const,
          ]
        : []),
      ...(young
        ? [{ code: "urine-too-young", weight: "blocked", plot: young.plot.name, storedD: urineStoredD } as const]
        : []),
    ];
  });
}

/** Open water carries germs; on leaves that are eaten nothing washes them off before the plate. */
function riverCaution({ use, plots, riverWater }: ApplyCase): ApplyCaution[] {
  if (use.target !== "leaves" || !riverWater) return [];
  const eaten = plots.find(
    ({ crop, leafEaten, part = null }) => (cropFacts(crop, leafEaten, part)?.part ?? "none") !== "none",
  );
  return eaten ? [{ code: "river-on-leaves", weight: "reason", plot: eaten.name }] : [];
}

/** Below this much ground of a plot nothing can be put on without reaching the water's strip, m². */
const TREATABLE_FROM_M2 = 0.05;

/** What runs off the bed into a well or a stream. */
function waterCautions({ use, plots }: ApplyCase): ApplyCaution[] {
  const barred = plots.find(
    ({ treatableM2, nearWater }) =>
      treatableM2 !== undefined && treatableM2 < TREATABLE_FROM_M2 && (nearWater ?? []).length > 0,
  );
  const mostLPerM2 = use.target === "soil" ? (findUse(use.id).mixLPerM2?.high ?? null) : null;
  const soaked = plots
    .filter(({ mixL, treatableM2 }) => mixL !== undefined && (treatableM2 ?? 0) >= TREATABLE_FROM_M2)
    .map(({ name, mixL, treatableM2 }) => ({ plot: name, lPerM2: mixL! / treatableM2! }))
    .toSorted((a, b) => b.lPerM2 - a.lPerM2)[0];
  return [
    ...(barred
      ? [{ code: "near-water", weight: "blocked", plot: barred.name, waters: barred.nearWater! } as const]
      : []),
    ...(mostLPerM2 !== null && soaked && soaked.lPerM2 > mostLPerM2 * (1 + 1e-6)
      ? [{ code: "more-than-soaks-in", weight: "reason", ...soaked, mostLPerM2 } as const]
      : []),
  ];
}

/** What one more dose takes past its ceiling. */
function addedUpCautions({ use, plots, brings, partsWater }: ApplyCase): ApplyCaution[] {
  // A heap is no bed: what is in it is spread over many later.
  if (!brings || use.id === "compost") return [];
  return ceilingCautions(
    plots.flatMap(({ name, areaM2, mixL, broughtG }) =>
      areaM2 === undefined || mixL === undefined
        ? []
        : [
            {
              name,
              areaM2,
              soFarG: broughtG ?? NOTHING_BROUGHT,
              addsG: timesBrought(brings, concentrateFor(mixL, partsWater)),
            },
          ],
    ),
  );
}

/** What is not for rooms. */
const indoorsCautions = ({ use, carries }: ApplyCase): ApplyCaution[] =>
  use.id === "houseplants"
    ? carries
        .filter((hazard) => SOIL_ONLY.includes(hazard))
        .map((hazard) => ({ code: "hazard-indoors", weight: "blocked", hazard }))
    : [];

/** Given again within half its interval, or on the same day. */
function againCautions({ use, rate, plots }: ApplyCase): ApplyCaution[] {
  if (use.id === "compost") return [];
  const everyD = rate?.everyD ?? null;
  const soon = plots.find(({ lastSameD }) => lastSameD !== null && lastSameD < Math.max(1, (everyD ?? 0) / 2));
  return soon ? [{ code: "again-so-soon", weight: "reason", plot: soon.name, daysAgo: soon.lastSameD!, everyD }] : [];
}

function clockCautions({ recipe, use, hoursPastExpiry, hoursSinceShelf }: ApplyCase): ApplyCaution[] {
  if (recipe.keeping.afterH) {
    const { leaves, soil, hardEnd } = recipe.keeping.afterH;
    // Past the hard end it is foul; compost still takes it.
    // A brew that was never on air is spent, not foul: bare ground still takes it.
    const spentFor = recipe.aerated ? use.id !== "compost" : use.id !== "compost" && use.id !== "drench-bare";
    if (hoursSinceShelf > hardEnd && spentFor)
      return [{ code: "long-dead", weight: "never", hours: hoursSinceShelf, limitH: hardEnd, aired: recipe.aerated }];
    if (!recipe.aerated && use.id === "drench-bare") return [];
    if (use.target === "leaves" && hoursSinceShelf > leaves)
      return [
        { code: "late-for-leaves", weight: "reason", hours: hoursSinceShelf, limitH: leaves, aired: recipe.aerated },
      ];
    if (hoursSinceShelf > soil && use.id !== "compost")
      return [{ code: "expired", weight: "reason", hoursPast: hoursSinceShelf - soil }];
    return [];
  }
  // Past its day it is spent, not poison: bare ground takes it as the heap does.
  return hoursPastExpiry > 0 && use.id !== "compost" && use.id !== "drench-bare"
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

const GRAVITY = { never: 2, blocked: 1, reason: 0 } as const;
/** Letters that a reason against a block must have: "ok" is none. */
export const FULL_REASON = 15;

/** Whether what was typed as a reason lets it go on. */
export const reasonSuffices = (cautions: readonly ApplyCaution[], reason: string): boolean => {
  if (cautions.some(({ weight }) => weight === "never")) return false;
  const letters = reason.trim().length;
  return cautions.length === 0 || letters >= (cautions.some(({ weight }) => weight === "blocked") ? FULL_REASON : 1);
};

/** What speaks against several liquids of one can, each thing once, the gravest first. */
export const gatherCautions = (cautions: readonly ApplyCaution[]): ApplyCaution[] =>
  [...new Map(cautions.map((caution) => [JSON.stringify(caution), caution])).values()].toSorted(
    (a, b) => GRAVITY[b.weight] - GRAVITY[a.weight],
  );

/** Everything that speaks against an application, the gravest first; empty where nothing does. */
export function findCautions(application: ApplyCase): ApplyCaution[] {
  const { rate, recipe, partsWater, use, hour, patchTests = [] } = application;
  const together = application.with ? notTogether(recipe, application.with) : null;
  return [
    ...clockCautions(application),
    ...noseCautions(application),
    ...hazardCautions(application),
    ...leafCaution(application),
    ...riverCaution(application),
    ...waterCautions(application),
    ...strengthCautions({ method: recipe.name, rate, use: use.id, partsWater }, patchTests),
    ...againCautions(application),
    ...addedUpCautions(application),
    ...indoorsCautions(application),
    ...(together ? [together] : []),
    ...(hour ? hourCautions(use, hour) : []),
  ].toSorted((a, b) => GRAVITY[b.weight] - GRAVITY[a.weight]);
}
