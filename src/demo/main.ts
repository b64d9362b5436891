import { writeFileSync } from "node:fs";
import { migrate } from "@/data/migrate";
import { Refusal } from "@/services/refusal";
import { now, pool } from "@/services/runtime";
import { seedDemo } from "./seed";

async function main(): Promise<void> {
  await migrate(process.env.DATABASE_URL ?? "");
  const made = now();
  const isNew = await seedDemo(pool(), made);
  // The stand-ins of its devices go on from the moment that its story was told.
  const [madeFile] = process.argv.slice(2);
  if (isNew && madeFile) writeFileSync(madeFile, `${made.toISOString()}\n`);
  if (isNew) console.log("The demo farm, Quillet Field, is made.");
  await pool().end();
}

main().catch((error: unknown) => {
  if (error instanceof Refusal) console.error(error.code, error.params, error.paths);
  else console.error(error);
  process.exit(1);
});
