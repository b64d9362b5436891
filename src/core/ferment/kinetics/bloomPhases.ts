import { through } from "./trajectory";

const LN = Math.log;
const FOAM_RISES = [
  [LN(0.02), 0],
  [LN(0.1), 1],
  [LN(0.35), 2],
  [LN(0.8), 3],
] as const;
const CELLS_RISE = [
  [0.02, 0],
  [0.1, 1],
  [0.4, 2],
  [0.8, 3],
] as const;

/** Phase of a head that still rises, from foam against the usual greatest. */
export const risingFoamPhase = (foam: number): number => through(FOAM_RISES, LN(Math.max(1e-9, foam)));
/** Phase of a head that falls, from foam against its own greatest. */
export const fallingFoamPhase = (share: number): number =>
  through(
    [
      [0.1, 5],
      [0.6, 4],
      [0.95, 3],
    ],
    share,
  );
/** Phase of living cells that die, from them against their own greatest. */
export const fallingCellPhase = (share: number): number =>
  through(
    [
      [0.2, 5],
      [0.6, 4],
      [0.9, 3],
    ],
    share,
  );
/** Phase of living cells that still grow, from them against the usual greatest. */
export const risingCellPhase = (cells: number): number => through(CELLS_RISE, cells);
