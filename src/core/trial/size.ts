import { DomainError } from "../errors";
import { chiSquareQuantile } from "./distributions";
import { leastPairs, pairsFor, pairsPower, signsPower } from "./power";

export interface TrialSizeAsked {
  readonly scale?: "ratio" | "difference" | "ordinal";
  /** True difference that should be seen; of a ratio as a share. */
  readonly difference?: number;
  /** Of scores: chance that a treated unit beats its neighbour. */
  readonly share?: number;
  /** Of differences between the two strips of a pair. */
  readonly spread?: number;
  /** Untreated strips in their order on the ground. */
  readonly uniformity?: readonly number[];
  readonly chance?: number;
  readonly alpha?: number;
  readonly looks?: "several" | "one";
  readonly inputs?: number;
  readonly most?: number;
  readonly stripTimes?: number;
  readonly smith?: number;
}
export type TrialSizeAssumed = "chance" | "alpha" | "looks" | "smith" | "spread-is-a-guess";
export interface TrialSize {
  /** Null where `most` are not enough. */
  readonly pairs: number | null;
  readonly strips: number | null;
  readonly least: number;
  readonly level: number;
  readonly curve: readonly { readonly pairs: number; readonly chance: number }[];
  readonly spread: number | null;
  /** Were the strips that it was taken from alike by luck. */
  readonly spreadIfWorse: number | null;
  readonly pairsIfWorse: number | null;
  readonly source: "given" | "uniformity" | "scores";
  readonly assumed: readonly TrialSizeAssumed[];
}
const USUAL = { chance: 0.8, alpha: 0.05, most: 60, smith: 0.5 } as const;
const LEAST_STRIPS = 4;
/** The curve goes on for so many pairs behind the answer, and at least so far. */
const CURVE = { beyond: 4, least: 20 } as const;

/** Spread of differences of neighbours, out of untreated strips (von Neumann et al. 1941), with how large it may well be instead. */
function fromUniformity(strips: readonly number[], isRatio: boolean): { spread: number; worse: number } {
  if (strips.length < LEAST_STRIPS)
    throw new DomainError("trial-fault", { fault: "too-few-strips", name: String(strips.length) }, "/uniformity");
  const values = strips.map((one, nth) => {
    if (isRatio && one <= 0)
      throw new DomainError("trial-fault", { fault: "nought-in-ratio", name: "" }, `/uniformity/${nth}`);
    return isRatio ? Math.log(one) : one;
  });
  const m = values.length;
  const spread = Math.sqrt(values.slice(1).reduce((sum, one, nth) => sum + (one - values[nth]!) ** 2, 0) / (m - 1));
  const free = (2 * (m - 1) ** 2) / (3 * m - 4);
  return { spread, worse: spread * Math.sqrt(free / chiSquareQuantile(0.2, free)) };
}

/**
 * How many pairs would tell, and how likely: the chance of the exact test under normal differences (scores: of the sign test).
 * @throws {DomainError} `trial-fault` without a difference or a spread
 */
export function sizeTrial(asked: TrialSizeAsked): TrialSize {
  const { chance = USUAL.chance, alpha = USUAL.alpha, looks = "several", inputs = 1, most = USUAL.most } = asked;
  const { stripTimes = 1, smith = USUAL.smith, scale = "difference" } = asked;
  const level = (looks === "one" ? alpha : alpha / 2) / inputs;
  const least = leastPairs(level);
  const fault = (code: "no-difference" | "no-spread", path: string): DomainError =>
    new DomainError("trial-fault", { fault: code, name: "" }, path);
  const assumed: TrialSizeAssumed[] = [
    ...(asked.chance === undefined ? (["chance"] as const) : []),
    ...(asked.alpha === undefined ? (["alpha"] as const) : []),
    ...(asked.looks === undefined ? (["looks"] as const) : []),
    ...(asked.stripTimes !== undefined && asked.smith === undefined ? (["smith"] as const) : []),
    ...(asked.spread === undefined ? [] : (["spread-is-a-guess"] as const)),
  ];
  const sized = (powerOf: (n: number) => number): Pick<TrialSize, "pairs" | "strips" | "curve"> => {
    const pairs = pairsFor(powerOf, chance, most);
    const until = Math.min(most, Math.max(CURVE.least, (pairs ?? most) + CURVE.beyond));
    const curve = Array.from({ length: Math.max(0, until - 3) }, (_, nth) => ({
      pairs: nth + 4,
      chance: powerOf(nth + 4),
    }));
    return { pairs, strips: pairs === null ? null : pairs * (inputs + 1), curve };
  };
  if (scale === "ordinal") {
    const { share } = asked;
    if (share === undefined || share === 0.5) throw fault("no-difference", "/share");
    const known = once((n) => signsPower(n, share, level));
    return {
      ...sized(known),
      ...{ least, level, spread: null, spreadIfWorse: null, pairsIfWorse: null, source: "scores", assumed },
    };
  }
  if (asked.difference === undefined || asked.difference === 0) throw fault("no-difference", "/difference");
  const isRatio = scale === "ratio";
  const difference = isRatio ? Math.log1p(asked.difference) : asked.difference;
  if (!Number.isFinite(difference)) throw fault("no-difference", "/difference");
  const longer = stripTimes ** (-smith / 2);
  const measured = asked.uniformity ? fromUniformity(asked.uniformity, isRatio) : null;
  const base = measured?.spread ?? asked.spread;
  if (base === undefined || !(base > 0)) throw fault("no-spread", asked.uniformity ? "/uniformity" : "/spread");
  const spread = base * longer;
  const powerAt = (of: number) => once((n) => pairsPower(n, Math.abs(difference) / of, level));
  const worse = measured && measured.worse * longer;
  return {
    ...sized(powerAt(spread)),
    ...{ least, level, spread, spreadIfWorse: worse },
    pairsIfWorse: worse === null ? null : pairsFor(powerAt(worse), chance, most),
    source: measured ? "uniformity" : "given",
    assumed,
  };
}
/** Each worked out once: what is drawn takes its time. */
function once(powerOf: (n: number) => number): (n: number) => number {
  const known = new Map<number, number>();
  return (n) => {
    const found = known.get(n) ?? powerOf(n);
    known.set(n, found);
    return found;
  };
}
