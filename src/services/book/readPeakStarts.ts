import "server-only";
import { judgedBy } from "@/core/judge/evidence";
import { farmRecipe } from "@/core/recipe/pick";
import { usualAir } from "@/core/weather/climate";
import type { Farm } from "@/data/farm";
import { hourOfDay } from "@/formats/times";
import type { Context } from "../context";
import { peakStartsOf, type PeakStartView, readPriors } from "../ferment";
import { readMaking } from "../fill";
import { airSince, climateOf } from "../weather";

const HOUR_MS = 3_600_000;

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
