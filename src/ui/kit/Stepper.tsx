"use client";
import { Minus, Plus } from "lucide-react";
import { useId, useState } from "react";
import { numberDoubt, parseNumber } from "@/formats/numbers";

interface StepperProps {
  readonly label: string;
  readonly value: number;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly digits: number;
  readonly unit?: string;
  /** Where the first tap begins while nothing is read yet: a value that nobody touched is no reading. */
  readonly from?: number;
  /** NaN while what is typed is no number. */
  readonly onChange: (value: number) => void;
}

/** A number for a thumb in a glove: big minus and plus, and typing for who likes it, with a comma or a point. */
export const Stepper = ({ label, value, step, min, max, digits, unit, from, onChange }: StepperProps) => {
  const id = useId();
  // What is being typed stays as it is typed ("3," on the way to "3,5"); the value is what it reads as.
  const [typed, setTyped] = useState<string | null>(null);
  const shown =
    typed !== null && Object.is(parseNumber(typed) ?? NaN, value)
      ? typed
      : Number.isFinite(value)
        ? String(value)
        : (typed ?? "");
  const doubt = typed === null ? null : numberDoubt(typed);
  const move = (by: number) => {
    setTyped(null);
    const next = Number.isFinite(value) ? value + by : (from ?? min);
    onChange(Number(Math.min(max, Math.max(min, next)).toFixed(digits)));
  };
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-[0.92rem] font-semibold">
        {label}
        {unit ? ` (${unit})` : ""}
      </label>
      <div className="flex items-stretch gap-2">
        <button
          type="button"
          aria-label={`${label} down`}
          onClick={() => move(-step)}
          className="grid size-14 place-items-center rounded-[5px] border-[1.5px] border-ink bg-chalk hover:bg-marigold-wash"
        >
          <Minus aria-hidden />
        </button>
        <input
          id={id}
          role="spinbutton"
          inputMode="decimal"
          autoComplete="off"
          aria-valuenow={Number.isFinite(value) ? value : undefined}
          aria-valuemin={min}
          aria-valuemax={max}
          aria-describedby={doubt ? `${id}-doubt` : undefined}
          value={shown}
          placeholder="–"
          onChange={(event) => {
            setTyped(event.target.value);
            onChange(parseNumber(event.target.value) ?? NaN);
          }}
          onKeyDown={(event) => {
            if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
            event.preventDefault();
            move(event.key === "ArrowUp" ? step : -step);
          }}
          className="reading w-28 rounded-[5px] border-[1.5px] border-line bg-chalk text-center text-3xl font-semibold focus:border-ink"
        />
        <button
          type="button"
          aria-label={`${label} up`}
          onClick={() => move(step)}
          className="grid size-14 place-items-center rounded-[5px] border-[1.5px] border-ink bg-chalk hover:bg-marigold-wash"
        >
          <Plus aria-hidden />
        </button>
      </div>
      {doubt ? (
        <p id={`${id}-doubt`} role="alert" className="mt-1 text-[0.92rem] font-semibold text-rust">
          {doubt}
        </p>
      ) : null}
    </div>
  );
};
