import { betOn } from "./bets";
import { shareInterval } from "./distributions";
import { Looking, spentBy } from "./looks";
import { ordinalTails, rankedBlocks, shareWon } from "./ordinal";
import { arrangementsOf, placementsOf, swapInterval, tails, type Placements } from "./placements";
import { leastPairs, pairsFor, pairsForBets, pairsPower } from "./power";
import { prepare, type Block } from "./prepare";
import { walshRank } from "./rank";
import { seasonsTogether } from "./seasons";
import { DomainError } from "../errors";
import {
  MEASURES,
  type ArmAnswer,
  type Confounder,
  type Scale,
  type Trial,
  type TrialAnswer,
  type TrialAssumed,
  type TrialReason,
} from "./terms";
import { seenBy, smallBand, verdictOf } from "./verdict";

const USUAL_ALPHA = 0.05;
/** What matters where nobody said: a tenth; of scores, two comparisons in ten off even. A difference has a unit that only the farm knows. */
const USUAL_SMALLEST: Readonly<Record<Scale, number | undefined>> = { ratio: 0.1, difference: undefined, ordinal: 0.2 };
/** More pairs than a farm can lay out. */
const MOST_PAIRS = 200;
const USUAL_CHANCE = 0.8;
/** Applications before which nothing is judged. */
const LEAST_APPLICATIONS = 2;

interface Asked {
  readonly trial: Trial;
  readonly scale: Scale;
  readonly isPairs: boolean;
  readonly alpha: number;
  /** Of an arm, at this look: of all arms, shared among them. */
  readonly level: number;
  readonly earlier: readonly number[];
}
interface Figures {
  readonly estimate: number;
  readonly interval: { readonly low: number; readonly high: number; readonly level: number | null } | null;
  readonly p: number;
  readonly pLow: number;
  readonly pHigh: number;
  readonly levelNow: number;
  readonly method: ArmAnswer["method"];
  readonly arrangements: number;
  readonly eValue: number | null;
}
const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
const differencesOf = (blocks: readonly Block[]): number[] =>
  blocks.map(({ treated, control }) => mean(treated) - mean(control));
function spreadOfList(values: readonly number[]): number | null {
  if (values.length < 2) return null;
  const centre = mean(values);
  return Math.sqrt(values.reduce((sum, one) => sum + (one - centre) ** 2, 0) / (values.length - 1));
}
/** Weighted mean difference of blocks: by m·n/(m + n). */
function estimateOf(blocks: readonly Block[]): number {
  let [sum, weights] = [0, 0];
  for (const { treated, control } of blocks) {
    const weight = (treated.length * control.length) / (treated.length + control.length);
    sum += weight * (mean(treated) - mean(control));
    weights += weight;
  }
  return sum / weights;
}

/** p of a tail as it was counted, with how sure a drawn one is (99 %, Clopper & Pearson 1934). */
function pOf({ count, isDrawn }: Placements, { upper, lower }: { upper: number; lower: number }) {
  const smaller = Math.min(upper, lower);
  const p = Math.min(1, (2 * smaller) / count);
  if (!isDrawn) return { p, pLow: p, pHigh: p };
  const { low, high } = shareInterval(smaller, count, 0.01);
  return { p, pLow: Math.min(1, 2 * low), pHigh: Math.min(1, 2 * high) };
}

function numeric(blocks: readonly Block[], { trial, level, alpha, earlier }: Asked, arms: number): Figures {
  const { whole, parts } = placementsOf(blocks, earlier, trial.seed ?? 1);
  const shared = { estimate: estimateOf(blocks), ...pOf(whole, tails(whole)), eValue: null };
  const method = whole.isDrawn ? "drawn" : "exact";
  if (earlier.length === 0) {
    const interval = swapInterval(whole, level);
    return { ...shared, interval, levelNow: level, method, arrangements: whole.arrangements };
  }
  const looking = new Looking([...parts, whole], alpha / arms);
  const interval = looking.interval(shared.estimate, spreadOfList(differencesOf(blocks)) ?? 1);
  return {
    ...shared,
    interval: interval && { ...interval, level: 1 - level },
    levelNow: looking.levelNow(),
    method,
    arrangements: whole.arrangements,
  };
}

function ordinal(blocks: readonly Block[], { trial, isPairs, level, alpha, earlier }: Asked, arms: number): Figures {
  const { won, of } = shareWon(blocks, isPairs);
  const { upper, lower } = ordinalTails(blocks);
  const p = Math.min(1, 2 * Math.min(upper, lower));
  let levelNow = level;
  if (earlier.length > 0) {
    const { whole, parts } = placementsOf(rankedBlocks(blocks), earlier, trial.seed ?? 1);
    levelNow = new Looking([...parts, whole], alpha / arms).levelNow();
  }
  const interval =
    isPairs && of > 0 && levelNow > 0 ? { ...shareInterval(won, of, levelNow), level: 1 - levelNow } : null;
  return {
    ...{ estimate: of === 0 ? 0.5 : won / of, interval, p, pLow: p, pHigh: p },
    ...{ levelNow, method: "exact", arrangements: arrangementsOf(blocks), eValue: null },
  };
}

