import { shareOut, upTo } from "./ledger/minor";

/** A batch as its cost is spread: what it cost, and how much came of it. Money in minor units. */
export interface SpreadBatch {
  readonly id: number;
  readonly costMinor: number;
  /** Running ones have no price a litre yet; of one that was thrown away all is lost. */
  readonly outcome: "running" | "strained" | "discarded";
  readonly yieldL: number;
}
export interface SpreadUse {
  readonly id: number;
  readonly batchId: number;
  readonly labourMinor: number;
  readonly plots: readonly { readonly plotId: number; readonly concentrateL: number; readonly mixL: number }[];
}
export interface SpreadWaste {
  readonly batchId: number;
  readonly litres: number;
  readonly cause: string;
  /** Day on which it was lost; nothing where nobody asks. */
  readonly on?: string;
}
/** Where every minor unit is that went into batches and onto beds. */
export interface Spread {
  /** Application → plot → cost, concentrate and labour together. */
  readonly plots: ReadonlyMap<number, ReadonlyMap<number, number>>;
  readonly losses: readonly {
    readonly batchId: number;
    readonly cause: string;
    readonly costMinor: number;
    /** Of what was poured away, where its day was told; null for a batch that failed. */
    readonly on: string | null;
  }[];
  readonly batchesMinor: number;
  readonly labourMinor: number;
  readonly onPlotsMinor: number;
  readonly lostMinor: number;
  /** Strained and neither applied nor lost: in stores, or gone into other batches. */
  readonly onHandMinor: number;
  readonly runningMinor: number;
}
const WHOLE = 1000;
const mL = (litres: number): number => Math.max(0, Math.round(litres * WHOLE));

/**
 * Costs of batches spread over what came of them, without rounding twice: a batch is used up in the order of its uses, each at the difference of two sums, and an application is shared over
 * its plots by largest remainder. What went in is what is on plots, lost, on hand and running, to the minor unit.
 * @param uses in the order they were made, @param waste after them
 */
export function spreadCosts(
  batches: readonly SpreadBatch[],
  uses: readonly SpreadUse[],
  waste: readonly SpreadWaste[],
): Spread {
  const of = new Map(
    batches.map((batch) => [batch.id, { batch, wholeMl: mL(batch.yieldL), usedMl: 0, postedMinor: 0 }]),
  );
  /** The price of so much more of a batch; what was corrected beyond its yield costs nothing more. */
  const slice = (batchId: number, litres: number): number => {
    const one = of.get(batchId);
    if (!one || one.batch.outcome !== "strained" || one.wholeMl === 0) return 0;
    one.usedMl = Math.min(one.wholeMl, one.usedMl + mL(litres));
    const posted = upTo(one.batch.costMinor, one.usedMl, one.wholeMl);
    const cost = posted - one.postedMinor;
    one.postedMinor = posted;
    return cost;
  };
  const plots = new Map<number, Map<number, number>>();
  let [onPlotsMinor, labourMinor] = [0, 0];
  for (const use of uses) {
    const litres = use.plots.reduce((sum, { concentrateL }) => sum + concentrateL, 0);
    const whole = slice(use.batchId, litres) + use.labourMinor;
    const shares = shareOut(
      whole,
      use.plots.map(({ mixL }) => mixL),
    );
    plots.set(use.id, new Map(use.plots.map(({ plotId }, nth) => [plotId, shares[nth]!])));
    onPlotsMinor += whole;
    labourMinor += use.labourMinor;
  }
  const losses = [
    ...waste.map(({ batchId, litres, cause, on }) => ({
      ...{ batchId, cause, on: on ?? null },
      costMinor: slice(batchId, litres),
    })),
    ...batches
      .filter(({ outcome }) => outcome === "discarded")
      .map(({ id, costMinor }) => ({ batchId: id, cause: "failed", on: null, costMinor })),
  ].filter(({ costMinor }) => costMinor > 0);
  const sum = (list: readonly { readonly costMinor: number }[]): number =>
    list.reduce((total, { costMinor }) => total + costMinor, 0);
  return {
    ...{ plots, losses, labourMinor, onPlotsMinor },
    batchesMinor: sum(batches),
    lostMinor: sum(losses),
    onHandMinor: [...of.values()].reduce(
      (total, { batch, postedMinor }) => total + (batch.outcome === "strained" ? batch.costMinor - postedMinor : 0),
      0,
    ),
    runningMinor: sum(batches.filter(({ outcome }) => outcome === "running")),
  };
}
