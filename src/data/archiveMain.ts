/** `dump FOLDER`, `load FOLDER`: a whole farm out of the database that DATABASE_URL names, or into it. Used by bin/backup and bin/restore. */
import { dumpFarm, loadFarm } from "./archive";

async function main(): Promise<void> {
  const [what, folder] = process.argv.slice(2);
  const url = process.env.DATABASE_URL;
  if (!url || !folder) throw new Error("DATABASE_URL and a folder are wanted.");
  const { tables } = what === "load" ? await loadFarm(url, folder) : await dumpFarm(url, folder, new Date());
  const rows = Object.values(tables).reduce((sum, table) => sum + table.rows, 0);
  console.log(`${Object.keys(tables).length} tables, ${rows} rows`);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
