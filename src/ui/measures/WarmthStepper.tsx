import { fromBase, toBase } from "@/core/quantity/units";
import type { UnitSystem } from "@/formats/amounts";
import { Stepper } from "../kit/Stepper";

/** Frost to the warmest that anyone would keep a drum, °C. */
const COLDEST_C = 0;
const WARMEST_C = 50;

interface WarmthStepperProps {
  readonly label: string;
  readonly units: UnitSystem;
  /** °C; NaN while nothing is typed. */
  readonly celsius: number;
  /** Where the first tap begins, °C. */
  readonly fromC?: number;
  readonly onChange: (celsius: number) => void;
}

/** How warm a place or a thermostat is, in the farm's unit; Celsius in and out, to the tenth. */
export const WarmthStepper = ({ label, units, celsius, fromC = 20, onChange }: WarmthStepperProps) => {
  const unit = units === "us" ? "°F" : "°C";
  const shown = (value: number) => Number(fromBase({ dimension: "temperature", value }, unit).value.toFixed(1));
  return (
    <Stepper
      label={label}
      unit={unit}
      value={Number.isFinite(celsius) ? shown(celsius) : NaN}
      from={Math.round(shown(fromC))}
      step={unit === "°F" ? 1 : 0.5}
      min={shown(COLDEST_C)}
      max={shown(WARMEST_C)}
      digits={1}
      onChange={(value) => onChange(Number.isFinite(value) ? toBase({ value, unit }).value : NaN)}
    />
  );
};
