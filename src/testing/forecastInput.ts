import { findRecipe } from "@/core/book";
import type { ForecastInput } from "@/core/ferment/forecast";
import type { Observation } from "@/core/ferment/observations";

/** A batch of 200 L that has stood at one temperature for so many hours. */
export const forecastInput = (
  methodId: string,
  nowH: number,
  celsius: number,
  observations: readonly Observation[] = [],
  schoolId?: string,
): ForecastInput => ({
  recipe: findRecipe(methodId, schoolId),
  vesselL: 200,
  nowH,
  temperature: { liquid: [{ hour: 0, celsius }], air: [], statedC: null },
  observations,
  curveHours: [],
});
