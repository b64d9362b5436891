import { cookies, headers } from "next/headers";
import { PERSON_HEADER } from "@/contracts/waiting";
import { cache } from "react";
import type { Frame } from "@/services/context";
import { readFarm } from "@/services/farm";
import { now, pool } from "@/services/runtime";

export const PERSON_COOKIE = "ruchka-person";

/** The farm, its people and who is asking, found once a request; null before the farm is set up. Signing in comes later; until then a cookie says who it is. */
export const openFrame = cache(async (): Promise<Frame | null> => {
  const found = await readFarm(pool());
  if (!found) return null;
  // What waited on a device tells who did it; the device may be in other hands by now.
  const told = (await headers()).get(PERSON_HEADER) ?? (await cookies()).get(PERSON_COOKIE)?.value;
  const wanted = Number(told);
  const actor = found.actors.find(({ id }) => id === wanted) ?? found.actors[0]!;
  return { farm: found.farm, people: found.actors, ctx: { pool: pool(), now, actor } };
});
