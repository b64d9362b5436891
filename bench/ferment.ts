/**
 * How good the forecasts are, on batches whose truth is hidden: drawn from the prior, in made-up weather, read by poor instruments and
 * noses, and judged once with the model right and once with it wrong. Beside them the growers' rule by days.
 * Prints a table and writes it to bench/ferment.md; `bench/ferment 200` takes 200 batches a method.
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import type { FermentBatch, AirPoint, TemperatureReading } from "../src/core/ferment/batch";
import { FILM_CLASSES, FOAMS, SMELL_CLASSES, type Observation } from "../src/core/ferment/evidence/observations";
import {
  FILM_TABLES,
  FOAM_TABLE,
  PLAIN_SMELL,
  rowAt,
  SMELL_TABLES,
  SPOILED_SMELL,
} from "../src/core/ferment/evidence/tables";
import { runnerFor } from "../src/core/ferment/kinetics/runner";
import type { Features, Trajectory } from "../src/core/ferment/kinetics/trajectory";
import { FERMENT_MODELS } from "../src/core/ferment/models";
import type { FermentModel } from "../src/core/ferment/models/types";
import { forecast, type Forecast } from "../src/core/ferment/outlook/forecast";
import { courseOf } from "../src/core/ferment/temperature/course";
import { horizonOf } from "../src/core/ferment/temperature/courseGrid";
import { modelAdvice } from "../src/commands/modelWords";
import { chanceFrom, type Chance } from "../src/core/chance";

const EACH = Number(process.argv[2] ?? 150);
const SPOILED_SHARE = 0.05;

/** How a run's world differs from what the model takes for granted. */
interface World {
  readonly name: string;
  readonly spreadOfTruth: number;
  readonly cardinalSdC: { readonly min: number; readonly others: number };
  readonly misreports: number;
  readonly sensorBiasSdC: number;
  readonly volumeSd: number;
  /** Rate noise along the way, sd of the log rate. */
  readonly rateNoiseSd: number;
}

const RIGHT: World = {
  name: "model right",
  spreadOfTruth: 1,
  cardinalSdC: { min: 0, others: 0 },
  misreports: 0.05,
  sensorBiasSdC: 0.5,
  volumeSd: 0,
  rateNoiseSd: 0.05,
};
const WRONG: World = {
  name: "model wrong",
  spreadOfTruth: 1.3,
  cardinalSdC: { min: 2, others: 1.5 },
  misreports: 0.12,
  sensorBiasSdC: 1.5,
  volumeSd: 0.4,
  rateNoiseSd: 0.12,
};

const HOURS_MOST = 5400;

/** True air by the hour: a season's mean, day and night, and spells that last some days. */
function trueAir(chance: Chance, meanC: number): AirPoint[] {
  const swing = chance.between(2, 6);
  let spell = 0;
  return Array.from({ length: HOURS_MOST }, (_, hour) => {
    spell = 0.985 * spell + 0.3 * chance.normal();
    return { hour, celsius: meanC + swing * Math.cos((2 * Math.PI * (8 + hour - 15)) / 24) + spell };
  });
}

function wrongModel(model: FermentModel, world: World, chance: Chance): FermentModel {
  if (!("maxC" in model.temperatures)) return model;
  const shift = (sd: number) => sd * chance.normal();
  const { referenceC, minC, optimumC, maxC } = model.temperatures;
  const optimum = optimumC + shift(world.cardinalSdC.others);
  const temperatures = {
    referenceC,
    minC: Math.min(referenceC - 6, minC + shift(world.cardinalSdC.min)),
    optimumC: optimum,
    maxC: Math.max(optimum + 3, maxC + shift(world.cardinalSdC.others)),
  };
  return { ...model, temperatures } as FermentModel;
}

function secondUnknown(model: FermentModel, chance: Chance): number {
  if (model.cls === "acid" && chance.uniform() < model.stuck.chance)
    return model.stuck.meanShiftPh + model.stuck.sdPh * chance.normal();
  return model.prior.secondSd * chance.normal();
}

interface Case {
  readonly model: FermentModel;
  readonly truth: Trajectory;
  readonly batch: FermentBatch;
  readonly nowH: number;
  readonly spoiled: boolean;
  /** A nose asked now: what it says of this batch, wrong as often as noses are. */
  readonly smeltNow: Observation;
}

