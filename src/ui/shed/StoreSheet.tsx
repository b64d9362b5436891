"use client";
import Link from "next/link";
import { useState, type ReactNode } from "react";
import { toast } from "sonner";
import { sayVolume } from "@/formats/amounts";
import { parseNumber } from "@/formats/numbers";
import type { ShedStore, ShedView } from "@/services/shed/readShed";
import type { ActionError } from "@/contracts/actions/requests";
import type { StoreCheckKind } from "@/core/stock/storeChecks";
import { useAct } from "../actions";
import { Button, buttonLook } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { AmountField, OF_LITRES, useReadAmount } from "../measures/AmountField";
import { needsLook } from "./storeWords";

interface StoreSheetProps {
  readonly store: ShedStore;
  readonly view: ShedView;
  readonly onClose: () => void;
}

type Act = "look" | "pour" | "empty" | "count" | "keep";

/** What happens to a store, as a small form in its panel: what is wrong on top, the act at its foot. */
const StoreForm = ({
  busy,
  error,
  act,
  onSubmit,
  children,
}: {
  readonly busy: boolean;
  readonly error: ActionError | null;
  readonly act: string;
  readonly onSubmit: () => Promise<void>;
  readonly children: ReactNode;
}) => (
  <form
    onSubmit={(event) => {
      event.preventDefault();
      void onSubmit();
    }}
    className="grid gap-3"
  >
    {error ? (
      <Notice tone="error" title={error.message}>
        {null}
      </Notice>
    ) : null}
    {children}
    <Button type="submit" look="strong" disabled={busy}>
      {act}
    </Button>
  </form>
);

const Pour = ({ store, onDone }: { readonly store: ShedStore; readonly onDone: () => void }) => {
  const act = useAct("pourStore");
  const { read } = useReadAmount();
  const [count, setCount] = useState("2");
  const [litres, setLitres] = useState("");
  const [container, setContainer] = useState<"breathable" | "sealed" | "vented">(store.container);
  const [place, setPlace] = useState(store.place);
  const each = read(litres, OF_LITRES);
  const vessels = parseNumber(count);
  const submit = async () => {
    const answer = await act.run({
      storeId: store.id,
      parts: Array.from({ length: Math.max(1, Math.min(40, Math.round(vessels ?? 1))) }, () => ({
        litres: each as number,
        label: store.label,
        container,
        place,
      })),
    });
    if (!answer) return;
    toast.success(`Poured. ${answer.storeIds.length === 1 ? "Its label is" : "Their labels are"} ready to print.`);
    onDone();
  };
  const { fields } = act;
  return (
    <StoreForm busy={act.busy} error={act.error} act="Pour" onSubmit={submit}>
      <div className="grid grid-cols-2 gap-3">
        <NumberField label="Into how many" value={count} onChange={(event) => setCount(event.target.value)} />
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
        <option value="breathable">breathing lid: cloth, paper, loose cap</option>
        <option value="vented">vented: airlock or valve</option>
        <option value="sealed">tight lid</option>
      </SelectField>
      <TextField label="Where" value={place} onChange={(event) => setPlace(event.target.value)} />
      <p className="text-[0.9rem] text-soft">
        Each part has a number of its own under batch {store.batchId}; its shelf life runs on from where it stands.
      </p>
    </StoreForm>
  );
};

