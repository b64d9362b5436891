"use client";
import { useState } from "react";
import { told } from "../../kit/told";
import { OF_LITRES } from "@/formats/measured";
import { parseNumber } from "@/formats/numbers";
import { useShedAct } from "../../acts/shed";
import { useUndo } from "../../acts/undo";
import { NumberField, SelectField, TextField } from "../../kit/fields";
import { AmountField, useReadAmount } from "../../measures/AmountField";
import { StoreForm, type StoreActProps } from "./StoreForm";
import { counted } from "@/formats/grammar";

/** As the request bears at most. */
const MOST_PARTS = 40;

/** Poured over into cans and jars, each with a number of its own. */
export const PourStore = ({ store, onDone }: StoreActProps) => {
  const act = useShedAct("pourStore");
  const undo = useUndo();
  const { read } = useReadAmount();
  const [count, setCount] = useState("2");
  const [litres, setLitres] = useState("");
  const [container, setContainer] = useState<"breathable" | "sealed" | "vented">(store.container);
  const [place, setPlace] = useState(store.place);
  const each = read(litres, OF_LITRES);
  const vessels = parseNumber(count);
  const isCount = vessels !== null && Number.isInteger(vessels) && vessels >= 1 && vessels <= MOST_PARTS;
  const [asked, setAsked] = useState(false);
  const submit = async () => {
    setAsked(true);
    if (!isCount) return;
    const answer = await act.run({
      storeId: store.id,
      parts: Array.from({ length: vessels }, () => ({
        litres: each as number,
        label: store.label,
        container,
        place,
      })),
    });
    if (!answer) return;
    told(
      counted(vessels, {
        one: "Poured. Its label is ready to print.",
        other: "Poured. Their labels are ready to print.",
      }),
      undo(...(answer.storeIds ?? []).map((id) => ({ kind: "pour" as const, id }))),
    );
    onDone();
  };
  const { fields } = act;
  return (
    <StoreForm busy={act.busy} error={act.error} act="Pour" onSubmit={submit}>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Into how many"
          value={count}
          onChange={(event) => setCount(event.target.value)}
          error={asked && !isCount ? `A whole number from 1 to ${MOST_PARTS}.` : undefined}
        />
        <AmountField
          label="Each takes"
          of={OF_LITRES}
          typed={litres}
          value={litres}
          onChange={(event) => setLitres(event.target.value)}
          error={fields["/parts/0/litres"]}
        />
      </div>
      <SelectField
        label="What it stands in"
        value={container}
        onChange={(event) => setContainer(event.target.value as typeof container)}
        error={fields["/parts/0/container"]}
      >
        <option value="breathable">loose lid: cloth, paper, loose cap</option>
        <option value="vented">vented: airlock or valve</option>
        <option value="sealed">tight lid</option>
      </SelectField>
      <TextField label="Where" value={place} onChange={(event) => setPlace(event.target.value)} />
      <p className="text-[0.9rem] text-soft">
        Each part has a number of its own under batch {store.batchId}; its use-by date stays.
      </p>
    </StoreForm>
  );
};
