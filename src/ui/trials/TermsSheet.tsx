"use client";
import { useState } from "react";
import type { TrialView } from "@/services/trials";
import { useTrialsAct } from "../acts/trials";
import { TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { Notice } from "../kit/Notice";
import { told } from "../kit/told";
import { MeasureFields } from "./TermFields";
import { draftOf, termsOf, type TrialDraft } from "./trialDraft";

/** Changes what a trial asks. After the first application the change stands beside every verdict. */
export const TermsSheet = ({ view, onClose }: { readonly view: TrialView; readonly onClose: () => void }) => {
  const act = useTrialsAct("setTrialTerms");
  const [draft, setDraft] = useState<TrialDraft>(() => draftOf(view));
  const change = (part: Partial<TrialDraft>) => setDraft({ ...draft, ...part });
  const submit = async () => {
    if (!(await act.run({ trialId: view.id, terms: termsOf(draft, view.farm.units) }))) return;
    told("What it asks is changed.");
    onClose();
  };
  return (
    <FormSheet
      title="Change what it asks"
      act="Change it"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {view.applications > 0 ? (
        <Notice tone="caution" title="Something was put on already">
          <p>
            If you change what is read, the day or the smallest difference, no verdict for or against it can come of
            this trial.
          </p>
        </Notice>
      ) : null}
      <TextField
        label="The question"
        value={draft.question}
        maxLength={200}
        error={act.fields["/terms/question"]}
        onChange={({ target }) => change({ question: target.value })}
      />
      <MeasureFields draft={draft} change={change} fields={act.fields} units={view.farm.units} />
    </FormSheet>
  );
};
