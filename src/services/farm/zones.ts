import "server-only";
import { readFile } from "node:fs/promises";

/** A time zone with its country and about where its first town lies. */
export interface ZonePlace {
  readonly zone: string;
  /** ISO 3166. */
  readonly country: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

/** The table of time zones that Debian keeps (package tzdata). */
const TABLE = "/usr/share/zoneinfo/zone.tab";
/** Degrees, minutes, sometimes seconds, as ISO 6709 writes them. */
const POSITION = /^([+-])(\d{2})(\d{2})(\d{2})?([+-])(\d{3})(\d{2})(\d{2})?$/;

/** @example degrees("-", "33", "52", undefined); // -33.87 */
const degrees = (sign: string, whole: string, minutes: string, seconds: string | undefined): number =>
  Number(((sign === "-" ? -1 : 1) * (Number(whole) + Number(minutes) / 60 + Number(seconds ?? 0) / 3600)).toFixed(2));

/** Lines of zone.tab; what is no such line is passed over. */
export function readZoneTable(text: string): ZonePlace[] {
  return text.split("\n").flatMap((line): ZonePlace[] => {
    if (line.startsWith("#")) return [];
    const [country = "", position = "", zone = ""] = line.split("\t");
    const read = POSITION.exec(position);
    if (!read || zone === "") return [];
    const [, northSign, north, northMin, northSec, eastSign, east, eastMin, eastSec] = read;
    return [
      {
        zone,
        country,
        latitudeDeg: degrees(northSign!, north!, northMin!, northSec),
        longitudeDeg: degrees(eastSign!, east!, eastMin!, eastSec),
      },
    ];
  });
}

/** Where time zones lie, for a first guess at a farm's position; none on a machine that has no such table. */
export const listZonePlaces = (): Promise<ZonePlace[]> => readFile(TABLE, "utf8").then(readZoneTable, () => []);
