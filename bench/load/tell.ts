import { openPool } from "../../src/data/db";
import { tellSeasons } from "../copies";

/** Gives the demo farm of DATABASE_URL so many seasons behind it. */
async function main(seasons: number): Promise<void> {
  const pool = openPool(process.env.DATABASE_URL ?? "");
  await tellSeasons(pool, seasons);
  await pool.end();
}

void main(Number(process.argv[2] ?? "5"));
