import type { Chance } from "@/core/chance";

/** How greedily a cover goes about it; drawn anew each round, so that no one habit of it decides. */
export interface Parameters {
  /** Share by which a candidate's rank is shaken. */
  readonly noise: number;
  /** Days that a heavier need comes before its due day, for each doubling of its weight. */
  readonly bonusD: number;
  readonly jitterD: number;
  /** Litres to this power divide the price: under 1, small batches look better than they are by the litre. */
  readonly alpha: number;
  /** Price of a litre of vessel for a day, and of a can of litres for a day. */
  readonly scarcity: number;
  readonly standing: number;
  /** Start days looked at for each anchor, and anchors' candidates tried. */
  readonly starts: number;
  readonly tries: number;
  /** Input whose needs get their weakest dose first; -1 for none. */
  readonly weakest: number;
}
export function drawParameters(chance: Chance, weakest: number): Parameters {
  const { uniform } = chance;
  const noise = uniform() < 0.25 ? 0 : 0.6 * uniform();
  const r = uniform();
  return {
    noise,
    bonusD: uniform() < 0.5 ? 1 : 6 * uniform(),
    jitterD: uniform() < 0.5 ? 0 : 4 * uniform(),
    alpha: 0.75 + 0.25 * uniform(),
    scarcity: 0.0005 + 0.003 * r * r,
    standing: uniform() < 0.5 ? 0.01 * uniform() : 0.1 * uniform() ** 2,
    starts: 8 + Math.floor(9 * uniform()),
    tries: 6,
    weakest,
  };
}
/** For what is tried last, and for reasons: nothing is left to chance, and much is looked at. */
export const PATIENT: Parameters = {
  noise: 0,
  bonusD: 1,
  jitterD: 0,
  alpha: 1,
  scarcity: 0,
  standing: 0,
  starts: 60,
  tries: 30,
  weakest: -1,
};
