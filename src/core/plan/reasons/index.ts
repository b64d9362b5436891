import type { Need, Reason, Season, SeasonPlan, Unmet } from "../season";
import { lifted, LIFTED, PAIRS, type Lift } from "./lifts";
import { Trial, type Standing } from "./try";

type Found = Pick<Unmet, "level" | "mode" | "reasons">;

/** The season with some limits taken away, and a plan in it or none; made once, asked often. */
class Trials {
  private readonly made = new Map<string, Trial>();
  constructor(
    private readonly season: Season,
    private readonly plan: Standing | null,
  ) {}
  of(...lifts: readonly Lift[]): Trial {
    const key = lifts.join("+");
    let trial = this.made.get(key);
    if (!trial) {
      trial = new Trial(
        lifts.reduce((season, lift) => lifted(season, lift), this.season),
        this.plan,
      );
      this.made.set(key, trial);
    }
    return trial;
  }
}

/** Days that an input takes at least, in whatever vessel may hold it, were it begun today or later. */
function quickestD(season: Season, input: string): number {
  const days = season.durations
    .filter((row) => row.input === input)
    .flatMap(({ daysByStart }) => daysByStart.slice(season.nowDay).filter((takes): takes is number => takes !== null));
  return days.length > 0 ? Math.min(...days) : Infinity;
}

function limitsOf(trials: Trials, need: Need): Pick<Found, "mode" | "reasons"> {
  const alone = LIFTED.filter((lift) => trials.of(lift).fits(need.id));
  if (alone.length > 0) return { mode: "any", reasons: alone };
  const pair = PAIRS.find((lifts) => trials.of(...lifts).fits(need.id));
  return { mode: "all", reasons: pair ? [...pair].sort() : ["combined"] };
}

/**
 * Why needs go unmet, each by the limits that, taken away, would let it be met ("would go if", never "because of").
 * Absolute: not even alone on the empty season. Competition: not beside what the plan does.
 */
export function reasonsOf(season: Season, plan: SeasonPlan | Standing): (Found & { readonly need: string })[] {
  const met = new Set(plan.applications.map(({ need }) => need));
  const inputOf = new Map(season.programmes.map(({ id, input }) => [id, input]));
  const empty = new Trials(season, null);
  const finished = new Trials(season, plan);
  const known = new Map<string, Found>();
  const find = (need: Need): Found => {
    const input = inputOf.get(need.programme)!;
    if (need.latestDay < season.nowDay) return { level: "absolute", mode: "any", reasons: ["past"] };
    if (!empty.of().fits(need.id)) {
      const isLate =
        season.nowDay + quickestD(season, input) > need.latestDay &&
        !season.stores.some((store) => store.input === input) &&
        !season.running.some((batch) => batch.input === input);
      if (isLate) return { level: "absolute", mode: "any", reasons: ["too-slow"] };
      return { level: "absolute", ...limitsOf(empty, need) };
    }
    if (finished.of().fits(need.id)) return { level: "competition", mode: "any", reasons: ["more-time"] as Reason[] };
    return { level: "competition", ...limitsOf(finished, need) };
  };
  return season.needs
    .filter(({ id }) => !met.has(id))
    .map((need) => {
      // What is wanted of one input, in one window, on one plot, in one dose stands alike.
      const key = [need.programme, need.planting, need.earliestDay, need.latestDay, need.leastL].join("|");
      let found = known.get(key);
      if (!found) known.set(key, (found = find(need)));
      return { need: need.id, ...found };
    });
}
