"use client";
import { useState } from "react";
import type { Confounder } from "@/core/trial";
import { counted } from "@/formats/grammar";
import type { TrialView } from "@/services/trials";
import { ASKED_CONFOUNDERS, CONFOUNDER_WORDS } from "@/words/said";
import { useTrialsAct } from "../acts/trials";
import { useUndo } from "../acts/undo";
import { Button } from "../kit/Button";
import { TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";

/** Before somebody looks: what the farm's own records can't tell, asked once. Then the verdict is written down. */
export const LookSheet = ({ view, onClose }: { readonly view: TrialView; readonly onClose: () => void }) => {
  const note = useTrialsAct("noteTrial");
  const undo = useUndo();
  const look = useTrialsAct("lookAtTrial");
  const known = new Set<Confounder>(view.confounders);
  const [ticked, setTicked] = useState<readonly Confounder[]>([]);
  const open = view.blocks.filter(({ isRead, leftOut }) => !isRead && leftOut === null).length;
  const submit = async () => {
    for (const code of ticked) if (!(await note.run({ trialId: view.id, note: { type: "confounder", code } }))) return;
    if (!(await look.run({ trialId: view.id }))) return;
    told("Looked at, and written down.");
    onClose();
  };
  const isSpending = view.terms.looks === "several";
  return (
    <FormSheet
      title="Look at it"
      act="Look, and write it down"
      busy={note.busy || look.busy}
      error={note.error ?? look.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <p>
        {counted(view.judged, { one: "One pair is", other: "# pairs are" })} compared.{" "}
        {open > 0 ? `${counted(open, { one: "One is", other: "# are" })} not read yet. ` : ""}
        {isSpending
          ? "Each look costs a little of what the trial can tell, so look when there is something new."
          : view.terms.looks === "one"
            ? "This trial is looked at once: afterwards it is over."
            : ""}{" "}
        A look stays written down.
      </p>
      <fieldset>
        <legend className="font-semibold">Did anything of this happen?</legend>
        {ASKED_CONFOUNDERS.map((code) => (
          <TickField
            key={code}
            label={CONFOUNDER_WORDS[code]}
            disabled={known.has(code)}
            checked={known.has(code) || ticked.includes(code)}
            onChange={() => setTicked(ticked.includes(code) ? ticked.filter((one) => one !== code) : [...ticked, code])}
          />
        ))}
      </fieldset>
      {known.size > 0 ? (
        <div>
          <p className="font-semibold">The farm’s records say</p>
          <ul className="list-disc pl-5">
            {[...known].map((code) => {
              const noted = view.notedByHand.find((one) => one.code === code);
              return (
                <li key={code}>
                  {CONFOUNDER_WORDS[code]}
                  {noted ? (
                    <Button
                      variant="quiet"
                      aria-label={`Undo: ${CONFOUNDER_WORDS[code]}`}
                      onClick={undo({ kind: "trial-entry", id: noted.entryId })?.action.onClick}
                    >
                      Undo
                    </Button>
                  ) : null}
                </li>
              );
            })}
          </ul>
        </div>
      ) : null}
    </FormSheet>
  );
};
