import type { BatchBrief } from "@/services/batch";
import type { Contents } from "./VesselDrawing";

/** What a batch looks like in its vessel. */
export const contentsOf = (batch: BatchBrief): Contents => ({
  filledL: batch.filledL,
  methodId: batch.methodId,
  lid: batch.lid,
  aerated: batch.aerated,
  airOn: batch.airOn,
  surface: batch.last.surface,
  film: batch.last.film,
  floatingSolids: batch.floatingSolids,
});
