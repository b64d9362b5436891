import "server-only";
import { standsIn } from "@/core/recipe/level";
import { fits } from "@/core/quantity/fits";
import type { Batch } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { refuse } from "../refusal";

/** Refuses what would run over the brim of a running batch's vessel. @throws {Refusal} `over-brim` at the field */
export async function requireRoomFor(db: Queryable, batch: Batch, litres: number, path: string): Promise<void> {
  const roomL = batch.vesselL - standsIn(batch);
  if (!fits(litres, Math.max(0, roomL))) throw refuse("no-room-left", { vessel: batch.vesselName, roomL }, path);
}
