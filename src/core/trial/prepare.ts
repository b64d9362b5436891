import { DomainError } from "../errors";
import { CROSSOVER_KINDS, MEASURES, type MeasureKind, type Scale, type Trial, type TrialReading } from "./terms";

/** A block as the analysis takes it: values of units with the arm and of those with the control, on the scale that is added. */
export interface Block {
  readonly treated: readonly number[];
  readonly control: readonly number[];
  readonly season: string | null;
}
export interface Prepared {
  readonly scale: Scale;
  /** Arm → its blocks, in the order that they joined. */
  readonly arms: ReadonlyMap<string, readonly Block[]>;
  readonly left: { readonly id: string; readonly reason: string }[];
}
type Value = number | readonly number[] | null | undefined;
const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;

/** Passes a reading on that can be one of its kind. @throws {DomainError} `trial-fault`: no number, below nothing, a nought in a ratio */
export function requireReading(value: number, kind: MeasureKind, scale: Scale, path: string): number {
  if (!Number.isFinite(value)) throw new DomainError("trial-fault", { fault: "no-number", name: kind }, path);
  if (value < 0 && !MEASURES[kind].isSigned)
    throw new DomainError("trial-fault", { fault: "negative", name: kind }, path);
  if (kind === "disease-share" && value > 1)
    throw new DomainError("trial-fault", { fault: "share-above-one", name: kind }, path);
  if (scale === "ratio" && value <= 0)
    throw new DomainError("trial-fault", { fault: "nought-in-ratio", name: kind }, path);
  return value;
}
/** A value on the scale that the analysis adds on. @throws {DomainError} `trial-fault` */
function onScale(value: number, trial: Trial, scale: Scale, path: string): number {
  const checked = requireReading(value, trial.measure.kind, scale, path);
  return scale === "ratio" ? Math.log(checked) : checked;
}
/** Plants, cores and photographs of a unit are averaged before anything else (Hurlbert 1984). Null where nothing was read. */
function unitValue(value: Value, area: number | undefined, trial: Trial, scale: Scale, path: string): number | null {
  const list = typeof value === "number" ? [value] : (value ?? []);
  if (list.length === 0) return null;
  if (area !== undefined && !(area > 0)) throw new DomainError("trial-fault", { fault: "no-area", name: "" }, path);
  return onScale(mean(list) / (area ?? 1), trial, scale, path);
}

function fromPairs(trial: Trial, scale: Scale): Prepared {
  const left: { id: string; reason: string }[] = [];
  const blocks: Block[] = [];
  for (const [nth, pair] of trial.pairs!.entries()) {
    const id = String(pair.id ?? nth + 1);
    if (pair.leftOut !== undefined) {
      left.push({ id, reason: pair.leftOut });
      continue;
    }
    const treated = unitValue(pair.with, pair.areaWith, trial, scale, `/pairs/${nth}/with`);
    const control = unitValue(pair.without, pair.areaWithout, trial, scale, `/pairs/${nth}/without`);
    if (treated === null || control === null) left.push({ id, reason: "one-side-missing" });
    else blocks.push({ treated: [treated], control: [control], season: pair.season ?? null });
  }
  return { scale, arms: new Map([["with", blocks]]), left };
}

/** Pots that change over: half of first less second, order against order (Hills & Armitage 1979). */
function fromCrossover(trial: Trial, scale: Scale): Prepared {
  const halves = (order: TrialReading["order"]): number[] =>
    trial.readings!.flatMap((one, nth) =>
      one.order === order
        ? [
            (onScale(one.first ?? Number.NaN, trial, scale, `/readings/${nth}/first`) -
              onScale(one.second ?? Number.NaN, trial, scale, `/readings/${nth}/second`)) /
              2,
          ]
        : [],
    );
  const block = { treated: halves("with-first"), control: halves("without-first"), season: null };
  if (block.treated.length === 0 || block.control.length === 0)
    throw new DomainError("trial-fault", { fault: "one-order", name: "" }, "/readings");
  return { scale, arms: new Map([["with", [block]]]), left: [] };
}

function fromReadings(trial: Trial, scale: Scale): Prepared {
  const control = trial.control ?? "without";
  const blocks = new Map<string, Map<string, number[]>>();
  const left: { id: string; reason: string }[] = [];
  for (const [nth, one] of trial.readings!.entries()) {
    const path = `/readings/${nth}`;
    const value =
      trial.design === "baci"
        ? onScale(one.after ?? Number.NaN, trial, scale, `${path}/after`) -
          onScale(one.before ?? Number.NaN, trial, scale, `${path}/before`)
        : unitValue(one.value, undefined, trial, scale, `${path}/value`);
    if (one.arm === undefined) throw new DomainError("trial-fault", { fault: "no-arm", name: "" }, path);
    if (value === null) {
      left.push({ id: String(one.block ?? nth + 1), reason: "one-side-missing" });
      continue;
    }
    const of = blocks.get(String(one.block)) ?? new Map<string, number[]>();
    blocks.set(String(one.block), of);
    of.set(one.arm, [...(of.get(one.arm) ?? []), value]);
  }
  const names = [...new Set(trial.readings!.map(({ arm }) => arm!))].filter((arm) => arm !== control);
  if (![...blocks.values()].some((of) => of.has(control)))
    throw new DomainError("trial-fault", { fault: "no-control", name: control }, "/readings");
  if (names.length === 0) throw new DomainError("trial-fault", { fault: "no-arm", name: "" }, "/readings");
  const arms = new Map(
    names.map((arm): readonly [string, Block[]] => [
      arm,
      [...blocks.values()].flatMap((of) =>
        of.has(arm) && of.has(control) ? [{ treated: of.get(arm)!, control: of.get(control)!, season: null }] : [],
      ),
    ]),
  );
  return { scale, arms, left };
}

/** Blocks by arm out of a trial's readings. @throws {DomainError} `trial-fault` for what no analysis can be made of */
export function prepare(trial: Trial): Prepared {
  const { kind } = trial.measure;
  const scale = trial.measure.scale ?? MEASURES[kind].scale;
  const design = trial.design ?? "pairs";
  if (design === "crossover" && !CROSSOVER_KINDS.includes(kind))
    throw new DomainError("trial-fault", { fault: "not-for-crossover", name: kind }, "/measure/kind");
  if (scale === "ordinal" && (design === "crossover" || design === "baci"))
    throw new DomainError("trial-fault", { fault: "scores-only-compare", name: design }, "/design");
  const given = design === "pairs" || !trial.readings ? trial.pairs : trial.readings;
  if (!given || given.length === 0) throw new DomainError("trial-fault", { fault: "nothing-read", name: design }, "");
  if (given === trial.pairs) return fromPairs(trial, scale);
  return design === "crossover" ? fromCrossover(trial, scale) : fromReadings(trial, scale);
}
