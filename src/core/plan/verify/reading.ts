import { weekOf, weeksOf, type Season } from "../season";

export const PLAN_RULES = [
  "start",
  "horizon",
  "closed",
  "forbidden",
  "cold",
  "duration",
  "vessel",
  "fill",
  "empty",
  "hold",
  "overlap",
  "air",
  "early",
  "expired",
  "wrong-input",
  "overdraw",
  "feed",
  "window",
  "past",
  "dose",
  "twice",
  "before-harvest",
  "gap",
  "separation",
  "cans",
  "ingredient",
  "order",
  "forage",
  "labour",
  "running",
  "pinned",
  "ref",
  "id",
  "type",
  "unmet-list",
  "claim",
] as const;
export type PlanRule = (typeof PLAN_RULES)[number];
export interface Broken {
  readonly code: PlanRule;
  /** What breaks it: "batch b1", "need n4", "week 5". */
  readonly at: string;
  /** The figures that words are made of. */
  readonly values: Readonly<Record<string, number | string>>;
}
/** Slack for litres, kilograms and packs: rounding, never a rule bent. */
export const SLACK = 1e-3;

export interface SourceRead {
  readonly id: string;
  readonly input: string;
  readonly fromDay: number;
  readonly lastDay: number;
  readonly outputL: number;
  readonly emptyDay: number;
  readonly living: boolean;
  readonly isStore: boolean;
  discardL: number;
  readonly draws: { readonly day: number; readonly amountL: number }[];
}
const byId = <T extends { readonly id: string }>(list: readonly T[]): Map<string, T> =>
  new Map(list.map((one) => [one.id, one]));

/** A season with its tables, and what has been read of a plan so far. */
export class Reading {
  readonly broken: Broken[] = [];
  readonly inputs;
  readonly vessels;
  readonly ingredients;
  readonly needs;
  readonly plantings;
  readonly programmes;
  readonly running;
  readonly sources = new Map<string, SourceRead>();
  readonly weekMin: number[];
  starts = 0;
  constructor(readonly season: Season) {
    this.inputs = byId(season.inputs);
    this.vessels = byId(season.vessels);
    this.ingredients = byId(season.ingredients);
    this.needs = byId(season.needs);
    this.plantings = byId(season.plantings);
    this.programmes = byId(season.programmes);
    this.running = byId(season.running);
    this.weekMin = Array.from({ length: weeksOf(season.days) }, () => 0);
    for (const store of season.stores)
      this.sources.set(store.id, {
        id: store.id,
        input: store.input,
        fromDay: store.fromDay,
        lastDay: store.expiresDay,
        outputL: store.onHandL,
        emptyDay: store.fromDay,
        living: false,
        isStore: true,
        discardL: 0,
        draws: [],
      });
  }
  breaks(code: PlanRule, at: string, values: Broken["values"]): void {
    this.broken.push({ code, at, values });
  }
  works(day: number, minutes: number): void {
    if (day >= this.season.nowDay && day < this.season.days) this.weekMin[weekOf(day)]! += minutes;
  }
  inputOf(needId: string): string {
    return this.programmes.get(this.needs.get(needId)!.programme)!.input;
  }
  plotOf(planting: string): string {
    return this.plantings.get(planting)?.plot ?? planting;
  }
}
export const isDay = (day: unknown): day is number => Number.isInteger(day);
export const isAmount = (amount: unknown): amount is number =>
  typeof amount === "number" && Number.isFinite(amount) && amount > 0;
