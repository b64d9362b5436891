"use client";
import { Minus, Plus } from "lucide-react";
import type { UnitSystem } from "@/formats/amounts";
import { fieldUnit } from "@/formats/measured";
import { stepped } from "./step";

const BUTTON =
  "grid size-11 shrink-0 place-items-center rounded-[5px] border-[1.5px] border-ink bg-chalk hover:bg-marigold-wash disabled:border-line disabled:text-soft";

interface AmountStepperProps {
  readonly label: string;
  readonly unit: "kg" | "L";
  readonly units: UnitSystem;
  readonly typed: string;
  readonly error: string | undefined;
  readonly errorId: string;
  readonly onType: (typed: string) => void;
}

/** An amount that a thumb moves by sensible steps, or that is typed. */
export const AmountStepper = ({ label, unit, units, typed, error, errorId, onType }: AmountStepperProps) => {
  const [less, more] = [stepped(typed, -1), stepped(typed, 1)];
  const saysUnit = /[a-z]/i.test(typed);
  return (
    <div className="flex items-center gap-1.5">
      <button
        type="button"
        className={BUTTON}
        aria-label={`Less ${label}`}
        disabled={less === null}
        onClick={() => less !== null && onType(less)}
      >
        <Minus aria-hidden className="size-5" />
      </button>
      <input
        aria-label={`${label}, ${fieldUnit(unit, units)}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? errorId : undefined}
        inputMode="decimal"
        autoComplete="off"
        value={typed}
        onChange={(event) => onType(event.target.value)}
        className={`reading min-h-11 ${saysUnit ? "w-28" : "w-16"} rounded-[5px] border-[1.5px] bg-chalk px-1.5 text-right text-lg font-semibold ${error ? "border-rust" : "border-line"}`}
      />
      {saysUnit ? null : <span className="reading min-w-5 text-[0.9rem]">{fieldUnit(unit, units)}</span>}
      <button
        type="button"
        className={BUTTON}
        aria-label={`More ${label}`}
        disabled={more === null}
        onClick={() => more !== null && onType(more)}
      >
        <Plus aria-hidden className="size-5" />
      </button>
    </div>
  );
};
