import { getTimes } from "suncalc";

export interface SunDay {
  readonly rise: Date;
  readonly set: Date;
}

const DAY_MS = 86_400_000;

/** Sunrise and sunset of every day that touches a span; days on which the sun does not cross the horizon are left out. */
export function sunDays(latitudeDeg: number, longitudeDeg: number, from: Date, to: Date): SunDay[] {
  const days: SunDay[] = [];
  for (let ms = from.getTime() - DAY_MS; ms <= to.getTime() + DAY_MS; ms += DAY_MS) {
    const { sunrise, sunset } = getTimes(new Date(ms), latitudeDeg, longitudeDeg);
    if (sunrise && sunset && sunset > sunrise && !Number.isNaN(sunrise.getTime()))
      days.push({ rise: sunrise, set: sunset });
  }
  return days;
}
