import type { Recipe } from "../book/recipe";
import { findUse, type UseId } from "../book/uses";
import { DomainError, requirePositive } from "../errors";
import { findUseRate } from "../book/useRate";

/** More rounds than this nobody brews ahead for. */
const MOST_ROUNDS = 12;

/** What a piece of land wants of an input. */
export interface ForLand {
  /** How often the whole land gets it out of one batch. */
  readonly rounds: number;
  /** How often it could, before the batch is over. */
  readonly roundsInTime: number;
  readonly everyD: number | null;
  readonly partsWater: number;
  /** Of the thinned mix, over all rounds, and in one of them, L. */
  readonly mixL: number;
  readonly mixEachL: number;
  readonly concentrateL: number;
  /** Of what the recipe is counted against, so that the batch gives that much. */
  readonly basisAmount: number;
}

/** How often a finished batch can go out before it is over, at the interval of its use; once where none is stated or it does not keep. */
function roundsWithin({ keeping }: Recipe, everyD: number | null): number {
  if (keeping.living || everyD === null || everyD <= 0) return 1;
  return Math.min(MOST_ROUNDS, Math.floor(keeping.shelfH / 24 / everyD) + 1);
}

/**
 * The batch that serves a piece of land at a use's usual rate, once or until the batch is over.
 * @param areaM2 land, m²
 * @param often once, or as often as it keeps
 * @throws {DomainError} `not-positive` at /area; `unknown-use` where the recipe has no such use, or that use no rate by area
 */
export function batchForLand(recipe: Recipe, useId: UseId, areaM2: number, often: "once" | "in-time"): ForLand {
  requirePositive("land-area", areaM2, "m²", "/area");
  const rate = findUseRate(recipe, useId);
  const mixLPerM2 = findUse(useId).mixLPerM2?.default;
  if (!rate || mixLPerM2 === undefined) throw new DomainError("unknown-use", { id: useId }, "/use");
  const roundsInTime = roundsWithin(recipe, rate.everyD);
  const rounds = often === "once" ? 1 : roundsInTime;
  const mixEachL = areaM2 * mixLPerM2;
  const concentrateL = (rounds * mixEachL) / (1 + rate.partsWater.default);
  return {
    rounds,
    roundsInTime,
    everyD: rate.everyD,
    partsWater: rate.partsWater.default,
    mixL: rounds * mixEachL,
    mixEachL,
    concentrateL,
    basisAmount: concentrateL / recipe.yieldPerBasis.default,
  };
}
