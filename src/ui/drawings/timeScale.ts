import { scaleLinear } from "d3-scale";

/** Height of the plate on which time rises, px; the first two days get most of it. */
export const PLATE_H = 296;
export const AHEAD_H = 240;
const NEAR_H = 48;
const NEAR_SHARE = 0.6;

const scale = scaleLinear([0, NEAR_H, AHEAD_H], [PLATE_H, PLATE_H * (1 - NEAR_SHARE), 0]).clamp(true);

/** Where on the plate a moment stands: now at the foot, ten days up at the top. */
export const yOf = (atMs: number, nowMs: number): number => scale((atMs - nowMs) / 3_600_000);
