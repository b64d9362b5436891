"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { valueInField } from "@/formats/fieldUnits";
import { readOptional } from "@/formats/numbers";
import type { PlotStage } from "@/services/types";
import { useFieldAct } from "../acts/field";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { SizeField } from "../measures/SizeField";
import { useMeasures } from "../measures/measuresContext";
import { useUndo } from "../acts/undo";

interface PlotForm {
  name: string;
  crop: string;
  stage: PlotStage;
  width: string;
  length: string;
  plants: string;
  leafEaten: boolean;
  harvestOn: string;
}

/** The usual bed: what a person reaches across from both paths. */
const USUAL_WIDTH = { metric: "1.2", us: "4" } as const;

/** A new bed, row or strip. */
export const AddPlotSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const add = useFieldAct("addPlot");
  const undo = useUndo();
  const { units } = useMeasures();
  const { register, handleSubmit, control } = useForm<PlotForm>({
    defaultValues: {
      name: "",
      crop: "",
      stage: "growing",
      width: USUAL_WIDTH[units],
      length: "",
      plants: "",
      leafEaten: false,
      harvestOn: "",
    },
  });
  const [width, length] = useWatch({ control, name: ["width", "length"] });
  const submit = handleSubmit(async (form) => {
    const answer = await add.run({
      name: form.name,
      crop: form.crop,
      stage: form.stage,
      widthM: valueInField(form.width, "m", units) as number,
      lengthM: valueInField(form.length, "m", units) as number,
      plants: readOptional(form.plants),
      leafEaten: form.leafEaten,
      harvestOn: form.harvestOn === "" ? null : form.harvestOn,
    });
    if (!answer) return;
    told(`${form.name} is on the plan.`, undo({ kind: "bed-shape", id: answer.shapeId }));
    onClose();
  });
  return (
    <FormSheet title="Add a bed" act="Add bed" busy={add.busy} error={add.error} onSubmit={submit} onClose={onClose}>
      <TextField label="Name" {...register("name")} error={add.fields["/name"]} />
      <TextField label="Crop" {...register("crop")} error={add.fields["/crop"]} />
      <SelectField label="Stage" {...register("stage")} error={add.fields["/stage"]}>
        <option value="bare">bare soil</option>
        <option value="seedling">seedlings</option>
        <option value="growing">growing</option>
        <option value="flowering">flowering</option>
        <option value="fruiting">fruiting</option>
        <option value="perennial">perennial</option>
      </SelectField>
      <div className="grid grid-cols-2 gap-3">
        <SizeField label="Width" measure="m" typed={width} {...register("width")} error={add.fields["/widthM"]} />
        <SizeField label="Length" measure="m" typed={length} {...register("length")} error={add.fields["/lengthM"]} />
      </div>
      <NumberField label="Plants" placeholder="not counted" {...register("plants")} error={add.fields["/plants"]} />
      <TextField label="First harvest" type="date" {...register("harvestOn")} error={add.fields["/harvestOn"]} />
      <TickField label="People eat its leaves" {...register("leafEaten")} />
    </FormSheet>
  );
};
