import { isInline, type ToolKind } from "@/core/apply/tool";
import type { Haul } from "@/core/apply/haul";
import type { Load, PreMix } from "@/core/apply/loads";
import { sayMass, sayVolume, type UnitSystem } from "@/formats/amounts";
import { formatNumber, plural } from "@/formats/numbers";

/** Tools as they are chosen. */
export const TOOL_WORDS: Readonly<Record<ToolKind, string>> = {
  can: "can",
  knapsack: "knapsack",
  tote: "tote with a pump and a hose",
  siphon: "siphon on the hose",
  injector: "injector in the line",
  drip: "drip line with an injector",
};

/** What one fill of a tool is called. */
export const loadNoun = (kind: ToolKind): string => (isInline(kind) ? "tank" : kind);

const isNeat = (load: Load) => load.waterL < 1e-9;

/** What goes into a load: the concentrate, or so much of the pre-mix. */
const dose = (load: Load, units: UnitSystem, preMix: PreMix | null) =>
  preMix ? `${sayVolume(load.concentrateL * preMix.factor, units)} of pre-mix` : sayVolume(load.concentrateL, units);

/**
 * A load in a person's words.
 * @example sayLoad({ count: 3, mixL: 10, concentrateL: 0.5, waterL: 9.5 }, "can", false, "metric"); // "3 cans of 10 L with 500 mL in each"
 */
export function sayLoad(
  load: Load,
  tool: string,
  isLast: boolean,
  units: UnitSystem,
  preMix: PreMix | null = null,
): string {
  const fill = sayVolume(load.mixL, units);
  const what = isNeat(load) ? ", undiluted" : ` with ${dose(load, units, preMix)}`;
  if (isLast) return `a last ${tool} of ${fill}${what}`;
  const each = load.count === 1 || isNeat(load) ? "" : " in each";
  return `${plural(load.count, tool)} of ${fill}${what}${each}`;
}

/** All loads as one sentence: "3 cans of 10 L with 500 mL in each; a last can of 6 L with 300 mL". */
export const sayLoads = (
  loads: readonly Load[],
  tool: string,
  units: UnitSystem,
  preMix: PreMix | null = null,
): string =>
  [
    ...(preMix ? [sayPreMix(preMix, units)] : []),
    ...loads.map((load, index) => sayLoad(load, tool, index > 0, units, preMix)),
  ].join("; ");

/** How the pre-mix is made. @example "Pre-mix first: 64 mL with 576 mL of water" */
export const sayPreMix = ({ concentrateL, waterL }: PreMix, units: UnitSystem): string =>
  `Pre-mix first: ${sayVolume(concentrateL, units)} with ${sayVolume(waterL, units)} of water, stirred`;

const BETTER: Readonly<Record<NonNullable<Haul["better"]>, string>> = {
  "tote-and-pump": "a tote with a pump and a hose does that in one go",
  "injector": "an injector on the hose, or a tote with a pump, does that in one go",
};

/** What carrying it means, where that is more than anyone would guess; null where it is not. */
export function sayHaul({ trips, massKg, hours, better }: Haul, tool: string, units: UnitSystem): string | null {
  if (better === null) return null;
  return `${plural(trips, tool)} is about ${formatNumber(hours, 2)} hours of filling, walking and pouring, and ${sayMass(massKg, units)} carried: ${BETTER[better]}.`;
}
