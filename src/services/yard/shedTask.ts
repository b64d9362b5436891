import "server-only";
import type { RoundDraft } from "./roundTask";

const SHED_ORDER = 1000;

/** A task of the shed's: due now, by the shed's door, led to by an address. */
export const taskAt =
  (nowMs: number) =>
  (
    head: Pick<RoundDraft, "key" | "does" | "on" | "title" | "why"> & { readonly href: string },
    change: Partial<RoundDraft> = {},
  ): RoundDraft => {
    const { href, ...rest } = head;
    return {
      ...rest,
      dueMs: nowMs,
      urgency: "now",
      touch: { type: "go", href },
      vesselOrder: SHED_ORDER,
      ...change,
    };
  };
export type MakeTask = ReturnType<typeof taskAt>;
