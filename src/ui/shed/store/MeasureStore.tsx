"use client";
import { OF_LITRES } from "@/formats/measured";
import { useState } from "react";
import { told } from "../../kit/told";
import { useShedAct } from "../../acts/shed";
import { useUndo } from "../../acts/undo";
import { TextField } from "../../kit/fields";
import { AmountField, useReadAmount } from "../../measures/AmountField";
import { StoreForm, type StoreActProps } from "./StoreForm";

/** Measured again: the books follow what is in it. */
export const MeasureStore = ({ store, onDone }: StoreActProps) => {
  const act = useShedAct("countStore");
  const undo = useUndo();
  const { read } = useReadAmount();
  const [litres, setLitres] = useState("");
  const [reason, setReason] = useState("");
  const submit = async () => {
    const answer = await act.run({ storeId: store.id, litres: read(litres, OF_LITRES) as number, reason });
    if (!answer) return;
    told("Saved.", undo({ kind: "container-move", id: answer.movementId }));
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="Save amount" onSubmit={submit}>
      <AmountField
        label="It holds"
        of={OF_LITRES}
        typed={litres}
        value={litres}
        onChange={(event) => setLitres(event.target.value)}
        error={act.fields["/litres"]}
      />
      <TextField
        label="Note"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={act.fields["/reason"]}
      />
    </StoreForm>
  );
};
