import type { Quantity } from "../../quantity/units";

/** What a ledger is made of: entries, and the day as of which they are read. Money in the currency's units; days as ISO dates. */
export type Basis = "free-at-nought" | "gathering-priced";
export interface LedgerLot {
  readonly id: string;
  readonly item: string;
  readonly on: string;
  readonly amount: Quantity;
  readonly cost?: number;
  readonly free?: boolean;
  readonly gatherMin?: number;
}
export interface LedgerBatch {
  readonly id: string;
  readonly start: string;
  readonly outcome?: "running" | "strained" | "discarded";
  readonly yield?: Quantity;
  readonly draws?: readonly {
    readonly item: string;
    readonly amount: Quantity;
    readonly on?: string;
    readonly lot?: string;
  }[];
  readonly feeds?: readonly { readonly batch: string; readonly amount: Quantity; readonly on?: string }[];
  readonly labour?: readonly { readonly act: string; readonly min: number; readonly perHour?: number }[];
  readonly water?: Quantity;
  readonly power?: readonly {
    readonly device: string;
    readonly watts?: number;
    readonly hours?: number;
    readonly kWh?: number;
  }[];
  readonly consumables?: readonly { readonly name: string; readonly cost: number }[];
  readonly vessel?: { readonly id: string; readonly days: number };
  readonly residue?: readonly { readonly name: string; readonly value: number; readonly into?: string }[];
  readonly nGPerL?: number;
  readonly kGPerL?: number;
}
export interface LedgerUse {
  readonly id: string;
  readonly on: string;
  readonly batch: string;
  readonly amount: Quantity;
  readonly labourMin?: number;
  readonly plots: readonly { readonly id: string; readonly mix?: Quantity }[];
}
export interface Instead {
  readonly name: string;
  readonly price: number;
  readonly covers?: Quantity;
  readonly nGPerPack?: number;
  readonly kGPerPack?: number;
}
export interface LedgerInput {
  readonly currency: { readonly code: string; readonly minor: 0 | 2 | 3 };
  readonly basis?: Basis;
  readonly rates: {
    readonly labourPerHour?: number;
    readonly powerPerKWh?: number;
    readonly waterPerM3?: number;
    readonly gatherPerHour?: number;
  };
  readonly lots: readonly LedgerLot[];
  readonly lotWaste?: readonly {
    readonly lot: string;
    readonly on: string;
    readonly amount: Quantity;
    readonly reason: string;
  }[];
  readonly vessels?: readonly {
    readonly id: string;
    readonly cost: number;
    readonly salvage?: number;
    readonly lifeDays: number;
  }[];
  readonly batches: readonly LedgerBatch[];
  readonly uses?: readonly LedgerUse[];
  readonly waste?: readonly {
    readonly batch: string;
    readonly on: string;
    readonly amount: Quantity;
    readonly reason: string;
  }[];
  readonly plots?: readonly { readonly id: string; readonly crop?: string; readonly area?: Quantity }[];
  readonly instead?: Instead;
  readonly corrections?: readonly { readonly lot: string; readonly cost: number; readonly knownOn: string }[];
  readonly asOf?: string;
  readonly closedThrough?: string;
}

export type CostKind = "lots" | "feeds" | "labour" | "power" | "water" | "consumables" | "vessel" | "residueIn";
export interface BatchLedger {
  readonly id: string;
  readonly outcome: "running" | "strained" | "discarded";
  readonly cost: number;
  readonly in: Readonly<Record<CostKind, number>>;
  /** Taken off for what is left over and worth something. */
  readonly residue: number;
  readonly net: number;
  /** A litre, or a kilogram of what is weighed; null until it is closed. Shown, never multiplied on. */
  readonly perL: number | null;
  readonly out: {
    readonly feeds: number;
    readonly uses: number;
    readonly waste: number;
    readonly loss: number;
    readonly hand: number;
  };
  readonly left: Quantity | null;
  readonly lines: readonly { readonly kind: CostKind; readonly label: string; readonly cost: number }[];
}
export interface InsteadAnswer {
  readonly name: string;
  readonly basis: "same-area" | "same-N" | "same-K";
  /** As much of packs as the same work takes, and whole ones. */
  readonly packs: number;
  readonly wholePacks: number;
  readonly cost: number;
  readonly wholeCost: number;
  /** Below nought: the shop's is cheaper. */
  readonly saving: number;
  readonly wholeSaving: number;
}
export const BUCKETS = ["loss", "residue", "lotsOnHand", "storesOnHand", "running"] as const;
export type Bucket = (typeof BUCKETS)[number];
export interface Ledger {
  readonly batches: readonly BatchLedger[];
  readonly uses: readonly {
    readonly id: string;
    readonly concentrate: number;
    readonly labour: number;
    readonly cost: number;
    readonly plots: readonly { readonly id: string; readonly cost: number }[];
  }[];
  readonly plots: readonly {
    readonly id: string;
    readonly crop: string | null;
    readonly cost: number;
    readonly perM2: number | null;
  }[];
  readonly crops: readonly { readonly crop: string | null; readonly cost: number }[];
  readonly losses: readonly { readonly cause: string; readonly id: string; readonly cost: number }[];
  readonly in: Readonly<Record<"lots" | "labour" | "power" | "water" | "consumables" | "vessel", number>>;
  readonly out: Readonly<Record<"plots" | Bucket, number>>;
  readonly totalIn: number;
  readonly totalOut: number;
  readonly balanced: true;
  readonly vessels: readonly { readonly id: string; readonly charged: number; readonly worth: number }[];
  readonly instead: readonly InsteadAnswer[];
  readonly assumed: readonly LedgerAssumed[];
  readonly restated: readonly {
    readonly kind: "plot" | "bucket";
    readonly id: string;
    readonly before: number;
    readonly now: number;
    readonly difference: number;
  }[];
}
export type LedgerAssumed = "free-at-nought" | "gathering-not-timed" | "no-nitrogen-measured" | "no-potassium-measured";
