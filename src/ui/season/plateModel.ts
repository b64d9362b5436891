import { levelsOf } from "@/core/plan/hand/levels";
import type { PlanBatch, PlanBody, Season } from "@/core/plan/season";
import type { SeasonNames } from "@/words/said";

/** Inks that inputs are told apart by, with the shape of their knots: colour is never alone. */
export const INKS = [
  "var(--leaf)",
  "var(--blue)",
  "var(--rust)",
  "var(--marigold)",
  "var(--ink)",
  "var(--soft)",
] as const;
export const KNOTS = ["circle", "diamond", "square", "triangle"] as const;
export type Knot = (typeof KNOTS)[number];

export interface Lane {
  readonly id: string;
  readonly name: string;
  readonly x: number;
}
export interface Thread {
  readonly key: string;
  readonly day: number;
  readonly input: string;
  readonly fromX: number;
  readonly toX: number;
  readonly litres: number;
  readonly count: number;
}
export interface Gap {
  readonly key: string;
  readonly day: number;
  readonly x: number;
  readonly needs: readonly string[];
}
export interface PlateModel {
  readonly vessels: readonly Lane[];
  readonly stores: readonly Lane[];
  readonly beds: readonly Lane[];
  readonly width: number;
  readonly threads: readonly Thread[];
  readonly gaps: readonly Gap[];
  /** Litres of an input that stand ready, by day. */
  readonly levels: Readonly<Record<string, Float64Array>>;
  readonly inkOf: (input: string) => string;
  readonly knotOf: (input: string) => Knot;
}

const [LEFT, MOST_BEDS] = [74, 14];
/** Lanes stand closer where there are many: names are staggered over three rows below them. */
const MANY = 8;
const vesselW = (lanes: number): number => (lanes > MANY ? 46 : 62);
const storeW = (lanes: number): number => (lanes > MANY ? 46 : 54);
const BED_W = { least: 38, most: 48 } as const;
/** Beyond so many threads those of a week are one. */
const MOST_THREADS = 90;

/** Beds in lanes: each its own, or by crop where there are many. */
function bedLanes(
  season: Season,
  names: SeasonNames,
  from: number,
  room: number,
): { lanes: Lane[]; laneOf: Map<string, Lane> } {
  const wanted = season.plantings.filter(({ id }) => season.needs.some(({ planting }) => planting === id));
  const groupOf = (id: string, crop: string): string => (wanted.length > MOST_BEDS ? crop || "bare" : id);
  const groups = [...new Set(wanted.map(({ id, crop }) => groupOf(id, crop)))];
  const width = Math.max(BED_W.least, Math.min(BED_W.most, room / Math.max(1, groups.length)));
  const lanes = groups.map((group, index): Lane => {
    const members = wanted.filter(({ id, crop }) => groupOf(id, crop) === group);
    const name = members.length === 1 ? names.plots[members[0]!.id]! : `${group}, ${members.length} beds`;
    return { id: group, name, x: from + (index + 0.5) * width };
  });
  const laneOf = new Map(wanted.map(({ id, crop }) => [id, lanes[groups.indexOf(groupOf(id, crop))]!]));
  return { lanes, laneOf };
}

/** Everything that the drawing of a plan stands on: which lane each thing has, which threads run, what is missing. */
export function plateModel(season: Season, plan: PlanBody, names: SeasonNames, width: number): PlateModel {
  const vessels = season.vessels.map(({ id }, index) => ({
    id,
    name: names.vessels[id]!,
    x: LEFT + (index + 0.5) * vesselW(season.vessels.length),
  }));
  // What is neither kept, nor made, nor wanted has no place in the drawing.
  const wanted = new Set([
    ...season.stores.map(({ input }) => input),
    ...plan.batches.map(({ input }) => input),
    ...season.programmes.map(({ input }) => input),
  ]);
  const keeping = season.inputs.filter(({ id, keeping: { living } }) => !living && wanted.has(id));
  const storesFrom = LEFT + vessels.length * vesselW(vessels.length) + 12;
  const stores = keeping.map(({ id, name }, index) => ({
    id,
    name,
    x: storesFrom + (index + 0.5) * storeW(keeping.length),
  }));
  const bedsFrom = storesFrom + stores.length * storeW(stores.length) + 14;
  const { lanes: beds, laneOf } = bedLanes(season, names, bedsFrom, Math.max(200, width - bedsFrom - 70));
  const order = season.inputs.map(({ id }) => id);
  const inkOf = (input: string): string => INKS[order.indexOf(input) % INKS.length]!;
  const knotOf = (input: string): Knot => KNOTS[order.indexOf(input) % KNOTS.length]!;
  const vesselX = new Map(vessels.map(({ id, x }) => [id, x]));
  const storeX = new Map(stores.map(({ id, x }) => [id, x]));
  const batchOf = new Map<string, PlanBatch>(plan.batches.map((batch) => [batch.id, batch]));
  const needs = new Map(season.needs.map((need) => [need.id, need]));
  const inputOf = new Map(season.programmes.map(({ id, input }) => [id, input]));
  const threads = new Map<string, Thread>();
  const isMany = plan.applications.length > MOST_THREADS;
  for (const { need: id, day, draws } of plan.applications) {
    const need = needs.get(id);
    const lane = need && laneOf.get(need.planting);
    if (!need || !lane) continue;
    const input = inputOf.get(need.programme)!;
    const at = isMany ? Math.floor(day / 7) * 7 + 3 : day;
    const key = `${at}|${input}|${lane.id}`;
    const has = threads.get(key);
    const batch = batchOf.get(draws[0]?.from ?? "");
    threads.set(key, {
      key,
      day: at,
      input,
      fromX: storeX.get(input) ?? (batch ? vesselX.get(batch.vessel)! : LEFT),
      toX: lane.x,
      litres: (has?.litres ?? 0) + draws.reduce((sum, { amountL }) => sum + amountL, 0),
      count: (has?.count ?? 0) + 1,
    });
  }
  const met = new Set(plan.applications.map(({ need }) => need));
  const gaps = new Map<string, Gap>();
  for (const need of season.needs) {
    const lane = laneOf.get(need.planting);
    if (met.has(need.id) || !lane) continue;
    const day = Math.floor(need.preferredDay / 7) * 7 + 3;
    const key = `${day}|${lane.id}`;
    gaps.set(key, { key, day, x: lane.x, needs: [...(gaps.get(key)?.needs ?? []), need.id] });
  }
  return {
    vessels,
    stores,
    beds,
    width: Math.max(width, (beds.at(-1)?.x ?? bedsFrom) + 100),
    threads: [...threads.values()],
    gaps: [...gaps.values()],
    levels: levelsOf(season, plan),
    inkOf,
    knotOf,
  };
}
