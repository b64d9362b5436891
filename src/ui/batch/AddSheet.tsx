"use client";
import { useForm, useWatch } from "react-hook-form";
import { toast } from "sonner";
import { findIngredient, INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import { parseNumber } from "@/formats/numbers";
import { useAct } from "../actions";
import { NumberField, SelectField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

interface AddForm {
  ingredientId: IngredientId;
  amount: string;
}

interface AddSheetProps {
  readonly batchId: number;
  readonly vesselName: string;
  readonly units: UnitSystem;
  /** What the recipe has for a later day, the next one first. */
  readonly suggested: readonly { readonly ingredient: IngredientId; readonly amount: number; readonly onDay: number }[];
  readonly onClose: () => void;
}

/** Something more goes into a running batch: drawn from the shed, oldest lot first. */
export const AddSheet = ({ batchId, vesselName, units, suggested, onClose }: AddSheetProps) => {
  const act = useAct("addToBatch");
  const first = suggested[0];
  const { register, handleSubmit, control } = useForm<AddForm>({
    defaultValues: {
      ingredientId: first?.ingredient ?? "water",
      amount: first ? String(Number(first.amount.toFixed(3))) : "",
    },
  });
  const item = findIngredient(useWatch({ control, name: "ingredientId" }));
  const submit = handleSubmit(async ({ ingredientId, amount }) => {
    if (!(await act.run({ batchId, ingredientId, amount: parseNumber(amount) as number }))) return;
    toast.success(`${item.name} went into ${vesselName}.`);
    onClose();
  });
  return (
    <FormSheet
      title={`Add to ${vesselName}`}
      act="It is in"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {suggested.map(({ ingredient, amount, onDay }) => (
        <p key={ingredient}>
          The recipe asks for {sayStock(amount, INGREDIENTS[ingredient].stockUnit, units)} of{" "}
          {INGREDIENTS[ingredient].name.toLowerCase()} on day {onDay}.
        </p>
      ))}
      <SelectField label="What" {...register("ingredientId")} error={act.fields["/ingredientId"]}>
        {INGREDIENT_IDS.toSorted((a, b) => INGREDIENTS[a].name.localeCompare(INGREDIENTS[b].name)).map((id) => (
          <option key={id} value={id}>
            {INGREDIENTS[id].name}
          </option>
        ))}
      </SelectField>
      <NumberField label="How much" unit={item.stockUnit} {...register("amount")} error={act.fields["/amount"]} />
    </FormSheet>
  );
};
