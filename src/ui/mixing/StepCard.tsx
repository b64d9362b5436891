"use client";
import type { Measurable } from "@/formats/measured";
import { useState } from "react";
import type { ActError } from "@/contracts/answer";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import { findIngredient } from "@/core/book/ingredients";
import { offTarget, type StepState } from "@/core/mixing/progress";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { Button } from "../kit/Button";
import { CautionPictures } from "../kit/CautionPictures";
import { Refusal } from "../kit/Refusal";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { WeighPanel } from "../measures/WeighPanel";
import { StepAnswers, StepChecks } from "./StepChoices";
import { BookText } from "../kit/BookText";
import { counted } from "@/formats/grammar";

interface Said {
  readonly amount?: number | null;
  readonly answer?: string | null;
  readonly checks?: string[];
}

interface StepCardProps {
  readonly state: StepState;
  readonly units: UnitSystem;
  readonly busy: boolean;
  readonly error: ActError | null;
  readonly onDone: (said: Said) => Promise<boolean>;
  readonly onRound: (said: Said) => Promise<boolean>;
}

/** What was typed, ticked and answered at a step. */
function useStep({ step, planned }: StepState) {
  const { read, inOurs, show } = useReadAmount();
  const of = step.amount
    ? {
        itemId: step.amount.ingredient,
        unit: step.amount.unit,
        densityKgPerL: findIngredient(step.amount.ingredient).densityKgPerL,
      }
    : null;
  const [typed, setTyped] = useState(of && planned !== null ? show(planned, of) : "");
  const [touched, setTouched] = useState(false);
  const [weighing, setWeighing] = useState(false);
  const [checks, setChecks] = useState<readonly string[]>([]);
  const [answer, setAnswer] = useState<string | null>(null);
  // What nobody touched goes in as it was worked out; the rounding is for the eye.
  const amount = of ? (touched ? read(typed, of) : Number(planned!.toFixed(3))) : null;
  const off = planned !== null && amount !== null ? offTarget(amount, planned) : null;
  const chosen = step.answers.find(({ word }) => word === answer) ?? null;
  const ready =
    checks.length === step.checks.length &&
    (step.answers.length === 0 || chosen?.fits === true) &&
    (of === null || amount !== null);
  const ours = planned !== null && of ? inOurs(planned, of) : null;
  const type = (text: string) => {
    setTyped(text);
    setTouched(true);
  };
  return {
    of,
    typed,
    type,
    weighing,
    setWeighing,
    checks,
    setChecks,
    setAnswer,
    answer,
    amount,
    off,
    chosen,
    ready,
    ours,
  };
}

/** How much is meant to go in. */
const Planned = ({
  amount,
  planned,
  ours,
  units,
}: {
  readonly amount: NonNullable<StepState["step"]["amount"]>;
  readonly planned: number;
  readonly ours: string | null;
  readonly units: UnitSystem;
}) => (
  <p className="mt-1">
    <span className="reading text-5xl font-semibold">{sayStock(planned, amount.unit, units)}</span>
    {ours ? <span className="ml-3 text-xl">about {ours}</span> : null}
    {planned !== amount.planned ? (
      <span className="block text-soft">
        By what really went in before; the recipe began with {sayStock(amount.planned, amount.unit, units)}.
      </span>
    ) : null}
    {amount.live ? <span className="block text-soft">Alive: the clock starts with the last of these.</span> : null}
  </p>
);

type StepDraft = ReturnType<typeof useStep>;

/** What really went in, weighed in a pail if one likes. */
const WhatWentIn = ({ of, draft }: { readonly of: Measurable; readonly draft: StepDraft }) => {
  const { typed, type, weighing, setWeighing, off } = draft;
  return (
    <div className="mt-3">
      <AmountField
        label="What really went in"
        of={of}
        typed={typed}
        value={typed}
        inputMode="decimal"
        onChange={(event) => type(event.target.value)}
        className="reading text-3xl font-semibold"
      />
      {off !== null && Math.abs(off) >= 1 ? (
        <p className="mt-1">
          {off > 0 ? "+" : "−"}
          {formatNumber(Math.abs(off), 2)} % beside the recipe. It is kept as it is.
        </p>
      ) : null}
      {of.unit === "kg" ? (
        <Button variant="quiet" className="-ml-3" aria-expanded={weighing} onClick={() => setWeighing(!weighing)}>
          Weigh it in a pail
        </Button>
      ) : null}
      {weighing ? (
        <WeighPanel
          of={of}
          onUse={(sum) => {
            type(sum);
            setWeighing(false);
          }}
        />
      ) : null}
    </div>
  );
};

/** One step, as large as the screen: its amount in the farm's measures, what to tick before it counts, one great button. */
export const StepCard = ({ state, units, busy, error, onDone, onRound }: StepCardProps) => {
  const { step, rounds, planned } = state;
  const draft = useStep(state);
  const { of, checks, setChecks, setAnswer, answer, amount, chosen, ready, ours } = draft;
  return (
    <section aria-label={step.title} className="border-2 border-ink bg-chalk p-4">
      <div className="flex items-start justify-between gap-3">
        <h2 className="text-2xl">{step.title}</h2>
        {step.amount ? <CautionPictures cautions={INGREDIENT_FACTS[step.amount.ingredient].cautions} /> : null}
      </div>
      {step.amount && planned !== null ? (
        <Planned amount={step.amount} planned={planned} ours={ours} units={units} />
      ) : null}
      <p className="mt-2 text-lg">
        <BookText>{step.text}</BookText>
      </p>
      <p className="text-soft">
        <BookText>{step.why}</BookText>
      </p>
      <StepChecks checks={step.checks} ticked={checks} onTick={setChecks} />
      <StepAnswers title={step.title} answers={step.answers} chosen={chosen} onChoose={setAnswer} />
      {of ? <WhatWentIn of={of} draft={draft} /> : null}
      {step.everyMin && rounds > 0 ? (
        <p className="mt-2">{counted(rounds, { one: "Looked at once so far.", other: "Looked at # times so far." })}</p>
      ) : null}
      <div className="mt-4">
        <Refusal error={error} />
        {step.everyMin && chosen && !chosen.fits ? (
          <Button
            variant="strong"
            wide
            className="min-h-16 text-xl"
            disabled={busy}
            onClick={() => void onRound({ answer })}
          >
            Done. Check again in {step.everyMin} min
          </Button>
        ) : (
          <Button
            variant="strong"
            wide
            className="min-h-16 text-xl"
            disabled={busy || !ready}
            onClick={() => void onDone({ amount, answer, checks: [...checks] })}
          >
            {step.amount ? "Mark as added" : "Done"}
          </Button>
        )}
      </div>
    </section>
  );
};
