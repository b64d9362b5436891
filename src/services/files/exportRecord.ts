import "server-only";
import { listBatches } from "@/data/batch";
import type { Farm } from "@/data/farm";
import { listAllDraws } from "@/data/shed";
import { findIngredient } from "@/core/book/ingredients";
import { groupBy } from "@/core/groupBy";
import { writeCsv } from "@/formats/csv/decode";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { applicationsWithin, type DaySpan } from "../field";

/** What an inspector asks for: what went on where, and what it was made of. */
export const RECORD_KINDS = ["applications", "batches"] as const;
export type RecordKind = (typeof RECORD_KINDS)[number];

const MOST_BATCHES = 100_000;

const within = (day: string, { from, to }: DaySpan): boolean => day >= from && day <= to;

async function applications(ctx: Context, farm: Farm, span: DaySpan): Promise<string> {
  const made = await applicationsWithin(ctx, farm, span);
  return writeCsv(
    [
      "day",
      "applied_at",
      "plot",
      "product",
      "batch_id",
      "use",
      "parts_water",
      "concentrate_l",
      "mix_l",
      "together_with",
      "by",
      "holds",
      "not_harvested_before",
      "air_c",
      "rain_mm",
      "wind_m_per_s",
      "reason",
      "note",
    ],
    made.map((one) => [
      one.day,
      one.at.toISOString(),
      one.plotName,
      one.storeLabel,
      one.batchId,
      one.useName,
      one.partsWater,
      one.concentrateL,
      one.mixL,
      one.blendedWith ?? "",
      one.actorName,
      one.carries.join(" "),
      one.clearOn ?? "",
      one.weather?.airC ?? "",
      one.weather?.rainMm ?? "",
      one.weather?.windMPerS ?? "",
      one.overrideReason ?? "",
      one.note,
    ]),
  );
}

async function batches(ctx: Context, farm: Farm, span: DaySpan): Promise<string> {
  const [made, draws] = await Promise.all([listBatches(ctx.pool, MOST_BATCHES), listAllDraws(ctx.pool)]);
  const drawsOf = groupBy(draws, ({ batchId }) => batchId);
  return writeCsv(
    [
      "batch_id",
      "product",
      "vessel",
      "started_on",
      "started_by",
      "ended_on",
      "ended_as",
      "yield_l",
      "verdict",
      "residue",
      "reason",
      "lots",
    ],
    made
      .filter(({ startedAt }) => within(isoDay(startedAt, farm), span))
      .toSorted((a, b) => a.startedAt.getTime() - b.startedAt.getTime())
      .map((batch) => [
        batch.id,
        batch.recipe.shortName,
        batch.vesselName,
        isoDay(batch.startedAt, farm),
        batch.actorName,
        batch.close ? isoDay(batch.close.at, farm) : "",
        batch.close?.kind ?? "running",
        batch.close?.yieldL ?? "",
        batch.close?.verdict ?? "",
        batch.close?.residue ?? "",
        batch.close?.overrideReason ?? "",
        (drawsOf.get(batch.id) ?? [])
          .map(
            ({ lotId, ingredientId, amount, unit }) =>
              `${findIngredient(ingredientId).name} ${Number(amount.toFixed(3))} ${unit} (lot ${lotId})`,
          )
          .join("; "),
      ]),
  );
}

/** The record of a span of days as CSV, the earliest first. @param span ISO dates, both in it */
export const exportRecord = (ctx: Context, farm: Farm, kind: RecordKind, span: DaySpan): Promise<string> =>
  kind === "applications" ? applications(ctx, farm, span) : batches(ctx, farm, span);
