import { findIngredient, type IngredientId } from "../book/ingredients";
import type { StockUnit } from "../book/range";
import type { Recipe } from "../book/recipe";
import { findSubstitute } from "../book/substitutes";
import type { MethodIngredient } from "../book/types";
import { DomainError, requirePositive, requireWithin } from "../errors";
import { conflictIn, type Conflict } from "../safety/together";
import { fits } from "../quantity/fits";
import { capLPerUnit, roomLPerUnit } from "./room";
import { layerAreaM2, vesselShape, type VesselShape } from "./vesselShape";

export interface AmountOf {
  readonly ingredient: IngredientId;
  /** In the unit the shed counts the ingredient in. */
  readonly amount: number;
}

export interface ScaleRequest {
  readonly recipe: Recipe;
  readonly vesselL: number;
  readonly diameterM?: number | null;
  /** Room to leave; the recipe's own share if missing. */
  readonly headspaceL?: number;
  /** Wanted amount of the recipe's basis, in its stock unit. */
  readonly targetBasis?: number;
  /** What is at hand of whatever is scarce. */
  readonly limits?: readonly AmountOf[];
  /** Optional ingredients that the grower wants in. */
  readonly include?: readonly IngredientId[];
  /** How much of what nobody states an amount for. */
  readonly stated?: readonly AmountOf[];
  readonly substitutes?: readonly { readonly instead: IngredientId; readonly use: IngredientId }[];
}

export interface ScaledLine {
  readonly ingredient: IngredientId;
  /** The recipe's own ingredient, whose place a substitute takes. */
  readonly slot: IngredientId;
  readonly amount: number;
  readonly unit: StockUnit;
  readonly role: string;
  /** The layer on top is listed apart from what is mixed in. */
  readonly part: "mix" | "cap";
  readonly low: number;
  readonly high: number;
  /** What it grows with: the batch, the vessel's width, or nothing. */
  readonly follows: "batch" | "width" | "nothing";
  /** Day of the batch on which it goes in; 0 for the start. */
  readonly onDay: number;
  /** The same dose whatever the vessel: mL or g to a litre of liquid (to a kilogram of the basis where there is none). */
  readonly dosePerL: number;
}

/** How far one thing alone would let the batch go. */
export interface Bound {
  readonly by: "vessel" | "target" | IngredientId;
  readonly basisAmount: number;
}

export interface ScaledRecipe {
  readonly lines: readonly ScaledLine[];
  /** Of what the recipe is counted against, in its stock unit. */
  readonly basisAmount: number;
  /** Liquid poured in: water and liquid ingredients, L. 0 where the plant gives the liquid. */
  readonly liquidL: number;
  /** What the fill takes up with the solids in it, L. */
  readonly occupiedL: number;
  /** What the solids and the sack push up, L. */
  readonly solidsL: number;
  readonly fillLineL: number;
  readonly headspaceL: number;
  /** Share of the vessel that is full. */
  readonly fillShare: number;
  readonly limitedBy: "vessel" | IngredientId;
  /** Every limit, the tightest first. */
  readonly bounds: readonly Bound[];
  /** What nobody states an amount for, and was left out. */
  readonly asks: readonly { readonly ingredient: IngredientId; readonly ask: string; readonly unit: StockUnit }[];
  /** What was left out as it must not share a vessel with what goes in. */
  readonly leftOut: Conflict | null;
  /** What went in for something else, and what that changes. */
  readonly swaps: readonly { readonly instead: IngredientId; readonly use: IngredientId; readonly changes: string }[];
}

// Drum sizes that a grower could mean; beyond them a slip of the key is likelier.
export const VESSEL_L = { min: 0.1, max: 20_000 } as const;

/** One ingredient as it enters the sum: `perBasis` grows with the batch, `constant` does not. */
interface Portion {
  readonly source: MethodIngredient;
  readonly ingredient: IngredientId;
  readonly unit: StockUnit;
  readonly part: "mix" | "cap";
  readonly follows: ScaledLine["follows"];
  readonly perBasis: number;
  readonly constant: number;
  /** Lowest and highest seen, as shares of the usual amount. */
  readonly lowShare: number;
  readonly highShare: number;
  readonly roomLPerUnit: number;
}

const spread = ({ low, default: usual, high }: { low: number; default: number; high: number }) =>
  usual === 0 ? { lowShare: 1, highShare: 1 } : { lowShare: low / usual, highShare: high / usual };

