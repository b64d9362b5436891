import type { BatchBrief } from "@/services/batch";
import type { YardVessel, YardView } from "@/services/yard";

/** The yard without what is drawn in it. */
export interface YardPage extends Pick<YardView, "farm" | "nowMs" | "round" | "people"> {
  readonly vessels: readonly (Pick<YardVessel, "id" | "name" | "status"> & { readonly batch: BatchBrief | null })[];
}

/** What can be done with a vessel, by its id. */
export interface YardHands {
  readonly fill: (vesselId: number) => void;
  readonly log: (vesselId: number) => void;
  readonly close: (vesselId: number) => void;
  readonly clean: (vesselId: number) => void;
  readonly add: () => void;
}
