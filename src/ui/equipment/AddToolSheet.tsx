"use client";
import { useState, type FormEvent } from "react";
import { told } from "../kit/told";
import { EQUIPMENT_KINDS, kindWord, SIZE_UNIT, type EquipmentKind } from "@/core/equipment/needs";
import { parseNumber, readOptional } from "@/formats/numbers";
import { useEquipmentAct } from "../acts/equipment";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { useAddedUndo } from "../farm/useThing";

/** Something new on the wall. */
export const AddToolSheet = ({ onClose }: { readonly onClose: () => void }) => {
  const act = useEquipmentAct("addEquipment");
  const added = useAddedUndo("equipment");
  const [kind, setKind] = useState<EquipmentKind>("pump");
  const [form, setForm] = useState({ name: "", count: "1", size: "", outlets: "", note: "" });
  const set = (change: Partial<typeof form>) => setForm({ ...form, ...change });
  const submit = async (event?: FormEvent) => {
    event?.preventDefault();
    const answer = await act.run({
      kind,
      name: form.name,
      count: parseNumber(form.count) as number,
      size: readOptional(form.size),
      outlets: kind === "pump" ? readOptional(form.outlets) : null,
      note: form.note,
    });
    if (!answer) return;
    told(`${form.name} hangs on the wall.`, added(answer.equipmentId));
    onClose();
  };
  const { fields } = act;
  const unit = SIZE_UNIT[kind];
  return (
    <FormSheet
      title="A piece of equipment"
      act="Add equipment"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <SelectField label="What" value={kind} onChange={(event) => setKind(event.target.value as EquipmentKind)}>
        {EQUIPMENT_KINDS.map((one) => (
          <option key={one} value={one}>
            {kindWord(one)}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Name"
        value={form.name}
        onChange={(event) => set({ name: event.target.value })}
        error={fields["/name"]}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="How many"
          value={form.count}
          onChange={(event) => set({ count: event.target.value })}
          error={fields["/count"]}
        />
        {unit ? (
          <NumberField
            label="Size"
            unit={unit}
            value={form.size}
            onChange={(event) => set({ size: event.target.value })}
            error={fields["/size"]}
          />
        ) : null}
        {kind === "pump" ? (
          <NumberField
            label="Outlets"
            value={form.outlets}
            onChange={(event) => set({ outlets: event.target.value })}
            error={fields["/outlets"]}
          />
        ) : null}
      </div>
      <TextField
        label="Note"
        value={form.note}
        onChange={(event) => set({ note: event.target.value })}
        error={fields["/note"]}
      />
    </FormSheet>
  );
};
