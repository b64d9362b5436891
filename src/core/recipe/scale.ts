import { DomainError, requirePositive, requireWithin } from "../errors";
import { findIngredient, type IngredientId } from "../book/ingredients";
import type { Method, MethodIngredient, School } from "../book/types";
import type { StockUnit } from "../book/range";
import { layerAreaM2, vesselShape, type VesselShape } from "./vesselShape";

export interface ScaleLimit {
  readonly ingredient: IngredientId;
  /** What is at hand, in the unit the shed counts the ingredient in. */
  readonly amount: number;
}

export interface ScaleRequest {
  readonly method: Method;
  readonly school: School;
  readonly vesselL: number;
  readonly diameterM?: number | null;
  /** Room to leave; the method's own share if missing. */
  readonly headspaceL?: number;
  /** Wanted basis: litres of water, or kilograms of plant where the plant is what amounts are counted against. */
  readonly targetBasis?: number;
  readonly limits?: readonly ScaleLimit[];
  /** Optional ingredients that the grower wants in. */
  readonly include?: readonly IngredientId[];
  readonly substitutes?: readonly { readonly instead: IngredientId; readonly use: IngredientId }[];
}

export interface ScaledLine {
  readonly ingredient: IngredientId;
  readonly amount: number;
  readonly unit: StockUnit;
  readonly role: string;
  /** The layer on top is listed apart from what is mixed in. */
  readonly part: "mix" | "cap";
  readonly low: number;
  readonly high: number;
}

export interface ScaledRecipe {
  readonly lines: readonly ScaledLine[];
  /** Litres of water, or kilograms of plant. */
  readonly basisAmount: number;
  /** Liquid poured in: water and liquid ingredients, L. 0 where the plant gives the liquid. */
  readonly liquidL: number;
  /** What the fill takes up with the solids in it, L. */
  readonly occupiedL: number;
  readonly fillLineL: number;
  readonly headspaceL: number;
  /** Share of the vessel that is full. */
  readonly fillShare: number;
  readonly limitedBy: "vessel" | IngredientId;
}

// Drum sizes that a grower could mean; beyond them a slip of the key is likelier.
export const VESSEL_L = { min: 0.1, max: 20_000 } as const;

/** Plant coated with sugar packs to about 0.45 kg/L under the hand; sugar runs into the gaps. */
const PACKED_PLANT_L_PER_KG = 2.2;

interface Portion {
  readonly source: MethodIngredient;
  readonly ingredient: IngredientId;
  readonly perBasis: { low: number; default: number; high: number };
  readonly unit: StockUnit;
}

function substituteFactor(from: IngredientId, to: IngredientId, path: string): number {
  const old = findIngredient(from, path);
  const standIn = findIngredient(to, path);
  if (from === to) return 1;
  if (old.sugarShare === 0 || standIn.sugarShare === 0)
    throw new DomainError("no-substitute", { ingredient: from, substitute: to }, path);
  const sugarPerUnit = (item: typeof old) => item.sugarShare * (item.stockUnit === "L" ? item.densityKgPerL! : 1);
  return sugarPerUnit(old) / sugarPerUnit(standIn);
}

function portionOf(source: MethodIngredient, request: ScaleRequest): Portion | null {
  if (source.amount.type !== "per-basis") return null;
  const substitutes = request.substitutes ?? [];
  const index = substitutes.findIndex(({ instead }) => instead === source.ingredient);
  const ingredient = index < 0 ? source.ingredient : substitutes[index]!.use;
  const factor = index < 0 ? 1 : substituteFactor(source.ingredient, ingredient, `/substitutes/${index}/use`);
  const { low, default: usual, high } = source.amount.perBasis;
  const unit = findIngredient(ingredient).stockUnit;
  return { source, ingredient, unit, perBasis: { low: low * factor, default: usual * factor, high: high * factor } };
}

/** Litres that one unit of an ingredient takes up in this method's vessel. */
function roomPerUnit(method: Method, ingredient: IngredientId): number {
  const item = findIngredient(ingredient);
  if (method.basis === "plant" && ingredient === "plant") return PACKED_PLANT_L_PER_KG;
  return item.stockUnit === "L" ? 1 : item.displacementLPerKg;
}

/** The sugar cap: a layer over the vessel's width, kg. */
function capLines(request: ScaleRequest, shape: VesselShape): ScaledLine[] {
  return request.school.ingredients.flatMap((source): ScaledLine[] => {
    if (source.amount.type !== "per-surface") return [];
    const item = findIngredient(source.ingredient);
    const kgPerM = layerAreaM2(shape) * 1000 * (item.densityKgPerL ?? 1);
    const { low, default: usual, high } = source.amount.thicknessM;
    return [
      {
        ingredient: source.ingredient,
        amount: usual * kgPerM,
        unit: "kg",
        role: source.role,
        part: "cap",
        low: low * kgPerM,
        high: high * kgPerM,
      },
    ];
  });
}

function fillLine(request: ScaleRequest): number {
  if (request.headspaceL === undefined) return request.vesselL * request.method.fillShare.default;
  if (request.headspaceL < 0)
    throw new DomainError("negative", { what: "Headspace", value: request.headspaceL, unit: "L" }, "/vessel/headspace");
  if (request.headspaceL >= request.vesselL)
    throw new DomainError("no-room", { vesselL: request.vesselL, headspaceL: request.headspaceL }, "/vessel/headspace");
  return request.vesselL - request.headspaceL;
}

