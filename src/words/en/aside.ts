import type { Aside, ProbeQuantity } from "@/core/probe/plausible";
import { sayTemperature, sayTemperatureChange, type UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";

export interface AsideFigure {
  readonly quantity: ProbeQuantity;
  readonly value: number;
  readonly aside: Aside;
}

const PLAIN = { ph: "", rain: " mm", wind: " m/s" } as const;

/** A device's figure in the farm's units; rain and wind as devices tell them. */
export const sayFigure = ({ quantity, value }: Pick<AsideFigure, "quantity" | "value">, units: UnitSystem): string =>
  quantity === "air" || quantity === "liquid" || quantity === "core"
    ? sayTemperature(value, units)
    : `${formatNumber(value, 3)}${PLAIN[quantity]}`;

/** Why a device's figure is kept apart. */
export function sayAside({ quantity, aside }: AsideFigure, units: UnitSystem): string {
  switch (aside.code) {
    case "impossible":
      return "this cannot be";
    case "clock-ahead":
      return "its clock is ahead";
    case "too-late":
      return "more than a year late";
    case "jumped": {
      if (aside.by === null || aside.inH === null) return "jumped too far";
      const by =
        quantity === "air" || quantity === "liquid" || quantity === "core"
          ? sayTemperatureChange(aside.by, units)
          : formatNumber(aside.by, 2);
      return `jumped by ${by} in ${sayDuration(aside.inH)}`;
    }
  }
}
