import "server-only";
import { places, select, type Queryable } from "../db";

/** The last that a plot got of a method. */
export interface LatestOnPlot {
  readonly plotId: number;
  readonly methodId: string;
  readonly at: Date;
  readonly storeLabel: string;
}

/** When each plot last got something of each method, since a moment. @param plotIds of these alone; null for all */
export const listLastByMethod = async (
  db: Queryable,
  since: Date,
  plotIds: readonly number[] | null = null,
): Promise<readonly LatestOnPlot[]> =>
  plotIds?.length === 0
    ? []
    : select(
        db,
        `select latest.plot_id as plotId, latest.method_id as methodId, latest.at, store.label as storeLabel
         from plot_latest latest join store on store.id = latest.store_id
         where latest.at >= ? ${plotIds ? `and latest.plot_id in (${places(plotIds)})` : ""}`,
        [since, ...(plotIds ?? [])],
      );

/** A plot got something of a method; what lies further back than the last one changes nothing. */
export async function noteLatest(
  db: Queryable,
  plotId: number,
  methodId: string,
  at: Date,
  storeId: number,
): Promise<void> {
  await db.execute(
    `insert into plot_latest (plot_id, method_id, at, store_id) values (?, ?, ?, ?)
     on duplicate key update store_id = if(values(at) >= at, values(store_id), store_id), at = greatest(at, values(at))`,
    [plotId, methodId, at, storeId],
  );
}

/** Seeks anew when these plots last got each method, since something was taken back. */
export async function seekLatest(db: Queryable, plotIds: readonly number[]): Promise<void> {
  if (plotIds.length === 0) return;
  await db.execute(`delete from plot_latest where plot_id in (${places(plotIds)})`, [...plotIds]);
  await db.execute(
    `insert into plot_latest (plot_id, method_id, at, store_id)
     select part.plot_id, batch.method_id, application.at, application.store_id
     from application_plot part join application on application.id = part.application_id
     join store on store.id = application.store_id join batch on batch.id = store.batch_id
     left join application_taken_back gone on gone.application_id = application.id
     where part.plot_id in (${places(plotIds)}) and gone.application_id is null
     order by application.at, application.id
     on duplicate key update at = values(at), store_id = values(store_id)`,
    [...plotIds],
  );
}
