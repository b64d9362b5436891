/**
 * The demo farm's devices, as far as anyone can tell from outside: posts what a weather station and two drum probes would, over the same
 * HTTP as a real one, once when it starts for the hours that it missed, then every ten minutes. Arguments: the farm's address, and a file
 * that says when the demo was made.
 */
import { readFileSync } from "node:fs";
import { FLOAT, PEN, postsOf, STATION, tokenOf } from "./devices";

const EVERY_MS = 10 * 60_000;
const MISSED_MS = 72 * 3_600_000;
const [address = "http://127.0.0.1:3210", madeFile = ""] = process.argv.slice(2);
const offsetMs = process.env.RUCHKA_NOW ? Date.parse(process.env.RUCHKA_NOW) - Date.now() : 0;
const now = () => new Date(Date.now() + offsetMs);
const madeAt = new Date(readFileSync(madeFile, "utf8").trim());

async function post(device: string, body: object): Promise<void> {
  const answer = await fetch(`${address}/api/readings`, {
    method: "POST",
    headers: { "authorization": `Bearer ${tokenOf(device)}`, "content-type": "application/json" },
    body: JSON.stringify(body),
  });
  if (!answer.ok) console.error(`${device}: ${answer.status} ${await answer.text()}`);
}

async function round(since: Date): Promise<void> {
  for (const device of [STATION, FLOAT, PEN])
    for (const body of postsOf(device, madeAt, since, now())) await post(device, body);
}

async function main(): Promise<void> {
  let since = new Date(now().getTime() - MISSED_MS);
  for (;;) {
    const started = now();
    try {
      await round(since);
      since = new Date(started.getTime() - 2 * 3_600_000);
    } catch (error) {
      // The farm is away: the hours are kept for the next time, as a real device keeps them.
      console.error(error instanceof Error ? error.message : error);
    }
    await new Promise((resolve) => setTimeout(resolve, EVERY_MS));
  }
}

void main();