function smellReport(
  model: FermentModel,
  phase: number,
  hour: number,
  lies: boolean,
  chance: Chance,
  spoiled: boolean,
) {
  const row = spoiled ? SPOILED_SMELL : model.smellTable ? rowAt(SMELL_TABLES[model.smellTable], phase) : PLAIN_SMELL;
  const value = chance.pick(SMELL_CLASSES, lies ? row.map(() => 1) : row);
  return { hour, type: "smell", value } as const;
}

function report(
  model: FermentModel,
  shows: Features,
  hour: number,
  world: World,
  chance: Chance,
  spoiled: boolean,
): Observation | null {
  const lies = chance.uniform() < world.misreports;
  const even = (count: number) => Array.from({ length: count }, () => 1);
  const kinds = [
    ...(model.cls === "acid" || model.cls === "shell" ? ["ph", "ph"] : []),
    ...(model.cls === "bloom" ? ["foam", "foam"] : []),
    ...(model.smellTable ? ["smell"] : []),
    ...(shows.parted === undefined ? [] : ["sep"]),
    ...(model.cls === "char" ? ["sink"] : []),
    ...(model.cls === "bed" ? ["core"] : []),
    "film",
  ];
  const kind = kinds[Math.floor(chance.uniform() * kinds.length)]!;
  switch (kind) {
    case "ph": {
      const method = chance.uniform() < 0.6 ? ("meter" as const) : ("strip" as const);
      const sd = method === "meter" ? 0.1 : 0.3;
      const true_ = spoiled && model.cls === "acid" ? Math.max(shows.ph!, chance.between(4.6, 6)) : shows.ph!;
      const value = lies ? chance.between(2.5, 8) : true_ + Math.hypot(sd, 0.12) * chance.normal();
      return { hour, type: "ph", value, method };
    }
    case "foam":
      return { hour, type: "foam", value: chance.pick(FOAMS, lies ? even(6) : rowAt(FOAM_TABLE, shows.foamPhase!)) };
    case "smell":
      return smellReport(model, shows.phase!, hour, lies, chance, spoiled);
    case "film": {
      const { sound, spoiled: gone } = FILM_TABLES[model.cls];
      return { hour, type: "film", value: chance.pick(FILM_CLASSES, lies ? even(4) : spoiled ? gone : sound) };
    }
    case "sep":
      return { hour, type: "sep", value: lies ? chance.uniform() : shows.parted! + 0.12 * chance.normal() };
    case "sink":
      return { hour, type: "sink", value: lies ? chance.uniform() : shows.sunk! + 0.08 * chance.normal() };
    case "core":
      return { hour, type: "core", value: lies ? chance.between(5, 40) : shows.coreC! + 2.5 * chance.normal() };
    default:
      return null;
  }
}

