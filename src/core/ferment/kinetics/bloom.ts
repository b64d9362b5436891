import { airEvents, type FermentBatch } from "../batch";
import type { BloomModel } from "../models/types";
import type { Course } from "../temperature/course";
import { locate, valueAt } from "../temperature/grid";
import { fallingCellPhase, fallingFoamPhase, risingCellPhase, risingFoamPhase } from "./bloomPhases";
import { firstFall, lastRise, topOf, type Top } from "./crossings";
import { clamp, type Features, type Runner, type Trajectory } from "./trajectory";

/** What holds for every run of one batch: its grid, its air, and the temperature's part of each rate. */
interface Bench {
  readonly model: BloomModel;
  readonly batch: FermentBatch;
  readonly course: Course;
  /** Main nodes; the course has a middle between each two. */
  readonly count: number;
  readonly hours: Float64Array;
  /** Death against its pace at 24 °C, and death by heat, 1/h; at every course node. */
  readonly deathFactor: Float64Array;
  readonly heatDeath: Float64Array;
  readonly airOn: Uint8Array;
  /** Share of the brew that was there before a top-up at a node, 1 where there was none. */
  readonly thinned: Float64Array;
  readonly sugar: number;
  readonly lastEventH: number;
  /** Room that every run writes anew: some eighty runs make a forecast, and each is read before the next. */
  readonly room: Record<"cells" | "foam" | "quality" | "good" | "growing", Float64Array>;
}

function benchFor(batch: FermentBatch, model: BloomModel, course: Course): Bench {
  const count = (course.hours.length + 1) / 2;
  const hours = Float64Array.from({ length: count }, (_, index) => course.hours[2 * index]!);
  const deathFactor = course.liquidC.map((celsius) => model.deathQ10 ** ((celsius - 24) / 10));
  const heatDeath = course.liquidC.map(
    (celsius) => model.heatDeathPerHPerK * Math.max(0, celsius - model.temperatures.maxC),
  );
  const switches = airEvents(batch);
  const airOn = Uint8Array.from(hours, (hour) => {
    const last = switches.findLast((event) => event.hour <= hour + 1e-9);
    return last?.type === "air_off" ? 0 : 1;
  });
  const thinned = new Float64Array(count).fill(1);
  for (const event of batch.events ?? []) {
    if (event.type !== "topped_up" || event.hour <= 0 || event.hour >= hours[count - 1]!) continue;
    thinned[locate(hours, event.hour).index]! *= event.ofL / (event.ofL + event.litres);
  }
  return {
    model,
    batch,
    course,
    count,
    hours,
    deathFactor,
    heatDeath,
    airOn,
    thinned,
    sugar: batch.sugar ?? 1,
    lastEventH: Math.max(0, ...(batch.events ?? []).map(({ hour }) => hour)),
    room: {
      cells: new Float64Array(count),
      foam: new Float64Array(count),
      quality: new Float64Array(count),
      good: new Float64Array(count),
      growing: new Float64Array(course.hours.length),
    },
  };
}

interface Run {
  readonly cells: Float64Array;
  readonly foam: Float64Array;
  readonly quality: Float64Array;
  /** Nodes that were run. */
  readonly length: number;
}

/**
 * Cells on food. Lag after Baranyi and Roberts 1994, growth by Monod 1949 with a half-saturation that scales with the food
 * (Contois 1959), maintenance after Pirt 1965, oxygen taken as quasi-steady. Classical Runge-Kutta on the main nodes.
 * @param asleep exp(−growth·theta) at every course node, the part of the lag that all batches of one pace share
 */
