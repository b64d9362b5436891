/**
 * Sends every act and every view of a made-up farm that runs so many inputs as every role and as nobody, over HTTP, each from its schema: what fits, what nearly
 * fits, what is meant ill. `bench/fuzz/run [COUNT] [SEED]`; see bench/fuzz.md.
 */
import { writeFileSync } from "node:fs";
import fc from "fast-check";
import { createConnection } from "mysql2/promise";
import { openPool } from "@/data/db";
import { listActs } from "@/services/acts";
import { openSession } from "@/services/people";
import { listViews } from "@/services/views";
import { bent, fromSchema, inputsFor, queryOf } from "@/testing/fuzz/fromSchema";
import { wrongWith } from "@/testing/fuzz/judge";

const [address = "", countText = "100000", seedText = "1"] = process.argv.slice(2);
const count = Number(countText);
const seed = Number(seedText);
const url = process.env.DATABASE_URL!;
const port = new URL(address).port;
const AT_ONCE = 4;

/** Who asks: the four of the made-up farm by their order, and nobody. */
const ASKERS = ["steward", "grower", "helper", "viewer", "nobody"] as const;
type Asker = (typeof ASKERS)[number];
const tokens = new Map<Asker, string>();
const pool = openPool(url);

/** What was sent may sign people out, lock a phone, take a role: before they ask again all are as they were. */
async function asTheyWere(): Promise<void> {
  const connection = await createConnection(url);
  const [rows] = await connection.query("select id from actor order by id limit 4");
  for (const [index, { id }] of (rows as { id: number }[]).entries()) {
    const role = ASKERS[index]!;
    await connection.execute("update actor set role = ?, state = 'in-use' where id = ?", [role, id]);
    tokens.set(role, await openSession(pool, id, { address: "", device: "" }, new Date()));
  }
  await connection.end();
}

interface Ask {
  readonly name: string;
  readonly kind: "act" | "view";
  readonly asker: Asker;
  readonly sent: string;
}
interface Tally {
  asked: number;
  taken: number;
  refused: number;
  notIn: number;
  slowestMs: number;
}
const tallies = new Map<Asker, Tally>();
const tallyOf = (asker: Asker): Tally => {
  const known = tallies.get(asker) ?? { asked: 0, taken: 0, refused: 0, notIn: 0, slowestMs: 0 };
  tallies.set(asker, known);
  return known;
};
const wrongs: string[] = [];

async function ask({ name, kind, asker, sent }: Ask): Promise<void> {
  const token = tokens.get(asker);
  const headers = { "cookie": token ? `ruchka-${port}=${token}` : "", "content-type": "application/json" };
  const begin = performance.now();
  const answer = await (
    kind === "act"
      ? fetch(`${address}/api/act/${name}`, {
          method: "POST",
          headers,
          body: sent,
          signal: AbortSignal.timeout(60_000),
        })
      : fetch(`${address}/api/view/${name}?${sent}`, { headers, signal: AbortSignal.timeout(60_000) })
  ).catch((error: unknown) => error as Error);
  const tookMs = performance.now() - begin;
  const tally = tallyOf(asker);
  tally.asked += 1;
  tally.slowestMs = Math.max(tally.slowestMs, tookMs);
  if (answer instanceof Error) {
    wrongs.push(`${kind} ${name} as ${asker}: ${answer.message}\n  ${sent.slice(0, 600)}`);
    return;
  }
  const body = await answer.text();
  if (answer.ok) tally.taken += 1;
  else if (answer.status === 401) tally.notIn += 1;
  else tally.refused += 1;
  // Several ask at once: one that finds a row held is told to send the same again, which is an answer.
  const isBusy = answer.status === 503 && body.includes('"busy"');
  const wrong = isBusy ? null : wrongWith({ status: answer.status, body, sent, tookMs });
  if (wrong) wrongs.push(`${kind} ${name} as ${asker}: ${wrong}\n  ${sent.slice(0, 600)}`);
}

function* asks(each: number): Generator<Ask> {
  const all = [
    ...listActs().map(({ actName: name, schema }) => ({ kind: "act" as const, name, inputs: inputsFor(schema) })),
    ...listViews().map(({ viewName: name, schema }) => ({
      kind: "view" as const,
      name,
      inputs: fc.oneof(fromSchema(schema), bent(fromSchema(schema))),
    })),
  ];
  for (const [nth, { kind, name, inputs }] of all.entries())
    for (const [index, input] of fc.sample(inputs, { seed: seed * 1000 + nth, numRuns: each }).entries())
      yield {
        kind,
        name,
        asker: ASKERS[index % ASKERS.length]!,
        sent: kind === "act" ? (JSON.stringify(input) ?? "") : queryOf(input),
      };
}

async function main(): Promise<void> {
  await asTheyWere();
  const places = listActs().length + listViews().length;
  const each = Math.ceil(count / places);
  const begin = performance.now();
  const waiting: Promise<void>[] = [];
  let sent = 0;
  for (const one of asks(each)) {
    waiting.push(ask(one));
    sent += 1;
    if (waiting.length >= AT_ONCE) await Promise.all(waiting.splice(0));
    if (sent % 100 === 0) await asTheyWere();
    if (sent % 10_000 === 0) console.log(`${sent} sent, ${wrongs.length} wrong`);
  }
  await Promise.all(waiting);
  const health = (await (await fetch(`${address}/api/health`)).json()) as { database?: boolean };
  if (health.database !== true) wrongs.push(`health after it all: ${JSON.stringify(health)}`);
  const rows = [...tallies].map(
    ([asker, { asked, taken, refused, notIn, slowestMs }]) =>
      `| ${asker} | ${asked} | ${taken} | ${refused} | ${notIn} | ${Math.round(slowestMs)} |`,
  );
  const table = [
    `${sent} inputs to ${listActs().length} acts and ${listViews().length} views, seed ${seed}, in ${Math.round((performance.now() - begin) / 1000)} s: ${wrongs.length} wrong (5xx, hanging, or telling what is nobody's business).`,
    "",
    "| as | asked | taken | refused | not signed in | slowest, ms |",
    "|---|---|---|---|---|---|",
    ...rows,
  ].join("\n");
  console.log(table);
  for (const wrong of wrongs.slice(0, 40)) console.log(`- ${wrong}`);
  if (process.env.RUCHKA_BENCH_WRITE)
    writeFileSync("bench/fuzz.md", `# Whatever is sent\n\n\`bench/fuzz/run ${count} ${seed}\`.\n\n${table}\n`);
  await pool.end();
  process.exit(wrongs.length === 0 ? 0 : 1);
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
