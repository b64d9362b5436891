/**
 * What a page costs: the server's CPU for it while nothing is written, and right after a write; beside a bare server that sends as many bytes; its
 * document, and the script that it brings along, plain and packed. Asks a farm that runs on this machine.
 *   tsx bench/pages/main.ts ADDRESS PID-OF-ITS-SERVER [--write]
 */
import { fork } from "node:child_process";
import { once } from "node:events";
import { readFileSync, writeFileSync } from "node:fs";
import type { AddressInfo } from "node:net";
import { createServer } from "node:http";
import os from "node:os";
import { gzipSync } from "node:zlib";
import { signIn } from "../signIn";

const PATHS = ["/", "/?fill=3", "/batches/5", "/shed", "/book", "/book/cultured-extract", "/field", "/ledger"];
const WARM = 5;
const TIMES = 20;
/** Clock ticks a second, as the kernel counts a process's time. */
const TICKS_PER_S = 100;

/** CPU that a process has used, ms. */
function cpuMs(pid: number): number {
  const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1]!.split(" ");
  return ((Number(fields[11]) + Number(fields[12])) / TICKS_PER_S) * 1000;
}

async function costOf(work: () => Promise<unknown>, pid: number): Promise<number> {
  for (let time = 0; time < WARM; time += 1) await work();
  const before = cpuMs(pid);
  for (let time = 0; time < TIMES; time += 1) await work();
  return (cpuMs(pid) - before) / TIMES;
}
/** By which each request is the steward's. */
let cookie = "";
const textOf = async (url: string): Promise<string> => (await fetch(url, { headers: { cookie } })).text();

/** A write that comes to nothing: after it every page is read anew. */
const write = (address: string): Promise<string> =>
  fetch(new URL("/api/act/emptyStore", address), {
    method: "POST",
    headers: { "content-type": "application/json", cookie },
    body: JSON.stringify({
      requestKey: crypto.randomUUID(),
      storeId: 999_999,
      litres: 1,
      to: "wasted",
      reason: "bench",
    }),
  }).then((answer) => answer.text());

/** A server that sends so many bytes and does nothing else, in a process of its own. */
async function bare(bytes: number): Promise<number> {
  const child = fork(process.argv[1]!, ["bare", String(bytes)], { execArgv: process.execArgv });
  const [port] = (await once(child, "message")) as [number];
  const ms = await costOf(() => textOf(`http://127.0.0.1:${port}/`), child.pid!);
  child.kill();
  return ms;
}

async function scriptOf(address: string, body: string): Promise<{ readonly plain: number; readonly packed: number }> {
  const sources = new Set(
    [...body.matchAll(/<script(?![^>]*noModule)[^>]* src="([^"]+)"/gi)].map(([, source]) => source!),
  );
  const texts = await Promise.all([...sources].map(async (source) => (await fetch(new URL(source, address))).text()));
  return {
    plain: texts.reduce((sum, text) => sum + Buffer.byteLength(text), 0),
    packed: texts.reduce((sum, text) => sum + gzipSync(text).length, 0),
  };
}

const kB = (bytes: number): string => (bytes / 1000).toFixed(0);

async function main(address: string, pid: number, isWritten: boolean): Promise<void> {
  cookie = await signIn(address);
  const lines = [
    `Node ${process.version}, ${os.cpus().length} cores; ${TIMES} times each, one after the other.`,
    "",
    "| page | CPU ms | after a write, CPU ms | bare page of that size, ms | document kB | script kB | script packed kB |",
    "|---|---|---|---|---|---|---|",
  ];
  const writeMs = await costOf(() => write(address), pid);
  for (const path of PATHS) {
    const url = new URL(path, address).href;
    const ms = await costOf(() => textOf(url), pid);
    const anewMs = await costOf(async () => (await write(address), textOf(url)), pid);
    const body = await textOf(url);
    const script = await scriptOf(address, body);
    const reference = await bare(Buffer.byteLength(body));
    lines.push(
      `| ${path} | ${ms.toFixed(0)} | ${(anewMs - writeMs).toFixed(0)} | ${reference.toFixed(1)} | ${kB(Buffer.byteLength(body))} | ${kB(script.plain)} | ${kB(script.packed)} |`,
    );
    console.log(lines.at(-1));
  }
  if (isWritten) writeFileSync("bench/pages.md", `${lines.join("\n")}\n`);
}

if (process.argv[2] === "bare") {
  const body = "x".repeat(Number(process.argv[3]));
  const server = createServer((_request, response) => response.end(body));
  server.listen(0, "127.0.0.1", () => process.send!((server.address() as AddressInfo).port));
} else void main(process.argv[2]!, Number(process.argv[3]), process.argv.includes("--write"));
