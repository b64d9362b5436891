import { difference } from "@turf/difference";
import { featureCollection, polygon } from "@turf/helpers";
import { intersect } from "@turf/intersect";
import { union } from "@turf/union";
import { setPrecision } from "polyclip-ts";
import { DomainError } from "../errors";
import { areaM2, boundsOf, crossesItself, distanceM, moved, turned, type Point, type Ring } from "./ring";

// Corners nearer than a thousandth of a millimetre are one: without it one plot in two hundred beside a stream has no answer.
setPrecision(1e-6);

/**
 * Steps to a metre on which corners are laid, tried in turn: where outlines all but coincide the package finds no answer on one grid, and does on the
 * next. None is coarser than anybody stakes out.
 */
const GRIDS = [1000, 997, 331, 100, 991, 499, 211, 103] as const;

// The set operations of the package work on the plane; its measures, which take degrees of the globe, are not used.
const toPolygon = (ring: Ring, grid: number) =>
  polygon([[...ring, ring[0]!].map(([x, y]) => [Math.round(x * grid) / grid, Math.round(y * grid) / grid])]);

/** A set operation over outlines. @throws the package's own error where no grid has an answer */
function cut(operation: typeof intersect | typeof union | typeof difference, rings: readonly Ring[]): Cut {
  let last: unknown;
  for (const grid of GRIDS)
    try {
      return operation(featureCollection(rings.map((ring) => toPolygon(ring, grid))));
    } catch (error) {
      last = error;
    }
  throw last;
}
type Cut = ReturnType<typeof intersect>;

/** A piece of land: its outline, and what is cut out of it. */
export interface Piece {
  readonly outer: Ring;
  readonly holes: readonly Ring[];
}
export const pieceAreaM2 = ({ outer, holes }: Piece): number =>
  areaM2(outer) - holes.reduce((sum, hole) => sum + areaM2(hole), 0);

/** What a set operation left; slivers that no spade finds are dropped. */
const SLIVER_M2 = 0.01;
const piecesOf = (left: Cut): readonly Piece[] => {
  if (!left) return [];
  const parts = left.geometry.type === "Polygon" ? [left.geometry.coordinates] : left.geometry.coordinates;
  const open = (ring: readonly (readonly number[])[]): Ring => ring.slice(0, -1).map(([x, y]) => [x!, y!] as const);
  return parts
    .map(([outer, ...holes]): Piece => ({ outer: open(outer!), holes: holes.map(open) }))
    .filter((piece) => pieceAreaM2(piece) > SLIVER_M2);
};

/** A plot may be this large, m²; and have so many corners. */
const MOST_AREA_M2 = 1_000_000;
const LEAST_AREA_M2 = 0.01;
const MOST_CORNERS = 400;

/**
 * Passes an outline on that a plot may have.
 * @throws {DomainError} `ring-corners`, `ring-crosses`, `out-of-range`
 */
export function requireRing(ring: Ring, path = ""): Ring {
  if (ring.length < 3 || ring.length > MOST_CORNERS)
    throw new DomainError("ring-corners", { corners: ring.length, most: MOST_CORNERS }, path);
  if (crossesItself(ring)) throw new DomainError("ring-crosses", {}, path);
  const area = areaM2(ring);
  if (!(area >= LEAST_AREA_M2 && area <= MOST_AREA_M2))
    throw new DomainError(
      "out-of-range",
      { what: "area", value: area, unit: "m²", min: LEAST_AREA_M2, max: MOST_AREA_M2 },
      path,
    );
  return ring;
}

/**
 * A plot parted along a straight line, which is taken as running on beyond its ends.
 * @throws {DomainError} `split-misses` where the line leaves it whole, or makes more than two of it
 */
export function split(ring: Ring, from: Point, to: Point): readonly [Ring, Ring] {
  const lengthM = distanceM(from, to);
  if (lengthM < 1e-6) throw new DomainError("split-misses", { parts: 1 });
  const { minX, minY, maxX, maxY } = boundsOf([...ring, from, to]);
  const reachM = 2 * (maxX - minX + maxY - minY) + 10;
  const [ux, uy] = [(to[0] - from[0]) / lengthM, (to[1] - from[1]) / lengthM];
  const ends = [-reachM, reachM].map((far): Point => [from[0] + ux * far, from[1] + uy * far]) as [Point, Point];
  const half: Ring = [...ends, ...ends.toReversed().map(([x, y]): Point => [x - uy * reachM, y + ux * reachM])];
  const parts = [...piecesOf(cut(intersect, [ring, half])), ...piecesOf(cut(difference, [ring, half]))];
  if (parts.length !== 2) throw new DomainError("split-misses", { parts: parts.length });
  return [parts[0]!.outer, parts[1]!.outer];
}

