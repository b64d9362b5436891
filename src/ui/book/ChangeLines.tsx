"use client";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { substitutesFor } from "@/core/book/substitutes";
import { measurableOf } from "@/formats/measured";
import { SelectField, TickField } from "../kit/fields";
import { AmountField } from "../measures/AmountField";
import type { Recipe } from "@/core/book/recipe";
import type { ScaleDraft } from "./scaleDraft";
import { inText } from "@/formats/grammar";

type Draft = Pick<ScaleDraft, "include" | "stated" | "swaps">;
export interface ChangeLinesProps {
  readonly recipe: Recipe;
  readonly draft: Draft;
  readonly onChange: (change: Partial<Draft>) => void;
  readonly problemAt: (field: string) => string | undefined;
}

/** What may be left out, put in, or stand in for something. */
export const ChangeLines = ({ recipe, draft, onChange, problemAt }: ChangeLinesProps) => {
  const optional = recipe.ingredients.filter(({ optional: may, amount }) => may && amount.type !== "unknown");
  const unknown = recipe.ingredients.filter(({ amount }) => amount.type === "unknown");
  const swappable = [...new Set(recipe.ingredients.map(({ ingredient }) => ingredient))].filter(
    (id) => id !== recipe.basis && substitutesFor(id).length > 0,
  );
  const swap = (instead: IngredientId, use: string) => {
    const others = Object.fromEntries(Object.entries(draft.swaps).filter(([from]) => from !== instead));
    onChange({ swaps: use === "" ? others : { ...others, [instead]: use as IngredientId } });
  };
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">Change what goes in</summary>
      <div className="grid gap-3 sm:grid-cols-2">
        {optional.map(({ ingredient, role }) => (
          <TickField
            key={ingredient}
            label={`${findIngredient(ingredient).name}: ${role}`}
            checked={draft.include.includes(ingredient)}
            onChange={(event) =>
              onChange({
                include: event.target.checked
                  ? [...draft.include, ingredient]
                  : draft.include.filter((id) => id !== ingredient),
              })
            }
          />
        ))}
        {unknown.map(({ ingredient, amount }) => (
          <AmountField
            key={ingredient}
            label={`${findIngredient(ingredient).name}: nobody states how much`}
            of={measurableOf(ingredient)}
            typed={draft.stated[ingredient] ?? ""}
            placeholder="left out"
            hint={amount.type === "unknown" ? amount.ask : undefined}
            value={draft.stated[ingredient] ?? ""}
            onChange={(event) => onChange({ stated: { ...draft.stated, [ingredient]: event.target.value } })}
            error={problemAt(`stated/${ingredient}`)}
          />
        ))}
        {swappable.map((ingredient) => (
          <SelectField
            key={ingredient}
            label={`Instead of ${inText(findIngredient(ingredient).name)}`}
            value={draft.swaps[ingredient] ?? ""}
            onChange={(event) => swap(ingredient, event.target.value)}
          >
            <option value="">nothing</option>
            {substitutesFor(ingredient).map(({ use }) => (
              <option key={use} value={use}>
                {findIngredient(use).name}
              </option>
            ))}
          </SelectField>
        ))}
      </div>
    </details>
  );
};