function bets(blocks: readonly Block[], { alpha }: Asked): Figures {
  const { eValue, estimate, low, high, p } = betOn(differencesOf(blocks), alpha);
  return {
    ...{ estimate, interval: low === null || high === null ? null : { low, high, level: 1 - alpha } },
    ...{ p, pLow: p, pHigh: p, levelNow: alpha, method: "bets", arrangements: arrangementsOf(blocks), eValue },
  };
}

/** Pairs that would tell: at which a difference that matters would be seen four times in five. */
function moreOf(blocks: readonly Block[], asked: Asked, spread: number | null, arms: number): ArmAnswer["more"] {
  const { trial, scale, isPairs, alpha } = asked;
  const { smallest } = trial.measure;
  if (!isPairs || scale === "ordinal" || smallest === undefined || !spread) return null;
  const shift = (scale === "ratio" ? Math.log(1 + smallest) : smallest) / spread;
  const isOnce = trial.looks === "one";
  const wanted =
    trial.looks === "any"
      ? pairsForBets(shift, alpha, MOST_PAIRS)
      : pairsFor((n) => pairsPower(n, shift, (isOnce ? alpha : alpha / 2) / arms), USUAL_CHANCE, MOST_PAIRS);
  const pairs = wanted === null ? null : Math.max(1, isOnce ? wanted : wanted - blocks.length);
  return { pairs, strips: pairs === null ? null : 2 * pairs, fresh: isOnce };
}

interface Judged {
  readonly arm: string;
  readonly blocks: readonly Block[];
  readonly figures: Figures;
}
/** Which of several inputs are seen: the clearest at a share of the level, the next at a larger one, until the first that fails (Holm 1979). */
function stepDown(all: readonly Judged[]): Map<string, number> {
  const order = all.toSorted((one, other) => one.figures.p - other.figures.p);
  const adjusted = new Map<string, number>();
  let least = 0;
  for (const [nth, { arm, figures }] of order.entries()) {
    least = Math.min(1, Math.max(least, figures.p * (order.length - nth)));
    adjusted.set(arm, least);
  }
  return adjusted;
}

function confoundersOf({ confounders = [], applications, asked }: Trial): Confounder[] {
  const own = [...new Set(confounders)];
  const isFewer = applications !== undefined && asked !== undefined && applications < asked;
  return isFewer && applications >= LEAST_APPLICATIONS && !own.includes("fewer-repeats-than-asked")
    ? [...own, "fewer-repeats-than-asked"]
    : own;
}
function withheldBy({ applications, reading, looks }: Trial): TrialReason[] {
  return [
    ...(applications !== undefined && applications < LEAST_APPLICATIONS ? (["single-application"] as const) : []),
    ...(reading === "early" && looks !== "any" ? (["before-deciding-reading"] as const) : []),
  ];
}

