"use client";
import { gPerLOf, sayContentUnit } from "@/formats/amounts";
import { useMeasures } from "../measures/measuresContext";
import { useForm } from "react-hook-form";
import { told } from "../kit/told";
import { NUTRIENT_IDS, NUTRIENTS, type Nutrient } from "@/core/book/composition";
import { parseNumber } from "@/formats/numbers";
import { useBatchAct } from "../acts/batch";
import { useUndo } from "../acts/undo";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

interface LabForm {
  nutrient: Nutrient;
  gPerL: string;
  note: string;
}

/** A laboratory's figure for a batch, in place of what is worked out. */
export const LabSheet = ({ batchId, onClose }: { readonly batchId: number; readonly onClose: () => void }) => {
  const act = useBatchAct("addLabResult");
  const undo = useUndo();
  const { units } = useMeasures();
  const { register, handleSubmit } = useForm<LabForm>({ defaultValues: { nutrient: "n", gPerL: "", note: "" } });
  const submit = handleSubmit(async ({ nutrient, gPerL, note }) => {
    const answer = await act.run({ batchId, nutrient, gPerL: gPerLOf(parseNumber(gPerL) ?? NaN, units), note });
    if (!answer) return;
    told(`${NUTRIENTS[nutrient]} is down as measured.`, undo({ kind: "lab", id: answer.resultId }));
    onClose();
  });
  return (
    <FormSheet title="Lab result" act="Save" busy={act.busy} error={act.error} onSubmit={submit} onClose={onClose}>
      <SelectField label="What" {...register("nutrient")}>
        {NUTRIENT_IDS.map((id) => (
          <option key={id} value={id}>
            {NUTRIENTS[id]}
          </option>
        ))}
      </SelectField>
      <NumberField
        label="Found"
        unit={sayContentUnit(units)}
        hint={units === "us" ? "1 mg/L is 1 ppm; 1 % is 10 000 ppm." : "1000 mg/L is 1 g/L."}
        {...register("gPerL")}
        error={act.fields["/gPerL"]}
      />
      <TextField label="By whom, by which method" {...register("note")} error={act.fields["/note"]} />
    </FormSheet>
  );
};
