import "server-only";
import type { Farm } from "@/data/farm";
import type { Context } from "../context";
import { writeCsv } from "../files";
import { readTrace, type TraceAsked, type TracedLot } from "./readTrace";

const HEADS = [
  "plot",
  "applied_at",
  "batch",
  "batch_id",
  "use",
  "parts_water",
  "concentrate_l",
  "mix_l",
  "applied_by",
  "carried",
  "not_before",
  "harvest_from",
  "lot",
  "ingredient",
  "amount",
  "unit",
  "origin",
  "species",
  "picked_at",
  "received_on",
] as const;

const lotCells = (lot: TracedLot | null) =>
  lot
    ? [
        lot.lotId,
        lot.ingredient,
        Number(lot.amount.toFixed(3)),
        lot.unit,
        lot.origin,
        lot.picked?.species ?? "",
        lot.picked?.place ?? "",
        lot.receivedOn,
      ]
    : ["", "", "", "", "", "", "", ""];

/** A trace as CSV: a line for each lot in what each plot got, and for what is on no plot yet. Null where there is no such thing. */
export async function exportTrace(ctx: Context, farm: Farm, asked: TraceAsked): Promise<string | null> {
  const trace = await readTrace(ctx, farm, asked);
  if (!trace) return null;
  const onPlots = trace.applications.flatMap((made) => {
    const lots = trace.batches.find(({ id }) => id === made.batchId)?.lots ?? [];
    const cells = [
      made.plotName,
      new Date(made.atMs).toISOString(),
      made.batchName,
      made.batchId,
      made.useId,
      made.partsWater,
      made.concentrateL,
      made.mixL,
      made.by,
      made.carries.join(" "),
      made.clearOn ?? "",
      made.harvestFrom ?? "",
    ];
    return (lots.length > 0 ? lots : [null]).map((lot) => [...cells, ...lotCells(lot)]);
  });
  const used = new Set(trace.applications.map(({ batchId }) => batchId));
  const onNone = trace.batches
    .filter(({ id }) => !used.has(id))
    .flatMap((batch) =>
      (batch.lots.length > 0 ? batch.lots : [null]).map((lot) => [
        "",
        "",
        batch.name,
        batch.id,
        "",
        "",
        "",
        "",
        "",
        "",
        "",
        "",
        ...lotCells(lot),
      ]),
    );
  return writeCsv(HEADS, [...onPlots, ...onNone]);
}
