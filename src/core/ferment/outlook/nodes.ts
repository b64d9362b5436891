import type { FermentModel } from "../models/types";
import { normalPdf } from "../normal";

/** Floors worth telling apart, pH; the upper ones are batches that stick. */
const FLOOR_SHIFTS = [-0.4, -0.3, -0.2, -0.1, 0, 0.1, 0.2, 0.3, 0.45, 0.65, 0.9, 1.2, 1.6];

const V_SPAN_SD = 2.2;

export interface Node {
  readonly value: number;
  readonly weight: number;
}

const scaled = (nodes: readonly Node[]): Node[] => {
  const total = nodes.reduce((sum, { weight }) => sum + weight, 0);
  return nodes.map(({ value, weight }) => ({ value, weight: weight / total }));
};

export const spaced = (count: number, spanSd: number, mean: number, sd: number): Node[] =>
  scaled(
    Array.from({ length: count }, (_, index) => {
      const z = spanSd * ((2 * index) / (count - 1) - 1);
      return { value: mean + z * sd, weight: Math.exp((-z * z) / 2) };
    }),
  );

export function secondNodes(model: FermentModel, count: number): Node[] {
  const sd = model.prior.secondSd;
  if (model.cls !== "acid") return spaced(count, V_SPAN_SD, 0, sd);
  const { chance, meanShiftPh, sdPh } = model.stuck;
  return scaled(
    FLOOR_SHIFTS.map((value, index) => {
      const before = FLOOR_SHIFTS[index - 1];
      const after = FLOOR_SHIFTS[index + 1];
      const width = before === undefined ? after! - value : after === undefined ? value - before : (after - before) / 2;
      const usual = normalPdf(value / sd) / sd;
      const sticking = normalPdf((value - meanShiftPh) / sdPh) / sdPh;
      return { value, weight: width * ((1 - chance) * usual + chance * sticking) };
    }),
  );
}
