import { pieceAreaM2, shared } from "./edit";
import { boundsOf, centreOf, distanceM, turned, type Ring } from "./ring";

/** How far a plot's longest side is turned from west–east, degrees. */
function turnOf(ring: Ring): number {
  const [from, to] = ring
    .map((point, index) => [point, ring[(index + 1) % ring.length]!] as const)
    .reduce((longest, edge) => (distanceM(...edge) > distanceM(...longest) + 1e-9 ? edge : longest));
  return (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
}

/**
 * A plot cut across its longest side into strips of equal length, in their order along it. Of a strip that an odd outline leaves in several pieces the
 * largest is told.
 * @param count strips, at least 1
 */
export function stripsOf(ring: Ring, count: number): Ring[] {
  if (count <= 1) return [ring];
  const degrees = turnOf(ring);
  const centre = centreOf(ring);
  const level = turned(ring, -degrees, centre);
  const { minX, maxX, minY, maxY } = boundsOf(level);
  const stepM = (maxX - minX) / count;
  return Array.from({ length: count }, (_, nth) => {
    const [fromX, toX] = [minX + nth * stepM, minX + (nth + 1) * stepM];
    const box: Ring = [
      [fromX, minY - 1],
      [toX, minY - 1],
      [toX, maxY + 1],
      [fromX, maxY + 1],
    ];
    const [largest] = shared(level, box).toSorted((one, other) => pieceAreaM2(other) - pieceAreaM2(one));
    return turned(largest?.outer ?? box, degrees, centre);
  });
}
