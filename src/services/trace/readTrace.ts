import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import { isElsewhere } from "@/core/apply/elsewhere";
import type { UseId } from "@/core/book/uses";
import { ancestorsOf, descendantsOf } from "@/core/stock/lineage";
import { listBatchesById, listFeedings, type Batch, type CloseKind } from "@/data/batch";
import type { Queryable } from "@/data/db";
import type { Farm } from "@/data/farm";
import {
  listApplicationsOfBatches,
  listApplicationsOfPlot,
  listPlots,
  type Plot,
  type PlotApplication,
  type WeatherThen,
} from "@/data/field";
import { listAllLots, listDrawsOfBatches, listOwnIngredients, type Lot } from "@/data/shed";
import { listStoresOnHand, type Store } from "@/data/stores";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";

/** A lot as a trace names it. */
export interface TracedLot {
  readonly lotId: number;
  readonly ingredient: string;
  readonly amount: number;
  readonly unit: "kg" | "L";
  readonly origin: Lot["origin"];
  readonly receivedOn: string;
  /** The plant that was picked, and where; null where it was none. */
  readonly picked: { readonly species: string; readonly place: string } | null;
  readonly note: string;
  readonly cameWithBatchId: number | null;
}

export interface TracedBatch {
  readonly id: number;
  readonly name: string;
  readonly vesselName: string;
  readonly startedMs: number;
  readonly startedBy: string;
  /** How it ended; null while it runs. */
  readonly close: { readonly kind: CloseKind; readonly atMs: number } | null;
  readonly lots: readonly TracedLot[];
  /** Batches that went into it. */
  readonly madeFrom: readonly number[];
}

export interface TracedApplication {
  readonly applicationId: number;
  readonly plotId: number;
  readonly plotName: string;
  readonly crop: string;
  readonly isOnPlan: boolean;
  readonly batchId: number;
  readonly batchName: string;
  readonly useId: UseId;
  readonly partsWater: number;
  readonly concentrateL: number;
  readonly mixL: number;
  readonly atMs: number;
  readonly by: string;
  readonly carries: PlotApplication["carries"];
  readonly clearOn: string | null;
  readonly note: string;
  readonly overrideReason: string | null;
  readonly weather: WeatherThen | null;
  /** What was in the can with it; null where it went on alone. */
  readonly blendedWith: string | null;
  /** First harvest that the plot has now; null where nobody has said. */
  readonly harvestFrom: string | null;
}

export interface Trace {
  readonly farm: FarmView;
  readonly nowMs: number;
  /** What was asked about. */
  readonly of:
    | { readonly type: "plot"; readonly id: number; readonly name: string }
    | { readonly type: "batch"; readonly id: number; readonly name: string }
    | { readonly type: "lot"; readonly id: number; readonly name: string };
  readonly batches: readonly TracedBatch[];
  readonly applications: readonly TracedApplication[];
  /** What of it, and of what was made from it, still stands on the farm; of a plot that asks back, nothing. */
  readonly onHand: readonly TracedOnHand[];
}

/** Something that can still be held back. */
export interface TracedOnHand {
  readonly type: "lot" | "store";
  readonly id: number;
  readonly name: string;
  readonly amount: number;
  readonly unit: "kg" | "L";
  readonly place: string;
}

/** What a trace is asked: a plot goes back, a batch or a lot goes forward, and back as well. */
export interface TraceAsked {
  readonly plotId?: number | undefined;
  readonly batchId?: number | undefined;
  readonly lotId?: number | undefined;
}

const nameOf = (batch: Batch): string => batch.recipe.shortName;

interface Found {
  readonly of: Trace["of"];
  readonly batchIds: readonly number[];
  readonly applications: readonly PlotApplication[];
}

type Feedings = Awaited<ReturnType<typeof listFeedings>>;

const withForebears = (batchIds: readonly number[], feedings: Feedings): number[] => [
  ...new Set([...batchIds, ...batchIds.flatMap((id) => ancestorsOf(id, feedings))]),
];

async function fromPlot(
  db: Queryable,
  plots: readonly Plot[],
  plotId: number,
  feedings: Feedings,
): Promise<Found | null> {
  const plot = plots.find(({ id }) => id === plotId);
  if (!plot) return null;
  const applications = await listApplicationsOfPlot(db, plotId);
  const own = [...new Set(applications.map(({ batchId }) => batchId))];
  return { of: { type: "plot", id: plotId, name: plot.name }, batchIds: withForebears(own, feedings), applications };
}

async function fromBatches(
  db: Queryable,
  of: Trace["of"],
  first: readonly number[],
  feedings: Feedings,
): Promise<Found> {
  const forward = [...new Set([...first, ...descendantsOf(first, feedings)])];
  // Of what was made from it the lots are told, of a batch also what it was made from.
  const batchIds = of.type === "batch" ? [...new Set([...forward, ...withForebears(first, feedings)])] : forward;
  return { of, batchIds, applications: await listApplicationsOfBatches(db, forward) };
}

