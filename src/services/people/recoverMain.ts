import { now, pool } from "../runtime";
import { recoverSteward } from "./recover";

async function main(): Promise<void> {
  const [address = "", name] = process.argv.slice(2);
  const made = await recoverSteward(pool(), now(), name ?? null);
  if (made)
    console.log(
      `A way in for ${made.name}, good once and for a day:\n  ${address}/#join=${made.code}\nor type ${made.code} behind "I have an invitation".`,
    );
  else
    console.error(
      name === undefined ? "This farm has no steward yet: open it and set it up." : `No steward is called ${name}.`,
    );
  await pool().end();
  if (!made) process.exitCode = 1;
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
