import { reasonsOf } from "./reasons";
import { searchOf, type Search, type SearchStep } from "./search";
import { writePlan } from "./search/write";
import type { Season, SeasonPlan } from "./season";
import { emptyState } from "./state/begin";
import { restore, type Snapshot } from "./state/snapshot";
import type { State } from "./state/state";
import { verifyPlan } from "./verify";

export interface Budget {
  /** Milliseconds of search; either this or `iterations`. */
  readonly ms?: number;
  /** Rounds of search: the same season, seed and number give the same plan. */
  readonly iterations?: number;
  readonly seed: number;
}
/** How far a search has come. */
export interface Progress {
  readonly rounds: number;
  readonly share: number;
  readonly unmet: number;
  readonly cost: number;
  /** Whether there is a whole plan to show. */
  readonly isBuilt: boolean;
}

/** A search under way, driven from outside: whoever drives it chooses how long a slice is, and may ask for the best plan after each. */
export class Planning {
  private readonly search: Search;
  private readonly steps: Generator<SearchStep, void>;
  private readonly beganMs: number;
  private last: SearchStep | null = null;
  private shown: Snapshot | null = null;
  private aside: State | null = null;

  /** @param clockMs time that goes by, ms; only what is bounded by time asks it */
  constructor(
    private readonly season: Season,
    private readonly budget: Budget,
    private readonly clockMs: () => number,
  ) {
    this.beganMs = clockMs();
    this.search = searchOf(season, budget.seed);
    this.steps = this.search.steps(() => this.share());
  }
  private share(): number {
    const { iterations, ms } = this.budget;
    if (iterations !== undefined) return Math.min(1, (this.last?.rounds ?? 0) / Math.max(1, iterations));
    return Math.min(1, (this.clockMs() - this.beganMs) / Math.max(1, ms ?? 1000));
  }
  /** One step on. @returns whether the budget is used up and there is a plan */
  step(): boolean {
    const next = this.steps.next();
    if (!next.done) this.last = next.value;
    return this.last?.best != null && this.share() >= 1;
  }
  get progress(): Progress {
    const value = this.last?.value;
    return {
      rounds: this.last?.rounds ?? 0,
      share: this.share(),
      unmet: value?.unmet ?? 0,
      cost: value?.cost ?? 0,
      isBuilt: this.last?.best != null,
    };
  }
  /** Whether there is a better plan than the one that was written last. */
  get hasNews(): boolean {
    return this.last?.best != null && this.last.best !== this.shown;
  }
  /** The best so far; the reasons of what it leaves out are not looked for yet. The search goes on from where it was. */
  best(): SeasonPlan {
    const best = this.last!.best!;
    this.shown = best;
    // Written from a state of its own: the search goes on in the other.
    this.aside ??= emptyState(this.search.model);
    return this.written(this.aside, best, "time", false);
  }
  /** Ends the search: what is left out is tried once more, and its reasons are found. */
  finish(stopped: SeasonPlan["search"]["stopped"]): SeasonPlan {
    while (this.last?.best == null) this.step();
    return this.written(this.search.state, this.search.lastTries(this.last.best), stopped, true);
  }
  private written(
    state: State,
    from: Snapshot,
    stopped: SeasonPlan["search"]["stopped"],
    isFinal: boolean,
  ): SeasonPlan {
    restore(state, from);
    const { season } = this;
    const written = writePlan(state, season);
    const pins = brokenPins(season, this.search);
    const { score } = verifyPlan(season, written);
    const met = new Set(written.applications.map(({ need }) => need));
    const unmet = isFinal
      ? reasonsOf(season, written)
      : season.needs
          .filter(({ id }) => !met.has(id))
          .map(({ id }) => ({ need: id, level: "competition" as const, mode: "any" as const, reasons: [] }));
    return {
      format: "ruchka-season-plan",
      formatVersion: 1,
      season: season.name,
      ...written,
      unmet,
      ...(pins.length > 0 ? { brokenPins: pins } : {}),
      score: { unmet: score.unmet, cost: score.cost, fuss: score.fuss, floorUnmet: this.search.floorUnmet },
      search: {
        iterations: this.last?.rounds ?? 0,
        ms: this.budget.iterations === undefined ? Math.round(this.clockMs() - this.beganMs) : 0,
        seed: this.budget.seed,
        stopped,
      },
    };
  }
}

/** Pins that do not hold, each with the rule that it breaks. */
function brokenPins(season: Season, { lostPins }: Search): NonNullable<SeasonPlan["brokenPins"]> {
  const codeOf = (at: string): string => {
    const { broken } = verifyPlan(season, { batches: lostPins.batches, applications: lostPins.applications });
    return broken.find((one) => one.at === at)?.code ?? "overlap";
  };
  return [
    ...lostPins.batches.map(({ id }) => ({ batch: id, code: codeOf(`batch ${id}`) })),
    ...lostPins.applications.map(({ need }) => ({ need, code: codeOf(`need ${need}`) })),
  ];
}

/** A plan in one go: for the command line, the nightly job and tests. */
export function planSeason(season: Season, budget: Budget, clockMs: () => number): SeasonPlan {
  const planning = new Planning(season, budget, clockMs);
  while (!planning.step());
  return planning.finish("time");
}
