"use client";
import { useState, type FormEvent } from "react";
import type { EquipmentPageView, EquipmentView } from "@/services/equipment";
import { useEquipmentAct } from "../acts/equipment";
import { SelectField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

/** In which batch a piece hangs. */
export const UseSheet = ({
  piece,
  view,
  onClose,
}: {
  readonly piece: EquipmentView;
  readonly view: EquipmentPageView;
  readonly onClose: () => void;
}) => {
  const act = useEquipmentAct("noteEquipment");
  const [batchId, setBatchId] = useState(view.running[0]?.id ?? 0);
  const submit = async (event?: FormEvent) => {
    event?.preventDefault();
    if (!(await act.run({ equipmentId: piece.id, kind: "used", batchId }))) return;
    onClose();
  };
  return (
    <FormSheet
      title={`${piece.name} is in`}
      act="It hangs in there"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <SelectField
        label="Which batch"
        value={batchId}
        onChange={(event) => setBatchId(Number(event.target.value))}
        error={act.fields["/batchId"]}
      >
        {view.running.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
    </FormSheet>
  );
};
