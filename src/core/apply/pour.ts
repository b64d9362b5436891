import { allocate, type Priority, type WithoutReason } from "./allocate";
import type { MixRate } from "./loads";
import { concentrateFor, mixFor } from "./reach";

export interface PourPlot {
  readonly id: number;
  /** What of it may be treated, m². */
  readonly treatableM2: number;
  readonly plants: number | null;
  readonly priority: Priority;
  /** Days since it last got of the same; null where it never did. */
  readonly waitedD: number | null;
}

export interface Pour {
  readonly availableL: number;
  readonly partsWater: number;
  readonly rate: MixRate;
  /** The weakest rate that is worth it, in the rate's own measure, L. */
  readonly leastRateL: number;
  readonly plots: readonly PourPlot[];
  /** Mix in one load where only whole loads go to a plot, L; null where any amount does. */
  readonly wholeLoadL?: number | null;
}

export interface Share {
  readonly id: number;
  /** What it would get, and what it gets: concentrate, L. */
  readonly wantedL: number;
  readonly concentrateL: number;
  readonly mixL: number;
}

export interface Poured {
  /** In the order asked. */
  readonly shares: readonly Share[];
  readonly wantedL: number;
  readonly leftL: number;
  readonly without: readonly { readonly id: number; readonly reason: WithoutReason }[];
}

/**
 * What each plot gets of a brew: its full rate where there is enough; else who wants it most first, then who waited longest.
 * A plot that is counted by plants and has no number, or that may not be treated at all, asks for nothing.
 * @throws {DomainError} as `allocate`
 */
export function pour({ availableL, partsWater, rate, leastRateL, plots, wholeLoadL = null }: Pour): Poured {
  const wishes = plots.map((plot) => {
    const rateMixL = mixFor({ areaM2: plot.treatableM2, plants: plot.plants }, rate) ?? 0;
    // In whole loads it is as many as come nearest to its rate, and one at the least.
    const mixL = wholeLoadL && rateMixL > 0 ? Math.max(1, Math.round(rateMixL / wholeLoadL)) * wholeLoadL : rateMixL;
    const preferredL = concentrateFor(mixL, partsWater);
    return { plot, preferredL, leastL: preferredL * Math.min(1, leastRateL / rate.amountL) };
  });
  const waited = ({ plot }: (typeof wishes)[number]) => plot.waitedD ?? Infinity;
  const inTurn = wishes.toSorted((a, b) => (waited(a) === waited(b) ? 0 : waited(b) - waited(a)));
  const answer = allocate(
    availableL,
    inTurn.map(({ plot, preferredL, leastL }) => ({
      id: String(plot.id),
      priority: plot.priority,
      preferredL,
      leastL,
      loadL: wholeLoadL === null ? null : concentrateFor(wholeLoadL, partsWater),
    })),
  );
  const given = new Map(answer.plots.map(({ id, concentrateL }) => [Number(id), concentrateL]));
  return {
    shares: wishes.map(({ plot, preferredL }) => {
      const concentrateL = given.get(plot.id)!;
      return { id: plot.id, wantedL: preferredL, concentrateL, mixL: concentrateL * (1 + partsWater) };
    }),
    wantedL: wishes.reduce((sum, { preferredL }) => sum + preferredL, 0),
    leftL: answer.leftL,
    without: answer.without.map(({ id, reason }) => ({ id: Number(id), reason })),
  };
}
