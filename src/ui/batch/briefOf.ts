import type { BatchBrief, BatchView } from "@/services/batch";

/** A batch without the points of its drawing. */
export const briefOf = ({ ribbon: _, ...brief }: BatchView): BatchBrief => brief;
