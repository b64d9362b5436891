import { listActors } from "@/data/farm";
import { seedDemo } from "@/demo/seed";
import type { Context } from "@/services/context";
import { NOW, scratchDatabase, type Scratch } from "./scratch";

/** The made-up farm in a database of its own, with its steward at work. Whoever makes it drops it. */
export async function demoFarm(): Promise<{ readonly scratch: Scratch; readonly ctx: Context }> {
  const scratch = await scratchDatabase();
  await seedDemo(scratch.pool, NOW);
  return { scratch, ctx: { pool: scratch.pool, now: () => NOW, actor: (await listActors(scratch.db))[0]! } };
}
