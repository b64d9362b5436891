import "server-only";
import { usualRate } from "@/core/book/useRate";
import { CAUTIONS, type CautionId } from "@/core/book/cautions";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import { phTarget, type Recipe } from "@/core/book/recipe";
import { findUse } from "@/core/book/uses";
import type { BatchCost } from "@/core/money/batchCost";
import type { Place } from "@/core/ferment/temperature/places";
import type { BatchContent } from "@/core/recipe/composition";
import { recipeFrom } from "@/core/recipe/document";
import { standsIn, strengthLeft } from "@/core/recipe/level";
import { cautionsFor } from "@/core/safety/cautionsFor";
import { laterLines, type LaterLine } from "@/core/recipe/later";
import { ancestorsOf } from "@/core/stock/lineage";
import { listApplicationsOfBatch, type PlotApplication, listPlotNames } from "@/data/field";
import {
  listBatchLines,
  type BatchLine,
  findBatch,
  listBatchesById,
  type BatchClose,
  listLabResults,
  type LabResult,
  listResidues,
  type BatchResidue,
  listFeedings,
  listLog,
  type LoggedEntry,
  listTaskShares,
  type TaskShare,
} from "@/data/batch";
import type { Queryable } from "@/data/db";
import { findWaterOfBatch } from "@/data/water";
import { listActors, type Farm } from "@/data/farm";
import { listDrawsOfBatch } from "@/data/shed";
import { listStoresOfBatch, type Store } from "@/data/stores";
import { assessBatch, readProgress, type Progress, readSituation } from "../ferment";
import { batchView, type BatchView } from "./batchView";
import { amountsIn, contentOf } from "../content";
import type { Context } from "../context";
import { costOfBatch } from "./costs";
import { farmView, type FarmView } from "../farm";
import { inUnits } from "@/formats/bookText";
import { sayHold } from "@/words/en/holds";
import { hazardsOfBatches } from "../hazards";

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
  /** Where its vessel stands; null where nobody said so. */
  readonly place: Place | null;
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
  /** The gravest first. */
  readonly cautions: readonly CautionId[];
  readonly sureness: string;
  /** The pH it waits for, where pH decides. */
  readonly targetPh: number | null;
  readonly water: { readonly sourceName: string; readonly overrideReason: string | null } | null;
  /** What the recipe has for a later day, and whether it went in. */
  readonly later: readonly (LaterLine & { readonly done: boolean })[];
  /** Batches that went into this one, and those that it went into. */
  readonly madeFrom: readonly Kin[];
  readonly wentInto: readonly Kin[];
  /** Cautions that come with what it was made from. */
  readonly inherited: readonly string[];
  readonly content: BatchContent;
  /** Share of its first strength that topping up left it. */
  readonly strength: number;
  readonly use: { readonly name: string; readonly partsWater: number; readonly mixLPerM2: number | null };
  readonly lab: readonly Omit<LabResult, "addedAt">[];
  readonly progress: Progress;
  /** Family of what goes on in the drum, for drawing how it looks. */
  readonly looks: string;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly shares: readonly TaskShare[];
  /** What it left beside what was strained off, and where that went. */
  readonly residues: readonly (Omit<BatchResidue, "at"> & { readonly atMs: number })[];
}

interface Kin {
  readonly batchId: number;
  readonly name: string;
}

/** Hazards that follow from batch to batch: what was in the first is in the last. */
const FOLLOWS: readonly CautionId[] = ["manure", "urine", "herbicide", "sodium", "shellfish", "nicotine"];

/** The use that stands for all, for showing what a mix holds. */
function usualUse(recipe: Recipe): BatchPage["use"] {
  const rate = usualRate(recipe);
  if (!rate) return { name: "as it is", partsWater: 0, mixLPerM2: null };
  const { name, mixLPerM2 } = findUse(rate.use);
  return { name, partsWater: rate.partsWater.default, mixLPerM2: mixLPerM2?.default ?? null };
}

