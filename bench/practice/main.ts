/**
 * Scripted players on training drums: a calm grower, somebody careless, and three rules that sound plausible (days only, always throw out, at the first sign).
 * Coins a drum and what became of it, so many seeded drums a kind. `bench/practice/run 500 [--write]`
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import { PLAYERS, endedBy, type PlayerName } from "../../src/core/practice/drum/players";
import { setUpDrum } from "../../src/core/practice/drum/setup";
import { YARD_METHODS } from "../../src/core/practice/yard/drums";

const EACH = Number(process.argv.slice(2).find((one) => /^\d+$/.test(one)) ?? 500);
const names = Object.keys(PLAYERS) as PlayerName[];
const lines: string[] = [];
const begun = performance.now();
for (const { name } of YARD_METHODS) {
  for (const player of names) {
    const ended = Array.from({ length: EACH }, (_, index) => endedBy(setUpDrum(name, index + 1), PLAYERS[player]));
    const mean = ended.reduce((sum, { net }) => sum + net, 0) / EACH;
    const counts = new Map<string, number>();
    for (const { outcome } of ended) counts.set(outcome, (counts.get(outcome) ?? 0) + 1);
    const told = [...counts]
      .toSorted((a, b) => b[1] - a[1])
      .map(([outcome, count]) => `${outcome} ${((100 * count) / EACH).toFixed(0)}`);
    lines.push(`| ${name} | ${player} | ${mean.toFixed(1)} | ${told.join(", ")} |`);
    process.stdout.write(`${lines.at(-1)}\n`);
  }
}
const text = [
  "# Practice: scripted players",
  "",
  `Node ${process.version}, ${os.cpus().length} cores; ${EACH} seeded drums a kind, the same for every player, in ${((performance.now() - begun) / 1000).toFixed(0)} s; coins a drum (a fill costs 10, a drum used at its best brings 40), and what became of them in 100.`,
  "",
  "| drum | player | coins a drum | what became of it, of 100 |",
  "|---|---|---|---|",
  ...lines,
].join("\n");
if (process.argv.includes("--write")) writeFileSync("bench/practice.md", `${text}\n`);
