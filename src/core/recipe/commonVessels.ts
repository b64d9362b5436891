import { toBase } from "../quantity/units";

/** What most yards have to fill, by the name that growers use; a size of one's own is always possible. */
export interface CommonVessel {
  readonly id: "tote" | "drum" | "barrel" | "pail" | "bucket" | "crock" | "jar";
  readonly kind: "drum" | "tote" | "pail" | "jar";
  readonly volumeL: number;
}

type Sized = readonly [id: CommonVessel["id"], kind: CommonVessel["kind"], volume: number];
const METRIC: readonly Sized[] = [
  ["tote", "tote", 1000],
  ["drum", "drum", 200],
  ["barrel", "drum", 60],
  ["pail", "pail", 30],
  ["bucket", "pail", 12],
  ["crock", "jar", 10],
  ["jar", "jar", 3],
];
const US: readonly Sized[] = [
  ["tote", "tote", 275],
  ["drum", "drum", 55],
  ["barrel", "drum", 15],
  ["pail", "pail", 5],
  ["bucket", "pail", 2],
  ["crock", "jar", 3],
  ["jar", "jar", 1],
];

const GRAIN = 1000;

/** Common vessels of the farm's units, the largest first. @returns litres to the millilitre */
export function commonVessels(units: "metric" | "us"): CommonVessel[] {
  const [sizes, unit] = units === "us" ? [US, "US gal" as const] : [METRIC, "L" as const];
  return sizes.map(([id, kind, volume]) => ({
    id,
    kind,
    volumeL: Math.round(toBase({ value: volume, unit }).value * GRAIN) / GRAIN,
  }));
}