function portionOf(source: MethodIngredient, request: ScaleRequest, shape: VesselShape): Portion | null {
  const { amount } = source;
  const swapAt = (request.substitutes ?? []).findIndex(({ instead }) => instead === source.ingredient);
  const swap =
    swapAt < 0
      ? { use: source.ingredient, factor: 1 }
      : findSubstitute(source.ingredient, request.substitutes![swapAt]!.use, `/substitutes/${swapAt}/use`);
  const item = findIngredient(swap.use);
  const common = { source, ingredient: item.id, unit: item.stockUnit };
  const loose =
    swapAt < 0 ? roomLPerUnit(request.recipe, source.ingredient) : item.stockUnit === "L" ? 1 : item.displacementLPerKg;
  const mixed = { ...common, part: "mix" as const, roomLPerUnit: loose };
  switch (amount.type) {
    case "per-basis":
      return {
        ...mixed,
        ...spread(amount.perBasis),
        follows: "batch",
        perBasis: amount.perBasis.default * swap.factor,
        constant: 0,
      };
    case "fixed":
      return {
        ...mixed,
        ...spread(amount.amount),
        follows: "nothing",
        perBasis: 0,
        constant: amount.amount.default * swap.factor,
      };
    case "per-surface": {
      const perM = layerAreaM2(shape) * 1000 * (item.stockUnit === "kg" ? (item.densityKgPerL ?? 1) : 1);
      return {
        ...common,
        ...spread(amount.thicknessM),
        part: "cap",
        follows: "width",
        perBasis: 0,
        constant: amount.thicknessM.default * perM,
        roomLPerUnit: capLPerUnit(item.id),
      };
    }
    case "unknown": {
      const statedAt = (request.stated ?? []).findIndex(({ ingredient }) => ingredient === source.ingredient);
      if (statedAt < 0) return null;
      const stated = request.stated![statedAt]!.amount;
      requirePositive(
        ["ingredient-amount", item.name.toLowerCase()],
        stated,
        item.stockUnit,
        `/stated/${statedAt}/amount`,
      );
      return { ...mixed, follows: "nothing", perBasis: 0, constant: stated * swap.factor, lowShare: 1, highShare: 1 };
    }
  }
}

function fillLine({ recipe, vesselL, headspaceL }: ScaleRequest): number {
  if (headspaceL === undefined) return vesselL * recipe.fillShare.default;
  if (headspaceL < 0)
    throw new DomainError("negative", { what: "headspace", value: headspaceL, unit: "L" }, "/vessel/headspace");
  if (headspaceL >= vesselL) throw new DomainError("no-room", { vesselL, headspaceL }, "/vessel/headspace");
  return vesselL - headspaceL;
}

const sumOf = <T>(items: readonly T[], value: (item: T) => number) => items.reduce((sum, item) => sum + value(item), 0);

function limitBounds({ recipe, limits = [] }: ScaleRequest, portions: readonly Portion[]): Bound[] {
  return limits.map(({ ingredient, amount }, index) => {
    const path = `/limits/${index}`;
    const item = findIngredient(ingredient, `${path}/ingredient`);
    requirePositive(["at-hand", item.name.toLowerCase()], amount, item.stockUnit, `${path}/amount`);
    const wanted = portions.filter((portion) => portion.ingredient === ingredient);
    const perBasis = sumOf(wanted, (portion) => portion.perBasis);
    const constant = sumOf(wanted, (portion) => portion.constant);
    if (perBasis === 0)
      throw new DomainError("ingredient-not-in-method", { ingredient, method: recipe.id }, `${path}/ingredient`);
    if (amount <= constant)
      throw new DomainError(
        "limit-below-fixed",
        { ingredient: item.name.toLowerCase(), amount, fixed: constant, unit: item.stockUnit },
        `${path}/amount`,
      );
    return { basisAmount: (amount - constant) / perBasis, by: ingredient };
  });
}

/** What the grower asked for that the recipe does not have, or has no amount for. */
function requireKnown({ recipe, include = [], stated = [] }: ScaleRequest): void {
  const find = (id: IngredientId) => recipe.ingredients.find(({ ingredient }) => ingredient === id);
  include.forEach((id, index) => {
    const source = find(id);
    if (!source)
      throw new DomainError("ingredient-not-in-method", { ingredient: id, method: recipe.id }, `/include/${index}`);
    if (source.amount.type === "unknown" && !stated.some(({ ingredient }) => ingredient === id))
      throw new DomainError("amount-unstated", { ask: source.amount.ask }, `/include/${index}`);
  });
  stated.forEach(({ ingredient: id }, index) => {
    if (find(id)?.amount.type !== "unknown")
      throw new DomainError(
        "ingredient-not-in-method",
        { ingredient: id, method: recipe.id },
        `/stated/${index}/ingredient`,
      );
  });
}

