import "server-only";
import type { Feeding } from "@/core/stock/lineage";
import { select, type Queryable } from "../db";

export interface NamedFeeding extends Feeding {
  readonly fromName: string;
  readonly intoName: string;
}

const SELECT_FEEDINGS = `
  select distinct lot.from_batch_id as from_id, movement.batch_id as into_id,
         json_value(giver.recipe, '$.shortName') as from_name, json_value(taker.recipe, '$.shortName') as into_name
  from standing_draw movement
  join lot on lot.id = movement.lot_id
  join batch giver on giver.id = lot.from_batch_id
  join batch taker on taker.id = movement.batch_id
  where lot.from_batch_id is not null`;

/** Which batch went into which, over all that was ever made. */
export const listFeedings = async (db: Queryable): Promise<NamedFeeding[]> =>
  (await select<{ from_id: number; into_id: number; from_name: string; into_name: string }>(db, SELECT_FEEDINGS)).map(
    (row) => ({ from: row.from_id, into: row.into_id, fromName: row.from_name, intoName: row.into_name }),
  );
