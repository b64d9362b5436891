"use client";
import { useForm, useWatch } from "react-hook-form";
import { toast } from "sonner";
import { parseNumber, readOptional } from "@/formats/numbers";
import type { Tool } from "@/services/types";
import { useAct } from "../actions";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

interface ToolForm {
  name: string;
  kind: Tool["kind"];
  volumeL: string;
  stepMl: string;
  partsWater: string;
}

/** A can, a knapsack or an injector. */
export const AddToolSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const add = useAct("addTool");
  const { register, handleSubmit, control } = useForm<ToolForm>({
    defaultValues: { name: "", kind: "can", volumeL: "", stepMl: "10", partsWater: "" },
  });
  const isInjector = useWatch({ control, name: "kind" }) === "injector";
  const submit = handleSubmit(async (form) => {
    const answer = await add.run({
      name: form.name,
      kind: form.kind,
      volumeL: parseNumber(form.volumeL) as number,
      stepMl: readOptional(form.stepMl),
      partsWater: isInjector ? readOptional(form.partsWater) : null,
    });
    if (!answer) return;
    toast.success(`${form.name} is at hand.`);
    onClose();
  });
  return (
    <FormSheet title="Add a tool" act="Add it" busy={add.busy} error={add.error} onSubmit={submit} onClose={onClose}>
      <TextField label="Name" autoFocus {...register("name")} error={add.fields["/name"]} />
      <SelectField label="Kind" {...register("kind")} error={add.fields["/kind"]}>
        <option value="can">can</option>
        <option value="knapsack">knapsack</option>
        <option value="injector">injector</option>
      </SelectField>
      <NumberField
        label={isInjector ? "Its tank holds" : "Holds"}
        unit="L"
        {...register("volumeL")}
        error={add.fields["/volumeL"]}
      />
      {isInjector ? (
        <NumberField
          label="Parts of water to one of stock"
          {...register("partsWater")}
          error={add.fields["/partsWater"]}
        />
      ) : (
        <NumberField
          label="Smallest dose you can measure"
          unit="mL"
          {...register("stepMl")}
          error={add.fields["/stepMl"]}
        />
      )}
    </FormSheet>
  );
};
