"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { OF_LITRES } from "@/formats/measured";
import type { VesselKind } from "@/services/types";
import { valueInField } from "@/formats/fieldUnits";
import { readOptional } from "@/formats/numbers";
import { useYardAct } from "../acts/yard";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { Electricity } from "../kit/Electricity";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { SizeField } from "../measures/SizeField";
import { useMeasures } from "../measures/measuresContext";

interface VesselForm {
  name: string;
  kind: VesselKind;
  volumeL: string;
  diameter: string;
  site: string;
  airW: string;
}

/** A new drum, tote, pail or jar for the yard. */
export const AddVesselSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const add = useYardAct("addVessel");
  const { read } = useReadAmount();
  const { units } = useMeasures();
  const { register, handleSubmit, control } = useForm<VesselForm>({
    defaultValues: { name: "", kind: "drum", volumeL: "", diameter: "", site: "", airW: "0" },
  });
  const [volume, diameter] = useWatch({ control, name: ["volumeL", "diameter"] });
  const submit = handleSubmit(async (form) => {
    const answer = await add.run({
      name: form.name,
      kind: form.kind,
      volumeL: read(form.volumeL, OF_LITRES) as number,
      diameterM: valueInField(form.diameter, "cm", units),
      site: form.site,
      airW: (readOptional(form.airW) ?? 0) as number,
    });
    if (!answer) return;
    told(`${form.name} stands in the yard.`);
    onClose();
  });
  return (
    <FormSheet title="Add a vessel" act="Add it" busy={add.busy} error={add.error} onSubmit={submit} onClose={onClose}>
      <TextField label="Name" autoFocus {...register("name")} error={add.fields["/name"]} />
      <SelectField label="Kind" {...register("kind")} error={add.fields["/kind"]}>
        <option value="drum">drum</option>
        <option value="tote">tote</option>
        <option value="pail">pail</option>
        <option value="jar">jar or crock</option>
      </SelectField>
      <AmountField
        label="Holds to the brim"
        of={OF_LITRES}
        typed={volume}
        {...register("volumeL")}
        error={add.fields["/volumeL"]}
      />
      <SizeField
        label="Inner width"
        measure="cm"
        typed={diameter}
        hint="For its drawing and a sugar cap. Left empty, it is taken as 1.4 times as high as wide."
        {...register("diameter")}
        error={add.fields["/diameterM"]}
      />
      <TextField label="Where it stands" {...register("site")} error={add.fields["/site"]} />
      <NumberField
        label="Pump and heater"
        unit="W"
        hint="0 for a vessel without air."
        {...register("airW")}
        error={add.fields["/airW"]}
      />
      <Electricity />
    </FormSheet>
  );
};
