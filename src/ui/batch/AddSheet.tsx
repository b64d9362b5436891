"use client";
import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { findIngredient, INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { measurableOf } from "@/formats/measured";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import type { FarmClock } from "@/formats/times";
import type { BatchBrief } from "@/services/batch";
import { useBatchAct } from "../acts/batch";
import { undoOffer } from "../acts/undo";
import { SelectField, TextArea } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { sentAt, WhenChoice, type When } from "../kit/WhenChoice";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { inText } from "@/formats/grammar";

interface AddForm {
  ingredientId: IngredientId;
  amount: string;
  overrideReason: string;
}

interface AddSheetProps {
  readonly batch: Pick<BatchBrief, "id" | "startedMs">;
  readonly vesselName: string;
  readonly units: UnitSystem;
  /** What the recipe has for a later day, the next one first. */
  readonly suggested: readonly { readonly ingredient: IngredientId; readonly amount: number; readonly onDay: number }[];
  readonly clock: FarmClock;
  readonly nowMs: number;
  readonly onClose: () => void;
}

/** Something more goes into a running batch: drawn from the shed, oldest lot first. */
export const AddSheet = ({ batch, vesselName, units, suggested, clock, nowMs, onClose }: AddSheetProps) => {
  const [when, setWhen] = useState<When>({ type: "now" });
  const act = useBatchAct("addToBatch");
  const log = useBatchAct("logEntry", "toast");
  const { read, show } = useReadAmount();
  const first = suggested[0];
  const { register, handleSubmit, control } = useForm<AddForm>({
    defaultValues: {
      ingredientId: first?.ingredient ?? "water",
      amount: first ? show(first.amount, measurableOf(first.ingredient)) : "",
      overrideReason: "",
    },
  });
  const [ingredientId, typed, reason] = useWatch({ control, name: ["ingredientId", "amount", "overrideReason"] });
  const item = findIngredient(ingredientId);
  const of = measurableOf(ingredientId);
  const submit = handleSubmit(async ({ amount, overrideReason }) => {
    const at = sentAt(when, nowMs, clock);
    const answer = await act.run({
      batchId: batch.id,
      ...(at === undefined ? {} : { at }),
      ingredientId,
      amount: read(amount, of) as number,
      overrideReason: overrideReason.trim() === "" ? null : overrideReason.trim(),
    });
    if (!answer) return;
    told(
      `${item.name} went into ${vesselName}.`,
      undoOffer(
        answer.entryId
          ? () => log.run({ batchId: batch.id, correctsId: answer.entryId, entry: { kind: "withdrawn" } })
          : null,
      ),
    );
    onClose();
  });
  return (
    <FormSheet
      title={`Add to ${vesselName}`}
      act="Log addition"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {suggested.map(({ ingredient, amount, onDay }) => (
        <p key={ingredient}>
          The recipe asks for {sayStock(amount, INGREDIENTS[ingredient].stockUnit, units)} of{" "}
          {inText(INGREDIENTS[ingredient].name)} on day {onDay}.
        </p>
      ))}
      <SelectField label="What" {...register("ingredientId")} error={act.fields["/ingredientId"]}>
        {INGREDIENT_IDS.toSorted((a, b) => INGREDIENTS[a].name.localeCompare(INGREDIENTS[b].name)).map((id) => (
          <option key={id} value={id}>
            {INGREDIENTS[id].name}
          </option>
        ))}
      </SelectField>
      <AmountField label="How much" of={of} typed={typed} {...register("amount")} error={act.fields["/amount"]} />
      <WhenChoice
        when={when}
        nowMs={nowMs}
        startedMs={batch.startedMs}
        clock={clock}
        onChange={setWhen}
        error={act.fields["/at"]}
      />
      {act.fields["/overrideReason"] || reason !== "" ? (
        <TextArea
          label="Reason for using it anyway"
          {...register("overrideReason")}
          error={reason.trim() === "" ? act.fields["/overrideReason"] : undefined}
        />
      ) : null}
    </FormSheet>
  );
};
