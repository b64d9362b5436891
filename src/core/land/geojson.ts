import { DomainError } from "../errors";
import { requireRing } from "./edit";
import { MARK_KINDS, type Mark, type MarkKind } from "./marks";
import type { Point, Ring } from "./ring";

/** Where the plan's north-west corner lies on the globe. */
export interface Origin {
  readonly longitudeDeg: number;
  readonly latitudeDeg: number;
}

/** Kinds of plots. */
export const PLOT_KINDS = ["bed", "row", "tree", "pots", "bay", "lawn", "heap", "path"] as const;
export type PlotKind = (typeof PLOT_KINDS)[number];

export interface LandPlot {
  readonly name: string;
  readonly kind: PlotKind;
  readonly ring: Ring;
}
export interface Land {
  readonly plots: readonly LandPlot[];
  readonly marks: readonly Mark[];
}

// Local plane through the origin: one degree of latitude, and of longitude there, in metres. WGS 84 ellipsoid; series of Snyder 1987, Map
// Projections, USGS PP 1395, p. 25. Over a farm of some kilometres it is off by less than a spade's width.
const metresPerDegree = (latitudeDeg: number) => {
  const phi = (latitudeDeg * Math.PI) / 180;
  return {
    north: 111_132.92 - 559.82 * Math.cos(2 * phi) + 1.175 * Math.cos(4 * phi) - 0.0023 * Math.cos(6 * phi),
    east: 111_412.84 * Math.cos(phi) - 93.5 * Math.cos(3 * phi) + 0.118 * Math.cos(5 * phi),
  };
};

type Position = readonly number[];
const toGlobe = ([x, y]: Point, origin: Origin): Position => {
  const { north, east } = metresPerDegree(origin.latitudeDeg);
  const round = (degrees: number) => Number(degrees.toFixed(9));
  return [round(origin.longitudeDeg + x / east), round(origin.latitudeDeg - y / north)];
};
const toPlane = ([longitudeDeg, latitudeDeg]: Position, origin: Origin): Point => {
  const { north, east } = metresPerDegree(origin.latitudeDeg);
  return [(longitudeDeg! - origin.longitudeDeg) * east, (origin.latitudeDeg - latitudeDeg!) * north];
};

/** A ring that goes round anticlockwise on the globe, as RFC 7946 wants it, and ends where it began. */
function closedRing(ring: Ring, origin: Origin): Position[] {
  const positions = ring.map((point) => toGlobe(point, origin));
  const twice = positions.reduce((sum, [x, y], index) => {
    const [nextX, nextY] = positions[(index + 1) % positions.length]!;
    return sum + (x! * nextY! - nextX! * y!);
  }, 0);
  const round = twice < 0 ? positions.toReversed() : positions;
  return [...round, round[0]!];
}

/** The land as GeoJSON (RFC 7946): a feature a plot and a mark, in degrees. */
export const landToGeoJson = ({ plots, marks }: Land, origin: Origin): object => ({
  type: "FeatureCollection",
  features: [
    ...plots.map(({ name, kind, ring }) => ({
      type: "Feature",
      properties: { name, kind },
      geometry: { type: "Polygon", coordinates: [closedRing(ring, origin)] },
    })),
    ...marks.map(({ name, kind, line, bufferM }) => ({
      type: "Feature",
      properties: { name, kind, bufferM },
      geometry:
        line.length === 1
          ? { type: "Point", coordinates: toGlobe(line[0]!, origin) }
          : { type: "LineString", coordinates: line.map((point) => toGlobe(point, origin)) },
    })),
  ],
});

type Json = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const unreadable = (why: "no-collection" | "no-position" | "outside" | "too-many", path: string) =>
  new DomainError("geojson-unreadable", { why }, path);

function positionsOf(value: unknown, path: string): Position[] {
  if (!Array.isArray(value)) throw unreadable("no-position", path);
  return value.map((position: unknown, index) => {
    if (
      !Array.isArray(position) ||
      position.length < 2 ||
      !position.slice(0, 2).every((part) => typeof part === "number" && Number.isFinite(part))
    )
      throw unreadable("no-position", `${path}/${index}`);
    const [longitude, latitude] = position as number[];
    if (Math.abs(longitude!) > 180 || Math.abs(latitude!) > 90) throw unreadable("outside", `${path}/${index}`);
    return [longitude!, latitude!];
  });
}

const textOf = (value: unknown): string =>
  typeof value === "string" ? value.trim() : typeof value === "number" ? String(value) : "";
