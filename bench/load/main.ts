/**
 * Thirty people at once on a farm that runs on this machine, for a minute: each opens a page, then logs a temperature of a running batch, and so on.
 * Every answer counts that is no page or no success. Beside it the same clients on a bare server of the same machine, so that the client's own
 * work is known.
 *   tsx bench/load/main.ts ADDRESS [--write]
 */
import { randomUUID } from "node:crypto";
import { writeFileSync } from "node:fs";
import { createServer } from "node:http";
import { once } from "node:events";
import type { AddressInfo } from "node:net";
import os from "node:os";

const CLIENTS = 30;
const FOR_MS = 60_000;
const PAGES = ["/", "/batches/5", "/shed", "/book", "/field", "/ledger"];
const BATCHES = [5, 6, 7, 8];

interface Tally {
  readonly took: number[];
  errors: number;
}
const tally = (): Tally => ({ took: [], errors: 0 });

async function timed(into: Tally, ask: () => Promise<boolean>): Promise<void> {
  const from = performance.now();
  const isGood = await ask().catch(() => false);
  into.took.push(performance.now() - from);
  if (!isGood) into.errors += 1;
}

const read = async (url: string): Promise<boolean> => {
  const answer = await fetch(url);
  return answer.status === 200 && (await answer.text()).length > 0;
};
const log = async (address: string, turn: number): Promise<boolean> => {
  const answer = await fetch(`${address}/api/act/logEntry`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      requestKey: randomUUID(),
      batchId: BATCHES[turn % BATCHES.length],
      entry: { kind: "temperature", celsius: 18 + (turn % 5) },
    }),
  });
  return answer.status === 200;
};

async function all(address: string): Promise<{ readonly reading: Tally; readonly writing: Tally }> {
  const [reading, writing] = [tally(), tally()];
  const untilMs = performance.now() + FOR_MS;
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, client) => {
      for (let turn = client; performance.now() < untilMs; turn += 1) {
        await timed(reading, () => read(`${address}${PAGES[turn % PAGES.length]!}`));
        await timed(writing, () => log(address, turn));
      }
    }),
  );
  return { reading, writing };
}

const at = (took: readonly number[], share: number): string => {
  const sorted = took.toSorted((a, b) => a - b);
  return `${((sorted[Math.floor(share * (sorted.length - 1))] ?? NaN) / 1000).toFixed(2)} s`;
};
const line = (what: string, { took, errors }: Tally): string =>
  `| ${what} | ${took.length} | ${errors} | ${at(took, 0.5)} | ${at(took, 0.95)} |`;

async function main(address: string, isWritten: boolean): Promise<void> {
  const bare = createServer((request, response) => {
    request.resume().on("end", () => response.end("x".repeat(100_000)));
  }).listen(0, "127.0.0.1");
  await once(bare, "listening");
  const farm = await all(address);
  const nothing = await all(`http://127.0.0.1:${(bare.address() as AddressInfo).port}`);
  bare.close();
  const text = `${[
    `Node ${process.version}, ${os.cpus().length} cores, the clients on the same machine; ${CLIENTS} clients for ${FOR_MS / 1000} s, each reading a page and logging in turn.`,
    "",
    "| | answered | errors | p50 | p95 |",
    "|---|---|---|---|---|",
    line("a page of the farm", farm.reading),
    line("a log entry", farm.writing),
    line("a bare server's page", nothing.reading),
    line("a bare server's answer", nothing.writing),
  ].join("\n")}\n`;
  process.stdout.write(text);
  if (isWritten) writeFileSync("bench/load.md", text);
}

void main(process.argv[2] ?? "", process.argv.includes("--write"));
