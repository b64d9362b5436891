"use client";
import { useState } from "react";
import { told } from "../../kit/told";
import { useShedAct } from "../../acts/shed";
import { TextField } from "../../kit/fields";
import { StoreForm, type StoreActProps } from "./StoreForm";
import { useUndo } from "../../acts/undo";

/** Another day to keep to, with the reason. */
export const KeepStore = ({ store, onDone }: StoreActProps) => {
  const act = useShedAct("keepStore");
  const undo = useUndo();
  const [until, setUntil] = useState("");
  const [reason, setReason] = useState("");
  const submit = async () => {
    const answer = await act.run({ storeId: store.id, until, reason });
    if (!answer) return;
    told("Saved. Print a new label.", undo({ kind: "keeping", id: answer.expiryId }));
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="Save date" onSubmit={submit}>
      <TextField
        label="Use by"
        type="date"
        value={until}
        onChange={(event) => setUntil(event.target.value)}
        error={act.fields["/until"]}
      />
      <TextField
        label="Why"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={act.fields["/reason"]}
        hint="opened, poured from another, smells good"
      />
    </StoreForm>
  );
};
