"use client";
import { useEffect, useState } from "react";
import { addDays } from "@/core/calendar";
import type { TrialStartView, TrialView } from "@/services/trials";
import { useDoor } from "../acts/act";
import { useTrialsAct } from "../acts/trials";
import { TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { Notice } from "../kit/Notice";
import { told } from "../kit/told";
import { sayDoor } from "@/words/door";
import { JoinFields, useJoining } from "./JoinFields";
import { draftOf, joiningOf, type TrialDraft } from "./trialDraft";

const ASK_LIMIT_MS = 20_000;
const USUAL_D = 42;

/** Strips join a trial that can't tell yet: lots are drawn for them, and they have a day of their own. */
export const AddPairsSheet = ({ view, onClose }: { readonly view: TrialView; readonly onClose: () => void }) => {
  const door = useDoor();
  const act = useTrialsAct("addTrialPairs");
  const [start, setStart] = useState<TrialStartView | "missing" | null>(null);
  const [draft, setDraft] = useState<TrialDraft>(() => ({
    ...draftOf(view),
    decidingOn: addDays(view.today, USUAL_D),
  }));
  useEffect(() => {
    door.read("trialStart", {}, AbortSignal.timeout(ASK_LIMIT_MS)).then(
      (answer) => setStart(answer.ok ? (answer.value as TrialStartView) : "missing"),
      () => setStart("missing"),
    );
  }, [door]);
  const known = new Set(view.rounds.flatMap(({ units }) => units.map(({ plotId }) => plotId)));
  const plots = start === null || start === "missing" ? [] : start.plots.filter(({ id }) => !known.has(id));
  const joined = useJoining(draft, plots);
  const change = (part: Partial<TrialDraft>) => setDraft({ ...draft, ...part });
  const submit = async () => {
    const answer = await act.run({ trialId: view.id, decidingOn: draft.decidingOn, ...joiningOf(draft) });
    if (!answer) return;
    told("Lots are drawn for them.");
    onClose();
  };
  return (
    <FormSheet
      title="Add strips"
      act="Draw lots for them"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {start === "missing" ? (
        <Notice tone="error" title={sayDoor("out-of-reach")}>
          {null}
        </Notice>
      ) : null}
      <JoinFields draft={draft} change={change} fields={act.fields} plots={plots} joined={joined} />
      <TextField
        type="date"
        label="Judged on"
        value={draft.decidingOn}
        error={act.fields["/decidingOn"]}
        onChange={({ target }) => change({ decidingOn: target.value })}
      />
    </FormSheet>
  );
};
