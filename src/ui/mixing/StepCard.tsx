"use client";
import { clsx } from "clsx";
import { useState } from "react";
import { findIngredient } from "@/core/book/ingredients";
import { offTarget, type StepState } from "@/core/mixing/progress";
import { sayStock, type UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { Button } from "../kit/Button";
import { AmountField, useReadAmount } from "../measures/AmountField";

interface Said {
  readonly amount?: number | null;
  readonly answer?: string | null;
  readonly checks?: string[];
}

interface StepCardProps {
  readonly state: StepState;
  readonly units: UnitSystem;
  readonly busy: boolean;
  readonly onDone: (said: Said) => Promise<boolean>;
  readonly onRound: (said: Said) => Promise<boolean>;
}

const BIG = "flex min-h-14 w-full items-center gap-3 rounded-[5px] border-2 px-4 py-2 text-left text-lg font-semibold";

/** One step, as large as the screen: its amount in the farm's measures, what to tick before it counts, one great button. */
export const StepCard = ({ state, units, busy, onDone, onRound }: StepCardProps) => {
  const { step, rounds } = state;
  const { read, inOurs } = useReadAmount();
  const of = step.amount
    ? {
        itemId: step.amount.ingredient,
        unit: step.amount.unit,
        densityKgPerL: findIngredient(step.amount.ingredient).densityKgPerL,
      }
    : null;
  const [typed, setTyped] = useState(step.amount ? String(Number(step.amount.planned.toFixed(3))) : "");
  const [checks, setChecks] = useState<readonly string[]>([]);
  const [answer, setAnswer] = useState<string | null>(null);
  const amount = of ? read(typed, of) : null;
  const off = step.amount && amount !== null ? offTarget(amount, step.amount.planned) : null;
  const chosen = step.answers.find(({ word }) => word === answer) ?? null;
  const ready =
    checks.length === step.checks.length &&
    (step.answers.length === 0 || chosen?.fits === true) &&
    (of === null || amount !== null);
  const ours = step.amount && of ? inOurs(step.amount.planned, of) : null;
  return (
    <section aria-label={step.title} className="border-2 border-ink bg-chalk p-4">
      <h2 className="text-2xl">{step.title}</h2>
      {step.amount ? (
        <p className="mt-1">
          <span className="reading text-5xl font-semibold">
            {sayStock(step.amount.planned, step.amount.unit, units)}
          </span>
          {ours ? <span className="ml-3 text-xl">about {ours}</span> : null}
          {step.amount.live ? (
            <span className="block text-soft">Alive: the clock starts with the last of these.</span>
          ) : null}
        </p>
      ) : null}
      <p className="mt-2 text-lg">{step.text}</p>
      <p className="text-soft">{step.why}</p>
      {step.checks.length > 0 ? (
        <ul className="mt-3 grid gap-2">
          {step.checks.map((check) => {
            const on = checks.includes(check);
            return (
              <li key={check}>
                <button
                  type="button"
                  role="checkbox"
                  aria-checked={on}
                  onClick={() => setChecks(on ? checks.filter((one) => one !== check) : [...checks, check])}
                  className={clsx(BIG, on ? "border-ink bg-marigold-wash" : "border-line bg-chalk")}
                >
                  <span
                    aria-hidden
                    className="grid size-7 shrink-0 place-items-center border-2 border-ink text-xl leading-none"
                  >
                    {on ? "✓" : ""}
                  </span>
                  {check}
                </button>
              </li>
            );
          })}
        </ul>
      ) : null}
      {step.answers.length > 0 ? (
        <div role="radiogroup" aria-label={step.title} className="mt-3 grid gap-2">
          {step.answers.map(({ word }) => (
            <button
              key={word}
              type="button"
              role="radio"
              aria-checked={answer === word}
              onClick={() => setAnswer(word)}
              className={clsx(BIG, answer === word ? "border-ink bg-marigold-wash" : "border-line bg-chalk")}
            >
              {word}
            </button>
          ))}
          {chosen ? (
            <p role="status" className={`text-lg ${chosen.fits ? "" : "font-semibold text-rust"}`}>
              {chosen.fits ? "◆" : "■"} {chosen.then}
            </p>
          ) : null}
        </div>
      ) : null}
      {of ? (
        <div className="mt-3">
          <AmountField
            label="What really went in"
            of={of}
            typed={typed}
            value={typed}
            inputMode="decimal"
            onChange={(event) => setTyped(event.target.value)}
            className="reading text-3xl font-semibold"
          />
          {off !== null && Math.abs(off) >= 1 ? (
            <p className="mt-1">
              {off > 0 ? "+" : "−"}
              {formatNumber(Math.abs(off), 2)} % beside the recipe. It is kept as it is.
            </p>
          ) : null}
        </div>
      ) : null}
      {step.everyMin && rounds > 0 ? <p className="mt-2">Stirred {rounds} times so far.</p> : null}
      {step.everyMin && chosen && !chosen.fits ? (
        <Button
          look="strong"
          wide
          className="mt-4 min-h-16 text-xl"
          disabled={busy}
          onClick={() => void onRound({ answer })}
        >
          Stirred; again in {step.everyMin} min
        </Button>
      ) : (
        <Button
          look="strong"
          wide
          className="mt-4 min-h-16 text-xl"
          disabled={busy || !ready}
          onClick={() => void onDone({ amount, answer, checks: [...checks] })}
        >
          {step.amount ? "It is in" : "Done"}
        </Button>
      )}
    </section>
  );
};
