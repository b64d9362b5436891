import type { TrialUnitView } from "@/services/trials";

/** What may be noted of a trial by hand. */
export type NoteWanted = "applied" | "left-out" | "stopped" | "redraw";

/** @example unitName({ plotName: "Bed 3", strip: 2 }); // "Bed 3, strip 2" */
export const unitName = ({ plotName, strip }: Pick<TrialUnitView, "plotName" | "strip">): string =>
  strip === null ? plotName : `${plotName}, strip ${strip}`;
