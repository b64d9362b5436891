"use client";
import { useState } from "react";
import { told } from "../kit/told";
import type { EdiblePart } from "@/core/book/crops";
import { cropFacts } from "@/core/book/crops";
import { plural, readOptional } from "@/formats/numbers";
import type { PlotView } from "@/services/field";
import type { PlantingRow } from "@/services/types";
import { useFieldAct } from "../acts/field";
import { useUndo } from "../acts/undo";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

export const PART_WORDS: Readonly<Record<EdiblePart, string>> = {
  leaf: "its leaves",
  stem: "its stems",
  root: "its roots or tubers",
  fruit: "its fruit",
  seed: "its seeds or pods",
  flower: "its flowers",
  none: "nothing of it",
};
const PARTS = Object.keys(PART_WORDS) as readonly EdiblePart[];

interface PlantingForm {
  readonly crop: string;
  readonly part: EdiblePart | "";
  readonly how: "set-out" | "sown" | "perennial";
  readonly plantedOn: string;
  readonly plants: string;
  readonly spacing: string;
  readonly harvestFrom: string;
  readonly harvestTo: string;
}

const EMPTY: PlantingForm = {
  crop: "",
  part: "",
  how: "set-out",
  plantedOn: "",
  plants: "",
  spacing: "",
  harvestFrom: "",
  harvestTo: "",
};

export const formOf = (planting: PlantingRow | null): PlantingForm =>
  planting
    ? {
        crop: planting.crop,
        part: planting.part ?? "",
        how: planting.perennial ? "perennial" : planting.sown ? "sown" : "set-out",
        plantedOn: planting.plantedOn ?? "",
        plants: planting.plants === null ? "" : String(planting.plants),
        spacing: planting.spacingCm === null ? "" : String(planting.spacingCm),
        harvestFrom: planting.harvestFrom ?? "",
        harvestTo: planting.harvestTo ?? "",
      }
    : EMPTY;

const dayOrNull = (text: string) => (text === "" ? null : text);
const toldBy = (form: PlantingForm) => ({
  crop: form.crop.trim(),
  part: form.part === "" ? null : form.part,
  perennial: form.how === "perennial",
  plantedOn: dayOrNull(form.plantedOn),
  sown: form.how === "sown",
  plants: readOptional(form.plants),
  spacingCm: readOptional(form.spacing),
  harvestFrom: dayOrNull(form.harvestFrom),
  harvestTo: dayOrNull(form.harvestTo),
});

interface FieldsProps {
  readonly form: PlantingForm;
  readonly set: (change: Partial<PlantingForm>) => void;
  readonly errors: Readonly<Record<string, string>>;
}

/** What grows, from when, and when it is picked. */
const PlantingFields = ({ form, set, errors }: FieldsProps) => {
  const usual = form.crop.trim() === "" ? null : (cropFacts(form.crop, false)?.part ?? null);
  return (
    <>
      <TextField
        label="Crop"
        value={form.crop}
        onChange={(event) => set({ crop: event.target.value })}
        error={errors["/crop"]}
      />
      <SelectField
        label="Eaten of it"
        value={form.part}
        onChange={(event) => set({ part: event.target.value as EdiblePart | "" })}
        error={errors["/part"]}
      >
        <option value="">{usual ? `${PART_WORDS[usual]}, usual` : "usual"}</option>
        {PARTS.map((part) => (
          <option key={part} value={part}>
            {PART_WORDS[part]}
          </option>
        ))}
      </SelectField>
      <Choices
        label="How"
        value={form.how}
        onChange={(how) => set({ how })}
        options={[
          { value: "set-out", label: "set out as plants" },
          { value: "sown", label: "sown in place" },
          { value: "perennial", label: "stays for years" },
        ]}
      />
      <TextField
        label="From"
        type="date"
        hint="A day ahead: the ground is bare until then."
        value={form.plantedOn}
        onChange={(event) => set({ plantedOn: event.target.value })}
        error={errors["/plantedOn"]}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Plants on each"
          placeholder="not counted"
          value={form.plants}
          onChange={(event) => set({ plants: event.target.value })}
          error={errors["/plants"]}
        />
        <NumberField
          label="Apart"
          unit="cm"
          placeholder="not said"
          value={form.spacing}
          onChange={(event) => set({ spacing: event.target.value })}
          error={errors["/spacingCm"]}
        />
        <TextField
          label="Harvest from"
          type="date"
          value={form.harvestFrom}
          onChange={(event) => set({ harvestFrom: event.target.value })}
          error={errors["/harvestFrom"]}
        />
        <TextField
          label="Harvest to"
          type="date"
          value={form.harvestTo}
          onChange={(event) => set({ harvestTo: event.target.value })}
          error={errors["/harvestTo"]}
        />
      </div>
    </>
  );
};

/** The same crop on all of the chosen plots. */
export const PlantSheet = ({
  plots,
  onClose,
}: {
  readonly plots: readonly PlotView[];
  readonly onClose: () => void;
}) => {
  const act = useFieldAct("plantPlots");
  const undo = useUndo();
  const [form, setForm] = useState(EMPTY);
  const submit = async () => {
    const answer = await act.run({ plotIds: plots.map(({ id }) => id), ...toldBy(form) });
    if (!answer) return;
    told(
      `${form.crop.trim()} on ${plural(plots.length, "plot")}.`,
      undo(...(answer.plantingIds ?? []).map((id) => ({ kind: "planting" as const, id }))),
    );
    onClose();
  };
  return (
    <FormSheet
      title={`Plant ${plots.length === 1 ? plots[0]!.name : plural(plots.length, "plot")}`}
      act="Plant"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <PlantingFields form={form} set={(change) => setForm({ ...form, ...change })} errors={act.fields} />
    </FormSheet>
  );
};

/** A planting told otherwise, or ended. */
export const ChangePlantingSheet = ({
  planting,
  onClose,
}: {
  readonly planting: PlantingRow;
  readonly onClose: () => void;
}) => {
  const act = useFieldAct("changePlanting");
  const [form, setForm] = useState(() => formOf(planting));
  const [isCleared, setCleared] = useState(planting.endedOn !== null);
  const [endedOn, setEndedOn] = useState(planting.endedOn ?? "");
  const submit = async () => {
    if (await act.run({ plantingId: planting.id, ...toldBy(form), endedOn: isCleared ? dayOrNull(endedOn) : null }))
      onClose();
  };
  return (
    <FormSheet
      title={planting.crop || "What grows here"}
      act="Save"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <PlantingFields form={form} set={(change) => setForm({ ...form, ...change })} errors={act.fields} />
      <TickField label="It is cleared" checked={isCleared} onChange={(event) => setCleared(event.target.checked)} />
      {isCleared ? (
        <TextField
          label="Cleared on"
          type="date"
          value={endedOn}
          onChange={(event) => setEndedOn(event.target.value)}
          error={act.fields["/endedOn"]}
        />
      ) : null}
    </FormSheet>
  );
};