async function find(
  db: Queryable,
  asked: TraceAsked,
  plots: readonly Plot[],
  lots: readonly Lot[],
  nameOfLot: (lot: Lot) => string,
): Promise<Found | null> {
  const feedings = await listFeedings(db);
  if (asked.plotId !== undefined) return fromPlot(db, plots, asked.plotId, feedings);
  if (asked.batchId !== undefined) {
    const [batch] = await listBatchesById(db, [asked.batchId]);
    return batch ? fromBatches(db, { type: "batch", id: batch.id, name: nameOf(batch) }, [batch.id], feedings) : null;
  }
  const lot = lots.find(({ id }) => id === asked.lotId);
  if (!lot) return null;
  const into = (await listDrawsOfBatches(db, null))
    .filter(({ lotId }) => lotId === lot.id)
    .map(({ batchId }) => batchId);
  return fromBatches(db, { type: "lot", id: lot.id, name: nameOfLot(lot) }, [...new Set(into)], feedings);
}

/** The lot itself, lots that its batches made, and their stores, as far as anything is left of them. */
function stillHere(
  { of, batchIds }: Found,
  stores: readonly Store[],
  lots: readonly Lot[],
  nameOfLot: (lot: Lot) => string,
): TracedOnHand[] {
  const own = lots.filter(
    ({ id, fromBatchId, onHand }) =>
      onHand > 0 && ((of.type === "lot" && id === of.id) || (fromBatchId !== null && batchIds.includes(fromBatchId))),
  );
  return [
    ...own.map((lot) => ({
      type: "lot" as const,
      id: lot.id,
      name: nameOfLot(lot),
      amount: lot.onHand,
      unit: lot.unit,
      place: lot.place,
    })),
    ...stores
      .filter(({ batchId }) => batchIds.includes(batchId))
      .map(({ id, label, onHandL, place }) => ({
        type: "store" as const,
        id,
        name: label,
        amount: onHandL,
        unit: "L" as const,
        place,
      })),
  ];
}

/**
 * Where something came from and where it went: back from a plot to every batch, lot and plant picked; forward from a lot or a batch to every plot and its
 * harvest. Null where there is no such thing.
 */
export async function readTrace(ctx: Context, farm: Farm, asked: TraceAsked): Promise<Trace | null> {
  const db = ctx.pool;
  const now = ctx.now();
  const [plots, lots, own] = await Promise.all([
    listPlots(db, isoDay(now, farm), true, asked.plotId === undefined ? null : [asked.plotId]),
    listAllLots(db),
    listOwnIngredients(db),
  ]);
  const ownNames = new Map(own.map(({ id, name }) => [id, name]));
  const nameOfLot = (lot: Lot): string =>
    (lot.ownId === null ? undefined : ownNames.get(lot.ownId)) ?? findIngredient(lot.ingredientId).name;
  const found = await find(db, asked, plots, lots, nameOfLot);
  if (!found) return null;
  const [batches, stores, draws, feedings] = await Promise.all([
    listBatchesById(db, found.batchIds),
    listStoresOnHand(db),
    listDrawsOfBatches(db, found.batchIds),
    listFeedings(db),
  ]);
  const lotOf = new Map(lots.map((lot) => [lot.id, lot]));
  const plotOf = new Map(plots.map((plot) => [plot.id, plot]));
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    of: found.of,
    onHand: found.of.type === "plot" ? [] : stillHere(found, stores, lots, nameOfLot),
    batches: batches
      .toSorted((a, b) => b.startedAt.getTime() - a.startedAt.getTime())
      .map((batch) => ({
        id: batch.id,
        name: nameOf(batch),
        vesselName: batch.vesselName,
        startedMs: batch.startedAt.getTime(),
        startedBy: batch.actorName,
        close: batch.close && { kind: batch.close.kind, atMs: batch.close.at.getTime() },
        lots: draws
          .filter(({ batchId }) => batchId === batch.id)
          .map(({ lotId, amount, unit }) => {
            const lot = lotOf.get(lotId)!;
            const plant = lot.provenance.plant ?? null;
            return {
              lotId,
              ingredient: nameOfLot(lot),
              amount,
              unit,
              origin: lot.origin,
              receivedOn: lot.receivedOn,
              picked: plant && { species: plant.species, place: plant.place },
              note: lot.note,
              cameWithBatchId: lot.cameWithBatchId,
            };
          }),
        madeFrom: feedings.filter(({ into }) => into === batch.id).map(({ from }) => from),
      })),
    applications: found.applications.map(({ at, actorName, labourMin: _minutes, ...made }) => ({
      ...made,
      useId: made.useId as UseId,
      plotName: plotOf.get(made.plotId)?.name ?? "",
      crop: plotOf.get(made.plotId)?.crop ?? "",
      isOnPlan: !isElsewhere(plotOf.get(made.plotId)?.kind ?? "bed"),
      harvestFrom: plotOf.get(made.plotId)?.harvestOn ?? null,
      atMs: at.getTime(),
      by: actorName,
    })),
  };
}
