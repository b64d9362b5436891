"use client";
import { Printer } from "lucide-react";
import { useState } from "react";
import { isElsewhere } from "@/core/apply/elsewhere";
import type { JobStep } from "@/core/apply/job";
import { USES } from "@/core/book/uses";
import { CAUTIONS } from "@/core/book/cautions";
import { sayVolume } from "@/formats/amounts";
import { sayFieldUnit, sayMixRate, typedInField } from "@/formats/fieldUnits";
import { sayDay, sayMoment } from "@/formats/times";
import type { JobStepView, JobsView, JobView } from "@/services/field";
import { sayWithout } from "@/words/allocation";
import { LAID_WORDS, sayLayerFault } from "@/words/said";
import { speechOf } from "@/words/speech";
import { useFieldAct } from "../../acts/field";
import { Button, buttonClass } from "../../kit/Button";
import { Fold } from "../../kit/Fold";
import { Link } from "../../kit/Link";
import { Notice } from "../../kit/Notice";
import { Refusal } from "../../kit/Refusal";
import { told } from "../../kit/told";
import { JobEditor } from "./JobEditor";
import { draftOfJob, newJob } from "./jobDraft";
import { undoOffer } from "../../acts/undo";
import { inText } from "@/formats/grammar";

const NAMED = 6;

const plotsOf = ({ field }: JobsView, { plotIds }: JobStep) =>
  [...field.plots, ...field.elsewhere].filter(({ id }) => plotIds.includes(id));

/** Where a step goes. */
const sayWhere = (view: JobsView, step: JobStep): string => {
  const names = plotsOf(view, step).map(({ name }) => name);
  return names.length > NAMED
    ? `${names.slice(0, NAMED).join(", ")} and ${names.length - NAMED} more`
    : names.join(", ");
};

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** What a step is, in one line. @example "Castings tea, drench, growing plants at 1:10" */
export function sayStep({ field }: JobsView, step: JobStep): string {
  if (step.does === "water") return "Water in";
  if (step.does === "lay")
    return `${capital(LAID_WORDS[step.what])}${step.depthCm === null ? " on top" : `, worked in down to ${typedInField(step.depthCm / 100, "cm", field.farm.units)} ${sayFieldUnit("cm", field.farm.units)}`}`;
  const store = field.stores.find(({ id }) => id === step.storeId);
  return `${store?.label ?? "a container that is empty"}, ${inText(USES[step.use].name)} at ${step.ratio}`;
}

/** How much of it: by area, and all of it. */
function sayAmount(view: JobsView, { step, share }: JobStepView): string {
  const { units } = view.field.farm;
  const plots = plotsOf(view, step);
  const litres = plots.reduce((sum, { treatableM2 }) => sum + treatableM2 * step.litresPerM2, 0);
  const rate = plots.some(({ kind }) => isElsewhere(kind)) ? "" : `${sayMixRate(step.litresPerM2, "m2", units)}, `;
  if (!share) return `${rate}${sayVolume(litres, units)} in all`;
  return `${rate}${sayVolume(litres, units)} of mix in all, ${
    share.givenL < share.wantedL * 0.999
      ? `${sayVolume(share.givenL, units)} of the ${sayVolume(share.wantedL, units)} of concentrate that it wants`
      : `${sayVolume(share.wantedL, units)} of concentrate`
  }`;
}

/** A step marked as done with a way back, or opened again. */
function useStep(asked: { readonly jobId: number; readonly stepKey: string }, said: string) {
  const doIt = useFieldAct("doJobStep");
  const takeBack = useFieldAct("takeBackJobStep");
  const markDone = async () => {
    if (!(await doIt.run({ ...asked, note: "" }))) return;
    told(
      `${said}: done.`,
      undoOffer(() => takeBack.run(asked)),
    );
  };
  return { doIt, takeBack, markDone };
}

/** One step: what, where, how much of what there is, and the touch that does it or takes it back. */
const Step = ({
  view,
  job,
  one,
  nth,
}: {
  readonly view: JobsView;
  readonly job: JobView;
  readonly one: JobStepView;
  readonly nth: number;
}) => {
  const { step, share, done } = one;
  const { field } = view;
  const say = speechOf(field.farm.units);
  const nameOf = (id: number) => [...field.plots, ...field.elsewhere].find((plot) => plot.id === id)?.name ?? "";
  const asked = { jobId: job.id, stepKey: step.key };
  const { doIt, takeBack, markDone } = useStep(asked, sayStep(view, step));
  return (
    <li className="grid grid-cols-[2rem_minmax(0,1fr)] gap-1 border-b border-line py-2 sm:grid-cols-[2.5rem_minmax(0,1fr)_auto] sm:items-center sm:gap-3">
      <span aria-hidden className={`font-display text-xl ${done ? "text-soft" : ""}`}>
        {done ? "✓" : nth}
      </span>
      <span className={done ? "text-soft" : ""}>
        <b>{sayStep(view, step)}</b>
        <span className="block">{sayWhere(view, step)}</span>
        <span className="reading block text-[0.92rem] text-soft">{sayAmount(view, one)}</span>
        {done ? (
          <span className="block text-[0.92rem]">
            Done {sayMoment(new Date(done.atMs), new Date(field.nowMs), field.farm)} by {done.actorName}
            {done.note ? `. ${done.note}` : ""}
          </span>
        ) : (
          (share?.without ?? []).map(({ plotId, reason }) => (
            <span key={plotId} className="block text-[0.92rem] text-rust">
              {nameOf(plotId)} goes without: {sayWithout(reason, say)}
            </span>
          ))
        )}
        <Refusal error={doIt.error ?? takeBack.error} />
      </span>
      <span className="max-sm:col-start-2 print:hidden">
        {done ? (
          done.applicationId === null ? (
            <Button
              variant="quiet"
              disabled={takeBack.busy}
              onClick={() => void takeBack.run(asked).then((answer) => answer && told("It is open again."))}
            >
              Not done
            </Button>
          ) : (
            <Link href={`/field/plots/${step.plotIds[0]}`} className="underline">
              on the plot
            </Link>
          )
        ) : step.does === "put-on" ? (
          <Link href={`/field?job=${job.id}&step=${step.key}`} className={buttonClass("strong")}>
            Put it on
          </Link>
        ) : (
          <Button variant="strong" disabled={doIt.busy} onClick={() => void markDone()}>
            Done
          </Button>
        )}
      </span>
    </li>
  );
};