async function kinOf(
  db: Queryable,
  id: number,
  farm: Farm,
): Promise<Pick<BatchPage, "madeFrom" | "wentInto" | "inherited">> {
  const feedings = await listFeedings(db);
  const forebears = await listBatchesById(db, ancestorsOf(id, feedings));
  const cautions = forebears.flatMap((batch) => recipeFrom(batch.recipe.document).cautions);
  const lots = await hazardsOfBatches(db, [id, ...forebears.map((batch) => batch.id)]);
  return {
    madeFrom: feedings
      .filter(({ into }) => into === id)
      .map(({ from, fromName }) => ({ batchId: from, name: fromName })),
    wentInto: feedings
      .filter(({ from }) => from === id)
      .map(({ into, intoName }) => ({ batchId: into, name: intoName })),
    inherited: [
      ...FOLLOWS.filter((caution) => cautions.includes(caution)).map((caution) =>
        inUnits(CAUTIONS[caution], farm.units),
      ),
      ...lots.map(({ because, caution }) => {
        const words = sayHold(because);
        return `${words.charAt(0).toUpperCase()}${words.slice(1)}. ${inUnits(CAUTIONS[caution], farm.units)}`;
      }),
    ],
  };
}

/** One batch with its past and what is ahead of it; null where there is none of that number. */
export async function readBatch(ctx: Context, farm: Farm, id: number): Promise<BatchPage | null> {
  const db = ctx.pool;
  const batch = await findBatch(db, id);
  if (!batch) return null;
  const [log, lines, draws, stores, applications, plotNames, water, lab, kin, people, shares, residues] =
    await Promise.all([
      listLog(db, id),
      listBatchLines(db, id),
      listDrawsOfBatch(db, id),
      listStoresOfBatch(db, id),
      listApplicationsOfBatch(db, id),
      listPlotNames(db),
      findWaterOfBatch(db, id),
      listLabResults(db, id),
      kinOf(db, id, farm),
      listActors(db),
      listTaskShares(db),
      listResidues(db, id),
    ]);
  const now = ctx.now();
  // A closed batch is judged as it stood when it was closed.
  const judgedAt = batch.close?.at ?? now;
  const standing = log.filter((entry) => entry.correctedById === null && entry.kind !== "withdrawn").toReversed();
  const situation = await readSituation(db, farm, [batch], new Map([[batch.id, lines]]), judgedAt);
  const assessment = assessBatch(batch, standing, situation, judgedAt, "whole");
  const progress = await readProgress(db, batch, standing, situation, judgedAt, assessment);
  const recipe = recipeFrom(batch.recipe.document);
  const drawnOf = (id: string) =>
    draws.filter((draw) => draw.ingredientId === id).reduce((sum, { amount }) => sum + amount, 0);
  const startedWith = (id: string) =>
    lines.filter((line) => line.ingredientId === id).reduce((sum, { used }) => sum + used, 0);
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    batch: batchView(batch, standing, assessment, farm, judgedAt, lines),
    vesselName: batch.vesselName,
    vesselKind: batch.vesselKind,
    vesselId: batch.vesselId,
    place: situation.places.get(batch.vesselId) ?? null,
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
    cautions: cautionsFor(recipe, {
      filledL: standsIn(batch),
      ingredients: lines.map(({ ingredientId }) => ingredientId as IngredientId),
    }),
    sureness: recipe.sureness,
    water,
    ...kin,
    later: laterLines(recipe, batch.basisAmount).map((line) => ({
      ...line,
      done: drawnOf(line.ingredient) >= startedWith(line.ingredient) + 0.5 * line.amount,
    })),
    content: contentOf(batch, recipe, amountsIn(lines, draws), lab),
    strength: strengthLeft(batch),
    use: usualUse(recipe),
    lab: lab.map(({ nutrient, gPerL, note, actorName }) => ({ nutrient, gPerL, note, actorName })),
    targetPh: phTarget(recipe),
    progress,
    looks: recipe.family,
    people: people.map(({ id: personId, name }) => ({ id: personId, name })),
    shares: shares.filter(({ batchId }) => batchId === id),
    residues: residues.map(({ at, ...residue }) => ({ ...residue, atMs: at.getTime() })),
  };
}
