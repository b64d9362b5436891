"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { OF_KILOGRAMS } from "@/formats/measured";
import { sayMass } from "@/formats/amounts";
import { parseNumber } from "@/formats/numbers";
import { useGatherAct } from "../acts/gather";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { useMeasures } from "../measures/measuresContext";
import { useAddedUndo } from "../farm/useThing";

/** A place to gather from, with whose ground it is and how long it rests. */
export const AddPlaceSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const act = useGatherAct("addForagePlace");
  const added = useAddedUndo("gathering-place");
  const { register, handleSubmit } = useForm({
    defaultValues: { name: "", kind: "leaf-mould" as const, ground: "", permission: "", restD: "180" },
  });
  const submit = handleSubmit(async (form) => {
    const answer = await act.run({ ...form, restD: parseNumber(form.restD) as number });
    if (!answer) return;
    told(`${form.name} saved.`, added(answer.placeId));
    onClose();
  });
  const { fields } = act;
  return (
    <FormSheet
      title="A place to gather from"
      act="Save"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <TextField label="Name" {...register("name")} error={fields["/name"]} />
      <SelectField label="For" {...register("kind")}>
        <option value="leaf-mould">leaf mould</option>
        <option value="plants">plants</option>
        <option value="seaweed">seaweed</option>
      </SelectField>
      <TextField
        label="The ground"
        {...register("ground")}
        hint="shade, damp, under which trees, white threads"
        error={fields["/ground"]}
      />
      <TextField label="Permission from" {...register("permission")} error={fields["/permission"]} />
      <NumberField label="Rests after each taking" unit="days" {...register("restD")} error={fields["/restD"]} />
    </FormSheet>
  );
};

export const AddBinSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const act = useGatherAct("addWormBin");
  const added = useAddedUndo("worm-bin");
  const { register, handleSubmit, control } = useForm({ defaultValues: { name: "", worms: "" } });
  const { read } = useReadAmount();
  const { units } = useMeasures();
  const worms = useWatch({ control, name: "worms" });
  const submit = handleSubmit(async (form) => {
    const answer = await act.run({ name: form.name, wormsKg: read(form.worms, OF_KILOGRAMS) as number });
    if (!answer) return;
    told(`${form.name} saved.`, added(answer.binId));
    onClose();
  });
  return (
    <FormSheet title="A worm bin" act="Save" busy={act.busy} error={act.error} onSubmit={submit} onClose={onClose}>
      <TextField label="Name" {...register("name")} error={act.fields["/name"]} />
      <AmountField
        label="Worms in it"
        of={OF_KILOGRAMS}
        typed={worms}
        {...register("worms")}
        error={act.fields["/wormsKg"]}
        hint={`A handful is about ${sayMass(0.1, units)}.`}
      />
    </FormSheet>
  );
};
