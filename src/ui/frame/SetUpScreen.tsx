"use client";
import { useForm } from "react-hook-form";
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

/** The first page of a new farm: what Ruchka must know before it can reckon. */
export const SetUpScreen = () => {
  const setUp = useFarmAct("setUpFarm");
  const { register, handleSubmit } = useForm<SetUpForm>({
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
  const submit = handleSubmit(async (form) => {
    const number = (text: string) => parseNumber(text) as number;
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
      climateMeanC: number(form.climateMeanC),
      climateSwingC: number(form.climateSwingC),
    });
  });
  const at = (name: keyof SetUpForm) => ({
    ...register(name),
    error: setUp.fields[`/${name}`] ?? (name === "people" ? setUp.fields["/people/0"] : undefined),
  });
  return (
    <div className="mx-auto max-w-2xl px-5 py-8">
      <h1 className="text-3xl">Set up your farm</h1>
      <p className="mt-2 text-soft">Once. Everything else is entered where the work happens.</p>
      <form onSubmit={(event) => void submit(event)} className="mt-6 grid gap-4 sm:grid-cols-2" noValidate>
        <TextField label="Name of the farm" {...at("name")} />
        <TextField label="People" hint="Names, with commas between." {...at("people")} />
        <SelectField label="Amounts in" {...at("units")}>
          <option value="metric">litres and kilograms</option>
          <option value="us">US gallons and pounds</option>
        </SelectField>
        <TextField label="Time zone" hint="Its IANA name, such as UTC." {...at("timeZone")} />
        <NumberField label="Latitude" unit="°, south is negative" {...at("latitudeDeg")} />
        <NumberField label="Longitude" unit="°, west is negative" {...at("longitudeDeg")} />
        <NumberField label="Mean temperature of the year" unit="°C" {...at("climateMeanC")} />
        <NumberField label="Summer and winter lie this far from it" unit="°C" {...at("climateSwingC")} />
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
