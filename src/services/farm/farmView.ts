import "server-only";
import type { Database } from "@/data/db";
import { findFarm, listActors, type Actor, type Farm } from "@/data/farm";

/** What every screen knows of the farm. */
export interface FarmView {
  readonly name: string;
  readonly timeZone: string;
  readonly units: "metric" | "us";
  readonly currency: string;
}

export const farmView = ({ name, timeZone, units, currency }: Farm): FarmView => ({ name, timeZone, units, currency });

/** The farm and its people; null before it is set up. */
export async function readFarm(pool: Database): Promise<{ farm: Farm; actors: Actor[] } | null> {
  const db = pool;
  const farm = await findFarm(db);
  return farm ? { farm, actors: await listActors(db) } : null;
}
