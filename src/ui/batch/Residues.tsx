"use client";
import { useState } from "react";
import { RESIDUE_TO, RESIDUES, type Residue, type ResidueTo } from "@/core/recipe/residue";
import type { Measurable } from "@/formats/measured";
import { sayStock } from "@/formats/amounts";
import { sayMoment } from "@/formats/times";
import type { BatchPage } from "@/services/batch";
import { RESIDUE_TO_WORDS, RESIDUE_WORDS, sayResidueAdvice } from "@/words/said";
import { speechOf } from "@/words/speech";
import { useBatchAct } from "../acts/batch";
import { Button } from "../kit/Button";
import { SelectField, TextArea, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { Link } from "../kit/Link";
import { told } from "../kit/told";
import { AmountField, useReadAmount } from "../measures/AmountField";

type Left = BatchPage["residues"][number];

/** What is carried in a sack is weighed, what runs is measured. */
const unitOf = (what: Residue): "kg" | "L" => (["liquor", "foam", "rinse", "lees"].includes(what) ? "L" : "kg");
const measurable = (what: Residue): Measurable => ({ itemId: "residue", unit: unitOf(what), densityKgPerL: null });

interface ResidueSheetProps {
  readonly page: BatchPage;
  /** What it stands in for; null for a new one. */
  readonly before: Left | null;
  readonly onClose: () => void;
}

/** What is said of it, and its sending. */
function useResidue({ page, before, onClose }: ResidueSheetProps) {
  const act = useBatchAct("logResidue");
  const { read, show } = useReadAmount();
  const usual = page.batch.closing.residues;
  const [what, pickWhat] = useState<Residue>(before?.what ?? usual[0]!.what);
  const known = usual.find((one) => one.what === what) ?? usual[0]!;
  const [to, setTo] = useState<ResidueTo>(before?.to ?? known.to[0]!);
  const [amount, setAmount] = useState(
    before?.amount === null || before === null ? "" : show(before.amount, measurable(before.what)),
  );
  const [place, setPlace] = useState(before?.place ?? "");
  const [reason, setReason] = useState("");
  const send = async (isNone: boolean) => {
    const answer = await act.run({
      batchId: page.batch.id,
      what,
      to,
      amount: amount.trim() === "" ? null : (read(amount, measurable(what)) as number),
      unit: unitOf(what),
      place,
      replacesId: before?.id ?? null,
      isNone,
      overrideReason: reason,
    });
    if (!answer) return;
    told(isNone ? "Undone." : `${RESIDUE_WORDS[what]}: ${RESIDUE_TO_WORDS[to]}.`);
    onClose();
  };
  const setWhat = (next: Residue) => {
    pickWhat(next);
    setTo(usual.find((one) => one.what === next)?.to[0] ?? "compost");
  };
  return { act, known, what, setWhat, to, setTo, amount, setAmount, place, setPlace, reason, setReason, send };
}

/** What is left of a batch, how much, and where it goes. */
const ResidueSheet = (props: ResidueSheetProps) => {
  const { page, before, onClose } = props;
  const draft = useResidue(props);
  const { act, known, what, to, amount } = draft;
  return (
    <FormSheet
      title={before ? "Put right what was left" : "What was left"}
      act="Save"
      busy={act.busy}
      error={act.error}
      onSubmit={() => draft.send(false)}
      onClose={onClose}
    >
      <SelectField
        label="What"
        value={what}
        onChange={(event) => draft.setWhat(event.target.value as Residue)}
        error={act.fields["/what"]}
      >
        {RESIDUES.map((one) => (
          <option key={one} value={one}>
            {RESIDUE_WORDS[one]}
          </option>
        ))}
      </SelectField>
      <SelectField
        label="Where it goes"
        value={to}
        onChange={(event) => draft.setTo(event.target.value as ResidueTo)}
        error={act.fields["/to"]}
      >
        {RESIDUE_TO.map((one) => (
          <option key={one} value={one}>
            {RESIDUE_TO_WORDS[one]}
          </option>
        ))}
      </SelectField>
      <ul className="list-disc pl-5 text-[0.95rem]">
        {known.advice.map((one) => (
          <li key={one.code}>{sayResidueAdvice(one, speechOf(page.farm.units))}</li>
        ))}
      </ul>
      <AmountField
        label="How much"
        of={measurable(what)}
        typed={amount}
        placeholder="not weighed"
        value={amount}
        onChange={(event) => draft.setAmount(event.target.value)}
        error={act.fields["/amount"]}
      />
      <TextField
        label="Which heap, tree or bed"
        value={draft.place}
        maxLength={80}
        onChange={(event) => draft.setPlace(event.target.value)}
        error={act.fields["/place"]}
      />
      {known.fouls.includes(to) ? (
        <TextArea
          label="Why does it go where food grows?"
          hint="Saved with the batch."
          value={draft.reason}
          onChange={(event) => draft.setReason(event.target.value)}
          error={act.fields["/overrideReason"]}
        />
      ) : null}
      {before ? (
        <Button variant="quiet" disabled={act.busy} onClick={() => void draft.send(true)}>
          There was no such thing
        </Button>
      ) : null}
    </FormSheet>
  );
};

/** What a batch left and where it went; a touch puts it right. */
export const Residues = ({ page }: { readonly page: BatchPage }) => {
  const [open, setOpen] = useState<Left | "new" | null>(null);
  const { units } = page.farm;
  return (
    <>
      {page.residues.length === 0 ? (
        <p className="text-soft">Liquor, foam, rinse, shell: nothing written down beside what straining asked.</p>
      ) : null}
      <ul className="divide-y divide-line border-line">
        {page.residues.map((left) => (
          <li key={left.id} className="flex items-center gap-3 py-1.5">
            <span className="min-w-0 grow">
              <b>{RESIDUE_WORDS[left.what]}</b>
              {left.amount === null ? "" : `, ${sayStock(left.amount, left.unit, units)}`}: {RESIDUE_TO_WORDS[left.to]}
              {left.place ? `, ${left.place}` : ""}.{" "}
              <span className="text-soft">
                {sayMoment(new Date(left.atMs), new Date(page.nowMs), page.farm)} by {left.actorName}
                {left.overrideReason ? `. Because: ${left.overrideReason}` : ""}
              </span>
            </span>
            {left.lotId === null ? (
              <Button variant="quiet" aria-label={`Change: ${RESIDUE_WORDS[left.what]}`} onClick={() => setOpen(left)}>
                Change
              </Button>
            ) : (
              <Link href="/shed" className="underline">
                in the shed
              </Link>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <Button onClick={() => setOpen("new")}>Something was left</Button>
      </div>
      {open ? <ResidueSheet page={page} before={open === "new" ? null : open} onClose={() => setOpen(null)} /> : null}
    </>
  );
};
