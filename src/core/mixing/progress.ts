import type { IngredientId } from "../book/ingredients";
import { startsClock } from "./live";
import type { MixStep } from "./mixStep";

/** What was ticked, by whom and when; the later of two for one step counts. Undoing is an entry too. */
export interface MixEntry {
  readonly stepKey: string;
  readonly kind: "done" | "undone" | "round";
  readonly atMs: number;
  readonly actorName: string;
  /** What really went in, in the stock unit. */
  readonly amount: number | null;
  readonly answer: string | null;
}

export interface StepState {
  readonly step: MixStep;
  readonly done: MixEntry | null;
  /** How often it was done, where it is done over and over. */
  readonly rounds: number;
  /** When its clock runs out; null where none runs. */
  readonly waitUntilMs: number | null;
  /** How much goes in, by what of the basis really went in; null where nothing does. */
  readonly planned: number | null;
}

export interface MixProgress {
  readonly steps: readonly StepState[];
  /** The one to do now; null when all is done. */
  readonly next: StepState | null;
  /** A clock that must run out before the next step. */
  readonly waitingUntilMs: number | null;
  /** When the last living thing went in; null while none has. */
  readonly timeNoughtMs: number | null;
}

const MIN_MS = 60_000;

/** Nearer to what was asked for than this, nothing else is worked out anew. */
const AS_ASKED_PERCENT = 1;

/** By how much what was counted by the basis grows or shrinks, once the basis itself is in: sugar goes by the leaf that is there. */
function basisFactor(steps: readonly MixStep[], doneOf: (key: string) => MixEntry | null): number {
  const bases = steps.filter(({ amount }) => amount?.counted === "basis" && amount.part === "mix");
  const asked = bases.reduce((sum, { amount }) => sum + amount!.planned, 0);
  const went = bases.map(({ key }) => doneOf(key)?.amount ?? null);
  if (asked <= 0 || went.some((amount) => amount === null || amount <= 0)) return 1;
  const factor = went.reduce<number>((sum, amount) => sum + amount!, 0) / asked;
  return Math.abs(factor - 1) * 100 < AS_ASKED_PERCENT ? 1 : factor;
}

/**
 * Where a mixing stands, from its entries alone: whoever opens it, on whatever device, goes on at the same step.
 * Time nought is the moment the last living ingredient went in, not when the water was run.
 */
export function mixProgress(steps: readonly MixStep[], entries: readonly MixEntry[], nowMs: number): MixProgress {
  const doneOf = (key: string): MixEntry | null => {
    const last = entries.findLast(({ stepKey, kind }) => stepKey === key && kind !== "round");
    return last?.kind === "done" ? last : null;
  };
  const factor = basisFactor(steps, doneOf);
  const states = steps.map((step): StepState => {
    const own = entries.filter(({ stepKey }) => stepKey === step.key);
    const done = doneOf(step.key);
    const lastRound = own.findLast(({ kind }) => kind === "round");
    const waitFrom = done && step.wait ? done.atMs + step.wait.minutes * MIN_MS : null;
    const roundFrom = !done && lastRound && step.everyMin ? lastRound.atMs + step.everyMin * MIN_MS : null;
    return {
      step,
      done,
      rounds: own.filter(({ kind }) => kind === "round").length + (done && step.everyMin ? 1 : 0),
      waitUntilMs: waitFrom ?? roundFrom,
      planned: step.amount ? step.amount.planned * (step.amount.counted === "by-basis" ? factor : 1) : null,
    };
  });
  const nextAt = states.findIndex(({ done }) => done === null);
  const next = nextAt < 0 ? null : states[nextAt]!;
  const before = nextAt > 0 ? states.slice(0, nextAt) : nextAt < 0 ? states : [];
  const running = [...before, ...(next ? [next] : [])].flatMap(({ waitUntilMs }) =>
    waitUntilMs !== null && waitUntilMs > nowMs ? [waitUntilMs] : [],
  );
  const added = states
    .filter(
      (state): state is StepState & { done: MixEntry } =>
        state.done !== null && state.step.amount !== null && (state.done.amount ?? 0) > 0,
    )
    .toSorted((a, b) => a.done.atMs - b.done.atMs);
  // Water alone starts no clock where something living is still to come.
  const waitsForLife = steps.some(({ amount }) => amount?.live) && !added.some(({ step }) => step.amount!.live);
  const clock = startsClock(added.map(({ step }) => step.amount!.ingredient as IngredientId));
  return {
    steps: states,
    next,
    waitingUntilMs: running.length > 0 ? Math.max(...running) : null,
    timeNoughtMs: waitsForLife && next !== null ? null : (added[clock]?.done.atMs ?? null),
  };
}

/** How far what went in is from what was asked for, %. @example offTarget(4.4, 4); // 10 */
export const offTarget = (actual: number, planned: number): number | null =>
  planned > 0 ? ((actual - planned) / planned) * 100 : null;