function lineOf(portion: Portion, basisAmount: number, doseBaseL: number): ScaledLine {
  const amount = portion.perBasis * basisAmount + portion.constant;
  return {
    ingredient: portion.ingredient,
    slot: portion.source.ingredient,
    unit: portion.unit,
    role: portion.source.role,
    part: portion.part,
    follows: portion.follows,
    onDay: portion.source.onDay ?? 0,
    amount,
    low: amount * portion.lowShare,
    high: amount * portion.highShare,
    dosePerL: (amount * 1000) / doseBaseL,
  };
}

/**
 * Scales a recipe to a vessel, to a wanted amount, or to the ingredient that runs out first, whichever is least.
 * Solids push the level up by their own volume, so less liquid goes in; a layer on top follows the vessel's width, a fixed dose
 * nothing; what is added on a later day has its room kept.
 * @throws {DomainError} `out-of-range` (the vessel), `over-brim` (a wanted amount that does not fit), `no-room`, `negative`,
 *   `not-positive`, `ingredient-not-in-method`, `limit-below-fixed`, `amount-unstated`, `no-substitute`, `unknown-ingredient`
 */
export function scaleRecipe(request: ScaleRequest): ScaledRecipe {
  const { recipe, vesselL } = request;
  requireWithin("vessel", vesselL, "L", VESSEL_L.min, VESSEL_L.max, "/vessel/volume");
  requireKnown(request);
  const shape = vesselShape(vesselL, request.diameterM);
  const chosen = recipe.ingredients.filter(
    ({ optional, ingredient }) =>
      !optional ||
      request.include?.includes(ingredient) ||
      request.stated?.some((stated) => stated.ingredient === ingredient),
  );
  // What would harm beside what was asked for is left out.
  const conflict = conflictIn(chosen.map(({ ingredient }) => ingredient));
  const together = chosen.filter(({ ingredient }) => ingredient !== conflict?.leaveOut);
  const portions = together.map((source) => portionOf(source, request, shape)).filter((portion) => portion !== null);

  const fillLineL = fillLine(request);
  const constantRoomL = sumOf(portions, ({ constant, roomLPerUnit: room }) => constant * room);
  const roomPerBasis = sumOf(portions, ({ perBasis, roomLPerUnit: room }) => perBasis * room);
  const vesselBound: Bound = { basisAmount: (fillLineL - constantRoomL) / roomPerBasis, by: "vessel" };
  if (!(vesselBound.basisAmount > 0))
    throw new DomainError("no-room", { vesselL, headspaceL: vesselL - fillLineL }, "/vessel/headspace");

  if (request.targetBasis !== undefined) {
    requirePositive("wanted-amount", request.targetBasis, findIngredient(recipe.basis).stockUnit, "/target/value");
    if (!fits(request.targetBasis * roomPerBasis + constantRoomL, fillLineL))
      throw new DomainError(
        "over-brim",
        { neededL: request.targetBasis * roomPerBasis + constantRoomL, roomL: fillLineL },
        "/target",
      );
  }
  const target: Bound[] = request.targetBasis === undefined ? [] : [{ basisAmount: request.targetBasis, by: "target" }];
  const bounds = [...limitBounds(request, portions), ...target, vesselBound].toSorted(
    (a, b) => a.basisAmount - b.basisAmount,
  );
  const { basisAmount, by } = bounds[0]!;

  const amountOf = ({ perBasis, constant }: Portion) => perBasis * basisAmount + constant;
  const liquidL = sumOf(portions, (portion) => (portion.unit === "L" ? amountOf(portion) : 0));
  const occupiedL = basisAmount * roomPerBasis + constantRoomL;
  return {
    lines: portions.map((portion) =>
      lineOf(portion, basisAmount, findIngredient(recipe.basis).stockUnit === "L" ? liquidL : basisAmount),
    ),
    basisAmount,
    liquidL,
    occupiedL,
    solidsL: sumOf(portions, (portion) => (portion.unit === "kg" ? amountOf(portion) * portion.roomLPerUnit : 0)),
    fillLineL,
    headspaceL: vesselL - occupiedL,
    fillShare: occupiedL / vesselL,
    limitedBy: by === "target" ? "vessel" : by,
    bounds,
    leftOut: conflict,
    asks: recipe.ingredients.flatMap(({ ingredient, amount }) =>
      amount.type === "unknown" && !portions.some(({ source }) => source.ingredient === ingredient)
        ? [{ ingredient, ask: amount.ask, unit: amount.unit }]
        : [],
    ),
    swaps: portions.flatMap(({ source, ingredient }) =>
      source.ingredient === ingredient
        ? []
        : [
            {
              instead: source.ingredient,
              use: ingredient,
              changes: findSubstitute(source.ingredient, ingredient, "/substitutes").changes,
            },
          ],
    ),
  };
}
