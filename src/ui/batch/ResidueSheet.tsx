"use client";
import { useState } from "react";
import { RESIDUE_TO, RESIDUES, type Residue, type ResidueTo } from "@/core/recipe/residue";
import type { Measurable } from "@/formats/measured";
import type { BatchPage } from "@/services/batch";
import { RESIDUE_TO_WORDS, RESIDUE_WORDS, sayResidueAdvice } from "@/words/said";
import { speechOf } from "@/words/speech";
import { useBatchAct } from "../acts/batch";
import { Button } from "../kit/Button";
import { SelectField, TextArea, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";
import { AmountField, useReadAmount } from "../measures/AmountField";

/** What is asked of a batch's page for what was left of it. */
export interface ResiduePage extends Pick<BatchPage, "residues" | "farm" | "nowMs"> {
  readonly batch: { readonly id: number; readonly closing: Pick<BatchPage["batch"]["closing"], "residues"> };
}

/** Something that was left of a batch. */
export type Left = BatchPage["residues"][number];

/** What is carried in a sack is weighed, what runs is measured. */
const unitOf = (what: Residue): "kg" | "L" => (["liquor", "foam", "rinse", "lees"].includes(what) ? "L" : "kg");
const measurable = (what: Residue): Measurable => ({ itemId: "residue", unit: unitOf(what), densityKgPerL: null });

interface ResidueSheetProps {
  readonly page: ResiduePage;
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
export const ResidueSheet = (props: ResidueSheetProps) => {
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
