import type { FermentClass, SmellTableId } from "../models/types";
import { FILM_CLASSES, FOAMS, SMELL_CLASSES } from "./observations";

type Table = readonly (readonly number[])[];

/** Chance of each word by phase, judged; rows add up to 1. Columns as `FOAMS`. */
export const FOAM_TABLE: Table = [
  [0.84, 0.1, 0.02, 0.01, 0.01, 0.02],
  [0.2, 0.6, 0.15, 0.02, 0.02, 0.01],
  [0.03, 0.2, 0.58, 0.15, 0.03, 0.01],
  [0.01, 0.03, 0.14, 0.7, 0.11, 0.01],
  [0.01, 0.03, 0.09, 0.17, 0.6, 0.1],
  [0.15, 0.02, 0.02, 0.01, 0.15, 0.65],
];

/** Columns as `SMELL_CLASSES`; judged. */
export const SMELL_TABLES: Record<SmellTableId, Table> = {
  A1: [
    [0.25, 0.05, 0.03, 0.65, 0.02],
    [0.2, 0.25, 0.1, 0.43, 0.02],
    [0.12, 0.4, 0.15, 0.31, 0.02],
    [0.08, 0.42, 0.2, 0.28, 0.02],
    [0.03, 0.25, 0.35, 0.25, 0.12],
    [0.01, 0.08, 0.27, 0.24, 0.4],
  ],
  A2: [
    [0.6, 0.08, 0.02, 0.28, 0.02],
    [0.4, 0.22, 0.04, 0.32, 0.02],
    [0.15, 0.3, 0.05, 0.48, 0.02],
    [0.04, 0.2, 0.06, 0.68, 0.02],
    [0.02, 0.15, 0.15, 0.5, 0.18],
    [0.01, 0.07, 0.17, 0.15, 0.6],
  ],
  B: [
    [0.62, 0.08, 0.06, 0.22, 0.02],
    [0.25, 0.27, 0.33, 0.1, 0.05],
    [0.05, 0.13, 0.75, 0.04, 0.03],
    [0.03, 0.12, 0.74, 0.05, 0.06],
  ],
  C: [
    [0.85, 0.05, 0.02, 0.06, 0.02],
    [0.6, 0.28, 0.06, 0.04, 0.02],
    [0.32, 0.52, 0.11, 0.03, 0.02],
    [0.08, 0.5, 0.32, 0.03, 0.07],
  ],
  E1: [
    [0.45, 0.08, 0.05, 0.38, 0.04],
    [0.15, 0.2, 0.2, 0.15, 0.3],
    [0.04, 0.12, 0.22, 0.42, 0.2],
    [0.02, 0.08, 0.15, 0.5, 0.25],
  ],
  E2: [
    [0.35, 0.1, 0.05, 0.2, 0.3],
    [0.2, 0.35, 0.2, 0.13, 0.12],
    [0.06, 0.3, 0.37, 0.21, 0.06],
    [0.03, 0.15, 0.32, 0.25, 0.25],
  ],
  G: [
    [0.35, 0.1, 0.05, 0.48, 0.02],
    [0.25, 0.35, 0.2, 0.18, 0.02],
    [0.12, 0.4, 0.35, 0.11, 0.02],
    [0.05, 0.25, 0.4, 0.22, 0.08],
  ],
};

/** What a spoiled batch smells of, and what one does whose method tells nothing by smell; judged. Columns as `SMELL_CLASSES`. */
export const SPOILED_SMELL = [0.03, 0.07, 0.12, 0.08, 0.7] as const;
export const PLAIN_SMELL = [0.2, 0.1, 0.2, 0.48, 0.02] as const;

/** Film on a sound and on a spoiled batch; judged. Columns as `FILM_CLASSES`. A drawn juice and a soak each have their own. */
export const FILM_TABLES: Record<
  FermentClass,
  { readonly sound: readonly number[]; readonly spoiled: readonly number[] }
> = {
  bloom: { sound: [0.72, 0.18, 0.08, 0.02], spoiled: [0.25, 0.25, 0.2, 0.3] },
  acid: { sound: [0.66, 0.26, 0.06, 0.02], spoiled: [0.2, 0.22, 0.22, 0.36] },
  drawn: { sound: [0.78, 0.15, 0.06, 0.01], spoiled: [0.2, 0.2, 0.25, 0.35] },
  shell: { sound: [0.9, 0.07, 0.02, 0.01], spoiled: [0.4, 0.2, 0.15, 0.25] },
  soak: { sound: [0.5, 0.32, 0.14, 0.04], spoiled: [0.25, 0.25, 0.2, 0.3] },
  char: { sound: [0.7, 0.2, 0.08, 0.02], spoiled: [0.35, 0.25, 0.15, 0.25] },
  bed: { sound: [0.4, 0.2, 0.38, 0.02], spoiled: [0.25, 0.08, 0.22, 0.45] },
};

/** Chance of one column at a phase, even between the rows. */
export function chanceAt(table: Table, phase: number, column: number): number {
  const low = Math.min(table.length - 1, Math.max(0, Math.floor(phase)));
  const high = Math.min(table.length - 1, low + 1);
  const share = Math.min(1, Math.max(0, phase - low));
  return table[low]![column]! + (table[high]![column]! - table[low]![column]!) * share;
}

/** A whole row at a phase. */
export const rowAt = (table: Table, phase: number): number[] =>
  table[0]!.map((_, column) => chanceAt(table, phase, column));

export const COLUMNS = { foam: FOAMS, smell: SMELL_CLASSES, film: FILM_CLASSES } as const;
