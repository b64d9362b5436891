"use client";
import { useState, type FormEvent } from "react";
import { told } from "../kit/told";
import { handTestOf } from "@/core/stock/handTest";
import { sayStock } from "@/formats/amounts";
import { sayDay } from "@/formats/times";
import type { FarmView } from "@/services/farm";
import type { ItemView, LotView } from "@/services/shed";
import { useShedAct } from "../acts/shed";
import { useUndo } from "../acts/undo";
import { Choices } from "../kit/Choices";
import { TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { inText } from "@/formats/grammar";

export type LotAct = "opened" | "place" | "waste" | "count" | "expiry" | "beans-sown" | "beans" | "vigour" | "correct";

const TITLES: Readonly<Record<LotAct, string>> = {
  "opened": "It was opened",
  "place": "It was moved",
  "waste": "Some of it removed",
  "count": "What is left of it",
  "expiry": "Change use-by date",
  "beans-sown": "Three beans are sown in it",
  "beans": "How did the beans come up?",
  "vigour": "What a handful tells",
  "correct": "Correct an entry",
};
const ACTS: Readonly<Record<LotAct, string>> = {
  "opened": "Opened",
  "place": "Save place",
  "waste": "Remove from stock",
  "count": "Save count",
  "expiry": "Save date",
  "beans-sown": "Sown",
  "beans": "Save result",
  "vigour": "Save",
  "correct": "Save correction",
};

interface LotSheetProps {
  readonly act: LotAct;
  readonly lot?: LotView;
  readonly line?: ItemView["ledger"][number];
  readonly item: ItemView;
  readonly farm: FarmView;
  readonly today: string;
  readonly onClose: () => void;
}

/** What is filled in of what happened to a lot, and its sending. */
function useLotAct({ act, lot, line, item, today, onClose }: LotSheetProps) {
  const waste = useShedAct("wasteLot");
  const count = useShedAct("countStock");
  const note = useShedAct("noteLot");
  const correct = useShedAct("correctMovement");
  const undo = useUndo();
  const { read } = useReadAmount();
  const [amount, setAmount] = useState("");
  const [reason, setReason] = useState("");
  const [word, setWord] = useState("");
  const [onDay, setOnDay] = useState(today);
  const [usedElsewhere, setElsewhere] = useState(false);
  const [beans, setBeans] = useState<"beans-clean" | "beans-damaged" | "">("");
  const run = { waste, count, correct }[act as "waste" | "count" | "correct"] ?? note;
  const { fields } = run;
  const ask = (): Promise<{ readonly lotId?: number; readonly movementIds?: readonly number[] } | null> => {
    const read_ = read(amount, item) as number;
    if (act === "waste") return waste.run({ lotId: lot!.id, amount: read_, reason, usedElsewhere });
    if (act === "count")
      return count.run({ lines: [{ lotId: lot!.id, counted: read_, expected: lot!.onHand }], note: reason });
    if (act === "correct") return correct.run({ movementId: line!.id, amount: read_, reason });
    return note.run({ lotId: lot!.id, kind: act === "beans" ? (beans as "beans-clean") : act, word, onDay });
  };
  const submit = async (event?: FormEvent) => {
    event?.preventDefault();
    const answer = await ask();
    if (!answer) return;
    told("Saved.", undo(...(answer.movementIds ?? []).map((id) => ({ kind: "stock-move" as const, id }))));
    onClose();
  };
  const wantsAmount = act === "waste" || act === "count" || act === "correct";
  return {
    run,
    fields,
    amount,
    setAmount,
    reason,
    setReason,
    word,
    setWord,
    onDay,
    setOnDay,
    usedElsewhere,
    setElsewhere,
    beans,
    setBeans,
    submit,
    wantsAmount,
  };
}

type LotDraft = ReturnType<typeof useLotAct>;

/** How much, and why. */
const Amounts = ({ act, item, draft }: Pick<LotSheetProps, "act" | "item"> & { readonly draft: LotDraft }) => {
  const { fields, amount, setAmount, reason, setReason, usedElsewhere, setElsewhere, wantsAmount } = draft;
  return (
    <>
      {wantsAmount ? (
        <AmountField
          label={act === "waste" ? "How much" : act === "count" ? "Found" : "It should say"}
          of={item}
          typed={amount}
          value={amount}
          onChange={(event) => setAmount(event.target.value)}
          error={fields["/amount"] ?? fields["/lines/0/counted"]}
        />
      ) : null}
      {act === "waste" ? (
        <TickField
          label="It was used, for something that is no batch"
          checked={usedElsewhere}
          onChange={(event) => setElsewhere(event.target.checked)}
        />
      ) : null}
      {wantsAmount ? (
        <TextField
          label={act === "count" ? "Note" : "Why"}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={fields["/reason"]}
          hint={act === "waste" ? "mouldy, spilled, mice, expired" : undefined}
        />
      ) : null}
    </>
  );
};

/** The place, the day, the handful, the beans. */
const WhatWasSeen = ({
  act,
  lot,
  draft,
}: { readonly act: LotAct; readonly lot: LotView | undefined } & { readonly draft: LotDraft }) => {
  const { fields, word, setWord, beans, setBeans } = draft;
  return (
    <>
      {act === "place" ? (
        <TextField
          label="Place now"
          value={word}
          onChange={(event) => setWord(event.target.value)}
          error={fields["/word"]}
        />
      ) : null}
      {act === "expiry" ? (
        <TextField
          label="Use by"
          type="date"
          value={word}
          onChange={(event) => setWord(event.target.value)}
          error={fields["/word"]}
        />
      ) : null}
      {act === "vigour" ? (
        <Choices
          label="A handful, pressed, checked and smelled"
          value={word}
          onChange={setWord}
          stacked
          options={handTestOf(lot?.ingredientId ?? "").map((found) => ({
            value: found.word,
            label: found.word,
            note: `${found.fit ? "Pass" : "Fail"}. ${found.say}`,
          }))}
        />
      ) : null}
      {act === "beans-sown" ? (
        <p>Fill a pot with it and one with clean soil, three beans in each, water both alike. Look after two weeks.</p>
      ) : null}
      {act === "beans" ? (
        <Choices
          label="Beside the pot of clean soil"
          value={beans}
          onChange={setBeans}
          stacked
          options={[
            { value: "beans-clean", label: "straight, flat leaves, as in the other pot", note: "It may go in." },
            {
              value: "beans-damaged",
              label: "cupped, twisted or not up at all",
              note: "Weedkiller: it kills crops. Never use it.",
            },
          ]}
        />
      ) : null}
    </>
  );
};

/** One thing that happened to a lot, or a line of its ledger put right; one small form whatever it was. */
export const LotSheet = (props: LotSheetProps) => {
  const { act, lot, line, item, farm, today, onClose } = props;
  const say = (value: number) => sayStock(value, item.unit, farm.units, 4);
  const draft = useLotAct(props);
  const { run, fields, submit, wantsAmount, onDay, setOnDay } = draft;
  return (
    <FormSheet
      title={`${item.name}: ${inText(TITLES[act])}`}
      act={ACTS[act]}
      busy={run.busy}
      error={run.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {lot ? (
        <p className="text-soft">
          {lot.origin}, {sayDay(lot.receivedOn)}; {say(lot.onHand)} left recorded.
        </p>
      ) : null}
      {line ? (
        <p className="text-soft">
          It says {say(Math.abs(line.changeBy))} {line.changeBy < 0 ? "removed" : "added"} ({line.kind}). The line
          stays; a later one puts it right.
        </p>
      ) : null}
      <Amounts act={act} item={item} draft={draft} />
      <WhatWasSeen act={act} lot={lot} draft={draft} />
      {wantsAmount || act === "expiry" ? null : (
        <TextField
          label="On"
          type="date"
          value={onDay}
          max={today}
          onChange={(event) => setOnDay(event.target.value)}
          error={fields["/onDay"]}
        />
      )}
      {fields["/kind"] ? (
        <p role="alert" className="font-semibold text-rust">
          Which is it?
        </p>
      ) : null}
    </FormSheet>
  );
};
