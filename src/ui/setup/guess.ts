import countryToCurrency from "country-to-currency";
import { climateAtLarge, warmAndCold } from "@/core/weather/climate";
import type { ZonePlace } from "@/services/farm";

/** What is taken of a farm until somebody says otherwise. */
export interface FarmGuess {
  readonly timeZone: string;
  readonly units: "metric" | "us";
  /** ISO 4217. */
  readonly currency: string;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  /** Whether the position is that of the zone's first town, and not only what its clock says. */
  readonly placed: boolean;
}

/** What a browser tells of where it is. */
export interface Here {
  readonly timeZone: string;
  /** BCP 47, such as "en-GB". */
  readonly language: string;
  /** How far its clocks stand ahead of UTC in January, minutes. */
  readonly offsetMin: number;
}

const US_UNITS = ["US", "LR", "MM"];
const SOMEWHERE_DEG = 45;

const regionOf = (language: string): string | null => {
  try {
    return new Intl.Locale(language).maximize().region ?? null;
  } catch {
    return null;
  }
};
const currencyOf = (country: string | null): string =>
  (country === null ? undefined : (countryToCurrency as Readonly<Record<string, string>>)[country]) ?? "EUR";

/** A farm's first answers: units and money by the country of its time zone, its place by the zone's first town. */
export function guessFarm({ timeZone, language, offsetMin }: Here, zones: readonly ZonePlace[]): FarmGuess {
  const place = zones.find(({ zone }) => zone === timeZone);
  const country = place?.country ?? regionOf(language);
  return {
    timeZone,
    units: country !== null && US_UNITS.includes(country) ? "us" : "metric",
    currency: currencyOf(country),
    latitudeDeg: place?.latitudeDeg ?? SOMEWHERE_DEG,
    // Clocks follow the sun by 15 degrees an hour.
    longitudeDeg: place?.longitudeDeg ?? offsetMin / 4,
    placed: place !== undefined,
  };
}

/** What this browser tells of where it is. */
export const hereNow = (): Here => ({
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC",
  language: navigator.language,
  // Not `|| 0`: minus nought would print as such.
  offsetMin: 0 - new Date(new Date().getFullYear(), 0, 1).getTimezoneOffset(),
});

/** A warm afternoon and a cold night of a latitude at large, whole degrees. */
export function guessClimate(latitudeDeg: number): { readonly warmAfternoonC: number; readonly coldNightC: number } {
  const { warmAfternoonC, coldNightC } = warmAndCold(climateAtLarge(latitudeDeg));
  return { warmAfternoonC: Math.round(warmAfternoonC), coldNightC: Math.round(coldNightC) };
}
