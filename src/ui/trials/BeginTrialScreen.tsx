"use client";
import { useRouter } from "next/navigation";
import type { TrialStartView } from "@/services/trials";
import { inText, listedOr } from "@/formats/grammar";
import { formatNumber } from "@/formats/numbers";
import { useTrialsAct } from "../acts/trials";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { useDraft } from "../kit/useDraft";
import { ChanceBoard } from "./ChanceBoard";
import { JoinFields, useJoining } from "./JoinFields";
import { MeasureFields } from "./TermFields";
import { emptyDraft, joiningOf, OWN, scaleOf, termsOf, unitOf, type TrialDraft } from "./trialDraft";
import { useSize } from "./useSize";

const MOST_INPUTS = 3;

/** The question as it may be put, until somebody puts it otherwise. */
function askedOf({ inputs, plotIds }: TrialDraft, plots: TrialStartView["plots"]): string {
  const names = inputs.map(({ name }) => inText(name)).filter((name) => name !== "");
  const crops = new Set(plots.filter(({ id }) => plotIds.includes(id)).map(({ crop }) => inText(crop)));
  const [crop] = crops;
  return names.length === 0
    ? ""
    : `Does ${listedOr(names)} help ${crops.size === 1 && crop ? `the ${crop}` : "these beds"}?`;
}

const InputFields = ({
  draft,
  change,
  view,
  fields,
}: {
  readonly draft: TrialDraft;
  readonly change: (part: Partial<TrialDraft>) => void;
  readonly view: TrialStartView;
  readonly fields: Readonly<Record<string, string>>;
}) => {
  const set = (nth: number, part: Partial<TrialDraft["inputs"][number]>) =>
    change({ inputs: draft.inputs.map((one, at) => (at === nth ? { ...one, ...part } : one)) });
  return (
    <>
      {draft.inputs.map(({ methodId, name }, nth) => (
        <div key={nth} className="grid gap-2 sm:grid-cols-2">
          <SelectField
            label={nth === 0 ? "What may help?" : "And compared with"}
            value={methodId}
            error={fields[`/terms/inputs/${nth}/methodId`]}
            onChange={({ target }) => {
              const method = view.methods.find(({ id }) => id === target.value);
              set(nth, { methodId: target.value, name: method?.name ?? "" });
            }}
          >
            {view.methods.map((method) => (
              <option key={method.id} value={method.id}>
                {method.name}
              </option>
            ))}
            <option value={OWN}>something else: bought, or laid by hand</option>
          </SelectField>
          <TextField
            label="Called"
            value={name}
            maxLength={60}
            error={fields[`/terms/inputs/${nth}/name`]}
            onChange={({ target }) => set(nth, { name: target.value })}
          />
        </div>
      ))}
      <div className="flex flex-wrap gap-2">
        {draft.inputs.length < MOST_INPUTS ? (
          <Button onClick={() => change({ inputs: [...draft.inputs, { methodId: OWN, name: "" }] })}>
            One more input
          </Button>
        ) : null}
        {draft.inputs.length > 1 ? (
          <Button variant="quiet" onClick={() => change({ inputs: draft.inputs.slice(0, -1) })}>
            One less
          </Button>
        ) : null}
      </div>
      <Choices
        label="Put on"
        value={draft.isOnLeaves ? "leaves" : "soil"}
        options={[
          { value: "soil", label: "on the soil", note: "half a metre between the strips is not read" },
          { value: "leaves", label: "on the leaves", note: "two metres between the strips are not read" },
        ]}
        onChange={(where) => change({ isOnLeaves: where === "leaves" })}
      />
    </>
  );
};

/** A trial is begun from a question: what may help, where, what is read, and how likely so many strips would tell. */
export const BeginTrialScreen = ({ view }: { readonly view: TrialStartView }) => {
  const router = useRouter();
  const act = useTrialsAct("beginTrial");
  const kept = useDraft<TrialDraft>("trial/new");
  const draft = kept.draft?.value ?? emptyDraft(view);
  const change = (part: Partial<TrialDraft>) => kept.keep({ ...draft, ...part });
  const joined = useJoining(draft, view.plots);
  const size = useSize(draft, joined.pairs);
  const { units } = view.farm;
  const scale = scaleOf(draft);
  const shownQuestion = draft.question || askedOf(draft, view.plots);
  const begin = async () => {
    const terms = termsOf({ ...draft, question: shownQuestion }, units);
    const answer = await act.run({ terms, ...joiningOf(draft) });
    if (!answer) return;
    kept.drop();
    told("Lots are drawn.");
    router.push(`/field/trials/${answer.trialId}`);
  };
  return (
    <div className="px-4 py-5 md:px-8">
      <h1 className="text-2xl">Begin a trial</h1>
      <form
        className="mt-4 grid gap-x-10 gap-y-6 lg:grid-cols-2"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void begin();
        }}
      >
        <section aria-label="The question" className="grid content-start gap-4">
          <InputFields draft={draft} change={change} view={view} fields={act.fields} />
          <TextField
            label="The question"
            value={shownQuestion}
            maxLength={200}
            error={act.fields["/terms/question"]}
            onChange={({ target }) => change({ question: target.value })}
          />
          <JoinFields draft={draft} change={change} fields={act.fields} plots={view.plots} joined={joined} />
        </section>
        <section aria-label="How it is judged" className="grid content-start gap-4">
          <MeasureFields draft={draft} change={change} fields={act.fields} units={units} />
          {scale === "ordinal" ? null : (
            <NumberField
              label="How much two strips differ by themselves"
              unit={scale === "ratio" ? "%" : unitOf(draft, units)}
              value={draft.spread}
              hint="A guess will do: 10 is even ground, 20 usual, 40 rough. It only tells how likely the trial is to tell."
              onChange={({ target }) => change({ spread: target.value })}
            />
          )}
          {size && joined.pairs > 0 ? (
            <ChanceBoard chance={size.chance} pairs={joined.pairs} least={size.least} wanted={size.pairs} />
          ) : null}
          <Notice tone="plain" title="Before you begin">
            <p>
              “Can’t tell” is the usual answer of a small trial, and a good one: it keeps you from paying for what may
              do nothing. The strips without get the same water.{" "}
              {size?.pairs ? `Best here: ${formatNumber(size.pairs)} pairs.` : ""}
            </p>
          </Notice>
          <Refusal error={act.error} />
          <Button type="submit" variant="strong" disabled={act.busy}>
            Begin, and draw lots
          </Button>
        </section>
      </form>
    </div>
  );
};
