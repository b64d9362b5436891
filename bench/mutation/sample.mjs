/**
 * Line ranges for `bench/mutate --mutate`, as a sample of a folder too large to mutate whole: a block of lines out of every so many, begun
 * by a seeded draw in each file. Models and tables are left out: a mutant of a figure is another figure.
 * @example bench/mutate --mutate "$(node bench/mutation/sample.mjs src/core/judge 10 60)"
 */
import { readFileSync, readdirSync } from "node:fs";
import path from "node:path";

const SEED = 20311;
const [folder = "src/core/judge", blockText = "10", everyText = "60"] = process.argv.slice(2);
const [block, every] = [Number(blockText), Number(everyText)];

let state = SEED;
/** Linear congruential draw from 0 to 1. */
const draw = () => (state = (state * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648;

const files = readdirSync(folder, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile() && /(?<!\.test)\.ts$/.test(entry.name) && entry.name !== "tables.ts")
  .map((entry) => path.join(entry.parentPath, entry.name))
  .filter((file) => !file.includes("/models/"))
  .toSorted();
const ranges = files.flatMap((file) => {
  const lines = readFileSync(file, "utf8").split("\n").length;
  const first = Math.min(1 + Math.floor(draw() * every), Math.max(1, lines - block));
  const starts = Array.from({ length: Math.ceil((lines - first + 1) / every) }, (_, index) => first + index * every);
  return starts.map((from) => `${file}:${from}-${Math.min(lines, from + block - 1)}`);
});
console.log(ranges.join(","));
