import type { ElsewhereKind } from "@/core/apply/elsewhere";

/** What something goes on that lies nowhere on the plan. */
export const ELSEWHERE_WORDS: Readonly<Record<ElsewhereKind, string>> = {
  "potting-mix": "potting or seed mix",
  "houseplants": "houseplants",
  "compost-bin": "compost bin or heap",
  "bedding": "animal bedding",
  "char": "char to be charged",
  "septic": "septic tank",
};