/**
 * Plots that touch or overlap, as one.
 * @throws {DomainError} `merge-apart` where they are not one piece, or would have a hole
 */
export function merged(rings: readonly Ring[]): Ring {
  const [first, ...rest] = rings;
  if (!first) throw new DomainError("merge-apart", { parts: 0 });
  if (rest.length === 0) return first;
  const parts = piecesOf(cut(union, rings));
  if (parts.length !== 1 || parts[0]!.holes.length > 0) throw new DomainError("merge-apart", { parts: parts.length });
  return parts[0]!.outer;
}

/** Where a corner that is dragged comes to lie: on a corner of another plot that is near, else on the grid of 10 cm. */
export function snapped(point: Point, others: readonly Ring[], withinM: number): Point {
  const near = others
    .flat()
    .map((corner) => ({ corner, apartM: distanceM(corner, point) }))
    .filter(({ apartM }) => apartM <= withinM)
    .toSorted((a, b) => a.apartM - b.apartM)[0];
  return near?.corner ?? [Math.round(point[0] * 10) / 10, Math.round(point[1] * 10) / 10];
}

/** How far a plot that is dragged is moved on, so that a corner of it lies on another's. */
export function snapShift(ring: Ring, others: readonly Ring[], withinM: number): Point {
  const best = ring
    .flatMap(([x, y]) => others.flat().map(([ox, oy]): Point => [ox - x, oy - y]))
    .toSorted((a, b) => Math.hypot(...a) - Math.hypot(...b))[0];
  return best && Math.hypot(...best) <= withinM ? best : [0, 0];
}

export interface ManyBeds {
  readonly count: number;
  readonly widthM: number;
  readonly lengthM: number;
  /** The path between two of them. */
  readonly betweenM: number;
  /** The corner of the first. */
  readonly at: Point;
  /** In which direction the next one lies: to the east, or to the south of the last. */
  readonly towards: "east" | "south";
  /** Turned about the first corner, degrees clockwise. */
  readonly turnedDeg: number;
}

/** Equal beds beside each other, the first at its corner. */
export const manyBeds = ({ count, widthM, lengthM, betweenM, at, towards, turnedDeg }: ManyBeds): readonly Ring[] =>
  Array.from({ length: count }, (_, index) => {
    const stepM = index * (widthM + betweenM);
    const first: Ring =
      towards === "east"
        ? [at, [at[0] + widthM, at[1]], [at[0] + widthM, at[1] + lengthM], [at[0], at[1] + lengthM]]
        : [at, [at[0] + lengthM, at[1]], [at[0] + lengthM, at[1] + widthM], [at[0], at[1] + widthM]];
    return turned(moved(first, towards === "east" ? [stepM, 0] : [0, stepM]), turnedDeg, at);
  });

/**
 * Names for beds that are drawn at once: the first name's number counted on, past those that are taken.
 * @example numbered("Bed 9", 3, ["Bed 10"]); // ["Bed 9", "Bed 11", "Bed 12"]
 */
export function numbered(first: string, count: number, taken: readonly string[]): string[] {
  const match = /^(.*?)(\d+)$/.exec(first.trim());
  const [stem, start] = match ? [match[1]!, Number(match[2])] : [`${first.trim()} `, 1];
  const known = new Set(taken.map((name) => name.toLowerCase()));
  const names: string[] = [];
  for (let number = start; names.length < count; number += 1) {
    const name = `${stem}${String(number).padStart(match ? match[2]!.length : 1, "0")}`;
    if (!known.has(name.toLowerCase())) names.push(name);
  }
  return names;
}

/** A ground taken from pieces, one by one: slower than all at once, and with an answer where they all but coincide. */
const less = (pieces: readonly Piece[], taken: Ring): readonly Piece[] =>
  pieces.flatMap(({ outer, holes }) =>
    // What was cut out before is cut out again: a hole has no outline of its own to the package.
    holes.reduce<readonly Piece[]>(
      (left, hole) => left.flatMap((piece) => piecesOf(cut(difference, [piece.outer, hole, ...piece.holes]))),
      piecesOf(cut(difference, [outer, taken])),
    ),
  );

/** What is left of a plot once others are taken from it; empty where nothing is. */
export function without(ring: Ring, taken: readonly Ring[]): readonly Piece[] {
  const whole: readonly Piece[] = [{ outer: ring, holes: [] }];
  if (taken.length === 0) return whole;
  try {
    return piecesOf(cut(difference, [ring, ...taken]));
  } catch {
    return taken.reduce(less, whole);
  }
}

/** What two outlines have in common, piece by piece. */
export const shared = (ring: Ring, other: Ring): readonly Piece[] => piecesOf(cut(intersect, [ring, other]));
