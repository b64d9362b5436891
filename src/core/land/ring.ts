/** A point on the field plan, metres: x to the east, y to the south of its north-west corner. */
export type Point = readonly [xM: number, yM: number];

/** The outline of a plot: its corners in order, either way round; the first is not said again at the end. */
export type Ring = readonly Point[];

export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Twice the signed area. Shoelace formula (Gauss 1795). */
const twiceSigned = (ring: Ring): number =>
  ring.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = ring[(index + 1) % ring.length]!;
    return sum + (x * nextY - nextX * y);
  }, 0);

/** Area within an outline that does not cross itself, m². @example areaM2(rectangle([0, 0], 1.2, 10)); // 12 */
export function areaM2(ring: Ring): number {
  // From its own first corner, so that a field far from the plan's corner loses no digits.
  const [x0, y0] = ring[0]!;
  return Math.abs(twiceSigned(ring.map(([x, y]) => [x - x0, y - y0]))) / 2;
}

export const rectangle = ([x, y]: Point, widthM: number, lengthM: number): Ring => [
  [x, y],
  [x + widthM, y],
  [x + widthM, y + lengthM],
  [x, y + lengthM],
];

/** A round plot, a tree's or a pot's, by a ring of 24 corners that has the circle's area. */
export function circle([x, y]: Point, radiusM: number): Ring {
  const corners = 24;
  const turn = (2 * Math.PI) / corners;
  const out = radiusM * Math.sqrt(turn / Math.sin(turn));
  return Array.from({ length: corners }, (_, corner) => [
    x + out * Math.cos(corner * turn),
    y + out * Math.sin(corner * turn),
  ]);
}

export function boundsOf(points: readonly Point[]): Box {
  return points.reduce(
    (box, [x, y]) => ({
      minX: Math.min(box.minX, x),
      minY: Math.min(box.minY, y),
      maxX: Math.max(box.maxX, x),
      maxY: Math.max(box.maxY, y),
    }),
    { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity },
  );
}

/** The centre of gravity. */
export function centreOf(ring: Ring): Point {
  const twice = twiceSigned(ring);
  if (Math.abs(twice) < 1e-12) return ring[0]!;
  const [x, y] = ring.reduce(
    ([sumX, sumY], [px, py], index) => {
      const [qx, qy] = ring[(index + 1) % ring.length]!;
      const cross = px * qy - qx * py;
      return [sumX + (px + qx) * cross, sumY + (py + qy) * cross] as const;
    },
    [0, 0] as Point,
  );
  return [x / (3 * twice), y / (3 * twice)];
}

export const moved = (ring: Ring, [dx, dy]: Point): Ring => ring.map(([x, y]) => [x + dx, y + dy]);

/** Turned about a point, clockwise as one looks at the plan. */
export function turned(ring: Ring, degrees: number, [cx, cy]: Point = centreOf(ring)): Ring {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return ring.map(([x, y]) => [cx + (x - cx) * cos - (y - cy) * sin, cy + (x - cx) * sin + (y - cy) * cos]);
}

const side = ([ax, ay]: Point, [bx, by]: Point, [px, py]: Point): number =>
  (bx - ax) * (py - ay) - (by - ay) * (px - ax);

const cross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;

/** Whether an outline crosses itself, so that nobody could say what lies within. */
export const crossesItself = (ring: Ring): boolean =>
  ring.some((a, i) => ring.some((c, j) => j > i + 1 && cross(a, ring[i + 1]!, c, ring[(j + 1) % ring.length]!)));

/** Whether a point lies within an outline. Crossing number (Shimrat 1962). */
export const holds = (ring: Ring, [px, py]: Point): boolean =>
  ring.filter(([ax, ay], index) => {
    const [bx, by] = ring[(index + 1) % ring.length]!;
    return ay > py !== by > py && px < ((bx - ax) * (py - ay)) / (by - ay) + ax;
  }).length %
    2 ===
  1;

export const distanceM = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(bx - ax, by - ay);

/** Its two measures as a grower says them: across and along, of the box that lies along its longest side. */
export function sidesOf(ring: Ring): { readonly widthM: number; readonly lengthM: number } {
  const [from, to] = ring
    .map((point, index) => [point, ring[(index + 1) % ring.length]!] as const)
    .reduce((longest, edge) => (distanceM(...edge) > distanceM(...longest) ? edge : longest));
  const degrees = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  const { minX, minY, maxX, maxY } = boundsOf(turned(ring, -degrees, [0, 0]));
  const sides = [maxX - minX, maxY - minY];
  return { widthM: Math.min(...sides), lengthM: Math.max(...sides) };
}
