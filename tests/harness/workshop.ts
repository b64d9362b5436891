import { METHODS } from "@/core/book";

const GALLON_L = 3.785411784;
/** Sizes that nobody here had in mind, in turn. */
const LITRES = [3, 17, 20, 25, 31, 60, 77.7, 114, 120, 208, 333.3, 700, 1000, 1200, 7.5, 12];
const GALLONS = [1, 2.5, 5, 6, 7.9, 13, 15, 30, 32, 55, 65, 123.4, 250, 275, 300, 3.5];

/** The methods that make something to put on, in the book's order. */
export const INPUTS = METHODS.filter(({ family }) => family !== "preparation");

/** A vessel for each method on either farm. */
export const WORKSHOP = {
  metric: INPUTS.map(({ id, name }, index) => ({
    methodId: id,
    methodName: name,
    name: `Vessel ${index + 1}`,
    litres: LITRES[index % LITRES.length]!,
  })),
  us: INPUTS.map(({ id, name }, index) => ({
    methodId: id,
    methodName: name,
    name: `Vessel ${index + 1}`,
    litres: Number((GALLONS[(index + 5) % GALLONS.length]! * GALLON_L).toFixed(3)),
  })),
} as const;
