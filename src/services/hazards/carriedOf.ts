import "server-only";
import { carriedBy, type Carried } from "@/core/safety/carried";
import { ancestorsOf } from "@/core/stock/lineage";
import type { Queryable } from "@/data/db";
import { listFeedings } from "@/data/batch";
import { listDrawnInto } from "@/data/shed";
import { listRiverBatches } from "@/data/water";

const DAY_MS = 86_400_000;

/** What a batch's liquid carries, from all that went into it and into the batches it was made from. */
export interface CarriedOf {
  readonly carries: readonly Carried[];
  /** Days that its youngest urine was stored before it went in; null where nobody wrote it down, or where there is none. */
  readonly urineStoredD: number | null;
  /** Whether river or stream water went into it or into what it was made from. */
  readonly riverWater: boolean;
}

/** What each of these batches carries, by the batch's number. */
export async function carriedOfBatches(
  db: Queryable,
  batchIds: readonly number[],
): Promise<ReadonlyMap<number, CarriedOf>> {
  if (batchIds.length === 0) return new Map();
  const feedings = await listFeedings(db);
  const families = new Map(batchIds.map((id) => [id, [id, ...ancestorsOf(id, feedings)]]));
  const all = [...new Set([...families.values()].flat())];
  const [drawn, river] = await Promise.all([listDrawnInto(db, all), listRiverBatches(db, all)]);
  return new Map(
    [...families].map(([id, family]) => {
      const own = drawn.filter(({ batchId }) => family.includes(batchId));
      const urine = own.filter(({ ingredientId }) => ingredientId === "urine");
      const stored = urine.map(({ provenance, at }) => {
        const until = provenance?.urine?.collectedUntil;
        return until ? Math.max(0, Math.floor((at.getTime() - Date.parse(until)) / DAY_MS)) : null;
      });
      return [
        id,
        {
          riverWater: family.some((member) => river.has(member)),
          carries: carriedBy([
            ...own.map(({ ingredientId }) => ingredientId),
            // Dung and urine are known by their lot as well, whatever it is kept as.
            ...own.flatMap(({ provenance }) => [
              ...(provenance?.dung ? ["dung-aged"] : []),
              ...(provenance?.urine ? ["urine"] : []),
            ]),
          ]),
          urineStoredD: stored.length === 0 || stored.includes(null) ? null : Math.min(...stored.map((days) => days!)),
        },
      ];
    }),
  );
}