const Empty = ({
  store,
  over,
  onDone,
}: {
  readonly store: ShedStore;
  readonly over: boolean;
  readonly onDone: () => void;
}) => {
  const act = useAct("emptyStore");
  const { read } = useReadAmount();
  const [litres, setLitres] = useState(String(store.onHandL));
  const [to, setTo] = useState<"composted" | "bare-ground" | "wasted">("composted");
  const [reason, setReason] = useState(over ? "past its day" : "");
  const submit = async () => {
    if (!(await act.run({ storeId: store.id, litres: read(litres, OF_LITRES) as number, to, reason }))) return;
    toast.success("It is written down, with the reason.");
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="Write it down" onSubmit={submit}>
      <Choices
        label="Where it goes"
        value={to}
        onChange={setTo}
        stacked
        options={[
          { value: "composted", label: "on the heap", note: "Hot compost, away from water." },
          {
            value: "bare-ground",
            label: "onto bare ground",
            note: "Nothing growing, nothing sown this month; away from wells and streams.",
          },
          { value: "wasted", label: "thrown out", note: "Spilt, leaked, or not even for the heap." },
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

const Measure = ({ store, onDone }: { readonly store: ShedStore; readonly onDone: () => void }) => {
  const act = useAct("countStore");
  const { read } = useReadAmount();
  const [litres, setLitres] = useState("");
  const [reason, setReason] = useState("");
  const submit = async () => {
    if (!(await act.run({ storeId: store.id, litres: read(litres, OF_LITRES) as number, reason }))) return;
    toast.success("The books say so too now.");
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="So much is in it" onSubmit={submit}>
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

const Keep = ({ store, onDone }: { readonly store: ShedStore; readonly onDone: () => void }) => {
  const act = useAct("keepStore");
  const [until, setUntil] = useState("");
  const [reason, setReason] = useState("");
  const submit = async () => {
    if (!(await act.run({ storeId: store.id, until, reason }))) return;
    toast.success("Kept. Print its label anew.");
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="Keep this day" onSubmit={submit}>
      <TextField
        label="Keeps to"
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
        hint="opened, poured from another, smelt and found good"
      />
    </StoreForm>
  );
};

const LOOKS: readonly { readonly value: StoreCheckKind; readonly label: string; readonly note: string }[] = [
  { value: "smelt-good", label: "smells good", note: "As it did when it was stored. It may go out." },
  { value: "smelt-off", label: "smells off", note: "Foul, rotten, or mouldy in colour. The heap or bare ground only." },
  { value: "loosened", label: "gas let out", note: "Turned slowly, face away; closed again or left loose." },
];

/** Opened, smelt, its pH read, its gas let out. */
const Look = ({ store, onDone }: { readonly store: ShedStore; readonly onDone: () => void }) => {
  const act = useAct("checkStore");
  const [kind, setKind] = useState<StoreCheckKind>("smelt-good");
  const [ph, setPh] = useState("");
  const [note, setNote] = useState("");
  const submit = async () => {
    const read = ph.trim() === "" ? null : (parseNumber(ph) as number);
    if (!(await act.run({ storeId: store.id, kind, ph: read, note }))) return;
    toast.success(
      kind === "smelt-off"
        ? "Written down. Now empty it: the heap or bare ground."
        : "Written down, with day and name.",
    );
    onDone();
  };
  return (
    <StoreForm busy={act.busy} error={act.error} act="Keep what was found" onSubmit={submit}>
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

/** One store: looked at, poured over into cans and jars, measured, labelled, or brought where what is over belongs. */
export const StoreSheet = ({ store, view, onClose }: StoreSheetProps) => {
  const over = store.expiresMs < view.nowMs;
  const [act, setAct] = useState<Act>(
    over || store.smelt === "off" ? "empty" : needsLook(store, view) ? "look" : "pour",
  );
  return (
    <Sheet
      open
      onClose={onClose}
      title={store.label}
      lead={`${sayVolume(store.onHandL, view.farm.units)} of batch ${store.batchId}${store.partNo ? `, part ${store.partNo}` : ""}`}
      foot={
        <div className="flex flex-wrap gap-2">
          <Link href={`/paper/labels?batch=${store.batchId}`} className={buttonLook("plain")}>
            Labels
          </Link>
          <Link href={`/batches/${store.batchId}`} className={buttonLook("quiet")}>
            The batch
          </Link>
        </div>
      }
    >
      <div className="grid gap-5">
        {over ? (
          <Notice tone="error" title="It is past its day">
            Not on anything that is growing. The heap or bare ground may still have it; the books keep where it went.
          </Notice>
        ) : null}
        {store.smelt === "off" ? (
          <Notice tone="error" title="It was found off">
            The heap or bare ground, and nothing that grows. A better smell later does not make it good again.
          </Notice>
        ) : null}
        <Choices
          label="What happens to it"
          value={act}
          onChange={setAct}
          options={[
            { value: "look", label: "smelt, let out" },
            { value: "pour", label: "poured over" },
            { value: "count", label: "measured" },
            { value: "keep", label: "another day" },
            { value: "empty", label: "emptied" },
          ]}
        />
        {act === "look" ? <Look store={store} onDone={onClose} /> : null}
        {act === "pour" ? <Pour store={store} onDone={onClose} /> : null}
        {act === "count" ? <Measure store={store} onDone={onClose} /> : null}
        {act === "keep" ? <Keep store={store} onDone={onClose} /> : null}
        {act === "empty" ? <Empty store={store} over={over} onDone={onClose} /> : null}
      </div>
    </Sheet>
  );
};
