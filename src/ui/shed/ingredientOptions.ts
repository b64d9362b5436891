import { INGREDIENT_IDS, INGREDIENTS, findIngredient, type IngredientId, isWater } from "@/core/book/ingredients";
import type { Measurable } from "@/formats/measured";
import type { OwnIngredient } from "@/services/types";

/** What may be put on a shelf: the book's ingredients and the farm's own, by name. */
export interface ItemOption extends Measurable {
  readonly ingredientId: IngredientId;
  readonly ownId: number | null;
  readonly name: string;
}

export const bookOption = (id: IngredientId): ItemOption => {
  const { name, stockUnit, densityKgPerL } = findIngredient(id);
  return { itemId: id, ingredientId: id, ownId: null, name, unit: stockUnit, densityKgPerL };
};

export function itemOptions(own: readonly OwnIngredient[]): ItemOption[] {
  const ours = own
    .filter(({ retired }) => !retired)
    .map((one): ItemOption => {
      const book = bookOption(one.countsAs as IngredientId);
      return {
        ...book,
        itemId: `own-${one.id}`,
        ownId: one.id,
        name: one.name,
        densityKgPerL: one.densityKgPerL ?? book.densityKgPerL,
      };
    });
  return [...INGREDIENT_IDS.filter((id) => !isWater(id)).map(bookOption), ...ours].toSorted((a, b) =>
    a.name.localeCompare(b.name),
  );
}

export const BY_NAME: readonly IngredientId[] = INGREDIENT_IDS.filter((id) => !isWater(id)).toSorted((a, b) =>
  INGREDIENTS[a].name.localeCompare(INGREDIENTS[b].name),
);
