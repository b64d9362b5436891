"use client";
import { OF_LITRES } from "@/formats/measured";
import { useState } from "react";
import { told } from "../../kit/told";
import { useShedAct } from "../../acts/shed";
import { useUndo } from "../../acts/undo";
import { Choices } from "../../kit/Choices";
import { TextField } from "../../kit/fields";
import { AmountField, useReadAmount } from "../../measures/AmountField";
import { StoreForm, type StoreActProps } from "./StoreForm";

/** Brought where what is over belongs, with the reason. */
export const EmptyStore = ({ store, over, onDone }: StoreActProps & { readonly over: boolean }) => {
  const act = useShedAct("emptyStore");
  const undo = useUndo();
  const { read, show } = useReadAmount();
  const [litres, setLitres] = useState(() => show(store.onHandL, OF_LITRES, true));
  const [to, setTo] = useState<"composted" | "bare-ground" | "wasted">("composted");
  const [reason, setReason] = useState(over ? "expired" : "");
  const submit = async () => {
    const answer = await act.run({ storeId: store.id, litres: read(litres, OF_LITRES) as number, to, reason });
    if (!answer) return;
    told("Saved with the reason.", undo({ kind: "container-move", id: answer.movementId }));
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="Save" onSubmit={submit}>
      <Choices
        label="Where it goes"
        value={to}
        onChange={setTo}
        stacked
        options={[
          { value: "composted", label: "on hot compost", note: "Hot compost, away from water." },
          {
            value: "bare-ground",
            label: "on bare soil",
            note: "Nothing growing, nothing sown this month; away from wells and streams.",
          },
          { value: "wasted", label: "thrown away", note: "Spilled, leaked, or not even for compost." },
        ]}
      />
      <AmountField
        label="How much"
        of={OF_LITRES}
        typed={litres}
        value={litres}
        onChange={(event) => setLitres(event.target.value)}
        error={act.fields["/litres"]}
      />
      <TextField
        label="Why"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={act.fields["/reason"]}
      />
    </StoreForm>
  );
};