/** One batch: its hidden truth, and what a farm would know of it at a moment that does not look at the truth. */
function drawCase(model: FermentModel, world: World, seed: number): Case {
  const chance = chanceFrom(seed);
  const { referenceC } = model.temperatures;
  const meanC = referenceC + chance.between(-5, 3);
  const air = trueAir(chance, meanC);
  const { farmSd, batchSd } = model.prior;
  const u = world.spreadOfTruth * Math.hypot(farmSd, batchSd) * chance.normal() + world.rateNoiseSd * chance.normal();
  const v = secondUnknown(model, chance);
  const volumeL = model.volumeL * Math.exp(world.volumeSd * chance.normal());
  const truthBatch: FermentBatch = {
    model: wrongModel(model, world, chance),
    volumeL,
    startC: meanC,
    readings: air,
  };
  const course = courseOf(truthBatch, HOURS_MOST - 800);
  const run = runnerFor(truthBatch, course);
  const truth = run(u, v, []);
  const shows = (hour: number) => run(u, v, [hour]).features[0]!;
  const nowH = model.daysRuleH * chance.between(0.25, 1.05);
  const bias = world.sensorBiasSdC * chance.normal();
  const gapFrom = chance.uniform() < 0.3 ? chance.between(0, nowH) : Infinity;
  const gapTo = gapFrom + chance.between(10, 40);
  const readings: TemperatureReading[] = air
    .filter(({ hour }) => hour <= nowH && hour % 3 === 0 && !(hour > gapFrom && hour < gapTo))
    .map(({ hour, celsius }) => ({ hour, celsius: celsius + bias + 0.4 * chance.normal() }));
  let miss = 0;
  const ahead = air
    .filter(({ hour }) => hour >= nowH && hour <= nowH + 240 && hour % 3 === 0)
    .map(({ hour, celsius }) => {
      miss = 0.97 * miss + 0.35 * chance.normal();
      return { hour, celsius: celsius + miss * Math.min(1, (hour - nowH) / 72) };
    });
  const spoiled = chance.uniform() < SPOILED_SHARE;
  const spoilsAtH = spoiled ? nowH * chance.between(0.1, 0.6) : Infinity;
  const count = 1 + Math.floor(6 * chance.uniform());
  const observations = Array.from({ length: count }, () => nowH * chance.between(0.2, 1))
    .toSorted((a, b) => a - b)
    .flatMap((hour) => report(model, shows(hour), hour, world, chance, hour > spoilsAtH) ?? []);
  const smellLies = chance.uniform() < world.misreports;
  return {
    model,
    truth,
    nowH,
    spoiled,
    smeltNow: smellReport(model, shows(nowH).phase ?? 0, nowH, smellLies, chance, spoiled),
    batch: { model, startC: meanC, ambientC: meanC, readings, forecast: ahead, observations },
  };
}

