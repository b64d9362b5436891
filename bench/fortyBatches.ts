import { findRecipe, METHODS } from "../src/core/book";
import type { BatchInput } from "../src/core/judge/batchInput";
import { assess } from "../src/core/judge/assess";
import { forecastBatch } from "../src/core/judge/forecastBatch";

const BATCHES = 40;
const ROUNDS = 15;
const CURVE_POINTS = 99;

const RECIPES = METHODS.flatMap(({ id }) => {
  const recipe = findRecipe(id);
  return recipe.readiness.type === "ripens" ? [{ recipe, model: recipe.readiness.model }] : [];
});
const airAt = (hour: number) => ({ hour, celsius: 20 + 4 * Math.cos(((hour - 6) * 2 * Math.PI) / 24) });

/** Running batches of all methods, past half of their usual time, smelt once. */
function running(): BatchInput[] {
  return Array.from({ length: BATCHES }, (_, index): BatchInput => {
    const { recipe, model } = RECIPES[index % RECIPES.length]!;
    const nowH = 0.6 * model.daysRuleH + index;
    const smell = recipe.cues.find(({ kind, says }) => kind === "smell" && says === "not-yet");
    return {
      recipe,
      vesselL: model.volumeL,
      nowH,
      startHour: 9,
      temperature: {
        liquid: [],
        air: Array.from({ length: Math.floor(nowH) + 240 }, (_unused, hour) => airAt(hour)),
        statedC: 20,
        usual: { meanC: 20, swingC: 4 },
      },
      log: smell ? [{ hour: 0.8 * nowH, kind: "smell", word: smell.word }] : [],
      curveHours: Array.from({ length: CURVE_POINTS }, (_unused, point) => nowH + 2.4 * point),
    };
  });
}

function medianMs(work: () => void): number {
  const samples = Array.from({ length: ROUNDS }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
  return samples.toSorted((a, b) => a - b)[Math.floor(ROUNDS / 2)]!;
}

/** What redrawing a whole yard costs with nothing kept: the bare forecasts, and all that is said of the batches, ms for forty. */
export function fortyBatches(): { readonly forecastMs: number; readonly assessMs: number } {
  const inputs = running();
  return {
    forecastMs: medianMs(() => inputs.forEach((input) => forecastBatch(input))),
    assessMs: medianMs(() => inputs.forEach((input) => assess(input))),
  };
}
