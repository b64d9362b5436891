import "server-only";
import { select, type Queryable } from "../db";

/** Rows that somebody wrote, by what they are; what can be taken back is among them (`data/takenBack.ts`). */
const WRITTEN = {
  "entry": "select actor_id from batch_entry where id = ?",
  "batch": "select actor_id from batch where id = ?",
  "application": "select actor_id from application where id = ?",
  "mixing": "select actor_id from mixing where id = ?",
  "lot": "select actor_id from lot where id = ?",
  "stock-move": "select actor_id from stock_movement where id = ?",
  "container-move": "select actor_id from store_movement where id = ?",
  "pour": "select actor_id from store_movement where store_id = ? order by id limit 1",
  "visit": "select actor_id from forage_visit where id = ?",
  "bin-entry": "select actor_id from worm_bin_entry where id = ?",
  "tool-event": "select actor_id from equipment_event where id = ?",
  "look": "select actor_id from plot_look where id = ?",
  "reading": "select actor_id from reading where id = ?",
  "trial-entry": "select actor_id from trial_entry where id = ?",
  "water": "select actor_id from water_start where id = ?",
  "plan-drop": "select actor_id from standing_plan_end where plan_id = ?",
  "filling-drop": "select actor_id from standing_mixing_end where mixing_id = ?",
  "planting": "select actor_id from planting where id = ?",
  "stage": "select actor_id from stage_seen where id = ?",
  "water-read": "select actor_id from water_reading where id = ?",
  "water-level": "select actor_id from water_level where id = ?",
  "lab": "select actor_id from lab_result where id = ?",
  "job": "select actor_id from job where id = ?",
  "schedule": "select actor_id from programme where id = ?",
  "land-mark": "select actor_id from land_mark where id = ?",
  "harvest-rule": "select actor_id from harvest_rule where id = ?",
  "learning-reset": "select actor_id from learning_reset where id = ?",
  "patch-look": "select actor_id from patch_look where id = ?",
  "store-check": "select actor_id from store_check where id = ?",
  "keeping": "select actor_id from store_expiry where id = ?",
  "own-recipe": "select actor_id from recipe_version where id = ?",
  "bed-shape": "select actor_id from plot_shape where id = ?",
  "passkey": "select actor_id from passkey where id = ? and ended_at is null",
  "session": "select opened_by as actor_id from session where id = ?",
} as const;
export type Written = keyof typeof WRITTEN;

/** Who wrote it; null where there is no such thing. */
export async function writerOf(db: Queryable, what: Written, id: number): Promise<number | null> {
  const [row] = await select<{ actor_id: number }>(db, WRITTEN[what], [id]);
  return row?.actor_id ?? null;
}
