import "server-only";
import type { TakenBackKind } from "../../takenBack";

/** Parts of the farm by which its history is looked through. */
export const HISTORY_PARTS = ["making", "stock", "field", "farm"] as const;
export type HistoryPart = (typeof HISTORY_PARTS)[number];

/** What the lines of a history are about. */
export const HISTORY_CODES = [
  "filled",
  "logged",
  "start-undone",
  "ended",
  "end-undone",
  "washed",
  "washing-undone",
  "planned",
  "plan-ended",
  "lot-in",
  "moved-stock",
  "checked-container",
  "moved-container",
  "supply",
  "water-read",
  "water-treated",
  "equipment",
  "gathered",
  "worm-bin",
  "applied",
  "application-undone",
  "planting",
  "drew-bed",
  "looked-at-bed",
  "measured-bed",
  "trial-begun",
  "trial-noted",
  "schedule",
  "season-plan",
  "season-terms",
  "season-budget",
  "bought-instead",
  "job",
  "recipe",
  "added",
  "changed",
  "undone",
] as const;
export type HistoryCode = (typeof HISTORY_CODES)[number];

/** A table as a source of lines: pieces of its select. */
export interface Source {
  readonly code: HistoryCode;
  readonly part: HistoryPart;
  /** Its table and what is joined, the table's own name first. */
  readonly from: string;
  /** When it was written down, and by whom. */
  readonly added: string;
  readonly actor: string;
  readonly id: string;
  /** When it happened, where that is another moment. */
  readonly at?: string;
  readonly subject: string;
  readonly word?: string;
  readonly amount?: string;
  readonly unit?: string;
  readonly extra?: string;
  readonly batchId?: string;
  readonly plotId?: string;
  readonly itemId?: string;
  readonly where?: string;
  /** How such a line is undone. */
  readonly undo?: {
    readonly kind: TakenBackKind;
    /** Of the row that is marked, where that is another than the line's. */
    readonly row?: string;
    /** For lines of which some can be undone. */
    readonly when?: string;
  };
}
