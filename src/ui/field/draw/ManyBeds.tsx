"use client";
import { useState } from "react";
import { manyBeds, type ManyBeds as Many } from "@/core/land/edit";
import { boundsOf, type Point } from "@/core/land/ring";
import { sayFieldUnit, typedInField, valueInField } from "@/formats/fieldUnits";
import { parseNumber } from "@/formats/numbers";
import type { UnitSystem } from "@/formats/amounts";
import { Button } from "../../kit/Button";
import { Choices } from "../../kit/Choices";
import { NumberField, TextField } from "../../kit/fields";
import { SizeField } from "../../measures/SizeField";
import type { Drawing } from "./useDraft";

const USUAL = { count: "12", widthM: 1.2, lengthM: 30, betweenM: 0.5 } as const;
const MOST = 200;
const BELOW_M = 1.2;

/** Free ground: below all that is drawn. */
function freePlace({ draft }: Drawing): Point {
  if (draft.plots.length === 0) return [0, 0];
  const { minX, maxY } = boundsOf(draft.plots.flatMap(({ ring }) => ring));
  return [minX, maxY + BELOW_M];
}

interface BedsForm {
  readonly firstName: string;
  readonly count: string;
  readonly width: string;
  readonly length: string;
  readonly between: string;
  readonly towards: Many["towards"];
  readonly block: string;
}

/** What is typed as beds at a place; null while a figure is none. */
function bedsOf({ count, width, length, between, towards }: BedsForm, units: UnitSystem, at: Point): Many | null {
  const number = parseNumber(count);
  const [widthM, lengthM, betweenM] = [width, length, between].map((text) => valueInField(text, "m", units) ?? NaN);
  const isWhole = number !== null && Number.isInteger(number) && number >= 1 && number <= MOST;
  return isWhole && widthM! >= 0.1 && lengthM! >= 0.1 && betweenM! >= 0
    ? { count: number, widthM: widthM!, lengthM: lengthM!, betweenM: betweenM!, at, towards, turnedDeg: 0 }
    : null;
}

/** The figures of many beds. */
const BedFields = ({ form, set }: { readonly form: BedsForm; readonly set: (change: Partial<BedsForm>) => void }) => {
  const size = (label: string, field: "width" | "length" | "between") => (
    <SizeField
      label={label}
      measure="m"
      typed={form[field]}
      value={form[field]}
      onChange={(event) => set({ [field]: event.target.value })}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-3">
      <NumberField
        label="How many"
        value={form.count}
        onChange={(event) => set({ count: event.target.value })}
        hint={`up to ${MOST}`}
      />
      <TextField
        label="First name"
        hint="Counted on from it."
        value={form.firstName}
        onChange={(event) => set({ firstName: event.target.value })}
      />
      {size("Width", "width")}
      {size("Length", "length")}
      {size("Path between", "between")}
      <TextField label="Group" value={form.block} onChange={(event) => set({ block: event.target.value })} />
    </div>
  );
};

/** Many equal beds at once: "12 beds of 1.2 by 30 m, 0.5 m between". */
export const ManyBeds = ({
  drawing,
  units,
  onDone,
}: {
  readonly drawing: Drawing;
  readonly units: UnitSystem;
  readonly onDone: () => void;
}) => {
  const [form, setForm] = useState<BedsForm>({
    firstName: "Bed 1",
    count: USUAL.count,
    width: typedInField(USUAL.widthM, "m", units),
    length: typedInField(USUAL.lengthM, "m", units),
    between: typedInField(USUAL.betweenM, "m", units),
    towards: "east",
    block: "",
  });
  const set = (change: Partial<BedsForm>) => setForm({ ...form, ...change });
  const beds = bedsOf(form, units, freePlace(drawing));
  const draw = () => {
    if (!beds) return;
    drawing.step({ type: "add-many", beds, firstName: form.firstName.trim() || "Bed 1", block: form.block.trim() });
    onDone();
  };
  const size = beds ? boundsOf(manyBeds({ ...beds, at: [0, 0] }).flat()) : null;
  return (
    <div className="grid gap-3">
      <h2 className="text-xl">Many equal beds</h2>
      <BedFields form={form} set={set} />
      <Choices
        label="The next one lies"
        value={form.towards}
        onChange={(towards) => set({ towards })}
        options={[
          { value: "east", label: "to the right" },
          { value: "south", label: "below" },
        ]}
      />
      {size ? (
        <p className="text-soft">
          In all {typedInField(size.maxX, "m", units)} by {typedInField(size.maxY, "m", units)}{" "}
          {sayFieldUnit("m", units)}.
        </p>
      ) : null}
      <Button variant="strong" disabled={!beds} onClick={draw}>
        Draw them
      </Button>
    </div>
  );
};
