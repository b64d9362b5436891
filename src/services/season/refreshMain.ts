/** The season of the farm that DATABASE_URL names, held against the farm as it stands. Used by bin/refresh-season; see `refreshSeason`. */
import { openPool } from "@/data/db";
import { listActors } from "@/data/farm";
import { findSeasonPlan } from "@/data/season";
import { refreshSeason } from ".";

/** So long a plan is searched for where the farm has changed, ms: at night nobody waits. */
const SEARCH_MS = 20_000;
const SAID = {
  "no-plan": "no plan of the season is in use",
  "fits": "the season's plan fits; its next weeks are meant for their days",
  "proposed": "the farm has changed: the season was planned anew, to be looked at",
} as const;

async function main(): Promise<void> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error("DATABASE_URL is not set.");
  const pool = openPool(url);
  try {
    const [kept, people] = await Promise.all([findSeasonPlan(pool), listActors(pool)]);
    // What is meant for the next weeks is meant by whoever took the plan, or by a steward once that person has left.
    const actor = people.find(({ id }) => id === kept?.actorId) ?? people.find(({ role }) => role === "steward");
    if (!kept || !actor) return console.log(SAID["no-plan"]);
    console.log(SAID[await refreshSeason({ pool, now: () => new Date(), actor }, SEARCH_MS)]);
  } finally {
    await pool.end();
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
