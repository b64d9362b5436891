import "server-only";
import { listActors } from "@/data/farm";
import type { Database } from "@/data/db";
import { listWithSecret } from "@/data/people";

export { isClaimed } from "@/data/people";

/** Who can take over a shared phone: those with a PIN. */
export async function listSigners(pool: Database): Promise<{ readonly id: number; readonly name: string }[]> {
  const pins = await listWithSecret(pool, "pin");
  return (await listActors(pool)).filter(({ id }) => pins.has(id)).map(({ id, name }) => ({ id, name }));
}