const oneOf = <T extends string>(known: readonly T[], value: unknown): T | null =>
  known.find((one) => one === textOf(value).toLowerCase()) ?? null;

/** Features that a file may have. */
const MOST_FEATURES = 2000;

interface Feature {
  readonly path: string;
  readonly properties: Json;
  readonly type: string;
  readonly coordinates: unknown;
}

function featuresOf(document: unknown): Feature[] {
  if (!isObject(document)) throw unreadable("no-collection", "");
  const list =
    document.type === "FeatureCollection" && Array.isArray(document.features)
      ? (document.features as unknown[])
      : document.type === "Feature"
        ? [document]
        : null;
  if (!list) throw unreadable("no-collection", "");
  if (list.length > MOST_FEATURES) throw unreadable("too-many", "/features");
  return list.flatMap((feature, index): Feature[] => {
    const geometry = isObject(feature) ? feature.geometry : null;
    if (!isObject(feature) || !isObject(geometry)) return [];
    return [
      {
        path: `/features/${index}`,
        properties: isObject(feature.properties) ? feature.properties : {},
        type: textOf(geometry.type),
        coordinates: geometry.coordinates,
      },
    ];
  });
}

/** The outer rings of a feature, each without the position that it says twice. */
function outlinesOf({ type, coordinates, path }: Feature): Position[][] {
  const polygons =
    type === "Polygon" ? [coordinates] : type === "MultiPolygon" && Array.isArray(coordinates) ? coordinates : [];
  return (polygons as unknown[]).map((rings, index) => {
    const at = `${path}/geometry/coordinates/${index}`;
    if (!Array.isArray(rings)) throw unreadable("no-position", at);
    const ring = positionsOf(rings[0], at);
    const [first, last] = [ring[0], ring.at(-1)];
    return first && last && ring.length > 1 && first[0] === last[0] && first[1] === last[1] ? ring.slice(0, -1) : ring;
  });
}

const lineOf = ({ type, coordinates, path }: Feature): Position[] =>
  type === "Point"
    ? positionsOf([coordinates], `${path}/geometry/coordinates`)
    : type === "LineString"
      ? positionsOf(coordinates, `${path}/geometry/coordinates`)
      : [];

/**
 * Land as GeoJSON tells it. Without an origin the plan begins at its north-west corner, which is said back. What has no name is numbered; kinds
 * that nobody knows are beds, and points and lines of them gates and streams; holes within a plot are not kept.
 * @throws {DomainError} `geojson-unreadable`, or what is wrong with an outline, at its place in the document
 */
export function landFromGeoJson(document: unknown, known: Origin | null): Land & { readonly origin: Origin } {
  const features = featuresOf(document);
  const outlines = features.map((feature) => ({ feature, rings: outlinesOf(feature), line: lineOf(feature) }));
  const all = outlines.flatMap(({ rings, line }) => [...rings.flat(), ...line]);
  if (all.length === 0) throw unreadable("no-collection", "");
  const origin = known ?? {
    longitudeDeg: Math.min(...all.map(([longitude]) => longitude!)),
    latitudeDeg: Math.max(...all.map(([, latitude]) => latitude!)),
  };
  // To the millimetre: finer than anybody stakes out.
  const place = (position: Position): Point => {
    const [x, y] = toPlane(position, origin);
    return [Number(x.toFixed(3)), Number(y.toFixed(3))];
  };
  const plots = outlines.flatMap(({ feature: { properties, path }, rings }) =>
    rings.map((ring, part): LandPlot => {
      const name = textOf(properties.name) || `Plot ${path.split("/").at(-1)}`;
      return {
        name: rings.length > 1 ? `${name} ${part + 1}` : name,
        kind: oneOf(PLOT_KINDS, properties.kind) ?? "bed",
        ring: requireRing(ring.map(place), path),
      };
    }),
  );
  const marks = outlines.flatMap(({ feature: { properties, path }, line }): Mark[] => {
    if (line.length === 0) return [];
    const kind: MarkKind = oneOf(MARK_KINDS, properties.kind) ?? (line.length === 1 ? "gate" : "stream");
    const bufferM = typeof properties.bufferM === "number" && properties.bufferM >= 0 ? properties.bufferM : 0;
    return [
      { kind, name: textOf(properties.name) || `Mark ${path.split("/").at(-1)}`, line: line.map(place), bufferM },
    ];
  });
  return { plots, marks, origin };
}
