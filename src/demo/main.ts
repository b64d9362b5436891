import { migrate } from "@/data/migrate";
import { Refusal } from "@/services/refusal";
import { now, pool } from "@/services/runtime";
import { seedDemo } from "./seed";

async function main(): Promise<void> {
  await migrate(process.env.DATABASE_URL ?? "");
  const isNew = await seedDemo(pool(), now());
  if (isNew) console.log("The demo farm, Quillet Field, is made.");
  await pool().end();
}

main().catch((error: unknown) => {
  if (error instanceof Refusal) console.error(error.message, error.fields);
  else console.error(error);
  process.exit(1);
});
