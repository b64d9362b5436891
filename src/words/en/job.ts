import type { JobStep, Laid, LayerFault } from "@/core/apply/job";

/** What is laid on or into a bed by hand, or water. */
export const LAID_WORDS: Readonly<Record<Laid | "water", string>> = {
  "castings": "worm castings",
  "compost": "compost",
  "char": "charged char",
  "manure": "aged manure",
  "leaf-mould": "leaf mould",
  "mulch": "mulch",
  "rock-dust": "rock dust",
  "water": "plain water",
};

/** What a step of a job does, as it is chosen. */
export const STEP_WORDS: Readonly<Record<JobStep["does"], string>> = {
  "put-on": "put a liquid on",
  "lay": "lay something on",
  "water": "water in",
};

/** What is wrong with the order of a job. @param late the step that comes too late @param early the one that it should come before */
export const sayLayerFault = ({ code }: Pick<LayerFault, "code">, late: string, early: string): string =>
  code === "dug-through"
    ? `“${late}” digs through what “${early}” laid there: do it first.`
    : `“${late}” comes after “${early}”, which covers the same bed: do it first.`;
