import type { Load } from "@/core/apply/loads";
import { sayVolume, type UnitSystem } from "./amounts";
import { plural } from "./numbers";

const dose = (load: Load, units: UnitSystem) => (load.waterL < 1e-9 ? "neat" : sayVolume(load.concentrateL, units));

/**
 * A load in a person's words.
 * @example sayLoad({ count: 3, mixL: 10, concentrateL: 0.5, waterL: 9.5 }, "can", false, "metric"); // "3 cans of 10 L with 500 mL in each"
 */
export function sayLoad(load: Load, tool: string, isLast: boolean, units: UnitSystem): string {
  const fill = sayVolume(load.mixL, units);
  const neat = load.waterL < 1e-9;
  if (isLast) return `a last ${tool} of ${fill}${neat ? ", neat" : ` with ${dose(load, units)}`}`;
  const each = load.count === 1 ? "" : " in each";
  return `${plural(load.count, tool)} of ${fill}${neat ? ", neat" : ` with ${dose(load, units)}${each}`}`;
}

/** All loads as one sentence: "3 cans of 10 L with 500 mL in each; a last can of 6 L with 300 mL". */
export const sayLoads = (loads: readonly Load[], tool: string, units: UnitSystem): string =>
  loads.map((load, index) => sayLoad(load, tool, index > 0, units)).join("; ");
