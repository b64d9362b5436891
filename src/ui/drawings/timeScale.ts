import { linear } from "./linear";

/** Height of the plate on which time rises, px; the first two days get most of it. */
export const PLATE_H = 296;
export const AHEAD_H = 240;
const NEAR_H = 48;
const NEAR_SHARE = 0.6;

const NEAR_TOP = PLATE_H * (1 - NEAR_SHARE);
const near = linear([0, NEAR_H], [PLATE_H, NEAR_TOP], true);
const far = linear([NEAR_H, AHEAD_H], [NEAR_TOP, 0], true);

/** Where on the plate a moment stands: now at the foot, ten days up at the top. */
export function yOf(atMs: number, nowMs: number): number {
  const aheadH = (atMs - nowMs) / 3_600_000;
  return aheadH < NEAR_H ? near(aheadH) : far(aheadH);
}
