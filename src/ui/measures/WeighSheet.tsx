"use client";
import { useForm, useWatch } from "react-hook-form";
import { toast } from "sonner";
import { findIngredient, INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { sayStock } from "@/formats/amounts";
import { parseNumber } from "@/formats/numbers";
import type { FarmMeasure } from "@/services/types";
import { useMeasures } from "./measuresContext";
import { useAct } from "../actions";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

interface WeighForm {
  measure: string;
  ingredientId: IngredientId;
  amount: string;
}

/** A handful is a handful until the farm has weighed its own; three weighings make its spread. */
export const WeighSheet = ({
  measures,
  of = "leaf-mould",
  onClose,
}: {
  readonly measures: readonly FarmMeasure[];
  /** What is weighed first. */
  readonly of?: IngredientId;
  readonly onClose: () => void;
}) => {
  const { units } = useMeasures();
  const act = useAct("weighMeasure");
  const { register, handleSubmit, control, setValue } = useForm<WeighForm>({
    defaultValues: { measure: "handful", ingredientId: of, amount: "" },
  });
  const item = findIngredient(useWatch({ control, name: "ingredientId" }));
  const submit = handleSubmit(async ({ measure, ingredientId, amount }) => {
    if (!(await act.run({ measure, ingredientId, amount: parseNumber(amount) as number }))) return;
    toast.success(`One ${measure} of ${item.name.toLowerCase()} is weighed. Weigh it again for its spread.`);
    setValue("amount", "");
  });
  return (
    <FormSheet
      title="Weigh our own measure"
      act="Keep this weighing"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <TextField
        label="Measure"
        hint="handful, scoop, cap, pail"
        {...register("measure")}
        error={act.fields["/measure"]}
      />
      <SelectField label="Of" {...register("ingredientId")}>
        {INGREDIENT_IDS.toSorted((a, b) => INGREDIENTS[a].name.localeCompare(INGREDIENTS[b].name)).map((id) => (
          <option key={id} value={id}>
            {INGREDIENTS[id].name}
          </option>
        ))}
      </SelectField>
      <NumberField
        label="It came to"
        unit={item.stockUnit}
        hint="0.09 kg is 90 g. Tare the bowl first. Filled with water, a can or scoop does for anything whose density is known."
        {...register("amount")}
        error={act.fields["/amount"]}
      />
      {measures.length > 0 ? (
        <ul className="divide-y divide-line border-y border-line">
          {measures.map(({ measure, ingredientId, mean, least, most, weighings }) => {
            const { name, stockUnit } = findIngredient(ingredientId);
            return (
              <li key={`${measure} ${ingredientId}`} className="flex justify-between gap-3 py-1.5">
                <span>
                  {measure} of {name.toLowerCase()}
                </span>
                <span className="reading">
                  {sayStock(mean, stockUnit, units, 2)}
                  {weighings > 1
                    ? `, ${sayStock(least, stockUnit, units, 2)} to ${sayStock(most, stockUnit, units, 2)} in ${weighings}`
                    : ", weighed once"}
                </span>
              </li>
            );
          })}
        </ul>
      ) : null}
    </FormSheet>
  );
};
