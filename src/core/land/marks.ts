import { areaM2, circle, distanceM, type Point, type Ring } from "./ring";
import { pieceAreaM2, without, type Piece } from "./edit";

/** What stands or runs on the land beside the plots. */
export const MARK_KINDS = ["well", "stream", "pond", "tap", "fill-point", "gate"] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export interface Mark {
  readonly kind: MarkKind;
  readonly name: string;
  /** A point, or a line of points for what runs. */
  readonly line: readonly Point[];
  /** Nothing is put on within this distance of it, m; 0 where it needs none. */
  readonly bufferM: number;
}

/**
 * Cautious distances from water, m, until the farm sets its own by its code: judged, in the range that growers' rules for manure and its teas know
 * (a well is drunk from, running water carries further than a pond).
 */
export const USUAL_BUFFER_M: Readonly<Record<MarkKind, number>> = {
  "well": 15,
  "stream": 5,
  "pond": 5,
  "tap": 0,
  "fill-point": 0,
  "gate": 0,
};

/** All within a distance of a stretch: a box along it and a circle round each of its ends. */
function bufferOf(from: Point, to: Point, bufferM: number): Ring[] {
  const lengthM = distanceM(from, to);
  const [nx, ny] = [(-(to[1] - from[1]) / lengthM) * bufferM, ((to[0] - from[0]) / lengthM) * bufferM];
  return [
    [
      [from[0] + nx, from[1] + ny],
      [to[0] + nx, to[1] + ny],
      [to[0] - nx, to[1] - ny],
      [from[0] - nx, from[1] - ny],
    ],
    circle(from, bufferM),
    circle(to, bufferM),
  ];
}

/** Points of a course that lie nearer together than a hand's breadth are one. */
const HAND_M = 0.1;
const spaced = (line: readonly Point[]): readonly Point[] =>
  line.reduce<readonly Point[]>((kept, point) => {
    const last = kept.at(-1);
    return last && distanceM(last, point) < HAND_M ? kept : [...kept, point];
  }, []);

const barredBy = ({ line: drawn, bufferM }: Mark): Ring[] => {
  const line = spaced(drawn);
  if (bufferM <= 0 || line.length === 0) return [];
  const [first] = line;
  if (line.length === 1) return [circle(first!, bufferM)];
  return line.slice(1).flatMap((to, index) => bufferOf(line[index]!, to, bufferM));
};

/** The least distance between an outline's corners and sides and a mark, m; for passing by what is far. */
function near(ring: Ring, mark: Mark): boolean {
  const xs = ring.map(([x]) => x);
  const ys = ring.map(([, y]) => y);
  const markXs = mark.line.map(([x]) => x);
  const markYs = mark.line.map(([, y]) => y);
  // The ring of a circle with the circle's area stands a little out of it.
  const reachM = mark.bufferM * 1.02;
  return (
    Math.min(...markXs) - reachM <= Math.max(...xs) &&
    Math.max(...markXs) + reachM >= Math.min(...xs) &&
    Math.min(...markYs) - reachM <= Math.max(...ys) &&
    Math.max(...markYs) + reachM >= Math.min(...ys)
  );
}

export interface Treatable {
  /** What may be treated of it, m². */
  readonly areaM2: number;
  /** What lies too near to water, m². */
  readonly barredM2: number;
  readonly pieces: readonly Piece[];
  /** The waters that it lies near to. */
  readonly near: readonly string[];
}

/** What of a plot may be treated, with the farm's distance kept from its waters. */
export function treatable(ring: Ring, marks: readonly Mark[]): Treatable {
  const wholeM2 = areaM2(ring);
  const close = marks.filter((mark) => mark.bufferM > 0 && mark.line.length > 0 && near(ring, mark));
  const pieces = without(ring, close.flatMap(barredBy));
  const leftM2 = pieces.reduce((sum, piece) => sum + pieceAreaM2(piece), 0);
  const barredM2 = Math.max(0, wholeM2 - leftM2);
  return barredM2 > 0.005
    ? { areaM2: leftM2, barredM2, pieces, near: close.map(({ name }) => name) }
    : { areaM2: wholeM2, barredM2: 0, pieces: [{ outer: ring, holes: [] }], near: [] };
}
