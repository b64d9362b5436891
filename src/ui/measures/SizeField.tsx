"use client";
import type { InputHTMLAttributes } from "react";
import { readInField, sayFieldUnit, type FieldMeasure } from "@/formats/fieldUnits";
import { TextField } from "../kit/fields";
import { useMeasures } from "./measuresContext";

interface SizeFieldProps extends InputHTMLAttributes<HTMLInputElement> {
  readonly label: string;
  readonly measure: FieldMeasure;
  /** As typed, for saying how it is read. */
  readonly typed: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

/** A length or an area in the farm's own unit or any other; how it is read stands under it. */
export const SizeField = ({ label, measure, typed, hint, error, ...rest }: SizeFieldProps) => {
  const { units } = useMeasures();
  const read = readInField(typed, measure, units);
  return (
    <TextField
      autoComplete="off"
      {...rest}
      label={`${label} (${sayFieldUnit(measure, units)})`}
      error={error ?? (read.type === "unreadable" ? read.why : undefined)}
      hint={read.type === "read" && read.how ? `= ${read.how}` : hint}
    />
  );
};
