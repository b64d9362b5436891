import { convert } from "@/core/quantity/convert";
import type { LocalMeasure, Quantity } from "@/core/quantity/units";

/** One task of `bin/core`: JSON in, JSON out, nothing else. */
export interface Task<Input = never> {
  readonly name: string;
  readonly summary: string;
  readonly input: object;
  readonly output: object;
  readonly example: Input;
  readonly run: (input: Input) => object;
}

export const litres = (value: number): Quantity => ({ value, unit: "L" });
export const inLitres = (
  quantity: Quantity | undefined,
  measures: readonly LocalMeasure[] | undefined,
): number | undefined =>
  quantity === undefined ? undefined : convert(quantity, "L", { measures: measures ?? [] }).value;