/** One job: its steps in order, what is wrong with the order, and the ways to change or print it. */
const Job = ({
  view,
  job,
  onChange,
}: {
  readonly view: JobsView;
  readonly job: JobView;
  readonly onChange: () => void;
}) => {
  const nameOf = (key: string) => {
    const one = job.steps.find(({ step }) => step.key === key);
    return one ? sayStep(view, one.step) : "";
  };
  return (
    <article aria-label={job.name} className="my-5 max-w-3xl break-after-page">
      <div className="flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink pb-1">
        <h2 className="grow text-xl">{job.name}</h2>
        <span
          className={
            job.forDay < view.today && job.steps.some(({ done }) => !done) ? "font-semibold text-rust" : "text-soft"
          }
        >
          {sayDay(job.forDay)}
        </span>
        <Button variant="quiet" className="print:hidden" aria-label={`Change ${job.name}`} onClick={onChange}>
          Change
        </Button>
      </div>
      {job.faults.map(({ code, stepKey, beforeKey }) => (
        <Notice key={`${stepKey} ${beforeKey}`} tone="caution">
          {sayLayerFault({ code }, nameOf(stepKey), nameOf(beforeKey))}
        </Notice>
      ))}
      <ol>
        {job.steps.map((one, index) => (
          <Step key={one.step.key} view={view} job={job} one={one} nth={index + 1} />
        ))}
      </ol>
      <p className="hidden print:block">
        Gloves. Wash hands after. {CAUTIONS.runoff} Follow local law and your certifier first.
      </p>
    </article>
  );
};

/** Work on beds that belongs together: castings, a brew over them, water, mulch; or one brew for several uses. */
export const JobsScreen = ({ view }: { readonly view: JobsView }) => {
  const [editing, setEditing] = useState<number | "new" | null>(view.jobs.length === 0 ? "new" : null);
  const open = view.jobs.filter(({ steps }) => steps.some(({ done }) => done === null));
  const over = view.jobs.filter((job) => !open.includes(job));
  const lacksPlots = view.field.plots.length + view.field.elsewhere.length === 0;
  const jobOf = (job: JobView) =>
    editing === job.id ? (
      <JobEditor
        key={job.id}
        view={view}
        kept={draftOfJob({ ...job, steps: job.steps.map(({ step }) => step) }, view.field)}
        onDone={() => setEditing(null)}
      />
    ) : (
      <Job key={job.id} view={view} job={job} onChange={() => setEditing(job.id)} />
    );
  return (
    <div className="px-4 py-4 md:px-8">
      <p className="print:hidden">
        <Link href="/field" className="thumb underline">
          The field
        </Link>
      </p>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
        <h1 className="text-2xl">Jobs</h1>
        <span className="flex gap-2 print:hidden">
          {open.length > 0 ? (
            <Button onClick={() => window.print()}>
              <Printer aria-hidden className="size-5" /> Print the cards
            </Button>
          ) : null}
          {editing === "new" || lacksPlots ? null : <Button onClick={() => setEditing("new")}>A new job</Button>}
        </span>
      </div>
      <p className="max-w-3xl text-soft print:hidden">
        Steps that belong together, in their order: castings, a brew over them, water, mulch. Or one brew for several
        uses, each at its own strength; where it does not reach, whoever wants it most gets it first.
      </p>
      {lacksPlots ? (
        <div className="mt-4 max-w-3xl">
          <Notice tone="plain" title="No bed yet">
            <Link href="/field/land" className="underline">
              Draw the field
            </Link>{" "}
            first, or name in{" "}
            <Link href="/field" className="underline">
              the field
            </Link>{" "}
            what is not on the plan.
          </Notice>
        </div>
      ) : editing === "new" ? (
        <JobEditor view={view} kept={newJob(view.field, view.today)} onDone={() => setEditing(null)} />
      ) : null}
      {open.map(jobOf)}
      {over.length > 0 ? (
        <div className="max-w-3xl print:hidden">
          <Fold title={`Done: ${over.length}`}>{over.map(jobOf)}</Fold>
        </div>
      ) : null}
    </div>
  );
};
