/**
 * So many people at work on a farm that runs on this machine: each opens a page, logs a temperature of a running batch, looks up from the phone for some seconds,
 * and so on. Every answer counts that is no page or no success. Beside them one person alone, and the same people on a bare server, so that the client's own work
 * is known.
 *   bench/load/run [PEOPLE] [SECONDS] [SEASONS] [--write]
 */
import { randomUUID } from "node:crypto";
import { writeFileSync } from "node:fs";
import { createServer } from "node:http";
import { once } from "node:events";
import type { AddressInfo } from "node:net";
import os from "node:os";
import { readFileSync } from "node:fs";
import { signIn } from "../signIn";

const [, , , peopleText = "50", secondsText = "300", seasons = "", pid = ""] = process.argv.filter(
  (one) => one !== "--write",
);
const PEOPLE = Number(peopleText);
const FOR_MS = Number(secondsText) * 1000;
/** A run of about an hour tells of memory, and stands in a file of its own. */
const AN_HOUR_MS = 3_000_000;
/** So long somebody looks at what came, ms. */
const LOOKS_MS = [2_000, 8_000] as const;
const PAGES = ["/", "/batches/RUNNING", "/shed", "/book", "/field", "/ledger"];

interface Tally {
  readonly took: number[];
  errors: number;
}
const tally = (): Tally => ({ took: [], errors: 0 });

async function timed(into: Tally, ask: () => Promise<boolean>): Promise<void> {
  const from = performance.now();
  const isGood = await ask().catch((error: unknown) => {
    console.error(error);
    return false;
  });
  into.took.push(performance.now() - from);
  if (!isGood) into.errors += 1;
}

const read = async (url: string, cookie: string): Promise<boolean> => {
  const answer = await fetch(url, { headers: { cookie } });
  return answer.status === 200 && (await answer.text()).length > 0;
};
/** Batches that run there. */
async function runningAt(address: string, cookie: string): Promise<number[]> {
  const answer = await fetch(`${address}/api/view/yard`, { headers: { cookie } });
  const { value } = (await answer.json()) as { value: { vessels: { batch: { id: number } | null }[] } };
  return value.vessels.flatMap(({ batch }) => (batch ? [batch.id] : []));
}
const log = async (address: string, batchId: number, turn: number, cookie: string): Promise<boolean> => {
  const answer = await fetch(`${address}/api/act/logEntry`, {
    method: "POST",
    headers: { "content-type": "application/json", cookie },
    body: JSON.stringify({
      requestKey: randomUUID(),
      batchId,
      entry: { kind: "temperature", celsius: 18 + (turn % 5) },
    }),
  });
  return answer.status === 200;
};

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const looks = () => pause(LOOKS_MS[0] + Math.random() * (LOOKS_MS[1] - LOOKS_MS[0]));

async function all(address: string, batches: readonly number[], people: number, forMs: number, cookie: string) {
  const [reading, writing] = [tally(), tally()];
  const untilMs = performance.now() + forMs;
  await Promise.all(
    Array.from({ length: people }, async (_, person) => {
      // Nobody begins at the same moment.
      await pause(Math.random() * LOOKS_MS[1]);
      for (let turn = person; performance.now() < untilMs; turn += 1) {
        const batchId = batches[turn % batches.length]!;
        const page = PAGES[turn % PAGES.length]!.replace("RUNNING", String(batchId));
        await timed(reading, () => read(`${address}${page}`, cookie));
        await looks();
        await timed(writing, () => log(address, batchId, turn, cookie));
        await looks();
      }
    }),
  );
  return { reading, writing };
}
/** Memory of the web server, MB; nothing where no process was told. */
const memoryMb = (): number | null => {
  if (pid === "") return null;
  const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1];
  return Math.round(Number(kb) / 1024);
};

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
  const cookie = await signIn(address);
  const batches = await runningAt(address, cookie);
  const alone = await all(address, batches, 1, Math.min(FOR_MS, 60_000), cookie);
  const memory = [memoryMb()];
  const looking = setInterval(() => memory.push(memoryMb()), FOR_MS / 10);
  const farm = await all(address, batches, PEOPLE, FOR_MS, cookie);
  clearInterval(looking);
  const nothing = await all(`http://127.0.0.1:${(bare.address() as AddressInfo).port}`, batches, PEOPLE, 30_000, "");
  bare.close();
  const text = `${[
    `Node ${process.version}, ${os.cpus().length} cores, the clients on the same machine; ${seasons} seasons of records behind the farm; ${PEOPLE} people for ${FOR_MS / 1000} s, each reading a page and logging in turn, with ${LOOKS_MS[0] / 1000} to ${LOOKS_MS[1] / 1000} s between. Memory of the web server, MB, ten times on the way: ${memory.join(", ")}.`,
    "",
    "| | answered | errors | p50 | p95 |",
    "|---|---|---|---|---|",
    line("a page of the farm", farm.reading),
    line("a log entry", farm.writing),
    line("a page, one person alone", alone.reading),
    line("a log entry, one person alone", alone.writing),
    line("a bare server's page", nothing.reading),
    line("a bare server's answer", nothing.writing),
  ].join("\n")}\n`;
  process.stdout.write(text);
  if (isWritten) writeFileSync(FOR_MS >= AN_HOUR_MS ? "bench/load-hour.md" : "bench/load.md", text);
}

void main(process.argv[2] ?? "", process.argv.includes("--write"));
