"use client";
import { useForm } from "react-hook-form";
import { toast } from "sonner";
import { parseNumber, readOptional } from "@/formats/numbers";
import type { PlotStage } from "@/services/types";
import { useAct } from "../actions";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

interface PlotForm {
  name: string;
  crop: string;
  stage: PlotStage;
  widthM: string;
  lengthM: string;
  plants: string;
  leafEaten: boolean;
  harvestOn: string;
}

/** A new bed, row or strip. */
export const AddPlotSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const add = useAct("addPlot");
  const { register, handleSubmit } = useForm<PlotForm>({
    defaultValues: {
      name: "",
      crop: "",
      stage: "growing",
      widthM: "1.2",
      lengthM: "",
      plants: "",
      leafEaten: false,
      harvestOn: "",
    },
  });
  const submit = handleSubmit(async (form) => {
    const answer = await add.run({
      name: form.name,
      crop: form.crop,
      stage: form.stage,
      widthM: parseNumber(form.widthM) as number,
      lengthM: parseNumber(form.lengthM) as number,
      plants: readOptional(form.plants),
      leafEaten: form.leafEaten,
      harvestOn: form.harvestOn === "" ? null : form.harvestOn,
    });
    if (!answer) return;
    toast.success(`${form.name} is on the plan.`);
    onClose();
  });
  return (
    <FormSheet title="Add a bed" act="Draw it in" busy={add.busy} error={add.error} onSubmit={submit} onClose={onClose}>
      <TextField label="Name" autoFocus {...register("name")} error={add.fields["/name"]} />
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
        <NumberField label="Width" unit="m" {...register("widthM")} error={add.fields["/widthM"]} />
        <NumberField label="Length" unit="m" {...register("lengthM")} error={add.fields["/lengthM"]} />
      </div>
      <NumberField label="Plants" placeholder="not counted" {...register("plants")} error={add.fields["/plants"]} />
      <TextField label="First harvest" type="date" {...register("harvestOn")} error={add.fields["/harvestOn"]} />
      <TickField label="Its leaves are what is eaten" {...register("leafEaten")} />
    </FormSheet>
  );
};
