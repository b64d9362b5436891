import { DomainError, requirePositive } from "../errors";
import { scaleRecipe, type ScaledLine, type ScaledRecipe, type ScaleRequest } from "./scale";

/** More than this takes two people or a pump. */
export const LIFTABLE_KG = 25;

export interface Portions {
  readonly count: number;
  readonly amountEach: number;
}

/**
 * Equal portions of a weight or of litres that one person may lift, a litre counted as `densityKgPerL` kilograms.
 * @throws {DomainError} `not-positive` (the heaviest)
 */
export function liftablePortions(amount: number, densityKgPerL: number | null, heaviestKg = LIFTABLE_KG): Portions {
  requirePositive("heaviest-lift", heaviestKg, "kg", "/heaviest");
  const kg = densityKgPerL === null ? amount : amount * densityKgPerL;
  const count = Math.max(1, Math.ceil(kg / heaviestKg - 1e-9));
  return { count, amountEach: amount / count };
}

/** Water that a sack of wet solids holds, kg to a kilogram put in; so it comes out heavier than it went in. Judged. */
const SACK_TAKES_UP = 0.6;

/** What the sack or bag weighs when it is lifted out, kg; 0 where the recipe has none. */
export const wetSackKg = (request: Pick<ScaleRequest, "recipe">, lines: readonly ScaledLine[]): number =>
  lines
    .filter((line) =>
      request.recipe.ingredients.some(({ ingredient, bagged }) => bagged && ingredient === line.ingredient),
    )
    .reduce((sum, { amount }) => sum + amount * (1 + SACK_TAKES_UP), 0);

export interface SplitVessel {
  readonly id: string;
  readonly vesselL: number;
  readonly diameterM: number | null;
}

export interface SplitPart {
  readonly id: string;
  readonly scaled: ScaledRecipe;
}

export interface Split {
  readonly parts: readonly SplitPart[];
  /** Of the basis, what found no vessel. */
  readonly left: number;
}

/**
 * Spreads a wanted amount over vessels, the largest first, each no fuller than its fill line.
 * @param wantedBasis in the stock unit of the recipe's basis
 * @throws {DomainError} `not-positive`, and as `scaleRecipe`
 */
export function splitOver(
  request: Omit<ScaleRequest, "vesselL" | "diameterM" | "targetBasis" | "headspaceL">,
  vessels: readonly SplitVessel[],
  wantedBasis: number,
): Split {
  requirePositive("wanted-amount", wantedBasis, "", "/target/value");
  if (vessels.length === 0)
    throw new DomainError("not-positive", { what: "vessel-count", value: 0, unit: "" }, "/vessels");
  let left = wantedBasis;
  const parts: SplitPart[] = [];
  for (const { id, vesselL, diameterM } of [...vessels].sort((a, b) => b.vesselL - a.vesselL)) {
    if (left <= 1e-9) break;
    const full = scaleRecipe({ ...request, vesselL, diameterM });
    const scaled = left >= full.basisAmount ? full : scaleRecipe({ ...request, vesselL, diameterM, targetBasis: left });
    parts.push({ id, scaled });
    left -= scaled.basisAmount;
  }
  return { parts, left: Math.max(0, left) };
}
