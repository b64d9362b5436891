"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { OF_LITRES } from "@/formats/measured";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { useBatchAct } from "../acts/batch";
import { undoOffer, useUndo } from "../acts/undo";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { inText } from "@/formats/grammar";

interface TakeSheetProps {
  /** A running batch, or what was strained of one. */
  readonly from: { readonly batchId: number } | { readonly storeId: number };
  readonly name: string;
  readonly makes: IngredientId;
  readonly heldL: number;
  readonly units: UnitSystem;
  readonly onClose: () => void;
}

/** Part of what was made goes to the shed, to serve other batches; its lot knows where it came from. */
export const TakeSheet = ({ from, name, makes, heldL, units, onClose }: TakeSheetProps) => {
  const take = useBatchAct("takeFromBatch");
  const move = useBatchAct("moveToShed");
  const log = useBatchAct("logEntry", "toast");
  const undo = useUndo();
  const act = "batchId" in from ? take : move;
  const { read } = useReadAmount();
  const { register, handleSubmit, control } = useForm({ defaultValues: { litres: "" } });
  const litresTyped = useWatch({ control, name: "litres" });
  const submit = handleSubmit(async ({ litres: typed }) => {
    const litres = read(typed, OF_LITRES) as number;
    const said = `${INGREDIENTS[makes].name} is in the shed.`;
    if ("batchId" in from) {
      const answer = await take.run({ ...from, litres });
      if (!answer) return;
      const { entryId } = answer;
      const crossOut = () => log.run({ batchId: from.batchId, correctsId: entryId, entry: { kind: "withdrawn" } });
      told(said, undoOffer(entryId ? crossOut : null));
    } else {
      const answer = await move.run({ ...from, litres });
      if (!answer) return;
      told(said, undo({ kind: "lot", id: answer.lotId }, { kind: "container-move", id: answer.movementId }));
    }
    onClose();
  });
  return (
    <FormSheet
      title="Into the shed"
      act="Add to stock"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <p>
        {name} serves other recipes as {inText(INGREDIENTS[makes].name)}. {sayVolume(heldL, units)} are there.
      </p>
      <AmountField
        label="Taken"
        of={OF_LITRES}
        typed={litresTyped}
        {...register("litres")}
        error={act.fields["/litres"]}
      />
    </FormSheet>
  );
};
