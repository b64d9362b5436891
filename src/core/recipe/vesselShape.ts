import { requireWithin } from "../errors";

/** An upright round vessel, as wide and as high inside. */
export interface VesselShape {
  readonly diameterM: number;
  readonly heightM: number;
}

/** Height over diameter of an ordinary drum, pail or jar, where nobody has measured. */
const USUAL_SLENDERNESS = 1.4;

/**
 * The shape of a vessel of a volume: as measured, or else 1.4 times as high as wide.
 * Upright cylinder: V = π/4·d²·h.
 * @param volumeL above 0
 */
export function vesselShape(volumeL: number, diameterM?: number | null): VesselShape {
  const volumeM3 = volumeL / 1000;
  const d = diameterM ?? Math.cbrt((4 * volumeM3) / (Math.PI * USUAL_SLENDERNESS));
  return { diameterM: d, heightM: volumeM3 / ((Math.PI / 4) * d ** 2) };
}

/** Area of the surface, m². */
export const layerAreaM2 = ({ diameterM }: VesselShape): number => (Math.PI / 4) * diameterM ** 2;

/**
 * Litres in an upright vessel that is filled to a depth.
 * @throws {DomainError} `out-of-range` for a depth above its rim or below its floor
 */
export function litresAtDepth(shape: VesselShape, depthM: number, path = "/depth"): number {
  requireWithin("vessel-depth", depthM, "m", 0, Number(shape.heightM.toFixed(3)), path);
  return layerAreaM2(shape) * depthM * 1000;
}
