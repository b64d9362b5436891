import { requirePositive, requireWithin } from "../errors";
import { layerAreaM2, vesselShape } from "./vesselShape";

/** Heat that a bare drum in still air loses, W/(m²·K). Free convection and radiation at small differences, Incropera et al. 2007. */
const LOSS_W_PER_M2_K = 7;
/** Specific heat of water, J/(kg·K). */
const WATER_J_PER_KG_K = 4186;
/** Brisk, not violent: litres of air a minute to a litre of brew. Growers' figures, judged. */
const AIR_L_PER_MIN_PER_L = { least: 0.05, usual: 0.1 } as const;

export interface HeaterNeed {
  /** Holds the temperature against the loss, W. */
  readonly holdW: number;
  /** Brings it up in the hours given as well, W. */
  readonly warmW: number;
}

/**
 * Heater for a bare vessel that shall stand warmer than the air round it: loss through wall, floor and surface, and the heat to
 * get there. Insulation halves the first figure or better.
 * @param warmInH hours in which it shall be warm
 * @throws {DomainError} `not-positive`, `out-of-range`
 */
export function heaterNeed(vesselL: number, airC: number, wantedC: number, warmInH = 12): HeaterNeed {
  requirePositive("vessel", vesselL, "L", "/vessel");
  requireWithin("air-temperature", airC, "°C", -30, 50, "/air");
  requireWithin("brew-temperature", wantedC, "°C", 0, 50, "/wanted");
  requirePositive("warm-up-time", warmInH, "h", "/warmInH");
  const shape = vesselShape(vesselL);
  const wallM2 = Math.PI * shape.diameterM * shape.heightM + 2 * layerAreaM2(shape);
  const risesK = Math.max(0, wantedC - airC);
  const holdW = LOSS_W_PER_M2_K * wallM2 * risesK;
  return { holdW, warmW: holdW + (vesselL * WATER_J_PER_KG_K * risesK) / (warmInH * 3600) };
}

/** Air for a brew that must not go short of it, L/min. @throws {DomainError} `not-positive` */
export function airNeed(brewL: number): { readonly leastLPerMin: number; readonly usualLPerMin: number } {
  requirePositive("brew-volume", brewL, "L", "/brew");
  return { leastLPerMin: AIR_L_PER_MIN_PER_L.least * brewL, usualLPerMin: AIR_L_PER_MIN_PER_L.usual * brewL };
}
