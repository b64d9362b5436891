"use client";
import { useState } from "react";
import { told } from "../../kit/told";
import type { StoreCheckKind } from "@/core/stock/storeChecks";
import { readOptional } from "@/formats/numbers";
import { useShedAct } from "../../acts/shed";
import { Choices } from "../../kit/Choices";
import { NumberField, TextField } from "../../kit/fields";
import { StoreForm, type StoreActProps } from "./StoreForm";
import { useUndo } from "../../acts/undo";

const LOOKS: readonly { readonly value: StoreCheckKind; readonly label: string; readonly note: string }[] = [
  { value: "smelt-good", label: "smells good", note: "As when it was stored. You can use it." },
  { value: "smelt-off", label: "smells bad", note: "Foul, rotten, or coloured mould. Compost or bare soil only." },
  { value: "loosened", label: "gas let out", note: "Turned slowly, face away; closed again or left loose." },
];

/** Opened, smelt, its pH read, its gas let out. */
export const LookAtStore = ({ store, onDone }: StoreActProps) => {
  const act = useShedAct("checkStore");
  const undo = useUndo();
  const [kind, setKind] = useState<StoreCheckKind>("smelt-good");
  const [ph, setPh] = useState("");
  const [note, setNote] = useState("");
  const submit = async () => {
    const answer = await act.run({ storeId: store.id, kind, ph: readOptional(ph), note });
    if (!answer) return;
    told(
      kind === "smelt-off" ? "Saved. Now empty it: compost or bare soil." : "Saved with day and name.",
      undo({ kind: "store-check", id: answer.checkId }),
    );
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="Save check" onSubmit={submit}>
      <Choices label="What was found" value={kind} onChange={setKind} stacked options={LOOKS} />
      {kind === "loosened" ? null : (
        <NumberField
          label="pH, if read"
          value={ph}
          onChange={(event) => setPh(event.target.value)}
          error={act.fields["/ph"]}
        />
      )}
      <TextField
        label="Note"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        error={act.fields["/note"]}
      />
    </StoreForm>
  );
};