const median = (values: readonly number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
const share = (part: number, of: number) => (of === 0 ? "–" : `${((100 * part) / of).toFixed(0)} %`);
/** What lies beyond the forecast's own horizon is foreseen if it is not ruled out. */
const inside = ({ p10, p90 }: Forecast["start"], truth: number, horizonH: number) =>
  truth <= horizonH ? truth >= p10 - 1e-9 && truth <= p90 + 1e-9 : !Number.isFinite(p90);

interface Tally {
  readonly covered: Record<"start" | "peak" | "end", { hits: number; of: number }>;
  readonly before: number[];
  readonly after: number[];
  readonly rule: number[];
  readonly crash: { hit: number; missed: number; ruleHit: number; ruleMissed: number };
  /** Of the spoilt: let pass as it stood, let pass once the smell was given that is asked for before use, and then called good to use. */
  readonly spoiled: { passed: number; passedSmelt: number; toldToUse: number; of: number };
  readonly sound: Record<"discarded" | "held" | "discardedSmelt" | "heldSmelt" | "of", number>;
  readonly ms: number[];
}

const emptyTally = (): Tally => ({
  covered: { start: { hits: 0, of: 0 }, peak: { hits: 0, of: 0 }, end: { hits: 0, of: 0 } },
  before: [],
  after: [],
  rule: [],
  crash: { hit: 0, missed: 0, ruleHit: 0, ruleMissed: 0 },
  spoiled: { passed: 0, passedSmelt: 0, toldToUse: 0, of: 0 },
  sound: { discarded: 0, held: 0, discardedSmelt: 0, heldSmelt: 0, of: 0 },
  ms: [],
});

/** How far a told hour is off, against the truth; a window that was not foreseen counts as three times the truth. */
const relative = (told: number, truth: number) => Math.abs((Number.isFinite(told) ? told : 3 * truth) - truth) / truth;

/** What the forecasts of one batch say, before and after its reports and once it was smelt where that is asked for. */
function askAbout({ batch, nowH, smeltNow }: Case) {
  const from = performance.now();
  const after = forecast(batch, nowH);
  const ms = performance.now() - from;
  const before = forecast({ ...batch, observations: [] }, nowH);
  const smelt = after.spoilage.needsSmellCheck
    ? forecast({ ...batch, observations: [...(batch.observations ?? []), smeltNow] }, nowH)
    : after;
  return { before, after, smelt, ms };
}

function judgeCase(tally: Tally, { model, truth, nowH, spoiled }: Case, said: ReturnType<typeof askAbout>): void {
  const { before, after, smelt } = said;
  const [level, levelSmelt] = [after.spoilage.level, smelt.spoilage.level];
  tally.ms.push(said.ms);
  // What has gone off no longer tells how far it is.
  if (spoiled) {
    tally.spoiled.of += 1;
    if (level === "ok" || level === "watch") tally.spoiled.passed += 1;
    if (levelSmelt === "ok" || levelSmelt === "watch") tally.spoiled.passedSmelt += 1;
    if (modelAdvice(smelt) === "use_now") tally.spoiled.toldToUse += 1;
    return;
  }
  tally.sound.of += 1;
  if (level === "discard") tally.sound.discarded += 1;
  if (level === "hold") tally.sound.held += 1;
  if (levelSmelt === "discard") tally.sound.discardedSmelt += 1;
  if (levelSmelt === "hold") tally.sound.heldSmelt += 1;
  for (const [name, at] of [
    ["start", truth.startH],
    ["peak", truth.peakH],
    ["end", truth.endH],
  ] as const) {
    // What is behind now is known; only what lies ahead is foreseen.
    if (at <= nowH || (name === "end" && !Number.isFinite(at))) continue;
    tally.covered[name].of += 1;
    if (inside(after[name], at, horizonOf(model, nowH))) tally.covered[name].hits += 1;
  }
  if (!Number.isFinite(truth.startH)) return;
  tally.before.push(relative(before.start.p50, truth.startH));
  tally.after.push(relative(after.start.p50, truth.startH));
  tally.rule.push(relative(model.daysRuleH, truth.startH));
  if (model.cls !== "bloom") return;
  const meets = (at: number) => at >= truth.startH && at <= truth.endH;
  tally.crash[meets(after.peak.p50) ? "hit" : "missed"] += 1;
  tally.crash[meets(model.daysRuleH) ? "ruleHit" : "ruleMissed"] += 1;
}

/** Every model's batches, told for all together and by class. */
function runWorld(world: World, seed: number): Map<string, Tally> {
  const tallies = new Map<string, Tally>([[world.name, emptyTally()]]);
  FERMENT_MODELS.forEach((model, index) => {
    const name = `${world.name}, ${model.cls}`;
    if (!tallies.has(name)) tallies.set(name, emptyTally());
    for (let number = 0; number < EACH; number += 1) {
      const drawn = drawCase(model, world, seed + index * 100_003 + number * 97);
      const said = askAbout(drawn);
      judgeCase(tallies.get(name)!, drawn, said);
      judgeCase(tallies.get(world.name)!, drawn, said);
    }
  });
  return tallies;
}

const yesNo = (yes: number, no: number) => (yes + no === 0 ? "–" : `${yes} / ${no}`);
const percent = (value: number) => `${(100 * value).toFixed(1)} %`;
function line(name: string, { covered, before, after, rule, crash, spoiled, sound, ms }: Tally): string {
  const cover = (mark: "start" | "peak" | "end") => share(covered[mark].hits, covered[mark].of);
  return `| ${name} | ${before.length} | ${cover("start")} / ${cover("peak")} / ${cover("end")} | ${percent(median(before))} | ${percent(median(after))} | ${percent(median(rule))} | ${yesNo(crash.hit, crash.missed)} | ${yesNo(crash.ruleHit, crash.ruleMissed)} | ${spoiled.passed} → ${spoiled.passedSmelt}, told to use ${spoiled.toldToUse}, of ${spoiled.of} | ${sound.discarded} / ${sound.held} → ${sound.discardedSmelt} / ${sound.heldSmelt} of ${sound.of} | ${median(ms).toFixed(1)} |`;
}

const rows = [RIGHT, WRONG].flatMap((world) => [...runWorld(world, 11)].map(([name, tally]) => line(name, tally)));
const table = [
  `Node ${process.version}, ${os.cpus().length} cores (${os.cpus()[0]?.model.trim()}). ${EACH} batches a method; seed 11.`,
  "",
  "| run | batches | true hour in p10–p90: start / peak / end | median error of the start, warmth alone | after updating | days rule | its best hour met the true window: yes / no | days rule: yes / no | spoilt passed as good, as told → once smelt where it asks for it | sound thrown out / held, as told → once smelt | ms a batch |",
  "|---|---|---|---|---|---|---|---|---|---|---|",
  ...rows,
  "",
].join("\n");
process.stdout.write(table);
writeFileSync("bench/ferment.md", table);
