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

/** A way to make water fit, and how long it takes from now, h. */
export interface WaterWay {
  readonly treatment: "bubble" | "stand" | "ascorbic" | "carbon";
  readonly hours: number;
  /** Vitamin C that it takes, g; null where it takes none. */
  readonly ascorbicG: number | null;
}

/** How the picked water would be made fit, the quickest first; nothing where it is fit, or is being made so. */
export function waterWays(view: WatersView, { sourceId, startId }: WaterDraft, neededL: number): WaterWay[] {
  const water = view.waters.find(({ id }) => id === sourceId);
  if (!water || startId !== null) return [];
  return (["bubble", "stand", "ascorbic", "carbon"] as const)
    .flatMap((treatment): WaterWay[] => {
      const { safe, hours, ascorbicG } = treatWater({
        source: water.kind,
        freeMgPerL: water.freeMgPerL,
        totalMgPerL: water.totalMgPerL,
        volumeL: Math.max(1, neededL),
        treatment,
        temperatureC: 20,
      });
      return safe && hours !== null ? [{ treatment, hours, ascorbicG }] : [];
    })
    .toSorted((a, b) => a.hours - b.hours);
}

/** What speaks against the picked water; null where nothing does. */
export function waterProblem(view: WatersView, { sourceId, startId }: WaterDraft, neededL: number): string | null {
  const water = view.waters.find(({ id }) => id === sourceId);
  if (!water) return null;
  const start = view.starts.find(({ id }) => id === startId);
  if (start) {
    const leftH = (start.readyMs - view.nowMs) / 3_600_000;
    if (leftH > 0) return `Ready in ${sayDuration(leftH)}.`;
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