function answerOf({ arm, blocks, figures }: Judged, adjustedP: number, asked: Asked, arms: number): ArmAnswer {
  const { trial, scale, isPairs, level } = asked;
  const better = trial.measure.better ?? MEASURES[trial.measure.kind].better;
  const { estimate, interval, p, pLow, pHigh, levelNow, method, arrangements, eValue } = figures;
  const centre = scale === "ordinal" ? 0.5 : 0;
  const isSeen = isSeenBy(figures, adjustedP, asked, arms);
  const band = smallBand(scale, trial.measure.smallest ?? USUAL_SMALLEST[scale]);
  const seen = seenBy(interval, isSeen, estimate > centre, band);
  const confounders = confoundersOf(trial);
  const withheld = withheldBy(trial);
  const differences = isPairs && scale !== "ordinal" ? differencesOf(blocks) : null;
  const spread = differences && spreadOfList(differences);
  const least = leastPairs(level);
  const isTooFew = method !== "bets" && 2 / arrangements > level + 1e-12;
  const isThere = interval !== null && (interval.low > centre || interval.high < centre);
  const shown = (value: number): number => (scale === "ratio" ? Math.expm1(value) : value);
  const rank = differences && method !== "bets" ? walshRank(differences, level) : null;
  return {
    arm,
    blocks: blocks.length,
    units: {
      with: blocks.reduce((sum, { treated }) => sum + treated.length, 0),
      without: blocks.reduce((sum, { control }) => sum + control.length, 0),
    },
    estimate: shown(estimate),
    low: interval && shown(interval.low),
    high: interval && shown(interval.high),
    level: interval?.level ?? null,
    ...{ p, pLow, pHigh, adjustedP, levelNow, method, arrangements, least, spread, eValue },
    rank: rank && { ...rank, estimate: shown(rank.estimate), low: shown(rank.low), high: shown(rank.high) },
    seasons: seasonsShown(differences ? seasonsTogether(blocks, asked.alpha) : null, shown),
    seen,
    verdict: verdictOf(seen, better, confounders, withheld),
    reasons: [
      ...withheld,
      ...(isTooFew ? (["too-few-to-tell-at-all"] as const) : []),
      ...(seen === "no-large" && isThere ? (["small-but-there"] as const) : []),
      ...confounders,
    ],
    more: seen === "unclear" ? moreOf(blocks, asked, spread, arms) : null,
  };
}
/** Seen at this look's level: by the step-down where it is the first look, else by what was spent. */
function isSeenBy({ interval, p, levelNow, eValue }: Figures, adjustedP: number, asked: Asked, arms: number): boolean {
  const { scale, level, alpha, earlier } = asked;
  if (eValue !== null) return eValue >= 1 / alpha;
  if (earlier.length === 0) return adjustedP <= level * arms + 1e-12;
  return scale === "ordinal" ? p <= levelNow + 1e-12 : interval !== null && (interval.low > 0 || interval.high < 0);
}
function seasonsShown(seasons: ArmAnswer["seasons"], shown: (value: number) => number): ArmAnswer["seasons"] {
  if (!seasons) return null;
  const orNull = (value: number | null): number | null => (value === null ? null : shown(value));
  return {
    ...seasons,
    estimate: shown(seasons.estimate),
    low: orNull(seasons.low),
    high: orNull(seasons.high),
    predictLow: orNull(seasons.predictLow),
    predictHigh: orNull(seasons.predictHigh),
    parts: seasons.parts.map((part) => ({ ...part, estimate: shown(part.estimate) })),
  };
}

function earlierLooks(trial: Trial, blocks: number): readonly number[] {
  const { looks } = trial;
  if (looks === undefined || looks === "one" || looks === "any") return [];
  for (const [nth, count] of looks.earlier.entries())
    if (count >= blocks || count <= (looks.earlier[nth - 1] ?? 0))
      throw new DomainError("trial-fault", { fault: "looks-grow", name: String(count) }, `/looks/earlier/${nth}`);
  return looks.earlier;
}

/**
 * What a trial shows, and what may be said of it: decided by what could have been drawn. All placements that the draw might have given are gone through, and the one that
 * was given is ranked among them (Fisher 1935; Pitman 1937).
 * @throws {DomainError} `trial-fault` for what no analysis can be made of
 */
export function analyseTrial(trial: Trial): TrialAnswer {
  const { scale, arms, left } = prepare(trial);
  const isPairs = [...arms.values()].every((blocks) =>
    blocks.every(({ treated, control }) => treated.length === 1 && control.length === 1),
  );
  if (trial.looks === "any" && (!isPairs || arms.size > 1))
    throw new DomainError("trial-fault", { fault: "any-time-only-pairs", name: "" }, "/looks");
  const alpha = trial.alpha ?? USUAL_ALPHA;
  const judged: Judged[] = [];
  let look = 1;
  let level = alpha;
  for (const [arm, blocks] of arms) {
    if (blocks.length === 0) throw new DomainError("trial-fault", { fault: "nothing-read", name: arm }, "");
    const earlier = earlierLooks(trial, blocks.length);
    look = earlier.length + 1;
    level = typeof trial.looks === "string" ? alpha : spentBy(alpha, look);
    const asked: Asked = { trial, scale, isPairs, alpha, level: level / arms.size, earlier };
    const figures =
      trial.looks === "any"
        ? bets(blocks, asked)
        : scale === "ordinal"
          ? ordinal(blocks, asked, arms.size)
          : numeric(blocks, asked, arms.size);
    judged.push({ arm, blocks, figures });
  }
  const adjusted = stepDown(judged);
  const assumed: TrialAssumed[] = [
    ...(trial.applications === undefined ? (["applications-not-said"] as const) : []),
    ...(trial.looks === undefined ? (["looks-several"] as const) : []),
    ...(trial.measure.smallest === undefined ? (["smallest-not-said"] as const) : []),
  ];
  return {
    scale,
    better: trial.measure.better ?? MEASURES[trial.measure.kind].better,
    ...{ look, level, left, assumed },
    arms: judged.map((one) => {
      const asked: Asked = {
        ...{ trial, scale, isPairs, alpha, level: level / arms.size },
        earlier: earlierLooks(trial, one.blocks.length),
      };
      return answerOf(one, adjusted.get(one.arm)!, asked, arms.size);
    }),
  };
}
