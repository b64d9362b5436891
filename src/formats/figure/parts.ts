import { DomainError, type FigureHint } from "@/core/errors";
import { toBase, type BaseAmount, type LocalMeasure, type Quantity } from "@/core/quantity/units";
import type { ReadAmount } from "@/core/quantity/typed/amount";
import { sayQuantity } from "../amounts";
import { formatNumber } from "../numbers";
import type { UnitSystem } from "@/core/quantity/typed/unitWords";

export interface FigureAnswer {
  readonly label: string;
  readonly quantity: Quantity | null;
  readonly text: string;
}

export interface Figure {
  readonly answers: readonly FigureAnswer[];
  /** How it was worked out, in one line. */
  readonly working: string;
  readonly assumed: readonly string[];
}

/** What the farm's own measure of an ingredient came to when it was weighed, in the ingredient's stock unit. */
export interface OwnMeasure {
  readonly measure: string;
  readonly ingredientId: string;
  readonly mean: number;
  readonly least: number;
  readonly most: number;
  readonly weighings: number;
}

export interface FigureOptions {
  readonly units: UnitSystem;
  readonly measures: readonly LocalMeasure[];
  /** The farm's own weighings of handfuls, scoops and caps. */
  readonly own?: readonly OwnMeasure[];
}

/** Past this, in base units, a slip of the key is likelier than a farm. */
const GREATEST = 1e9;

/** A figure that can't be worked out, with what would help. */
export const unreadable = (text: string, hint: FigureHint) =>
  new DomainError("figure-unreadable", { text, hint }, "/text");
/** Names the unit where the word alone left a choice. */
export const which = ({ unit }: Quantity, alternatives: number) => (alternatives > 1 ? ` (${unit})` : "");

/** An amount in its dimension's own unit. @throws {DomainError} `figure-unreadable` for nothing, less, or more than any farm has */
export function base(quantity: Quantity, measures: readonly LocalMeasure[]): BaseAmount {
  const amount = toBase(quantity, measures, "/text");
  if (amount.dimension !== "temperature" && !(amount.value > 0))
    throw unreadable(sayQuantity(quantity), { code: "not-above-nothing" });
  if (Math.abs(amount.value) > GREATEST) throw unreadable(sayQuantity(quantity), { code: "too-much" });
  return amount;
}

/** Those readings of an amount that are volumes. */
export const volumeOf = (readings: readonly Quantity[], measures: readonly LocalMeasure[]) =>
  readings
    .map((quantity) => ({ quantity, amount: base(quantity, measures) }))
    .filter(({ amount }) => amount.dimension === "volume");

/** Every reading of the number as well as of its unit. */
export const everyReading = ({ readings, value, orValue }: ReadAmount): readonly Quantity[] =>
  orValue === null
    ? readings
    : readings.flatMap((reading) => [reading, { value: (reading.value / value) * orValue, unit: reading.unit }]);

/** Says which number was meant where its mark left a choice. */
export const doubtOf = (...amounts: readonly ReadAmount[]): string[] =>
  amounts.flatMap(({ orValue, value, typedNumber }) =>
    orValue === null
      ? []
      : [`${typedNumber} may be ${formatNumber(orValue, 9)} or ${formatNumber(value, 9)}: both are answered`],
  );
