import "server-only";
import { isFit } from "@/core/apply/fitHours";
import { startsForPeak } from "@/core/choose/startForPeak";
import type { BatchInput } from "@/core/judge/batchInput";
import { judgedBy } from "@/core/judge/evidence";
import { farmRecipe } from "@/core/recipe/pick";
import { usualAir } from "@/core/weather/climate";
import type { Farm } from "@/data/farm";
import { hourOfDay } from "@/formats/times";
import type { Context } from "../context";
import { readMaking } from "../fill/readMaking";
import { airAhead, airSince, climateOf, fitBands, type FarmAir } from "../yard/weather";
import { readPriors } from "./priors";

const HOUR_MS = 3_600_000;
/** More starts than this are no help in picking one. */
const SHOWN_MOST = 4;

/** A start of a brew that puts its likeliest best hour inside hours that are fit. */
export interface PeakStartView {
  readonly startMs: number;
  readonly peakMs: number;
  readonly bandFromMs: number;
  readonly bandToMs: number;
}

/**
 * When to start a bloom brew in the next two days so that it is best in fit hours; none for what keeps.
 * @param input a batch of such a brew, as it stands now
 */
export function peakStartsOf(input: BatchInput, farm: Farm, air: FarmAir, now: Date): PeakStartView[] {
  if (judgedBy(input.recipe) !== "bloom") return [];
  const bands = fitBands(farm, airAhead(farm, air, now), now).filter(isFit);
  const spans = bands.map(({ fromMs, toMs }) => ({
    fromInH: (fromMs - now.getTime()) / HOUR_MS,
    toInH: (toMs - now.getTime()) / HOUR_MS,
  }));
  const at = (inH: number) => now.getTime() + inH * HOUR_MS;
  return startsForPeak(input, spans)
    .flatMap(({ startInH, peakInH, span }) => {
      const band = span === null ? null : bands[span]!;
      return band ? [{ startMs: at(startInH), peakMs: at(peakInH), bandFromMs: band.fromMs, bandToMs: band.toMs }] : [];
    })
    .slice(0, SHOWN_MOST);
}

/** As `peakStartsOf`, of a method by the farm's own recipe, in the vessel it is usually made in. */
export async function readPeakStarts(ctx: Context, farm: Farm, methodId: string): Promise<PeakStartView[]> {
  const now = ctx.now();
  const recipe = farmRecipe(await readMaking(ctx, farm.timeZone), methodId);
  if (recipe.readiness.type !== "ripens" || judgedBy(recipe) !== "bloom") return [];
  const { model } = recipe.readiness;
  const [air, priors] = await Promise.all([airSince(ctx.pool, now, now), readPriors(ctx.pool, farm)]);
  const learned = priors.of(model.id);
  return peakStartsOf(
    {
      recipe,
      vesselL: model.volumeL,
      nowH: 0,
      startHour: hourOfDay(now, farm),
      // What is not begun stands nowhere yet: told for a shady place outdoors.
      place: { kind: "shade" },
      temperature: {
        liquid: [],
        air: air.hours.map(({ at, airC }) => ({ hour: (at.getTime() - now.getTime()) / HOUR_MS, celsius: airC })),
        statedC: null,
        usual: usualAir(now, climateOf(farm)),
      },
      log: [],
      ...(learned ? { farm: learned } : {}),
    },
    farm,
    air,
    now,
  );
}
