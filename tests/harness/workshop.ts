import { METHODS } from "@/core/book";

const GALLON_L = 3.785411784;
/** Sizes that nobody here had in mind, in turn. */
const LITRES = [3, 17, 20, 25, 31, 60, 77.7, 114, 120, 208, 333.3, 700, 1000, 1200, 7.5, 12];
const GALLONS = [1, 2.5, 5, 6, 7.9, 13, 15, 30, 32, 55, 65, 123.4, 250, 275, 300, 3.5];

/** The methods that make something to put on, in the book's order. */
export const INPUTS = METHODS.filter(({ family }) => family !== "preparation");

/** How many sizes of each method a walk takes: one, each method another, or with RUCHKA_SIZES=3 three. */
export const THREE_SIZES = process.env.RUCHKA_SIZES === "3";

/** One for each size of a method. */
export const WORKSHOP_SETS: readonly number[] = THREE_SIZES ? [1, 2, 3] : [1];

const vessels = (litres: readonly number[], offset: number) =>
  WORKSHOP_SETS.map((set) =>
    INPUTS.map(({ id, name }, index) => ({
      methodId: id,
      methodName: name,
      name: `Vessel ${(set - 1) * INPUTS.length + index + 1}`,
      // Five apart in a list of sixteen: small, middling and great by turns.
      litres: Number(litres[(index + offset + (set - 1) * 5) % litres.length]!.toFixed(3)),
    })),
  ).flat();

/** A vessel for each method and size on either farm. */
export const WORKSHOP = {
  metric: vessels(LITRES, 0),
  us: vessels(
    GALLONS.map((gallons) => gallons * GALLON_L),
    5,
  ),
} as const;
