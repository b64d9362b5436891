/**
 * Verdicts on drums that do not obey the engine: other growth laws and acid chemistry, places that nobody names, stations that tell the air
 * outside, visits forgotten, slips of the finger, drifting meters, two noses. Three deciders act look by look on the same drums: the verdict
 * as a grower would follow it, a calm grower's rule, days alone. `bench/yards/run 500` takes 500 drums a class; `--ablations` one thing otherwise at a
 * time; `--seed 7` another world.
 */
import { writeFileSync } from "node:fs";
import os from "node:os";
import { parseArgs } from "node:util";
import { clockHour } from "../../src/core/calendar";
import type { BatchInput, TemperaturePoint } from "../../src/core/judge/batchInput";
import type { LogItem } from "../../src/core/judge/log";
import type { Place } from "../../src/core/ferment/temperature/places";
import { chanceFrom } from "../../src/core/chance";
import { byCalmRule, byDays, byTheTruth, byVerdict, type Decider, type Decision } from "./deciders";
import {
  drawDrum,
  isQuick,
  YARD_METHODS,
  volumesOf,
  type Drum,
  type DrumName,
} from "../../src/core/practice/yard/drums";
import { drawCrew, type Crew } from "../../src/core/practice/yard/crew";
import { lookAt, type Wanted } from "./people";
import {
  drawWeather,
  SAID_AS,
  stand,
  THERMOSTAT_C,
  TRUE_PLACES,
  type Standing,
  type Weather,
} from "../../src/core/practice/yard/places";
import { ABLATIONS, REAL, type World } from "../../src/core/practice/yard/world";

const { values: options, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    ablations: { type: "boolean" },
    seed: { type: "string" },
    only: { type: "string" },
    write: { type: "boolean" },
    trace: { type: "string" },
  },
});
const EACH = Number(positionals[0] ?? 500);
const SEED = Number(options.seed ?? 11);
const DECIDERS = { "verdict": byVerdict, "calm rule": byCalmRule, "days": byDays, "the truth": byTheTruth } as const;
type DeciderName = keyof typeof DECIDERS;

interface Yard {
  readonly seed: number;
  readonly drum: Drum;
  readonly crew: Crew;
  readonly standing: Standing;
  readonly startHour: number;
  readonly visits: readonly number[];
  readonly honours: (index: number) => boolean;
  readonly place: Place | undefined;
  readonly station: readonly TemperaturePoint[] | null;
  readonly usual: { readonly meanC: number; readonly swingC: number };
}

function visitsOf(
  chance: ReturnType<typeof chanceFrom>,
  quick: boolean,
  startHour: number,
  untilH: number,
  world: World,
): number[] {
  const hours: number[] = [];
  for (let day = 0; day * 24 < untilH + 24; day += 1)
    for (const [clock, odds] of quick
      ? ([
          [7, 0.65],
          [12.5, 0.5],
          [19, 0.65],
        ] as const)
      : ([
          [8, 0.3],
          [18, 0.3],
        ] as const)) {
      const hour = day * 24 + clock - startHour + chance.between(-0.7, 0.7);
      if (chance.uniform() < odds * world.visits && hour > 1 && hour < untilH) hours.push(hour);
    }
  return hours;
}

/** Nobody starts a drum where it plainly freezes or boils: the first of a few places whose liquid is mild on the whole, else the last. */
function standWhereItMayLive(chance: ReturnType<typeof chanceFrom>, weather: Weather, volumeL: number): Standing {
  const meanOf = ({ liquidC }: Standing) => liquidC.reduce((sum, value) => sum + value, 0) / liquidC.length;
  const draw = () => stand(chance, weather, TRUE_PLACES[Math.floor(chance.uniform() * TRUE_PLACES.length)]!, volumeL);
  let standing = draw();
  for (let tries = 0; tries < 5 && (meanOf(standing) < 15 || meanOf(standing) > 31); tries += 1) standing = draw();
  return standing;
}

