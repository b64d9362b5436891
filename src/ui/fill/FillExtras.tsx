"use client";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { substitutesFor } from "@/core/book/substitutes";
import { measurableOf } from "@/formats/measured";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import type { ShelfItem } from "@/services/shed";
import { SelectField, TickField } from "../kit/fields";
import { AmountField } from "../measures/AmountField";
import type { Fill } from "./useFill";
import { inText } from "@/formats/grammar";

interface FillExtrasProps {
  readonly fill: Fill;
  readonly shelf: readonly ShelfItem[];
  readonly units: UnitSystem;
}

const heldOf = (shelf: readonly ShelfItem[], id: IngredientId): number =>
  shelf.find((item) => item.ingredientId === id)?.onHand ?? 0;

/** What may stand in for what is missing. */
const StandIns = ({ fill, shelf, units }: FillExtrasProps) => {
  const { state, recipe, set } = fill;
  const swappable = recipe.ingredients.filter(
    ({ ingredient, optional: may }, index, all) =>
      !may &&
      ingredient !== recipe.basis &&
      all.findIndex((line) => line.ingredient === ingredient) === index &&
      substitutesFor(ingredient).length > 0,
  );
  const swap = (instead: IngredientId, use: string) => {
    const others = Object.fromEntries(Object.entries(state.swaps).filter(([from]) => from !== instead));
    set({ swaps: use === "" ? others : { ...others, [instead]: use as IngredientId } });
  };
  return swappable.length > 0 ? (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">Substitutes</summary>
      <div className="grid gap-3 pt-1 sm:grid-cols-2">
        {swappable.map(({ ingredient }) => {
          const options = substitutesFor(ingredient);
          const used = options.find(({ use }) => use === state.swaps[ingredient]);
          return (
            <SelectField
              key={ingredient}
              label={`Instead of ${inText(findIngredient(ingredient).name)}`}
              value={state.swaps[ingredient] ?? ""}
              hint={used?.changes}
              onChange={(event) => swap(ingredient, event.target.value)}
            >
              <option value="">none, as in the recipe</option>
              {options.map(({ use }) => (
                <option key={use} value={use}>
                  {findIngredient(use).name} (shed: {sayStock(heldOf(shelf, use), findIngredient(use).stockUnit, units)}
                  )
                </option>
              ))}
            </SelectField>
          );
        })}
      </div>
    </details>
  ) : null;
};

/** What may go in as well, and what nobody states an amount for: that is asked, never made up. */
export const FillExtras = ({ fill, shelf, units }: FillExtrasProps) => {
  const { state, recipe, set } = fill;
  const optional = recipe.ingredients.filter((line) => line.optional && line.amount.type !== "unknown");
  const unknown = recipe.ingredients.filter((line) => line.amount.type === "unknown");
  const toggle = (id: IngredientId, on: boolean) =>
    set({ include: on ? [...state.include, id] : state.include.filter((other) => other !== id) });
  return (
    <>
      {optional.length > 0 ? (
        <fieldset>
          <legend className="text-[0.92rem] font-semibold">Optional ingredients</legend>
          {optional.map(({ ingredient, role }) => (
            <TickField
              key={ingredient}
              label={`${findIngredient(ingredient).name}: ${role}. In stock: ${sayStock(heldOf(shelf, ingredient), findIngredient(ingredient).stockUnit, units)}`}
              checked={state.include.includes(ingredient)}
              onChange={(event) => toggle(ingredient, event.target.checked)}
            />
          ))}
        </fieldset>
      ) : null}
      {unknown.length > 0 ? (
        <fieldset className="grid gap-3">
          <legend className="text-[0.92rem] font-semibold">No usual amount known</legend>
          {unknown.map(({ ingredient, amount, role }) => {
            const typed = state.stated[ingredient] ?? "";
            return (
              <AmountField
                key={ingredient}
                label={`${findIngredient(ingredient).name}, ${role}`}
                of={measurableOf(ingredient)}
                typed={typed}
                placeholder="left out"
                value={typed}
                {...(amount.type === "unknown" ? { hint: amount.ask } : {})}
                onChange={(event) => set({ stated: { ...state.stated, [ingredient]: event.target.value } })}
              />
            );
          })}
        </fieldset>
      ) : null}
      <StandIns fill={fill} shelf={shelf} units={units} />
    </>
  );
};
