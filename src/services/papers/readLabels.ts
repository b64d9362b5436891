import "server-only";
import { standsIn } from "@/core/recipe/level";
import { cautionsOnVessel, contentsOf, labelDilution, labelNumber, type LabelFacts } from "@/core/paper/label";
import type { CautionId } from "@/core/book/cautions";
import type { Carried } from "@/core/safety/carried";
import { cautionsFor } from "@/core/safety/cautionsFor";
import { recipeFrom } from "@/core/recipe/document";
import { listBatchLines, findBatch, listStanding, listFeedings } from "@/data/batch";
import type { Farm } from "@/data/farm";
import { ancestorsOf } from "@/core/stock/lineage";
import { listStoresOfBatch } from "@/data/stores";
import { assessBatch, readSituation } from "../ferment";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";
import { carriedOfBatches, hazardsOfBatches } from "../hazards";
import { squaresOf, type Squares } from "./squares";

const HOUR_MS = 3_600_000;
/** What keeps for less is told by the hour. */
const BY_THE_HOUR_H = 48;
/** What of that which a liquid carries stands on its label. */
const CARRIED_CAUTION: Readonly<Record<Carried, readonly CautionId[]>> = {
  "dung": ["manure"],
  "urine": ["urine"],
  "milk": ["milk"],
  "unwashed-leaf": [],
};

export interface LabelsView {
  readonly farm: FarmView;
  readonly batchId: number;
  /** One a store or part; the running batch's own while nothing is strained. */
  readonly labels: readonly (LabelFacts & { readonly litres: number; readonly place: string })[];
  /** The code that opens the batch. */
  readonly code: Squares;
  /** What the code says. */
  readonly address: string;
}

/** The labels of a batch; null where there is none. */
export async function readLabels(
  ctx: Context,
  farm: Farm,
  batchId: number,
  origin: string,
): Promise<LabelsView | null> {
  const db = ctx.pool;
  const batch = await findBatch(db, batchId);
  if (!batch) return null;
  const feedings = await listFeedings(db);
  const [lines, stores, entries, hazards] = await Promise.all([
    listBatchLines(db, batchId),
    listStoresOfBatch(db, batchId),
    listStanding(db, batchId),
    hazardsOfBatches(db, [batchId, ...ancestorsOf(batchId, feedings)]),
  ]);
  const recipe = recipeFrom(batch.recipe.document);
  const carried = (await carriedOfBatches(db, [batchId])).get(batchId)!;
  const common = {
    madeMs: batch.startedAt.getTime(),
    contents: contentsOf(lines),
    maker: batch.actorName,
    dilution: labelDilution(recipe),
    cautions: cautionsOnVessel([
      ...cautionsFor(recipe, { filledL: null, ingredients: [] }),
      ...hazards.map(({ caution }) => caution),
      ...carried.carries.flatMap((hazard) => CARRIED_CAUTION[hazard]),
    ]),
  };
  const now = ctx.now();
  const situation = batch.close
    ? null
    : await readSituation(ctx.pool, farm, [batch], new Map([[batch.id, lines]]), now);
  const window = situation ? assessBatch(batch, entries, situation, now).forecast.window : null;
  const moment = (hour: number | null) => (hour === null ? null : batch.startedAt.getTime() + hour * HOUR_MS);
  const standing = stores.filter(({ onHandL }) => onHandL > 0);
  const labels =
    batch.close && standing.length > 0
      ? standing.map((store) => ({
          ...common,
          name: store.label,
          number: labelNumber(batchId, store.partNo),
          expected: null,
          useByMs: store.expiresAt.getTime(),
          byTheHour: store.expiresAt.getTime() - store.shelfFrom.getTime() < BY_THE_HOUR_H * HOUR_MS,
          litres: store.onHandL,
          place: store.place,
        }))
      : [
          {
            ...common,
            name: recipe.shortName,
            number: labelNumber(batchId, null),
            expected: window ? { fromMs: moment(window.start.p10), toMs: moment(window.start.p90) } : null,
            useByMs: null,
            byTheHour: false,
            litres: standsIn(batch),
            place: batch.vesselName,
          },
        ];
  const address = `${origin}/batches/${batchId}`;
  return { farm: farmView(farm), batchId, labels, code: squaresOf(address), address };
}
