import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { migrate } from "@/data/migrate";
import { Refusal } from "@/services/refusal";
import { now, pool } from "@/services/runtime";
import { seedDemo } from "./seed";

/** The moment from which the story is told: of a telling that was cut short its own, so that what is there already is told the same. */
function tellingFrom(begunFile: string | null): Date {
  if (begunFile !== null && existsSync(begunFile)) return new Date(readFileSync(begunFile, "utf8").trim());
  const from = now();
  if (begunFile !== null) writeFileSync(begunFile, `${from.toISOString()}\n`);
  return from;
}

async function main(): Promise<void> {
  await migrate(process.env.DATABASE_URL ?? "");
  const [madeFile] = process.argv.slice(2);
  const begunFile = madeFile && !existsSync(madeFile) ? `${madeFile}.begun` : null;
  const made = tellingFrom(begunFile);
  const isNew = await seedDemo(pool(), made);
  // The stand-ins of its devices go on from the moment that its story was told.
  if (isNew && madeFile) writeFileSync(madeFile, `${made.toISOString()}\n`);
  if (begunFile !== null) rmSync(begunFile, { force: true });
  if (isNew) console.log("The demo farm, Quillet Field, is made.");
  await pool().end();
}

main().catch((error: unknown) => {
  if (error instanceof Refusal) console.error(error.code, error.params, error.paths);
  else console.error(error);
  process.exit(1);
});
