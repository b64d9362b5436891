import { cookies } from "next/headers";
import { cache } from "react";
import type { Frame } from "@/services/context";
import { readFarm } from "@/services/farm";
import { now, pool } from "@/services/runtime";

export const PERSON_COOKIE = "ruchka-person";

/** The farm, its people and who is asking, found once a request; null before the farm is set up. Signing in comes later; until then a cookie says who it is. */
export const openFrame = cache(async (): Promise<Frame | null> => {
  const found = await readFarm(pool());
  if (!found) return null;
  const wanted = Number((await cookies()).get(PERSON_COOKIE)?.value);
  const actor = found.actors.find(({ id }) => id === wanted) ?? found.actors[0]!;
  return { farm: found.farm, people: found.actors, ctx: { pool: pool(), now, actor } };
});
