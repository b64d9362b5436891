import type { UnitSystem } from "@/core/quantity/typed/unitWords";
import { sayMass, sayStock, sayTemperature, sayVolume, sayWind } from "@/formats/amounts";
import { sayDose } from "@/formats/bookText";
import { sayGPerArea } from "@/formats/fieldUnits";
import { formatNumber } from "@/formats/numbers";
import { sayDay, sayDuration } from "@/formats/times";

/** How figures are said to the farm's people: in its units, to as many digits as an act wants. */
export interface Speech {
  /** @param litres rounded as people pour */
  readonly volume: (litres: number) => string;
  /** @param litres as the books have it: what is left, what is short */
  readonly volumeLeft: (litres: number) => string;
  readonly mass: (kilograms: number) => string;
  readonly stock: (amount: number, unit: "kg" | "L") => string;
  readonly temperature: (celsius: number) => string;
  /** @param gPerL grams to the litre */
  readonly perVolume: (gPerL: number) => string;
  /** @param gPerM2 grams to the square metre */
  readonly perArea: (gPerM2: number) => string;
  readonly wind: (metresPerSecond: number) => string;
  readonly number: (value: number, significant?: number) => string;
  /** @param day ISO date */
  readonly day: (day: string) => string;
  readonly duration: (hours: number) => string;
}

export const speechOf = (units: UnitSystem): Speech => ({
  volume: (litres) => sayVolume(litres, units),
  volumeLeft: (litres) => sayVolume(litres, units, 4),
  mass: (kilograms) => sayMass(kilograms, units),
  stock: (amount, unit) => sayStock(amount, unit, units, 4),
  temperature: (celsius) => sayTemperature(celsius, units),
  perVolume: (gPerL) => sayDose(gPerL, "kg", "L", units),
  perArea: (gPerM2) => sayGPerArea(gPerM2, units),
  wind: (metresPerSecond) => sayWind(metresPerSecond, units),
  number: formatNumber,
  day: sayDay,
  duration: sayDuration,
});
