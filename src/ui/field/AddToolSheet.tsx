"use client";
import { useForm, useWatch } from "react-hook-form";
import { isInline, TOOL_KINDS } from "@/core/apply/tool";
import { TOOL_WORDS } from "@/words/said";
import { told } from "../kit/told";
import { OF_LITRES } from "@/formats/measured";
import { readOptional } from "@/formats/numbers";
import type { Tool } from "@/services/types";
import { useFieldAct } from "../acts/field";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { useMeasures } from "../measures/measuresContext";

interface ToolForm {
  name: string;
  kind: Tool["kind"];
  volume: string;
  step: string;
  partsWater: string;
}

/** What a jug or a spoon is marked in. */
const USUAL_STEP = { metric: "10 mL", us: "2 tsp" } as const;

/** What carries a mix to the beds. */
export const AddToolSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const add = useFieldAct("addTool");
  const { read } = useReadAmount();
  const { units } = useMeasures();
  const { register, handleSubmit, control } = useForm<ToolForm>({
    defaultValues: { name: "", kind: "can", volume: "", step: USUAL_STEP[units], partsWater: "" },
  });
  const [kind, volume, step] = useWatch({ control, name: ["kind", "volume", "step"] });
  const isInjector = isInline(kind);
  const submit = handleSubmit(async (form) => {
    const stepL = form.step.trim() === "" ? null : (read(form.step, OF_LITRES) ?? NaN);
    const answer = await add.run({
      name: form.name,
      kind: form.kind,
      volumeL: read(form.volume, OF_LITRES) as number,
      stepMl: stepL === null ? null : stepL * 1000,
      partsWater: isInline(form.kind) ? readOptional(form.partsWater) : null,
    });
    if (!answer) return;
    told(`${form.name} is at hand.`);
    onClose();
  });
  return (
    <FormSheet title="Add a tool" act="Add it" busy={add.busy} error={add.error} onSubmit={submit} onClose={onClose}>
      <TextField label="Name" autoFocus {...register("name")} error={add.fields["/name"]} />
      <SelectField label="Kind" {...register("kind")} error={add.fields["/kind"]}>
        {TOOL_KINDS.map((one) => (
          <option key={one} value={one}>
            {TOOL_WORDS[one]}
          </option>
        ))}
      </SelectField>
      <AmountField
        label={isInjector ? "Its tank holds" : "Holds"}
        of={OF_LITRES}
        typed={volume}
        {...register("volume")}
        error={add.fields["/volumeL"]}
      />
      {isInjector ? (
        <NumberField
          label="Parts of water to one of stock"
          {...register("partsWater")}
          error={add.fields["/partsWater"]}
        />
      ) : (
        <AmountField
          label="Smallest dose you can measure"
          of={OF_LITRES}
          typed={step}
          {...register("step")}
          error={add.fields["/stepMl"]}
        />
      )}
    </FormSheet>
  );
};
