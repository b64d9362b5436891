import type { Said } from "./wanted";

/** Practice. */
export const OF_PRACTICE = {
  "practice-code": () => "No practice drum has this code. A code looks like “tea-12”.",
  "practice-unfinished": () => "This practice drum is not finished yet. Use it or throw it away first.",
} as const satisfies Record<string, (params: never) => Said>;
