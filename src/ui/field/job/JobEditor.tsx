"use client";
import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import { useState } from "react";
import type { JobStep } from "@/core/apply/job";
import type { JobsView } from "@/services/field";
import { STEP_WORDS } from "@/words/said";
import { useFieldAct } from "../../acts/field";
import { Button } from "../../kit/Button";
import { TextField } from "../../kit/fields";
import { Refusal } from "../../kit/Refusal";
import { told } from "../../kit/told";
import { nextStep, ordered, requestOfJob, type JobDraft, type JobStepDraft } from "./jobDraft";
import { StepFields } from "./StepFields";
import { useUndo } from "../../acts/undo";

interface EditorProps {
  readonly view: JobsView;
  readonly kept: JobDraft;
  readonly onDone: () => void;
}

/** What is typed of a job, and its sending. */
function useJobDraft({ view, kept, onDone }: EditorProps) {
  const act = useFieldAct("setJob");
  const undo = useUndo();
  const [draft, setDraft] = useState(kept);
  const setSteps = (steps: readonly JobStepDraft[]) => setDraft({ ...draft, steps });
  const send = async (putAway: boolean) => {
    const answer = await act.run({ ...requestOfJob(draft, view.field), putAway });
    if (!answer) return;
    told(
      putAway ? `${draft.name} is put away; its records stay.` : `${draft.name} saved.`,
      undo({ kind: "job", id: answer.rowId }),
    );
    onDone();
  };
  return {
    act,
    draft,
    setDraft,
    send,
    change: (at: number, change: Partial<JobStepDraft>) =>
      setSteps(draft.steps.map((step, index) => (index === at ? { ...step, ...change } : step))),
    add: (does: JobStep["does"]) => setSteps([...draft.steps, nextStep(view.field, draft.steps, does)]),
    takeOut: (at: number) => setSteps(draft.steps.filter((_, index) => index !== at)),
    move: (at: number, by: number) => {
      const steps = [...draft.steps];
      [steps[at], steps[at + by]] = [steps[at + by]!, steps[at]!];
      setSteps(steps);
    },
    order: () => setSteps(ordered(draft.steps, view.field)),
  };
}

/** What a step does, and the buttons that move it or take it out. */
const StepHead = ({
  step,
  at,
  count,
  onMove,
  onTakeOut,
}: {
  readonly step: JobStepDraft;
  readonly at: number;
  readonly count: number;
  readonly onMove: (at: number, by: number) => void;
  readonly onTakeOut: (at: number) => void;
}) => (
  <div className="mb-2 flex items-center gap-2">
    <h2 className="grow text-lg">
      {at + 1}. {STEP_WORDS[step.does]}
    </h2>
    <Button variant="quiet" disabled={at === 0} aria-label={`Step ${at + 1}: earlier`} onClick={() => onMove(at, -1)}>
      <ArrowUp aria-hidden className="size-5" />
    </Button>
    <Button
      variant="quiet"
      disabled={at === count - 1}
      aria-label={`Step ${at + 1}: later`}
      onClick={() => onMove(at, 1)}
    >
      <ArrowDown aria-hidden className="size-5" />
    </Button>
    <Button
      variant="quiet"
      disabled={count === 1}
      aria-label={`Step ${at + 1}: take it out`}
      onClick={() => onTakeOut(at)}
    >
      <Trash2 aria-hidden className="size-5" />
    </Button>
  </div>
);

/** A job typed in: a name, a day, and its steps in order. */
export const JobEditor = (props: EditorProps) => {
  const { view, onDone } = props;
  const { act, draft, setDraft, send, change, add, takeOut, move, order } = useJobDraft(props);
  return (
    <section
      aria-label={draft.jobId === null ? "A new job" : "Change the job"}
      className="my-5 max-w-3xl border-2 border-ink bg-chalk p-4"
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <TextField
          label="Name"
          autoFocus
          maxLength={60}
          value={draft.name}
          onChange={(event) => setDraft({ ...draft, name: event.target.value })}
          error={act.fields["/name"]}
        />
        <TextField
          label="For the day"
          type="date"
          value={draft.forDay}
          onChange={(event) => setDraft({ ...draft, forDay: event.target.value })}
          error={act.fields["/forDay"]}
        />
      </div>
      <ol>
        {draft.steps.map((step, at) => (
          <li key={step.key} className="mt-4 border-t-2 border-line pt-3">
            <StepHead step={step} at={at} count={draft.steps.length} onMove={move} onTakeOut={takeOut} />
            <StepFields view={view} step={step} at={at} fields={act.fields} onChange={(one) => change(at, one)} />
          </li>
        ))}
      </ol>
      <div className="mt-4 flex flex-wrap gap-2">
        {(Object.keys(STEP_WORDS) as JobStep["does"][]).map((does) => (
          <Button key={does} disabled={does === "put-on" && view.field.stores.length === 0} onClick={() => add(does)}>
            And {STEP_WORDS[does]}
          </Button>
        ))}
        <Button variant="quiet" disabled={draft.steps.length < 2} onClick={order}>
          Put the layers in order
        </Button>
      </div>
      <div className="mt-4 grid gap-2">
        <Refusal error={act.error} />
        <div className="flex flex-wrap gap-2">
          <Button variant="strong" disabled={act.busy} onClick={() => void send(false)}>
            Save job
          </Button>
          <Button onClick={onDone}>Cancel</Button>
          {draft.jobId === null ? null : (
            <Button variant="quiet" disabled={act.busy} onClick={() => void send(true)}>
              Put job away
            </Button>
          )}
        </div>
      </div>
    </section>
  );
};
