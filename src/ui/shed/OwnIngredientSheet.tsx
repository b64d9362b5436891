"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { findIngredient, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { kgPerLOf, sayDensity, sayWeighed, sayWeighedUnit } from "@/formats/fieldUnits";
import type { UnitSystem } from "@/formats/amounts";
import { readOptional } from "@/formats/numbers";
import { useShedAct } from "../acts/shed";
import { NumberField, SelectField, TextArea, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { useMeasures } from "../measures/measuresContext";
import { BY_NAME } from "./ingredientOptions";
import { useAddedUndo } from "../farm/useThing";
import { inText } from "@/formats/grammar";

const SEASONS = ["spring", "summer", "autumn", "winter"] as const;

const kgPerLTyped = (text: string, units: UnitSystem): number | null => {
  const typed = readOptional(text);
  return typed === null ? null : kgPerLOf(typed, units);
};

/** What is filled in of an ingredient of the farm, and its sending. */
function useOwnIngredient(onClose: () => void) {
  const act = useShedAct("addOwnIngredient");
  const added = useAddedUndo("own-ingredient");
  const { register, handleSubmit, control } = useForm({
    defaultValues: {
      name: "",
      countsAs: "greens" as IngredientId,
      density: "",
      keepsD: "",
      season: [] as (typeof SEASONS)[number][],
      caution: "",
      keeping: "",
    },
  });
  const { units } = useMeasures();
  const like = findIngredient(useWatch({ control, name: "countsAs" }));
  const submit = handleSubmit(async (form) => {
    const answer = await act.run({
      name: form.name,
      countsAs: form.countsAs,
      densityKgPerL: kgPerLTyped(form.density, units),
      keepsD: readOptional(form.keepsD),
      season: form.season,
      caution: form.caution,
      keeping: form.keeping,
    });
    if (!answer) return;
    told(`${form.name} can be added to stock now.`, added(answer.ownId));
    onClose();
  });
  const { fields } = act;
  return { act, fields, register, like, submit, units };
}

/** What the farm has that the book doesn't know: a kind of something it does, so that every recipe can draw on it. */
export const OwnIngredientSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const { act, fields, register, like, submit, units } = useOwnIngredient(onClose);
  return (
    <FormSheet
      title="Add own ingredient"
      act="Save"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <TextField label="Name" {...register("name")} error={fields["/name"]} />
      <SelectField
        label="Counts as"
        {...register("countsAs")}
        error={fields["/countsAs"]}
        hint={`Recipes that want ${inText(like.name)} draw on it, ${like.stockUnit} for ${like.stockUnit}.`}
      >
        {BY_NAME.map((id) => (
          <option key={id} value={id}>
            {INGREDIENTS[id].name}
          </option>
        ))}
      </SelectField>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={sayWeighed(units)}
          unit={sayWeighedUnit(units)}
          {...register("density")}
          error={fields["/densityKgPerL"]}
          hint={
            like.densityKgPerL === null
              ? "Empty: not known."
              : `Empty: ${sayDensity(like.densityKgPerL, units)}, as ${inText(like.name)}.`
          }
        />
        <NumberField
          label="Keeps"
          unit="days"
          {...register("keepsD")}
          error={fields["/keepsD"]}
          hint="Empty: as its like."
        />
      </div>
      <fieldset>
        <legend className="mb-1 text-[0.92rem] font-semibold">There to be gathered in</legend>
        <div className="flex flex-wrap gap-x-5">
          {SEASONS.map((season) => (
            <label key={season} className="flex min-h-11 items-center gap-2">
              <input type="checkbox" value={season} {...register("season")} className="size-5 accent-[var(--blue)]" />
              {season}
            </label>
          ))}
        </div>
      </fieldset>
      <TextField label="How it keeps" {...register("keeping")} error={fields["/keeping"]} />
      <TextArea label="Safety note" {...register("caution")} error={fields["/caution"]} />
    </FormSheet>
  );
};
