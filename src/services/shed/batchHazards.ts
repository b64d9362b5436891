import "server-only";
import { lotState, type LotHappening } from "@/core/stock/lotState";
import type { LotHazard, Provenance } from "@/core/safety/provenance";
import { select, type Queryable } from "@/data/db";

/**
 * What the lots of these batches bring along, each hazard once: the kind of dung, the donor's urine, weedkiller that was suspected.
 * Lots count with all that was noted of them since, since a bean test may come late.
 */
export async function hazardsOfBatches(db: Queryable, batchIds: readonly number[]): Promise<LotHazard[]> {
  if (batchIds.length === 0) return [];
  const marks = batchIds.map(() => "?").join(", ");
  const lots = await select<{
    id: number;
    ingredient_id: string;
    received_on: string;
    provenance: Provenance | string | null;
  }>(
    db,
    `select distinct lot.id, lot.ingredient_id, lot.received_on, lot.provenance
     from stock_movement movement join lot on lot.id = movement.lot_id
     where movement.batch_id in (${marks}) and lot.provenance is not null`,
    [...batchIds],
  );
  if (lots.length === 0) return [];
  const events = await select<{ lot_id: number; kind: LotHappening["kind"]; word: string; on_day: string }>(
    db,
    `select lot_id, kind, word, on_day from lot_event where lot_id in (${lots.map(() => "?").join(", ")}) order by id`,
    lots.map(({ id }) => id),
  );
  const hazards = lots.flatMap((lot) => {
    const provenance =
      typeof lot.provenance === "string" ? (JSON.parse(lot.provenance) as Provenance) : lot.provenance!;
    const own = events
      .filter(({ lot_id }) => lot_id === lot.id)
      .map(({ kind, word, on_day }) => ({ kind, word, onDay: on_day }));
    return lotState(
      { ingredientId: lot.ingredient_id, receivedOn: lot.received_on, expiresOn: null, place: "", provenance },
      own,
    ).hazards;
  });
  return hazards.filter(({ because }, index) => hazards.findIndex((other) => other.because === because) === index);
}
