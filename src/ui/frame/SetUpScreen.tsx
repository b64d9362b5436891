"use client";
import type { ChangeEvent } from "react";
import { useForm, useWatch } from "react-hook-form";
import { toBase } from "@/core/quantity/units";
import { parseNumber } from "@/formats/numbers";
import { useFarmAct } from "../acts/farm";
import { Button } from "../kit/Button";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";

interface SetUpForm {
  name: string;
  people: string;
  timeZone: string;
  latitudeDeg: string;
  longitudeDeg: string;
  units: "metric" | "us";
  currency: string;
  labourPerH: string;
  powerPerKWh: string;
  climateMeanC: string;
  climateSwingC: string;
}

/** The form of a new farm: its fields, what becomes of them in other units, and how it is sent. */
function useSetUp() {
  const setUp = useFarmAct("setUpFarm");
  const { register, handleSubmit, control, getValues, setValue } = useForm<SetUpForm>({
    defaultValues: {
      name: "",
      people: "",
      timeZone: "UTC",
      latitudeDeg: "",
      longitudeDeg: "",
      units: "metric",
      currency: "",
      labourPerH: "0",
      powerPerKWh: "0",
      climateMeanC: "11",
      climateSwingC: "8",
    },
  });
  const isUs = useWatch({ control, name: "units" }) === "us";
  const degree = isUs ? "°F" : "°C";
  /** What stands in the fields keeps its meaning where the units change. */
  const inOtherUnits = (isNowUs: boolean) => {
    const factor = isNowUs ? 1.8 : 1 / 1.8;
    const [mean, swing] = [parseNumber(getValues("climateMeanC")), parseNumber(getValues("climateSwingC"))];
    const tidy = (value: number) => String(Number(value.toFixed(1)));
    if (mean !== null) setValue("climateMeanC", tidy(isNowUs ? mean * factor + 32 : (mean - 32) * factor));
    if (swing !== null) setValue("climateSwingC", tidy(swing * factor));
  };
  const submit = handleSubmit(async (form) => {
    const number = (text: string) => parseNumber(text) ?? NaN;
    await setUp.run({
      name: form.name,
      people: form.people
        .split(",")
        .map((person) => person.trim())
        .filter(Boolean),
      timeZone: form.timeZone.trim(),
      latitudeDeg: number(form.latitudeDeg),
      longitudeDeg: number(form.longitudeDeg),
      units: form.units,
      currency: form.currency,
      labourPerH: number(form.labourPerH),
      powerPerKWh: number(form.powerPerKWh),
      climateMeanC: isUs ? toBase({ value: number(form.climateMeanC), unit: "°F" }).value : number(form.climateMeanC),
      climateSwingC: number(form.climateSwingC) / (isUs ? 1.8 : 1),
    });
  });
  const at = (name: keyof SetUpForm) => ({
    ...register(name),
    error: setUp.fields[`/${name}`] ?? (name === "people" ? setUp.fields["/people/0"] : undefined),
  });
  const unitsField = {
    ...at("units"),
    ...register("units", {
      onChange: (event: ChangeEvent<HTMLSelectElement>) => inOtherUnits(event.target.value === "us"),
    }),
  };
  return { at, unitsField, degree, submit, setUp };
}

/** The first page of a new farm: what Ruchka must know before it can reckon. */
export const SetUpScreen = () => {
  const { at, unitsField, degree, submit, setUp } = useSetUp();
  return (
    <div className="mx-auto max-w-2xl px-5 py-8">
      <h1 className="text-3xl">Set up your farm</h1>
      <p className="mt-2 text-soft">Once. Everything else is entered where the work happens.</p>
      <form onSubmit={(event) => void submit(event)} className="mt-6 grid gap-4 sm:grid-cols-2" noValidate>
        <TextField label="Name of the farm" {...at("name")} />
        <TextField label="People" hint="Names, with commas between." {...at("people")} />
        <SelectField label="Amounts in" {...unitsField}>
          <option value="metric">litres and kilograms</option>
          <option value="us">US gallons and pounds</option>
        </SelectField>
        <TextField label="Time zone" hint="Its IANA name, such as UTC." {...at("timeZone")} />
        <NumberField label="Latitude" unit="°, south is negative" {...at("latitudeDeg")} />
        <NumberField label="Longitude" unit="°, west is negative" {...at("longitudeDeg")} />
        <NumberField label="Mean temperature of the year" unit={degree} {...at("climateMeanC")} />
        <NumberField label="Summer and winter lie this far from it" unit={degree} {...at("climateSwingC")} />
        <TextField label="Money is counted in" {...at("currency")} />
        <NumberField label="An hour’s work costs" {...at("labourPerH")} />
        <NumberField label="A kilowatt hour costs" {...at("powerPerKWh")} />
        <div className="sm:col-span-2">
          <Notice tone="plain">
            Until a weather station is connected, drums are taken to stand in the usual air of this climate; rain and
            wind you see for yourself.
          </Notice>
        </div>
        <div className="sm:col-span-2">
          <Refusal error={setUp.error} />
        </div>
        <Button type="submit" variant="strong" disabled={setUp.busy}>
          Open the yard
        </Button>
      </form>
    </div>
  );
};
