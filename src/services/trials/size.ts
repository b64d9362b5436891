import "server-only";
import { sizeTrial, type TrialSize } from "@/core/trial";
import { keepingNewest } from "../kept";

export interface SizeAsked {
  readonly scale: "ratio" | "difference" | "ordinal";
  /** Difference that should be seen; of a ratio as a share, of scores the share of comparisons won. */
  readonly difference: number;
  /** Between two strips of a pair; as a share of a ratio; nothing of scores. */
  readonly spread: number;
  readonly looks: "several" | "one" | "any";
  readonly inputs: number;
  /** Pairs that are laid out. */
  readonly pairs: number;
}
export interface SizeView {
  /** Pairs that would tell four times in five; null above what is looked at. */
  readonly pairs: number | null;
  /** Fewest pairs that could ever tell. */
  readonly least: number;
  /** Chance that those laid out would tell. */
  readonly chance: number;
  readonly curve: TrialSize["curve"];
}
const kept = keepingNewest<SizeView>("trial-sizes", 100);
/** Pairs up to which the question is asked. */
const MOST = 60;

/** How many pairs would tell a difference of this size, and how likely those that are laid out would. */
export function readTrialSize(asked: SizeAsked): SizeView {
  const slot = JSON.stringify(asked);
  const known = kept.get(slot, "");
  if (known) return known;
  const { scale, difference, spread, looks, inputs, pairs } = asked;
  const size = sizeTrial({
    scale,
    ...(scale === "ordinal" ? { share: 0.5 + difference } : { difference, spread }),
    // What may be looked at any time is at least as slow as what is looked at several times.
    looks: looks === "one" ? "one" : "several",
    ...{ inputs, most: MOST },
  });
  const chance = size.curve.findLast((one) => one.pairs <= pairs)?.chance ?? 0;
  return kept.set(slot, "", { pairs: size.pairs, least: size.least, chance, curve: size.curve });
}
