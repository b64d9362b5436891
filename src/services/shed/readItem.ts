import "server-only";
import { INGREDIENT_FACTS, type IngredientFacts } from "@/core/book/ingredientFacts";
import { COMPOSITION, type Composition } from "@/core/book/composition";
import { findIngredient, INGREDIENTS, type IngredientId, isWater } from "@/core/book/ingredients";
import { substitutesFor } from "@/core/book/substitutes";
import { listMeasures, type FarmMeasure } from "@/data/farm";
import {
  listLedgerOf,
  type LedgerLine,
  listOwnIngredients,
  type OwnIngredient,
  listLotsOf,
  listSupplyTerms,
  type SupplyTerms,
} from "@/data/shed";
import type { Context } from "../context";
import { itemIdOf } from "./shelf";
import { stateLotsOf, type LotView } from "./lotStates";

export interface ItemView {
  readonly itemId: string;
  readonly ingredientId: IngredientId;
  readonly own: OwnIngredient | null;
  readonly name: string;
  readonly unit: "kg" | "L";
  readonly densityKgPerL: number | null;
  readonly facts: IngredientFacts;
  readonly composition: Composition | null;
  readonly lots: readonly LotView[];
  readonly ledger: readonly (Omit<LedgerLine, "at"> & { readonly atMs: number })[];
  readonly terms: SupplyTerms | null;
  readonly measures: readonly FarmMeasure[];
  readonly standsIn: readonly { readonly name: string; readonly factor: number; readonly changes: string }[];
}

const MOST_LOTS = 200;

/** All about one container of the shelf; null where there is no such ingredient. */
export async function readItem(ctx: Context, itemId: string, today: string): Promise<ItemView | null> {
  const db = ctx.pool;
  const allOwn = await listOwnIngredients(db);
  const ownId = /^own-(\d+)$/.exec(itemId)?.[1];
  const own = ownId === undefined ? null : (allOwn.find(({ id }) => id === Number(ownId)) ?? null);
  const ingredientId = own?.countsAs ?? itemId;
  if (!Object.hasOwn(INGREDIENTS, ingredientId) || isWater(ingredientId)) return null;
  const book = findIngredient(ingredientId);
  const [lots, ledger, terms, measures] = await Promise.all([
    listLotsOf(db, book.id),
    listLedgerOf(db, book.id),
    listSupplyTerms(db),
    listMeasures(db),
  ]);
  const here = lots.filter((lot) => itemIdOf(lot.ingredientId, lot.ownId) === itemId).slice(0, MOST_LOTS);
  const stated = await stateLotsOf(db, book.id, here, today);
  const ids = new Set(here.map(({ id }) => id));
  return {
    itemId,
    ingredientId: book.id,
    own,
    name: own?.name ?? book.name,
    unit: book.stockUnit,
    densityKgPerL: own?.densityKgPerL ?? book.densityKgPerL,
    facts: INGREDIENT_FACTS[book.id],
    composition: COMPOSITION[book.id] ?? null,
    lots: stated,
    ledger: ledger
      .filter(({ lotId }) => ids.has(lotId) || own === null)
      .map(({ at, ...line }) => ({ ...line, atMs: at.getTime() })),
    terms: terms.find((one) => one.itemId === itemId) ?? null,
    measures: measures.filter((measure) => measure.ingredientId === itemId || measure.ingredientId === book.id),
    standsIn: substitutesFor(book.id).map(({ use, factor, changes }) => ({
      name: findIngredient(use).name,
      factor,
      changes,
    })),
  };
}