interface Bound {
  readonly basis: number;
  readonly by: "vessel" | IngredientId;
}

function limitBounds(request: ScaleRequest, portions: readonly Portion[], caps: readonly ScaledLine[]): Bound[] {
  return (request.limits ?? []).map(({ ingredient, amount }, index) => {
    const path = `/limits/${index}`;
    requirePositive(
      `The ${findIngredient(ingredient, `${path}/ingredient`).name.toLowerCase()} at hand`,
      amount,
      findIngredient(ingredient).stockUnit,
      `${path}/amount`,
    );
    const perBasis = portions
      .filter((portion) => portion.ingredient === ingredient)
      .reduce((sum, portion) => sum + portion.perBasis.default, 0);
    const fixed = caps.filter((line) => line.ingredient === ingredient).reduce((sum, line) => sum + line.amount, 0);
    if (perBasis === 0)
      throw new DomainError(
        "ingredient-not-in-method",
        { ingredient, method: request.method.id },
        `${path}/ingredient`,
      );
    if (amount <= fixed)
      throw new DomainError(
        "out-of-range",
        { what: "What is at hand, after the cap,", value: amount - fixed, unit: "kg", min: 0.001, max: 1e6 },
        `${path}/amount`,
      );
    return { basis: (amount - fixed) / perBasis, by: ingredient };
  });
}

/**
 * Scales a school's recipe to a vessel, to a wanted amount, or to the ingredient that runs out first, whichever is least.
 * Solids push the level up by their own volume, so less water goes in; a sugar cap follows the vessel's width, not the batch.
 * @throws {DomainError} `out-of-range` (the vessel), `over-brim` (a wanted amount that does not fit), `no-room`, `negative`,
 *   `not-positive`, `ingredient-not-in-method`, `no-substitute`, `unknown-ingredient`
 */
export function scaleRecipe(request: ScaleRequest): ScaledRecipe {
  const { method, school, vesselL } = request;
  requireWithin("The vessel", vesselL, "L", VESSEL_L.min, VESSEL_L.max, "/vessel/volume");
  const shape = vesselShape(vesselL, request.diameterM);
  const chosen = school.ingredients.filter(
    (source) => !source.optional || request.include?.includes(source.ingredient),
  );
  const portions = chosen.map((source) => portionOf(source, request)).filter((portion) => portion !== null);
  const caps = capLines(request, shape);

  const fillLineL = fillLine(request);
  const capRoomL = caps.reduce(
    (sum, line) => sum + line.amount / (findIngredient(line.ingredient).densityKgPerL ?? 1),
    0,
  );
  const roomPerBasis = portions.reduce(
    (sum, portion) => sum + portion.perBasis.default * roomPerUnit(method, portion.ingredient),
    0,
  );
  const vesselBound: Bound = { basis: (fillLineL - capRoomL) / roomPerBasis, by: "vessel" };
  if (!(vesselBound.basis > 0))
    throw new DomainError("no-room", { vesselL, headspaceL: vesselL - fillLineL }, "/vessel/headspace");

  if (request.targetBasis !== undefined) {
    requirePositive("The wanted amount", request.targetBasis, method.basis === "water" ? "L" : "kg", "/target/value");
    if (request.targetBasis > vesselBound.basis * (1 + 1e-9)) {
      throw new DomainError(
        "over-brim",
        { neededL: request.targetBasis * roomPerBasis + capRoomL, roomL: fillLineL },
        "/target",
      );
    }
  }
  const bounds = [
    { basis: request.targetBasis ?? vesselBound.basis, by: "vessel" as const },
    ...limitBounds(request, portions, caps),
  ];
  const least = bounds.reduce((smallest, bound) => (bound.basis < smallest.basis ? bound : smallest));

  const mixLines = portions.map(({ ingredient, unit, perBasis, source }): ScaledLine => ({
    ingredient,
    unit,
    role: source.role,
    part: "mix",
    amount: perBasis.default * least.basis,
    low: perBasis.low * least.basis,
    high: perBasis.high * least.basis,
  }));
  const occupiedL = least.basis * roomPerBasis + capRoomL;
  return {
    lines: [...mixLines, ...caps],
    basisAmount: least.basis,
    liquidL: mixLines.reduce((sum, line) => sum + (line.unit === "L" ? line.amount : 0), 0),
    occupiedL,
    fillLineL,
    headspaceL: vesselL - occupiedL,
    fillShare: occupiedL / vesselL,
    limitedBy: least.by,
  };
}

/**
 * Litres that amounts really put in take up, for checking a fill that was changed by hand.
 * @throws {DomainError} `unknown-ingredient`
 */
export function occupiedLitres(
  method: Method,
  lines: readonly { ingredient: IngredientId; amount: number; part: "mix" | "cap" }[],
): number {
  return lines.reduce((sum, line) => {
    const perUnit =
      line.part === "cap"
        ? 1 / (findIngredient(line.ingredient).densityKgPerL ?? 1)
        : roomPerUnit(method, line.ingredient);
    return sum + line.amount * perUnit;
  }, 0);
}
