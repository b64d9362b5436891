import type { Observation } from "@/core/ferment/evidence/observations";
import type { Forecast } from "@/core/ferment/outlook/forecast";

/** What of figures is read, in words; other reports are words themselves and can't be refused. */
const REFUSABLE: Partial<Record<Observation["type"], string>> = {
  ph: "pH",
  bubbles: "count of bubbles",
  sep: "parted share",
  sink: "sunk share",
  core: "bed temperature",
};

/** What was reported and can't be, a sentence each. */
export const sayRefused = (refused: readonly Observation[]): string[] =>
  refused.map(
    (observation) =>
      `A ${REFUSABLE[observation.type] ?? observation.type} of ${"value" in observation ? observation.value : ""} at hour ${observation.hour.toFixed(1)} can't be; it was not used.`,
  );

/**
 * The one word that the model's own worked cases ask for. It follows from the bare forecast, without place, meter or season: what a person is
 * told of a batch is the verdict's.
 */
export function modelAdvice({ spoilage, pastNow, readyNow, stuck }: Forecast): string {
  if (spoilage.level === "discard") return "discard";
  if (spoilage.level === "hold") return "hold";
  if (pastNow > 0.5) return "past";
  if (readyNow >= 0.6) return spoilage.needsSmellCheck ? "smell_then_use" : "use_now";
  if (readyNow >= 0.25) return "check_now";
  return stuck.codes.length > 0 && stuck.chanceNever > 0.5 ? "stuck" : "wait";
}
