"use client";
import type { TakenBackKind } from "@/services/types";
import { told } from "../kit/told";
import { actsOf } from "./act";

export const useUndoAct = actsOf("undo", () => import("@/contracts/generated/acts/undo.cjs"));

export interface UndoRow {
  readonly kind: TakenBackKind;
  /** Nothing where the write waits on this device: then there is nothing to undo yet. */
  readonly id: number | null | undefined;
}

/** What a message offers beside what was done. */
export interface UndoOffer {
  readonly action: { readonly label: string; readonly onClick: () => void };
}

/** An "Undo" for a message; nothing where `undo` is nothing. */
export const undoOffer = (undo: (() => Promise<unknown>) | null): UndoOffer | undefined =>
  undo === null
    ? undefined
    : { action: { label: "Undo", onClick: () => void undo().then((done) => done && told("Undone.")) } };

/** Gives the "Undo" of a message for the rows that were just written. */
export function useUndo(): (...rows: readonly UndoRow[]) => UndoOffer | undefined {
  const { run } = useUndoAct("takeBack", "toast");
  return (...rows) => {
    const known = rows.flatMap(({ kind, id }) => (typeof id === "number" ? [{ kind, id }] : []));
    return undoOffer(known.length === 0 ? null : () => run({ rows: known }));
  };
}
