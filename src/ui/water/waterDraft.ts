import { treatWater } from "@/core/water/chlorine";
import { sayDuration } from "@/formats/times";
import { sayWaterReason } from "@/words/said";
import type { WatersView } from "@/services/water";

/** Which water, as picked: a source as it runs, or water that was set to stand. */
export interface WaterDraft {
  readonly sourceId: number | null;
  readonly startId: number | null;
  readonly reason: string;
}

export const NO_WATER: WaterDraft = { sourceId: null, startId: null, reason: "" };

/** As the server takes it; null while none is picked. */
export const askedWater = ({ sourceId, startId, reason }: WaterDraft) =>
  sourceId === null ? null : { sourceId, startId, overrideReason: reason };

/** What speaks against the picked water; null where nothing does. */
export function waterProblem(view: WatersView, { sourceId, startId }: WaterDraft, neededL: number): string | null {
  const water = view.waters.find(({ id }) => id === sourceId);
  if (!water) return null;
  const start = view.starts.find(({ id }) => id === startId);
  if (start) {
    const leftH = (start.readyMs - view.nowMs) / 3_600_000;
    if (leftH > 0) return `It wants ${sayDuration(leftH)} more.`;
    return null;
  }
  const answer = treatWater({
    source: water.kind,
    freeMgPerL: water.freeMgPerL,
    totalMgPerL: water.totalMgPerL,
    volumeL: Math.max(1, neededL),
    treatment: "none",
    temperatureC: 20,
  });
  return answer.safe ? null : answer.reasons.map(sayWaterReason).join(" ");
}
