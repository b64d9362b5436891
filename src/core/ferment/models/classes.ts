import type { FermentClass, FermentModel } from "./types";

/** What may be read of a batch, besides smell, bubbles and what every class shows. */
export interface Readable {
  readonly ph: boolean;
  readonly foam: boolean;
  readonly parted: boolean;
  readonly sunk: boolean;
  readonly core: boolean;
}

/** All in which one readiness class differs from another, apart from its equations (kinetics/), its curve and its words. */
export interface ClassTraits {
  /** By what it is judged: the hour, pH and nose, or days and signs. */
  readonly judgedBy: "bloom" | "acid" | "days";
  /** Hours in the unit of its model's times. */
  readonly unitH: 1 | 24;
  /** Least look-ahead past now, h. */
  readonly aheadH: number;
  /** Nodes of its course: fine ones with middles, every third hour with middles, or one after the other. */
  readonly grid: "fine" | "three-hourly" | "plain";
  /** A run of it costs so much that it is made on fewer nodes. */
  readonly isCostly: boolean;
  /** Drums in yards differ by so many times more than the priors say; measured in `bench/yards`, a class at a time. */
  readonly yardSpread: number;
  /** Feeding starts it anew, so that so much of the first sugar still counts; null where it goes on as it was. */
  readonly fedAnew: { readonly sugarLeft: number } | null;
  /** Cold slows it down to a stand, so that it may be stuck in it. */
  readonly slowsInCold: boolean;
  /** Heat that kills takes some of its pace for good. */
  readonly losesForGood: boolean;
  /** A liquid stands in it whose temperature is its own. */
  readonly isLiquid: boolean;
}

export const CLASSES: Readonly<Record<FermentClass, ClassTraits>> = {
  bloom: {
    judgedBy: "bloom",
    unitH: 1,
    aheadH: 120,
    grid: "fine",
    isCostly: true,
    yardSpread: 1.35,
    fedAnew: { sugarLeft: 0.3 },
    slowsInCold: true,
    losesForGood: false,
    isLiquid: true,
  },
  acid: {
    judgedBy: "acid",
    unitH: 24,
    aheadH: 720,
    grid: "plain",
    isCostly: false,
    yardSpread: 1.1,
    fedAnew: { sugarLeft: 1 },
    slowsInCold: true,
    losesForGood: true,
    isLiquid: true,
  },
  drawn: {
    judgedBy: "days",
    unitH: 24,
    aheadH: 480,
    grid: "plain",
    isCostly: false,
    yardSpread: 1.35,
    fedAnew: null,
    slowsInCold: true,
    losesForGood: true,
    isLiquid: true,
  },
  soak: {
    judgedBy: "days",
    unitH: 24,
    aheadH: 480,
    grid: "plain",
    isCostly: false,
    yardSpread: 1.35,
    fedAnew: null,
    slowsInCold: true,
    losesForGood: true,
    isLiquid: true,
  },
  char: {
    judgedBy: "days",
    unitH: 24,
    aheadH: 480,
    grid: "plain",
    isCostly: false,
    yardSpread: 1.35,
    fedAnew: null,
    slowsInCold: false,
    losesForGood: true,
    isLiquid: true,
  },
  bed: {
    judgedBy: "days",
    unitH: 24,
    aheadH: 480,
    grid: "three-hourly",
    isCostly: true,
    yardSpread: 1.35,
    fedAnew: null,
    slowsInCold: true,
    losesForGood: true,
    isLiquid: false,
  },
  shell: {
    judgedBy: "days",
    unitH: 24,
    aheadH: 480,
    grid: "plain",
    isCostly: false,
    yardSpread: 1.7,
    fedAnew: null,
    slowsInCold: false,
    losesForGood: false,
    isLiquid: true,
  },
};

export const traitsOf = ({ cls }: Pick<FermentModel, "cls">): ClassTraits => CLASSES[cls];

/** What tells how far a batch of this model is. */
export function readableOf(model: FermentModel): Readable {
  const none = { ph: false, foam: false, parted: false, sunk: false, core: false };
  switch (model.cls) {
    case "bloom":
      return { ...none, foam: true };
    case "acid":
      return { ...none, ph: true, parted: Boolean(model.curd ?? model.partsAtPh) };
    case "drawn":
      return { ...none, parted: true };
    case "soak":
      return none;
    case "char":
      return { ...none, sunk: true };
    case "bed":
      return { ...none, core: true };
    case "shell":
      return { ...none, ph: true };
  }
}