// One function on purpose: it is the innermost loop of every forecast, and numbers that cross a call are boxed.
// eslint-disable-next-line max-lines-per-function
function run(bench: Bench, u: number, v: number, asleep: Float64Array, untilH: number): Run {
  const { model, course, count, hours, deathFactor, heatDeath, airOn, thinned, sugar } = bench;
  const { rate } = course;
  const pace = Math.exp(u);
  const growth = model.growthPerH * pace;
  const upkeep = model.maintenancePerH * pace;
  const half = model.halfFood * sugar;
  const lag = Math.exp(model.lag * Math.exp(v)) - 1;
  const { gasPerH, cells: cellsRef } = model.reference;
  const { deathPerH, starvedDeath, foamPerH, air: supply } = model;
  const airFactor = bench.batch.airFactor ?? 1;
  const perGas = 1 / gasPerH;
  // Each node's growth is asked for twice or more: as the end of one step, the start of the next, and twice in the middle.
  const { cells, foam, quality, growing } = bench.room;
  for (let at = 0; at < growing.length; at += 1) growing[at] = (growth * rate[at]!) / (1 + lag * asleep[at]!);
  // Taken out of their objects once: `slopes` below is the innermost loop of every forecast.
  const supplied = supply !== null;
  const demandOfGas = supply ? supply.demandPerH / gasPerH : 0;
  const demandAtRest = supply ? (supply.demandPerH * supply.restingDemand) / cellsRef : 0;
  const halfOxygen = supply?.halfSaturation ?? 1;
  const anoxic = supply?.anoxicShare ?? 1;
  const qualityLoss = supply?.qualityLossPerH ?? 0;
  const resting = supply?.restingLossShare ?? 0;
  let x = model.startingCells * (bench.batch.inoculum ?? 1);
  let s = sugar;
  let f = 0;
  let q = 1;
  let [foamMost, goodMost] = [0, 0];
  const until = locate(hours, untilH).index + 2;
  // Slopes of the four at the four stages of a step, and where a stage stands. Arrays, as numbers handed to a function or written by a
  // closure are boxed: half of the time.
  const d1 = new Float64Array(4);
  const d2 = new Float64Array(4);
  const d3 = new Float64Array(4);
  const d4 = new Float64Array(4);
  const stage = new Float64Array(4);
  const oxygenPerH = new Float64Array(1);
  const slopes = (out: Float64Array, at: number) => {
    const x0 = stage[0]!;
    const rho = deathFactor[at]!;
    const food = stage[1]! > 0 ? stage[1]! : 0;
    const m = food / (half + food);
    const keep = upkeep * rate[at]! * m;
    let g = growing[at]! * m;
    let fade = 0;
    if (supplied) {
      const k = oxygenPerH[0]!;
      const demand = (demandOfGas * (g + keep) + demandAtRest * rho) * x0;
      const b = k * (halfOxygen - 1) + demand;
      const oxygen = (Math.sqrt(b * b + 4 * k * k * halfOxygen) - b) / (2 * k);
      g *= anoxic + ((1 - anoxic) * (1 + halfOxygen) * oxygen) / (oxygen + halfOxygen);
      const enough = 16 * oxygen * oxygen;
      const busy = (g + keep) * x0 * perGas;
      fade = (-qualityLoss * rho * (resting + (1 - resting) * (busy < 1 ? busy : 1))) / (1 + enough * enough);
    }
    const death = deathPerH * rho * (1 + starvedDeath * (1 - m)) + heatDeath[at]!;
    out[0] = (g - (death < 1 ? death : 1)) * x0;
    out[1] = -(g + keep) * x0;
    out[2] = foamPerH * ((g + keep) * x0 * perGas - stage[2]!);
    out[3] = fade * stage[3]!;
  };
  let length = count;
  for (let node = 0; node < count; node += 1) {
    const share = thinned[node]!;
    if (share < 1) {
      x *= share;
      s *= share;
      f *= share;
    }
    cells[node] = x;
    foam[node] = f;
    quality[node] = q;
    foamMost = Math.max(foamMost, f);
    goodMost = Math.max(goodMost, x * q);
    const spent =
      node >= until &&
      s < 0.02 * sugar &&
      f < 0.05 * foamMost &&
      (model.metric === "foam" || x * q < 0.95 * model.crashShare * goodMost);
    if (spent || node === count - 1) {
      length = node + 1;
      break;
    }
    const h = hours[node + 1]! - hours[node]!;
    if (supply) oxygenPerH[0] = (airOn[node] ? supply.onPerH : supply.offPerH) * airFactor;
    const at = 2 * node;
    stage[0] = x;
    stage[1] = s;
    stage[2] = f;
    stage[3] = q;
    slopes(d1, at);
    stage[0] = x + (h / 2) * d1[0]!;
    stage[1] = s + (h / 2) * d1[1]!;
    stage[2] = f + (h / 2) * d1[2]!;
    stage[3] = q + (h / 2) * d1[3]!;
    slopes(d2, at + 1);
    stage[0] = x + (h / 2) * d2[0]!;
    stage[1] = s + (h / 2) * d2[1]!;
    stage[2] = f + (h / 2) * d2[2]!;
    stage[3] = q + (h / 2) * d2[3]!;
    slopes(d3, at + 1);
    stage[0] = x + h * d3[0]!;
    stage[1] = s + h * d3[1]!;
    stage[2] = f + h * d3[2]!;
    stage[3] = q + h * d3[3]!;
    slopes(d4, at + 2);
    const sixth = h / 6;
    x = Math.max(1e-12, x + sixth * (d1[0]! + 2 * d2[0]! + 2 * d3[0]! + d4[0]!));
    s = Math.max(0, s + sixth * (d1[1]! + 2 * d2[1]! + 2 * d3[1]! + d4[1]!));
    f = Math.max(0, f + sixth * (d1[2]! + 2 * d2[2]! + 2 * d3[2]! + d4[2]!));
    q = Math.max(0, q + sixth * (d1[3]! + 2 * d2[3]! + 2 * d3[3]! + d4[3]!));
  }
  return { cells, foam, quality, length };
}

