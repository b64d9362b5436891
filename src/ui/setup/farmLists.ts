import type { ZonePlace } from "@/services/farm";
import type { ComboOption } from "../kit/Combobox";

const nameOf = (names: Intl.DisplayNames, code: string): string => {
  try {
    return names.of(code) ?? code;
  } catch {
    return code;
  }
};

/** Every time zone that this machine knows, found by its town, its country and its distance from UTC. */
export function zoneOptions(zones: readonly ZonePlace[]): ComboOption[] {
  const countries = new Intl.DisplayNames(["en"], { type: "region" });
  const countryOf = new Map(zones.map(({ zone, country }) => [zone, country]));
  return [...new Set(["UTC", ...Intl.supportedValuesOf("timeZone"), ...countryOf.keys()])].map((zone) => {
    const country = countryOf.get(zone);
    return {
      value: zone,
      label: zone.replaceAll("_", " "),
      ...(country ? { words: [nameOf(countries, country)] } : {}),
    };
  });
}

/** Every currency, found by its name and its code. */
export function currencyOptions(): ComboOption[] {
  const names = new Intl.DisplayNames(["en"], { type: "currency" });
  return Intl.supportedValuesOf("currency").map((code) => ({
    value: code,
    label: `${nameOf(names, code)} (${code})`,
  }));
}
