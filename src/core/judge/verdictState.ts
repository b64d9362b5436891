/** Too early, nearly, ready, best now, past, stuck, failed. */
export type VerdictState = "early" | "near" | "ready" | "peak" | "past" | "stuck" | "spoiled";

/** Whether a verdict says that the batch may be strained and used. */
export const isUsable = (state: VerdictState): boolean => state === "ready" || state === "peak";
