import { centreOf, type Point, type Ring } from "./ring";

/** A plot that a brew is let onto. */
export interface Drinker {
  readonly id: number;
  readonly ring: Ring;
  /** How wide its strand is drawn, in the plan's own unit. */
  readonly width: number;
}

/** A strand from the fill point to a plot's mouth: corners of its middle line. */
export interface Strand {
  readonly id: number;
  readonly line: readonly Point[];
  readonly mouth: Point;
  readonly width: number;
}

/** Where a line that goes straight across at a height enters a ring that lies to one side; the ring's nearest point there. */
function mouthOf(ring: Ring, spineX: number): Point {
  const [centreX, centreY] = centreOf(ring);
  const isEast = centreX >= spineX;
  const crossings = ring.flatMap(([ax, ay], index): number[] => {
    const [bx, by] = ring[(index + 1) % ring.length]!;
    return ay > centreY !== by > centreY ? [ax + ((centreY - ay) / (by - ay)) * (bx - ax)] : [];
  });
  const x = isEast ? Math.min(...crossings) : Math.max(...crossings);
  return [Number.isFinite(x) ? x : centreX, centreY];
}

/**
 * The strands of a brew over the land: side by side down one spine through the fill point, the outermost turning off first, so that none cross.
 * Those to the north and to the south of the fill point run in bundles of their own.
 * @param apart free space between two strands, in the plan's unit
 */
export function strandsOf(fillPoint: Point, drinkers: readonly Drinker[], apart: number): readonly Strand[] {
  const [spineX, spineY] = fillPoint;
  const placed = drinkers.map((drinker) => ({ ...drinker, mouth: mouthOf(drinker.ring, spineX) }));
  const side = (isEast: boolean, isSouth: boolean): Strand[] => {
    const own = placed
      .filter(({ mouth: [x, y] }) => x >= spineX === isEast && y >= spineY === isSouth)
      .toSorted((a, b) => Math.abs(a.mouth[1] - spineY) - Math.abs(b.mouth[1] - spineY));
    // The last to turn off runs next to the spine.
    let inner = apart / 2;
    return own
      .toReversed()
      .map(({ id, width, mouth }): Strand => {
        const x = spineX + (isEast ? 1 : -1) * (inner + width / 2);
        inner += width + apart;
        return { id, width, mouth, line: [[x, spineY], [x, mouth[1]], mouth] };
      })
      .toReversed();
  };
  return [...side(false, true), ...side(true, true), ...side(false, false), ...side(true, false)];
}
