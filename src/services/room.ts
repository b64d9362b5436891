import "server-only";
import { standsIn } from "@/core/recipe/level";
import { fits } from "@/core/quantity/fits";
import type { Batch } from "@/data/batches";
import type { Queryable } from "@/data/db";
import { unitsOf } from "@/data/farm";
import { sayVolume } from "@/formats/amounts";
import { refuseAt } from "./refusal";

/** Refuses what would run over the brim of a running batch's vessel. @throws {Refusal} `over-brim` at the field */
export async function requireRoomFor(db: Queryable, batch: Batch, litres: number, path: string): Promise<void> {
  const roomL = batch.vesselL - standsIn(batch);
  if (!fits(litres, Math.max(0, roomL)))
    throw refuseAt(
      "over-brim",
      path,
      roomL < 0.05
        ? `${batch.vesselName} is full to the brim.`
        : `Only ${sayVolume(roomL, await unitsOf(db))} more fit into ${batch.vesselName}.`,
    );
}