function drawYard(name: DrumName, world: World, seed: number): Yard {
  const chance = chanceFrom(seed);
  const startHour = chance.between(7, 18);
  const volumes = volumesOf(name);
  const volumeL = volumes[Math.floor(chance.uniform() * volumes.length)]!;
  const weather = drawWeather(chance, isQuick(name) ? 24 * 18 : 24 * 170, startHour);
  const standing = standWhereItMayLive(chance, weather, volumeL);
  const { place } = standing;
  const isBad = chance.uniform() < world.bad;
  const drum = drawDrum(chance, name, standing.liquidC, volumeL, isBad, world.spread);
  const saysPlace = chance.uniform() >= world.placesUnsaid;
  const saysHowWarm = saysPlace && (place === "kitchen" || place === "cellar") && chance.uniform() < 0.6;
  const miss = chance.between(-1.5, 1.5);
  const hasStation = chance.uniform() < world.stations;
  return {
    seed,
    drum,
    crew: drawCrew(chance, world),
    standing,
    startHour,
    visits: visitsOf(chance, isQuick(name), startHour, drum.watchedForH, world),
    honours: (index) => chanceFrom(seed * 31 + index).uniform() < 0.8,
    place: saysPlace
      ? {
          kind: SAID_AS[place],
          ...(saysHowWarm ? { celsius: [standing.meanC + miss - 2, standing.meanC + miss + 2] as const } : {}),
        }
      : undefined,
    station: hasStation
      ? [...weather.airC].map((celsius, hour) => ({ hour, celsius: Math.round(celsius * 10) / 10 }))
      : null,
    usual: { meanC: weather.meanC + 1.5 * chance.normal(), swingC: weather.swingC },
  };
}

/** The station's hours up to now, and its forecast of five days, worse day by day. */
function airSeen({ station, seed }: Yard, nowH: number): TemperaturePoint[] {
  if (!station) return [];
  const chance = chanceFrom(seed + Math.round(nowH));
  const wrong = 0.9 * chance.normal();
  return station
    .filter(({ hour }) => hour <= nowH + 120 && (hour <= nowH || hour % 3 === 0))
    .map(({ hour, celsius }) =>
      hour <= nowH ? { hour, celsius } : { hour, celsius: celsius + (wrong * (hour - nowH)) / 48 },
    );
}

interface Ending {
  readonly usedAtH: number | null;
  readonly thrownOutAtH: number | null;
  readonly asked: number;
  readonly told: ReadonlySet<string>;
  /** Told stuck while it was on its way in warmth enough. */
  readonly wronglyStuck: boolean;
  readonly covered: { readonly hits: number; readonly of: number };
  readonly ms: readonly number[];
}

const AWAKE = { from: 6.5, until: 22 };
/** The next hour at which somebody is up. */
function awake(hour: number, startHour: number): number {
  const clock = clockHour(startHour + hour);
  if (clock >= AWAKE.from && clock <= AWAKE.until) return hour;
  return hour + clockHour(AWAKE.from - clock);
}

/** What the decider is given at an hour: what the crew wrote, what the station said. */
const inputOf = (
  yard: Yard,
  nowH: number,
  log: readonly LogItem[],
  liquid: readonly TemperaturePoint[],
): Omit<BatchInput, "recipe"> => {
  const heated: LogItem[] =
    yard.standing.place === "heated" && yard.place
      ? [{ hour: 0.1, kind: "act", act: "heater-on", amount: THERMOSTAT_C }]
      : [];
  // The recipe's own sugar of day two went in when it was due.
  const isFed = yard.drum.name === "serum" && nowH > 48;
  const fed: LogItem[] = isFed ? [{ hour: 48, kind: "act", act: "fed", amount: 1 }] : [];
  return {
    vesselL: yard.drum.volumeL,
    nowH,
    startHour: yard.startHour,
    temperature: { liquid: [...liquid], air: airSeen(yard, nowH), statedC: null, usual: yard.usual },
    ...(yard.place ? { place: yard.place } : {}),
    log: [...heated, ...fed, ...log],
  };
};

const trace = (yard: Yard, nowH: number, liquidC: number, look: ReturnType<typeof lookAt>, decision: Decision): void =>
  console.log(
    nowH.toFixed(1),
    "air",
    yard.usual.meanC.toFixed(0),
    yard.standing.place,
    "liq",
    liquidC.toFixed(1),
    JSON.stringify(yard.drum.at(nowH)),
    look.log
      .map((item) => ("word" in item ? item.word : "value" in item ? `${item.kind} ${item.value}` : ""))
      .join(","),
    "→",
    decision.act,
    decision.told,
    JSON.stringify(decision.ask),
    decision.opens?.p10?.toFixed(0),
    decision.opens?.p50?.toFixed(0),
    decision.opens?.p90?.toFixed(0),
  );

const traceRatio = (yard: Yard, round: number, opensH: number, opens: NonNullable<Decision["opens"]>): void =>
  console.log(
    "R",
    yard.drum.name,
    round,
    yard.place ? "said" : "unsaid",
    yard.standing.place,
    Math.log(opensH / (opens.p50 ?? 5 * opensH)).toFixed(2),
    (Math.log((opens.p90 ?? 9 * opensH) / (opens.p10 ?? opensH)) / 2.56).toFixed(2),
  );

