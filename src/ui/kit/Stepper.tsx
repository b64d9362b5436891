"use client";
import { Minus, Plus } from "lucide-react";
import { useId } from "react";

interface StepperProps {
  readonly label: string;
  readonly value: number;
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly digits: number;
  readonly unit?: string;
  readonly onChange: (value: number) => void;
}

/** A number for a thumb in a glove: big minus and plus, and typing for who likes it. */
export const Stepper = ({ label, value, step, min, max, digits, unit, onChange }: StepperProps) => {
  const id = useId();
  const set = (next: number) => onChange(Number(Math.min(max, Math.max(min, next)).toFixed(digits)));
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
          onClick={() => set(value - step)}
          className="grid size-14 place-items-center rounded-[5px] border-[1.5px] border-ink bg-chalk hover:bg-marigold-wash"
        >
          <Minus aria-hidden />
        </button>
        <input
          id={id}
          type="number"
          inputMode="decimal"
          value={Number.isFinite(value) ? value : ""}
          step={step}
          min={min}
          max={max}
          onChange={(event) => onChange(event.target.valueAsNumber)}
          className="reading w-28 rounded-[5px] border-[1.5px] border-line bg-chalk text-center text-3xl font-semibold focus:border-ink"
        />
        <button
          type="button"
          aria-label={`${label} up`}
          onClick={() => set(value + step)}
          className="grid size-14 place-items-center rounded-[5px] border-[1.5px] border-ink bg-chalk hover:bg-marigold-wash"
        >
          <Plus aria-hidden />
        </button>
      </div>
    </div>
  );
};
