import type { TrialTerms } from "@/core/trial/farm";

/** What a trial asks, as it is typed: does a tea make leeks heavier? */
export const trialTerms = (change: Partial<TrialTerms> = {}) => ({
  question: "Does the extract make leeks heavier?",
  inputs: [{ name: "Cultured extract", methodId: "cultured-extract" }] as { name: string; methodId: string | null }[],
  ...{ useId: "drench-growing", kind: "weight", scale: "ratio", unit: "g", smallest: 0.2, card: [] as string[] },
  ...{ isChange: false, looks: "several", decidingOn: "2031-06-20", asked: 3 },
  ...change,
});
