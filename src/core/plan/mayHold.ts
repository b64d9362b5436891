import type { SeasonInput, SeasonVessel } from "./season";

/** Whether an input may be made in a vessel: by what it has held, by air, by the input's own list. Not whether it is free. */
export const mayHold = (
  input: Pick<SeasonInput, "vesselUse" | "aerated" | "vessels">,
  vessel: Pick<SeasonVessel, "id" | "holds" | "air">,
): boolean =>
  vessel.holds.includes(input.vesselUse) &&
  (!input.aerated || vessel.air !== "none") &&
  (input.vessels?.includes(vessel.id) ?? true);