const NEVER = { startH: Infinity, peakH: Infinity, endH: Infinity, crashH: Infinity };
type Marks = Pick<Trajectory, "startH" | "peakH" | "endH" | "crashH">;

function foamMarks(bench: Bench, { foam, length }: Run, top: Top): Marks {
  const { model, hours } = bench;
  const enough = model.leastBloom * model.reference.foam * clamp(bench.sugar, 0.3, 1);
  if (top.height < enough || top.index >= length - 1) return NEVER;
  return {
    startH: lastRise(hours, foam, top.index, model.startShare * top.height),
    peakH: top.hour,
    endH: firstFall(hours, foam, top.index, length, model.endShare * top.height),
    crashH: firstFall(hours, foam, top.index, length, model.crashShare * top.height),
  };
}

function cellMarks(bench: Bench, good: Float64Array, length: number, top: Top): Marks {
  const { model, hours } = bench;
  const reference = model.reference.cells * clamp(bench.sugar, 0.3, 1);
  const need = Math.min(model.startShare * reference, 0.92 * top.height);
  if (top.index >= length - 1)
    return top.height >= model.startShare * reference
      ? { ...NEVER, startH: lastRise(hours, good, top.index, need) }
      : NEVER;
  if (top.height < model.leastBloom * reference) return NEVER;
  return {
    startH: lastRise(hours, good, top.index, need),
    peakH: top.hour,
    endH: firstFall(hours, good, top.index, length, Math.min(model.endShare * top.height, need)),
    crashH: firstFall(hours, good, top.index, length, model.crashShare * top.height),
  };
}

/** Brews that bloom and crash: by their head of foam, or by their living cells and what the lack of air did to them. */
export function bloomRunner(batch: FermentBatch, model: BloomModel, course: Course): Runner {
  const bench = benchFor(batch, model, course);
  const { hours } = bench;
  const foamRef = model.reference.foam;
  const cellsRef = model.reference.cells;
  const sleeps = new Map<number, Float64Array>();
  const sleepAt = (u: number): Float64Array => {
    const known = sleeps.get(u);
    if (known) return known;
    const growth = model.growthPerH * Math.exp(u);
    const fresh = course.theta.map((theta) => Math.exp(-growth * theta));
    sleeps.set(u, fresh);
    return fresh;
  };
  return (u, v, featureHours) => {
    const ran = run(bench, u, v, sleepAt(u), Math.max(0, bench.lastEventH, ...featureHours));
    const { foam, length } = ran;
    const span = hours.subarray(0, length);
    const { good } = bench.room;
    for (let index = 0; index < length; index += 1) good[index] = ran.cells[index]! * ran.quality[index]!;
    const foamTop = topOf(hours, foam, length);
    const goodTop = topOf(hours, good, length);
    const weakest = risingFoamPhase(foamTop.height / foamRef);
    const foamPhaseAt = (hour: number, f: number) => {
      if (hour < foamTop.hour) return risingFoamPhase(f / foamRef);
      const phase = fallingFoamPhase(f / foamTop.height);
      // A head that never filled does not read as full when it is at its own best.
      return weakest < 2.5 && phase <= 3 ? weakest : phase;
    };
    const features = featureHours.map((hour): Features => {
      const f = valueAt(span, foam.subarray(0, length), hour);
      const { index } = locate(span, hour);
      const next = Math.min(length - 1, index + 1);
      const slope = next > index ? (foam[next]! - foam[index]!) / (hours[next]! - hours[index]!) : 0;
      const viable = valueAt(span, good.subarray(0, length), hour);
      const foamPhase = foamPhaseAt(hour, f);
      return {
        foam: f / foamRef,
        foamPhase,
        gas: Math.max(0, f + slope / model.foamPerH),
        viability: viable / cellsRef,
        phase:
          model.metric === "foam"
            ? foamPhase
            : hour < goodTop.hour
              ? risingCellPhase(viable / cellsRef)
              : fallingCellPhase(viable / goodTop.height),
      };
    });
    const marks = model.metric === "foam" ? foamMarks(bench, ran, foamTop) : cellMarks(bench, good, length, goodTop);
    return { ...marks, features };
  };
}
