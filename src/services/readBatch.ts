import "server-only";
import { CAUTIONS } from "@/core/book/cautions";
import { findIngredient } from "@/core/book/ingredients";
import type { BatchCost } from "@/core/money/batchCost";
import { recipeFrom } from "@/core/recipe/document";
import { listApplicationsOfBatch, type PlotApplication } from "@/data/applications";
import { findBatch, listBatchLines, type BatchClose, type BatchLine } from "@/data/batches";
import { listLog, type LoggedEntry } from "@/data/entries";
import type { Farm } from "@/data/farm";
import { listPlots } from "@/data/plots";
import { listDrawsOfBatch } from "@/data/stock";
import { listStoresOfBatch, type Store } from "@/data/stores";
import { assessBatch } from "./assessBatch";
import { batchView, type BatchView } from "./batchView";
import type { Context } from "./context";
import { costOfBatch } from "./costs";
import { farmView, type FarmView } from "./farmView";
import { airSince } from "./weather";

export interface BatchLineView extends BatchLine {
  readonly name: string;
}

export interface BatchPage {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly batch: BatchView;
  readonly vesselName: string;
  readonly vesselKind: "drum" | "tote" | "pail" | "jar";
  readonly vesselId: number;
  readonly startedBy: string;
  readonly close: (Omit<BatchClose, "at"> & { readonly atMs: number }) | null;
  readonly lines: readonly BatchLineView[];
  readonly log: readonly (Omit<LoggedEntry, "at"> & { readonly atMs: number })[];
  readonly cost: BatchCost;
  readonly stores: readonly (Omit<Store, "shelfFrom" | "expiresAt"> & {
    readonly shelfFromMs: number;
    readonly expiresMs: number;
  })[];
  readonly applications: readonly (Omit<PlotApplication, "at"> & {
    readonly atMs: number;
    readonly plotName: string;
  })[];
  readonly cautions: readonly string[];
  readonly sureness: string;
  /** The pH it waits for, where pH decides. */
  readonly targetPh: number | null;
}

/** One batch with its past and what is ahead of it; null where there is none of that number. */
export async function readBatch(ctx: Context, farm: Farm, id: number): Promise<BatchPage | null> {
  const db = ctx.pool;
  const batch = await findBatch(db, id);
  if (!batch) return null;
  const [log, lines, draws, stores, applications, plots] = await Promise.all([
    listLog(db, id),
    listBatchLines(db, id),
    listDrawsOfBatch(db, id),
    listStoresOfBatch(db, id),
    listApplicationsOfBatch(db, id),
    listPlots(db),
  ]);
  const now = ctx.now();
  // A closed batch is judged as it stood when it was closed.
  const judgedAt = batch.close?.at ?? now;
  const standing = log.filter((entry) => entry.correctedById === null && entry.kind !== "withdrawn").toReversed();
  const air = airSince(farm, batch.startedAt, judgedAt);
  const assessment = assessBatch(batch, standing, air, judgedAt, "whole");
  const recipe = recipeFrom(batch.recipe.document);
  const plotNames = new Map(plots.map((plot) => [plot.id, plot.name]));
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    batch: batchView(batch, standing, assessment, farm, judgedAt),
    vesselName: batch.vesselName,
    vesselKind: batch.vesselKind,
    vesselId: batch.vesselId,
    startedBy: batch.actorName,
    close: batch.close ? (({ at, ...close }) => ({ ...close, atMs: at.getTime() }))(batch.close) : null,
    lines: lines.map((line) => ({ ...line, name: findIngredient(line.ingredientId).name })),
    log: log.map(({ at, ...entry }) => ({ ...entry, atMs: at.getTime() })),
    cost: costOfBatch(batch, draws, farm, now),
    stores: stores.map(({ shelfFrom, expiresAt, ...store }) => ({
      ...store,
      shelfFromMs: shelfFrom.getTime(),
      expiresMs: expiresAt.getTime(),
    })),
    applications: applications.map(({ at, ...made }) => ({
      ...made,
      atMs: at.getTime(),
      plotName: plotNames.get(made.plotId) ?? "",
    })),
    cautions: recipe.cautions.map((caution) => CAUTIONS[caution]),
    sureness: recipe.sureness,
    targetPh: recipe.readiness.type === "acid" ? recipe.readiness.targetPh : null,
  };
}
