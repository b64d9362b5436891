import { minimumAgeD, type Recipe } from "../book/recipe";
import { forecastBatch } from "../judge/forecastBatch";

/** Hours from the start until a batch is likely ready, and until its best hour; null for not within any useful time. */
export interface LeadTime {
  readonly earliestH: number | null;
  readonly likelyH: number | null;
  readonly latestH: number | null;
  readonly bestH: number | null;
  readonly overH: number | null;
}

/** A drum of ordinary size stands for any: what it holds hardly changes how long it takes at a temperature. */
const USUAL_VESSEL_L = 200;

/** The same model at the same warmth takes as long: worked out once for each. */
const known = new WeakMap<object, Map<number, LeadTime>>();
/** A tenth of a degree makes no difference to anyone. */
const round = (celsius: number) => Math.round(celsius * 10) / 10;

/** How long a recipe takes in liquid that stands at a temperature, by the same forecast that batches get. */
export function leadTime(recipe: Recipe, liquidC: number): LeadTime {
  const { readiness } = recipe;
  const at = round(liquidC);
  const byWarmth = known.get(readiness) ?? new Map<number, LeadTime>();
  known.set(readiness, byWarmth);
  const found = byWarmth.get(at) ?? workOut(recipe, at);
  byWarmth.set(at, found);
  return found;
}

function workOut(recipe: Recipe, liquidC: number): LeadTime {
  const { window } = forecastBatch({
    recipe,
    vesselL: USUAL_VESSEL_L,
    nowH: 0,
    temperature: { liquid: [], air: [], statedC: liquidC },
    log: [],
  });
  const atLeast = (hour: number | null) => (hour === null ? null : Math.max(hour, minimumAgeD(recipe) * 24));
  return {
    earliestH: atLeast(window.start.p10),
    likelyH: atLeast(window.start.p50),
    latestH: atLeast(window.start.p90),
    bestH: atLeast(window.peak.p50),
    overH: window.end.p50,
  };
}
