import { findUse } from "../../book/uses";
import { areaM2, centreOf, type Ring } from "../../land/ring";
import { stripsOf } from "../../land/strips";
import { CONTROL, placeTrial, type Placement } from "../place";
import { ARMS, type TrialTerms, type TrialUnit } from "./records";

/** Beds that join a trial, as they are asked for. */
export interface Joining {
  readonly plotIds: readonly number[];
  /** Strips that each bed is cut into; 1 for whole beds. */
  readonly strips: number;
  /** The way the ground changes most, degrees anticlockwise from east; null where nobody said. */
  readonly gradientDeg: number | null;
  /** Those of the beds that lie at an edge. */
  readonly edgePlotIds: readonly number[];
}
export interface TrialPlot {
  readonly id: number;
  readonly areaM2: number;
  /** Outline on the plan; null for what lies nowhere on it. */
  readonly ring: Ring | null;
}

export const unitIdOf = (plotId: number, strip: number | null): string =>
  strip === null ? String(plotId) : `${plotId}.${strip}`;

/** The outline of a unit; null for what lies nowhere on the plan. */
export const unitRing = (ring: Ring | null, strip: number | null, strips: number): Ring | null =>
  ring === null || strip === null ? ring : (stripsOf(ring, strips)[strip - 1] ?? null);

/** The strips of these beds, in the order of the beds; what lies nowhere on the plan stands side by side and is not cut. */
export function trialUnits(plots: readonly TrialPlot[], { strips, edgePlotIds }: Joining): TrialUnit[] {
  return plots.flatMap((plot, nth): TrialUnit[] => {
    const edge = edgePlotIds.includes(plot.id);
    if (strips === 1 || plot.ring === null) {
      const [x, y] = plot.ring === null ? ([nth, 0] as const) : centreOf(plot.ring);
      const whole = { unit: unitIdOf(plot.id, null), plotId: plot.id, strip: null, strips: 1 };
      return [{ ...whole, x, y, edge, areaM2: plot.areaM2 }];
    }
    return stripsOf(plot.ring, strips).map((ring, at) => {
      const [x, y] = centreOf(ring);
      const part = { unit: unitIdOf(plot.id, at + 1), plotId: plot.id, strip: at + 1, strips };
      return { ...part, x, y, edge, areaM2: areaM2(ring) };
    });
  });
}

/**
 * Where units count as lying for the draw, and the way in which neighbours are looked for. Strips of one bed are neighbours before those of the next; whole
 * beds lie where they lie, looked at along whichever way they are spread farther.
 */
function lying(units: readonly TrialUnit[], { strips, gradientDeg }: Joining) {
  if (strips > 1)
    return { units: units.map(({ unit, edge }, nth) => ({ id: unit, x: nth, y: 0, edge })), direction: 0 };
  const spread = (of: "x" | "y"): number => {
    const values = units.map((unit) => unit[of]);
    return Math.max(...values) - Math.min(...values);
  };
  return {
    // The plan's y runs down, degrees run anticlockwise.
    units: units.map(({ unit, x, y, edge }) => ({ id: unit, x, y: -y, edge })),
    direction: gradientDeg ?? (spread("y") > spread("x") ? 90 : 0),
  };
}

/**
 * Lots drawn for units.
 * @param seed that nobody chose
 * @throws {DomainError} `trial-fault` for fewer units than one block
 */
export function drawLots(
  units: readonly TrialUnit[],
  joining: Joining,
  { inputs, useId }: { readonly inputs: readonly unknown[] } & Pick<TrialTerms, "useId">,
  seed: number,
): Placement {
  const { units: placed, direction } = lying(units, joining);
  return placeTrial({
    units: placed,
    arms: [...inputs.map((_, nth) => ARMS[nth]!), CONTROL],
    seed,
    gradient: { direction },
    use: useId !== null && findUse(useId).target === "leaves" ? "foliar" : "drench",
  });
}
