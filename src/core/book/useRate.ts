import type { School, UseRate } from "./types";

/** How strong a school puts its input to a use, or null where the book knows no such use of it. */
export const findUseRate = (school: Pick<School, "uses">, use: string): UseRate | null =>
  school.uses.find((rate) => rate.use === use) ?? null;

/** The use that stands for all where one must: on growing plants, else however it goes on at all; null for what goes nowhere. */
export const usualRate = (school: Pick<School, "uses">): UseRate | null =>
  findUseRate(school, "drench-growing") ?? school.uses[0] ?? null;
