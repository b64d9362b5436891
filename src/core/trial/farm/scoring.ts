import { chanceFrom } from "../../chance";
import { shareInterval } from "../distributions";

/** One unit in so many comes up twice, and at least so many. */
const AGAIN = { oneIn: 8, least: 2 } as const;
/** Below this share of pairs of scores within a step of each other the card is hard to read. */
const AGREED_LEAST = 0.8;

export interface ScoringTurn {
  readonly code: string;
  /** It has come up before in this scoring. */
  readonly isAgain: boolean;
}

/**
 * The order in which somebody meets the codes: drawn, with some of them coming up once more, never at once.
 * @param seed of this scoring alone
 */
export function scoringOrder(codes: readonly string[], seed: number): ScoringTurn[] {
  const chance = chanceFrom(seed);
  const order = [...codes];
  for (let at = order.length - 1; at > 0; at -= 1) {
    const other = Math.floor(chance.uniform() * (at + 1));
    [order[at], order[other]] = [order[other]!, order[at]!];
  }
  const twice = order.slice(0, Math.min(order.length, Math.max(AGAIN.least, Math.ceil(order.length / AGAIN.oneIn))));
  // Those that are met first come again at the end: what was said of them lies farthest back.
  return [
    ...order.map((code) => ({ code, isAgain: false })),
    ...(order.length > AGAIN.least ? twice.map((code) => ({ code, isAgain: true })) : []),
  ];
}

/** How alike somebody scored what came up twice: share within a step, and whether that is too few. Null where nothing did. */
export function agreement(
  pairs: readonly { readonly first: number; readonly again: number }[],
): { readonly within: number; readonly of: number; readonly isHard: boolean } | null {
  if (pairs.length === 0) return null;
  const within = pairs.filter(({ first, again }) => Math.abs(first - again) <= 1).length;
  return { within, of: pairs.length, isHard: within / pairs.length < AGREED_LEAST };
}

/** Whether who scored knew which was which: the exact lower bound (95 %, Clopper & Pearson 1934) of right guesses lies above a half. */
export function guessedRight(right: number, wrong: number): boolean {
  return right + wrong > 0 && shareInterval(right, right + wrong, 0.1).low > 0.5;
}