function follow(yard: Yard, world: World, decide: Decider): Ending {
  const { drum, crew, standing, visits, startHour } = yard;
  const log: LogItem[] = [];
  const liquid: TemperaturePoint[] = [];
  const told = new Set<string>();
  const ms: number[] = [];
  let [next, nowH, asked, hits, of] = [0, 0, 0, 0, 0];
  let ask: { hour: number; wanted: Wanted } | null = null;
  let wronglyStuck = false;
  const done = (usedAtH: number | null, thrownOutAtH: number | null): Ending => ({
    usedAtH,
    thrownOutAtH,
    asked,
    told,
    wronglyStuck,
    covered: { hits, of },
    ms,
  });
  for (let round = 0; round < 400; round += 1) {
    const usual = visits[next] ?? Infinity;
    const sent: number = ask ? awake(Math.max(ask.hour, nowH + 0.7), startHour) : Infinity;
    let wanted: Wanted = "usual";
    if (sent < usual - 0.5) {
      const wants: { hour: number; wanted: Wanted } = ask!;
      ask = null;
      if (!yard.honours(round)) continue;
      nowH = sent;
      wanted = wants.wanted;
      asked += 1;
    } else {
      if (usual === Infinity || usual > drum.watchedForH) return done(null, null);
      nowH = usual;
      next += 1;
      if (ask && sent <= usual + 1) wanted = ask.wanted;
    }
    if (nowH > drum.watchedForH) return done(null, null);
    const liquidC = standing.liquidC[Math.min(standing.liquidC.length - 1, Math.floor(nowH))]!;
    const look = lookAt(drum, crew, world, yard.seed, nowH, liquidC, wanted);
    log.push(...look.log);
    if (look.dipC !== null) liquid.push({ hour: nowH, celsius: look.dipC });
    const input = inputOf(yard, nowH, log, liquid);
    const from = performance.now();
    const decision = decide(drum.name, input, crew.ph !== null, drum);
    ms.push(performance.now() - from);
    if (options.trace && Number(options.trace) === yard.seed) trace(yard, nowH, liquidC, look, decision);
    if (decision.told) told.add(decision.told);
    if (decision.told === "stuck" && Number.isFinite(drum.opensH) && drum.opensH < 0.6 * drum.watchedForH)
      wronglyStuck = true;
    // A window is never told to open before the method's least age.
    const opensH = Math.max(drum.opensH, decision.leastH ?? 0);
    if (options.trace === "ratio" && decision.opens && !(nowH >= opensH) && opensH < 0.6 * drum.watchedForH)
      traceRatio(yard, round, opensH, decision.opens);
    if (decision.opens && nowH < opensH && Number.isFinite(opensH)) {
      of += 1;
      const { p10, p90 } = decision.opens;
      if ((p10 ?? Infinity) <= opensH && (p90 ?? Infinity) >= opensH) hits += 1;
    }
    if (decision.act === "use") return done(nowH, null);
    if (decision.act === "throw-out" || decision.act === "compost")
      return done(null, nowH + (decision.act === "compost" ? 1e6 : 0));
    ask = decision.ask;
  }
  return done(null, null);
}

interface Tally {
  sound: number;
  inWindow: number;
  early: number;
  late: number;
  condemned: number;
  toldFailed: number;
  toldHeld: number;
  toldStuck: number;
  bad: number;
  badUsed: number;
  asked: number;
  drums: number;
  hits: number;
  of: number;
  ms: number[];
}
const empty = (): Tally => ({
  sound: 0,
  inWindow: 0,
  early: 0,
  late: 0,
  condemned: 0,
  toldFailed: 0,
  toldHeld: 0,
  toldStuck: 0,
  bad: 0,
  badUsed: 0,
  asked: 0,
  drums: 0,
  hits: 0,
  of: 0,
  ms: [],
});

function count(tally: Tally, drum: Drum, end: Ending): void {
  tally.drums += 1;
  tally.asked += end.asked;
  tally.ms.push(...end.ms);
  if (Number.isFinite(drum.offFromH)) {
    tally.bad += 1;
    if (end.usedAtH !== null && end.usedAtH >= drum.offFromH) tally.badUsed += 1;
    return;
  }
  const failed = end.told.has("spoiled-discard");
  // What never opens, or not in sight, can only be condemned wrongly.
  const opens = drum.opensH <= 0.6 * drum.watchedForH;
  if (opens) tally.sound += 1;
  if (!opens) return;
  tally.hits += end.covered.hits;
  tally.of += end.covered.of;
  if (failed && (end.thrownOutAtH ?? 0) < drum.closesH) tally.toldFailed += 1;
  if (end.told.has("spoiled-hold")) tally.toldHeld += 1;
  if (end.wronglyStuck) tally.toldStuck += 1;
  const { usedAtH, thrownOutAtH } = end;
  // What is past is rightly thrown out, and too late.
  if (thrownOutAtH !== null && thrownOutAtH < Math.min(1e6, drum.closesH)) tally.condemned += 1;
  else if (usedAtH === null || usedAtH > drum.closesH) tally.late += 1;
  else if (usedAtH < drum.opensH - 0.02 * drum.opensH) tally.early += 1;
  else tally.inWindow += 1;
}

