"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { OF_LITRES } from "@/formats/measured";
import { readOptional } from "@/formats/numbers";
import type { WaterView } from "@/services/water";
import { useUndo } from "../acts/undo";
import { useWaterAct } from "../acts/water";
import { NumberField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";

/** How much stands in a butt or tank, as somebody looks. */
export const LevelSheet = ({ water, onClose }: { readonly water: WaterView; readonly onClose: () => void }) => {
  const act = useWaterAct("readWaterLevel");
  const undo = useUndo();
  const { read } = useReadAmount();
  const { register, handleSubmit, control } = useForm({ defaultValues: { litres: "" } });
  const typed = useWatch({ control, name: "litres" });
  const submit = handleSubmit(async ({ litres }) => {
    const answer = await act.run({ sourceId: water.id, volumeL: read(litres, OF_LITRES) as number });
    if (!answer) return;
    told(`${water.name}: level saved.`, undo({ kind: "water-level", id: answer.levelId }));
    onClose();
  });
  return (
    <FormSheet
      title={`What is in ${water.name}`}
      act="Save level"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <AmountField
        label="Stands in it now"
        of={OF_LITRES}
        typed={typed}
        hint="What is drawn from it from now on is taken off by itself; after rain, look again."
        {...register("litres")}
        error={act.fields["/volumeL"]}
      />
    </FormSheet>
  );
};

/** What a strip says of a source. */
export const StripSheet = ({ water, onClose }: { readonly water: WaterView; readonly onClose: () => void }) => {
  const act = useWaterAct("readWater");
  const undo = useUndo();
  const { register, handleSubmit } = useForm({ defaultValues: { free: "", total: "" } });
  const submit = handleSubmit(async ({ free, total }) => {
    const answer = await act.run({
      sourceId: water.id,
      freeMgPerL: readOptional(free),
      totalMgPerL: readOptional(total),
    });
    if (!answer) return;
    told(`${water.name}: strip reading saved.`, undo({ kind: "water-read", id: answer.readingId }));
    onClose();
  });
  return (
    <FormSheet
      title={`Strip of ${water.name}`}
      act="Save reading"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <NumberField label="Free chlorine" unit="mg/L (ppm)" {...register("free")} error={act.fields["/freeMgPerL"]} />
      <NumberField
        label="Total chlorine"
        unit="mg/L (ppm)"
        hint="If total is higher than free, it is chloramine. Standing does not remove it."
        {...register("total")}
        error={act.fields["/totalMgPerL"]}
      />
    </FormSheet>
  );
};
