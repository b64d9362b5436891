/** What was put into a vessel and taken out of it while its batch ran, L. */
export interface Level {
  readonly filledL: number;
  readonly toppedUpL: number;
  readonly takenOutL: number;
}

/** What stands in it now, L. */
export const standsIn = ({ filledL, toppedUpL, takenOutL }: Level): number =>
  Math.max(0, filledL + toppedUpL - takenOutL);

/**
 * Share of its first strength that topping up left it: water thins what was there, drawing off does not. Taken as if all water came
 * before anything was drawn off, which is the stronger of what it may be.
 * @example strengthLeft({ filledL: 90, toppedUpL: 10, takenOutL: 20 }); // 0.9
 */
export const strengthLeft = ({ filledL, toppedUpL }: Pick<Level, "filledL" | "toppedUpL">): number =>
  filledL / (filledL + toppedUpL);

/** Where what solids and vessel were rinsed with went. */
export const RINSE_TO = ["in", "bed", "compost", "trees"] as const;
export type RinseTo = (typeof RINSE_TO)[number];

/** Share of a strained liquid that is not rinse: what rinsing into it left of its strength. @param yieldL all that came off, the rinse in it */
export const unrinsedShare = (yieldL: number, rinsedL: number): number =>
  yieldL > 0 ? Math.max(0, 1 - rinsedL / yieldL) : 1;

/** Parts of water that make of a thinned input what so many make of one at full strength; no fewer than none. */
export const partsForStrength = (partsWater: number, strength: number): number =>
  Math.max(0, (1 + partsWater) * strength - 1);