function runWorld(world: World, each: number, names: readonly DeciderName[]): Map<string, Tally> {
  const tallies = new Map<string, Tally>();
  const of = (key: string) => {
    if (!tallies.has(key)) tallies.set(key, empty());
    return tallies.get(key)!;
  };
  YARD_METHODS.forEach(({ name }, index) => {
    if (options.only && name !== options.only) return;
    for (let number = 0; number < each; number += 1) {
      const yard = drawYard(name, world, SEED * 1_000_003 + index * 100_003 + number * 97);
      for (const decider of names) {
        const end = follow(yard, world, DECIDERS[decider]);
        count(of(`${decider}|all`), yard.drum, end);
        count(of(`${decider}|${name}`), yard.drum, end);
        if (options.trace === "list" && decider === "verdict")
          console.log(
            yard.seed,
            name,
            yard.standing.place,
            yard.place?.kind ?? "unsaid",
            "opens",
            yard.drum.opensH,
            "closes",
            yard.drum.closesH,
            "off",
            yard.drum.offFromH,
            "used",
            end.usedAtH?.toFixed(1),
            "out",
            end.thrownOutAtH?.toFixed(0),
            [...end.told].join(","),
            "asked",
            end.asked,
          );
      }
    }
  });
  return tallies;
}

const percent = (part: number, of: number) => (of === 0 ? "–" : ((100 * part) / of).toFixed(part / of < 0.1 ? 1 : 0));
/** Half the width of a 95 % interval of a share, in points. */
const give = (part: number, of: number) =>
  of === 0 ? "" : ` ±${(196 * Math.sqrt(Math.max(0.25 / of, (part / of) * (1 - part / of)) / of)).toFixed(1)}`;
const HEAD = [
  "| decider | drums | sound, used in the window % | condemned | ever told failed | told held back | wrongly told stuck | held too long | used too early | bad, used % | p10–p90 holds the opening % | looks asked | ms |",
  "|---|---|---|---|---|---|---|---|---|---|---|---|---|",
];
function row(label: string, tally: Tally): string {
  const { sound } = tally;
  const ms = tally.ms.toSorted((a, b) => a - b);
  return `| ${label} | ${sound} + ${tally.bad} | ${percent(tally.inWindow, sound)}${give(tally.inWindow, sound)} | ${percent(tally.condemned, sound)} | ${percent(tally.toldFailed, sound)} | ${percent(tally.toldHeld, sound)} | ${percent(tally.toldStuck, sound)} | ${percent(tally.late, sound)} | ${percent(tally.early, sound)} | ${percent(tally.badUsed, tally.bad)} | ${percent(tally.hits, tally.of)} | ${(tally.asked / tally.drums).toFixed(1)} | ${(ms[Math.floor(ms.length / 2)] ?? 0).toFixed(1)} |`;
}

const out: string[] = [
  `Node ${process.version}, ${os.cpus().length} cores. ${EACH} drums a class; seed ${SEED}.`,
  "",
  ...HEAD,
];
const all = Object.keys(DECIDERS) as DeciderName[];
const found = runWorld(REAL, EACH, all);
for (const [key, tally] of [...found].toSorted(([a], [b]) => a.split("|")[1]!.localeCompare(b.split("|")[1]!))) {
  const [decider, name] = key.split("|");
  out.push(row(`${name}: ${decider}`, tally));
}
if (options.ablations) {
  out.push("", "One thing otherwise at a time, all classes:", "", ...HEAD);
  for (const world of ABLATIONS) {
    const tallies = runWorld(world, Math.ceil(EACH / 4), ["verdict", "calm rule"]);
    for (const decider of ["verdict", "calm rule"] as const)
      out.push(row(`${world.name}: ${decider}`, tallies.get(`${decider}|all`)!));
  }
}
console.log(out.join("\n"));
if (options.write) writeFileSync("bench/yards.md", `${out.join("\n")}\n`);
