"use client";
import type { InputHTMLAttributes } from "react";
import { fieldUnit, readMeasured, sayMeasured, typedAmount, type Measurable, type Measured } from "@/formats/measured";
import { TextField } from "../kit/fields";
import { useMeasures } from "./measuresContext";

/** Reads amounts as they are typed anywhere: numbers, units, or the farm's own measures. */
export function useReadAmount(): {
  readonly read: (text: string, of: Measurable) => number | null;
  /** The same, with why it can't be read. */
  readonly measured: (text: string, of: Measurable) => Measured;
  readonly problem: (text: string, of: Measurable) => string | null;
  readonly how: (text: string, of: Measurable) => string | null;
  readonly inOurs: (amount: number, of: Measurable) => string | null;
  /** An amount in the stock unit as a field shows it. */
  readonly show: (amount: number, of: Measurable, exact?: boolean) => string;
} {
  const { own, units } = useMeasures();
  const readOne = (text: string, of: Measurable) => readMeasured(text, of, own, units);
  return {
    measured: readOne,
    read: (text, of) => {
      const measured = readOne(text, of);
      return measured.type === "read" ? Number(measured.amount.toFixed(3)) : null;
    },
    problem: (text, of) => {
      const measured = readOne(text, of);
      return measured.type === "unreadable" ? measured.why : null;
    },
    how: (text, of) => {
      const measured = readOne(text, of);
      return measured.type === "read" ? measured.how : null;
    },
    inOurs: (amount, of) => sayMeasured(amount, of, own),
    show: (amount, of, exact) => typedAmount(amount, of.unit, units, exact),
  };
}

interface AmountFieldProps extends InputHTMLAttributes<HTMLInputElement> {
  readonly label: string;
  readonly of: Measurable;
  /** As typed, for saying how it is read. */
  readonly typed: string;
  /** Said where nothing has to be said of how it is read. */
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

/** An amount in the farm's unit, any unit, or the farm's own measures; how it is read stands under it. */
export const AmountField = ({ label, of, typed, hint, error, ...rest }: AmountFieldProps) => {
  const { how, problem } = useReadAmount();
  const { units } = useMeasures();
  const said = how(typed, of);
  return (
    <TextField
      autoComplete="off"
      {...rest}
      label={`${label} (${fieldUnit(of.unit, units)})`}
      error={error ?? (typed.trim() === "" ? undefined : (problem(typed, of) ?? undefined))}
      hint={said ? `= ${said}` : hint}
    />
  );
};
