import { findRecipe } from "@/core/book";
import type { BatchInput } from "@/core/judge/batchInput";
import type { LogItem } from "@/core/judge/log";

/** A batch of 200 L that has stood at one temperature for so many hours. */
export const forecastInput = (
  methodId: string,
  nowH: number,
  celsius: number,
  log: readonly LogItem[] = [],
  schoolId?: string,
): BatchInput => ({
  recipe: findRecipe(methodId, schoolId),
  vesselL: 200,
  nowH,
  temperature: { liquid: [{ hour: 0, celsius }], air: [], statedC: null },
  log,
});
