"use client";
import { useForm, useWatch } from "react-hook-form";
import { toast } from "sonner";
import { findIngredient, INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { parseNumber } from "@/formats/numbers";
import type { FarmView } from "@/services/farmView";
import { useAct } from "../actions";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

interface ReceiveForm {
  ingredientId: IngredientId;
  amount: string;
  origin: "bought" | "foraged" | "home-made" | "given";
  receivedOn: string;
  cost: string;
  expiresOn: string;
  note: string;
}

const BY_NAME = INGREDIENT_IDS.filter((id) => id !== "water").toSorted((a, b) =>
  INGREDIENTS[a].name.localeCompare(INGREDIENTS[b].name),
);

/** A lot comes in: how much, when, from where, for how much. */
export const ReceiveSheet = ({
  farm,
  today,
  onClose,
}: {
  readonly farm: FarmView;
  readonly today: string;
  readonly onClose: () => void;
}) => {
  const receive = useAct("receiveLot");
  const { register, handleSubmit, control } = useForm<ReceiveForm>({
    defaultValues: {
      ingredientId: "molasses",
      amount: "",
      origin: "bought",
      receivedOn: today,
      cost: "0",
      expiresOn: "",
      note: "",
    },
  });
  const item = findIngredient(useWatch({ control, name: "ingredientId" }));
  const submit = handleSubmit(async (form) => {
    const answer = await receive.run({
      ingredientId: form.ingredientId,
      amount: parseNumber(form.amount) as number,
      origin: form.origin,
      receivedOn: form.receivedOn,
      cost: parseNumber(form.cost) as number,
      expiresOn: form.expiresOn === "" ? null : form.expiresOn,
      note: form.note,
    });
    if (!answer) return;
    toast.success(`${item.name} is on the shelf.`);
    onClose();
  });
  return (
    <FormSheet
      title="Receive a lot"
      act="Put it on the shelf"
      busy={receive.busy}
      error={receive.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <SelectField label="What" {...register("ingredientId")} error={receive.fields["/ingredientId"]}>
        {BY_NAME.map((id) => (
          <option key={id} value={id}>
            {INGREDIENTS[id].name}
          </option>
        ))}
      </SelectField>
      <NumberField label="How much" unit={item.stockUnit} {...register("amount")} error={receive.fields["/amount"]} />
      <SelectField label="From" {...register("origin")} error={receive.fields["/origin"]}>
        <option value="bought">bought</option>
        <option value="foraged">foraged</option>
        <option value="home-made">home-made</option>
        <option value="given">given</option>
      </SelectField>
      <NumberField
        label={`Cost of all of it (${farm.currency})`}
        {...register("cost")}
        error={receive.fields["/cost"]}
      />
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Came in on" type="date" {...register("receivedOn")} error={receive.fields["/receivedOn"]} />
        <TextField label="Keeps to" type="date" {...register("expiresOn")} error={receive.fields["/expiresOn"]} />
      </div>
      <TextField label="Note" {...register("note")} error={receive.fields["/note"]} />
    </FormSheet>
  );
};
