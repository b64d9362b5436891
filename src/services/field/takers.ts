import "server-only";
import { isOnPlan } from "@/core/apply/elsewhere";
import { couldTake, usesAtAll, usesNow, type StoreCase } from "@/core/apply/usesNow";
import type { UseId } from "@/core/book/uses";
import { recipeFrom } from "@/core/recipe/document";
import { alertDue } from "@/core/stock/storeAlerts";
import { listLastByMethod, listHarvestRules } from "@/data/field";
import type { Queryable } from "@/data/db";
import type { Farm } from "@/data/farm";
import { isoDay } from "@/formats/times";
import { carriedOfBatches } from "../hazards";
import { lastSameDays, sinceWhen } from "./lastSame";
import { readPlots } from "./readPlots";
import type { StoreView } from "../stores";

const MOST = 4;
const HOUR_MS = 3_600_000;

/** What a store may still be used for, by the judgement that stands at applying it, and the beds that could take it before it is over. */
export interface StoreUses {
  /** Uses that nothing speaks against now. */
  readonly free: readonly UseId[];
  /** Whether anything at all may still go out, if only with a reason. */
  readonly mayGoOut: boolean;
  /** Which reminder of its end is due, h before it; null while it has time. */
  readonly alertH: number | null;
  /** Beds named where a reminder is due, or it is over. */
  readonly takers: readonly string[];
}

/** Reads what all stores may still be used for, one judgement for shed, round and field. */
export async function storeUses(
  db: Queryable,
  farm: Farm,
  views: readonly StoreView[],
  now: Date,
): Promise<Map<number, StoreUses>> {
  if (views.length === 0) return new Map();
  const [plots, rules, made, carried] = await Promise.all([
    readPlots(db, isoDay(now, farm)),
    listHarvestRules(db),
    listLastByMethod(db, sinceWhen(now)),
    carriedOfBatches(db, [...new Set(views.map(({ batchId }) => batchId))]),
  ]);
  const today = isoDay(now, farm);
  return new Map(
    views.map((view): [number, StoreUses] => {
      const recipe = recipeFrom(view.recipe);
      const { carries, urineStoredD, riverWater } = carried.get(view.batchId)!;
      const store: StoreCase = {
        hoursPastExpiry: (now.getTime() - view.expiresMs) / HOUR_MS,
        hoursSinceShelf: (now.getTime() - view.shelfFromMs) / HOUR_MS,
        smelt: view.smelt,
        recheck: view.recheck,
        carries,
        urineStoredD,
        riverWater,
      };
      const asked = { recipe, store, rules, today };
      const alertH = alertDue((view.expiresMs - view.shelfFromMs) / HOUR_MS, -store.hoursPastExpiry);
      const over = store.hoursPastExpiry >= 0;
      return [
        view.id,
        {
          free: usesNow(asked),
          mayGoOut: usesAtAll(asked).length > 0,
          alertH,
          takers: plots
            .filter(isOnPlan)
            .filter((plot) =>
              over
                ? // Spent, it does no harm where nothing grows; found off, it is for the heap.
                  plot.stage === "bare" && view.smelt !== "off"
                : alertH !== null &&
                  couldTake(asked, { ...plot, lastSameD: lastSameDays(made, plot.id, recipe.id, now) }),
            )
            .map(({ name }) => name)
            .slice(0, MOST),
        },
      ];
    }),
  );
}
