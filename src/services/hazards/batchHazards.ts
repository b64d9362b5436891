import "server-only";
import { isDeepStrictEqual } from "node:util";
import { lotState } from "@/core/stock/lotState";
import type { LotHazard } from "@/core/safety/provenance";
import type { Queryable } from "@/data/db";
import { listEventsOfLots, listOriginsOf } from "@/data/shed";

/**
 * What the lots of these batches bring along, each hazard once: the kind of dung, the donor's urine, weedkiller that was suspected.
 * Lots count with all that was noted of them since, since a bean test may come late.
 */
export async function hazardsOfBatches(db: Queryable, batchIds: readonly number[]): Promise<LotHazard[]> {
  const lots = await listOriginsOf(db, batchIds);
  const events = await listEventsOfLots(
    db,
    lots.map(({ id }) => id),
  );
  const hazards = lots.flatMap(
    (lot) =>
      lotState(
        { ...lot, expiresOn: null, place: "" },
        events.filter(({ lotId }) => lotId === lot.id),
      ).hazards,
  );
  return hazards.filter(
    ({ because }, index) => hazards.findIndex((other) => isDeepStrictEqual(other.because, because)) === index,
  );
}
