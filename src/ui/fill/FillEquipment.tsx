"use client";
import type { Recipe } from "@/core/book/recipe";
import { kindWord, type EquipmentKind } from "@/core/equipment/needs";
import type { EquipmentView } from "@/services/equipment";

/** Kinds of equipment that hang or lie in a brew of this recipe. */
const kindsIn = (recipe: Recipe): readonly EquipmentKind[] => [
  ...(recipe.aerated ? (["stone", "tubing"] as const) : []),
  ...(recipe.ingredients.some(({ bagged }) => bagged) ? (["bag"] as const) : []),
  ...(recipe.lid === "breathable" ? (["cloth"] as const) : []),
  ...(recipe.lid === "airlock" ? (["airlock"] as const) : []),
];

/** Which equipment goes in, so that the shed knows what is in use and what wants a wash before another family of brew. */
export const FillEquipment = ({
  recipe,
  equipment,
  chosen,
  onChange,
}: {
  readonly recipe: Recipe;
  readonly equipment: readonly EquipmentView[];
  readonly chosen: readonly number[];
  readonly onChange: (chosen: readonly number[]) => void;
}) => {
  const kinds = kindsIn(recipe);
  const offered = equipment.filter(({ kind, broken, busy }) => kinds.includes(kind) && !broken && !busy);
  if (offered.length === 0) return null;
  return (
    <fieldset>
      <legend className="text-lg font-bold">Equipment used</legend>
      <div className="flex flex-wrap gap-x-6">
        {offered.map(({ id, name, kind, dirtyFrom }) => (
          <label key={id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-[var(--blue)]"
              checked={chosen.includes(id)}
              onChange={(event) =>
                onChange(event.target.checked ? [...chosen, id] : chosen.filter((other) => other !== id))
              }
            />
            <span>
              {name} <span className="text-soft">({kindWord(kind)})</span>
              {dirtyFrom !== null && dirtyFrom !== recipe.family ? (
                <span className="font-semibold text-rust"> ▲ not washed</span>
              ) : null}
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
};
