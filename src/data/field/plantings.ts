import "server-only";
import type { EdiblePart } from "@/core/book/crops";
import type { Planting, SeenStage } from "@/core/land/planting";
import { insert, places, select, type Queryable } from "../db";

export interface PlantingRow extends Planting {
  readonly id: number;
  readonly plotId: number;
}
export type NewPlanting = Omit<Planting, "seen"> & { readonly actorId: number; readonly addedAt: Date };

interface StateRow {
  id: number;
  plot_id: number;
  crop: string;
  part: EdiblePart | null;
  perennial: number;
  planted_on: string | null;
  sown: number;
  plants: number | null;
  spacing_cm: string | null;
  harvest_from: string | null;
  harvest_to: string | null;
  ended_on: string | null;
  stage: SeenStage | null;
  seen_on: string | null;
}

const SELECT = `
  select planting.id, planting.plot_id, state.crop, state.part, state.perennial, state.planted_on, state.sown, state.plants, state.spacing_cm,
         state.harvest_from, state.harvest_to, state.ended_on, seen.stage, seen.seen_on
  from standing_planting planting
  join planting_state state on state.id = (select max(id) from planting_state where planting_id = planting.id)
  left join stage_seen seen on seen.id = (select max(id) from standing_stage where planting_id = planting.id)`;
const INSERT_STATE = `
  insert into planting_state (planting_id, crop, part, perennial, planted_on, sown, plants, spacing_cm, harvest_from, harvest_to, ended_on, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`;

const toPlanting = (row: StateRow): PlantingRow => ({
  id: row.id,
  plotId: row.plot_id,
  crop: row.crop,
  part: row.part,
  perennial: row.perennial === 1,
  plantedOn: row.planted_on,
  sown: row.sown === 1,
  plants: row.plants,
  spacingCm: row.spacing_cm === null ? null : Number(row.spacing_cm),
  harvestFrom: row.harvest_from,
  harvestTo: row.harvest_to,
  endedOn: row.ended_on,
  seen: row.stage && row.seen_on ? { stage: row.stage, on: row.seen_on } : null,
});

/** All that grows, grew or is meant to, by its id. @param plotIds on these alone; null for all */
export const listPlantings = async (db: Queryable, plotIds: readonly number[] | null = null): Promise<PlantingRow[]> =>
  plotIds?.length === 0
    ? []
    : (
        await select<StateRow>(
          db,
          `${SELECT} ${plotIds ? `where planting.plot_id in (${places(plotIds)})` : ""} order by planting.id`,
          [...(plotIds ?? [])],
        )
      ).map(toPlanting);

/** A planting, kept from being told otherwise meanwhile; null where there is none. */
export async function lockPlanting(db: Queryable, id: number): Promise<PlantingRow | null> {
  if ((await select(db, "select id from planting where id = ? for update", [id])).length === 0) return null;
  const [row] = await select<StateRow>(db, `${SELECT} where planting.id = ?`, [id]);
  return row ? toPlanting(row) : null;
}

/** Tells how a planting is; the latest counts. */
export const insertPlantingState = (db: Queryable, plantingId: number, told: NewPlanting): Promise<number> =>
  insert(db, INSERT_STATE, [
    plantingId,
    told.crop,
    told.part,
    told.perennial ? 1 : 0,
    told.plantedOn,
    told.sown ? 1 : 0,
    told.plants,
    told.spacingCm,
    told.harvestFrom,
    told.harvestTo,
    told.endedOn,
    told.actorId,
    told.addedAt,
  ]);

/** Plants a plot. @returns the planting's id */
export async function insertPlanting(db: Queryable, plotId: number, told: NewPlanting): Promise<number> {
  const id = await insert(db, "insert into planting (plot_id, actor_id, added_at) values (?, ?, ?)", [
    plotId,
    told.actorId,
    told.addedAt,
  ]);
  await insertPlantingState(db, id, told);
  return id;
}

export const insertStageSeen = (
  db: Queryable,
  plantingId: number,
  stage: SeenStage,
  on: string,
  actorId: number,
  addedAt: Date,
): Promise<number> =>
  insert(db, "insert into stage_seen (planting_id, stage, seen_on, actor_id, added_at) values (?, ?, ?, ?, ?)", [
    plantingId,
    stage,
    on,
    actorId,
    addedAt,
  ]);
