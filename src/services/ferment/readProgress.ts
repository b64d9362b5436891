import "server-only";
import { type LeadFeature } from "@/core/judge/expectedCurve";
import type { Assessment } from "@/core/judge/assess";
import { countsAsPh, type LogItem } from "@/core/judge/log";
import type { Recipe } from "@/core/book/recipe";
import { recipeFrom } from "@/core/recipe/document";
import { runningStageAt, stageSpans, type StageBasis } from "@/core/tend/stages";
import { tendingHistory } from "@/core/tend/history";
import {
  listBatchesOfMethod,
  type Batch,
  listBatchPhotos,
  listForecastsOfBatch,
  listStandingOf,
  type Entry,
  type CloseKind,
} from "@/data/batch";
import type { Queryable } from "@/data/db";
import type { VesselReading } from "@/data/devices";
import { readMeter } from "./meter";
import { hourOf, logItemsOf } from "./logItems";
import { type Situation } from "./inputFor";

const HOUR_MS = 3_600_000;
const EARLIER_MOST = 4;

/** How a batch has gone and is expected to go, as its page draws it. */
export interface Progress {
  readonly curve: {
    readonly feature: LeadFeature;
    readonly points: readonly {
      readonly atMs: number;
      readonly low: number;
      readonly mid: number;
      readonly high: number;
    }[];
    /** What was read of it, by hand or by a probe. */
    readonly readings: readonly {
      readonly atMs: number;
      readonly value: number;
      readonly counted: boolean;
      readonly byProbe: boolean;
    }[];
  } | null;
  /** Liquid as worked out, and air; hourly in the past, coarser ahead. */
  readonly liquid: readonly { readonly atMs: number; readonly celsius: number; readonly airC: number }[];
  /** Read in the liquid, by hand or by a probe. */
  readonly temperatures: readonly { readonly atMs: number; readonly celsius: number; readonly byProbe: boolean }[];
  readonly tending: readonly {
    readonly text: string;
    readonly act: string;
    readonly everyH: number;
    readonly once: boolean;
    readonly doneMs: readonly number[];
    readonly missedMs: readonly number[];
    readonly ifMissed: string;
  }[];
  readonly stages: readonly {
    readonly name: string;
    readonly note: string;
    readonly fromMs: number;
    readonly untilMs: number | null;
    readonly lid: string;
    readonly basis: StageBasis;
    readonly isNow: boolean;
  }[];
  readonly photos: readonly {
    readonly id: string;
    readonly atMs: number;
    readonly note: string;
    readonly by: string;
  }[];
  /** The windows that were given on the way. */
  readonly given: readonly {
    readonly madeMs: number;
    readonly p10: number | null;
    readonly p50: number | null;
    readonly p90: number | null;
  }[];
  /** Earlier batches of the method, by age. */
  readonly earlier: readonly {
    readonly batchId: number;
    readonly startedMs: number;
    readonly outcome: CloseKind;
    readonly closedD: number;
    readonly readings: readonly { readonly day: number; readonly value: number }[];
  }[];
  readonly meter: { readonly name: string; readonly calibratedOn: string | null; readonly isDue: boolean } | null;
}

/** What a line of the log says of the feature that the batch is drawn by; null where nothing. */
function readingOf(feature: LeadFeature, entry: Entry): number | null {
  if (feature === "ph") return entry.kind === "ph" ? entry.numberValue : null;
  if (feature === "sunk" || feature === "parted") return entry.kind === feature ? entry.numberValue! / 100 : null;
  return null;
}

const isCounted = (entry: Entry): boolean =>
  entry.kind !== "ph" ||
  countsAsPh({
    hour: 0,
    kind: "ph",
    value: entry.numberValue!,
    instrument: entry.instrument!,
    spot: entry.spot!,
    ...(entry.settled === null ? {} : { settled: entry.settled }),
  });

/** What was read of the feature that the batch is drawn by, by hand and by probe. */
const readingsOf = (
  feature: LeadFeature,
  entries: readonly Entry[],
  probes: readonly VesselReading[],
): NonNullable<Progress["curve"]>["readings"] => [
  ...entries.flatMap((entry) => {
    const value = readingOf(feature, entry);
    return value === null ? [] : [{ atMs: entry.at.getTime(), value, counted: isCounted(entry), byProbe: false }];
  }),
  ...probes
    .filter(({ quantity }) => feature === "ph" && quantity === "ph")
    .map((reading) => ({ atMs: reading.at.getTime(), value: reading.value, counted: true, byProbe: true })),
];

const temperaturesOf = (entries: readonly Entry[], probes: readonly VesselReading[]): Progress["temperatures"] =>
  [
    ...entries
      .filter(({ kind }) => kind === "temperature")
      .map((entry) => ({ atMs: entry.at.getTime(), celsius: entry.numberValue!, byProbe: false })),
    ...probes
      .filter(({ quantity }) => quantity === "liquid" || quantity === "core")
      .map((reading) => ({ atMs: reading.at.getTime(), celsius: reading.value, byProbe: true })),
  ].toSorted((a, b) => a.atMs - b.atMs);

const tendingOf = (
  recipe: Recipe,
  log: readonly LogItem[],
  nowH: number,
  ms: (hour: number) => number,
): Progress["tending"] =>
  tendingHistory(recipe, log, nowH).map(({ task, doneH, missedH }) => ({
    text: task.text,
    act: task.act,
    everyH: task.everyH,
    once: task.once ?? false,
    doneMs: doneH.map(ms),
    missedMs: missedH.map(ms),
    ifMissed: task.ifMissed,
  }));

async function earlierOf(db: Queryable, batch: Batch, feature: LeadFeature): Promise<Progress["earlier"]> {
  const others = (await listBatchesOfMethod(db, batch.methodId, EARLIER_MOST + 1))
    .filter(({ id, close, startedAt }) => id !== batch.id && close !== null && startedAt < batch.startedAt)
    .slice(0, EARLIER_MOST);
  const entries = await listStandingOf(
    db,
    others.map(({ id }) => id),
  );
  return others.map((other) => ({
    batchId: other.id,
    startedMs: other.startedAt.getTime(),
    outcome: other.close!.kind,
    closedD: hourOf(other, other.close!.at) / 24,
    readings: entries.flatMap((entry) => {
      const value = entry.batchId === other.id && isCounted(entry) ? readingOf(feature, entry) : null;
      return value === null ? [] : [{ day: hourOf(other, entry.at) / 24, value }];
    }),
  }));
}

/** A batch's course with its band, its readings, its tending, its photographs and its forerunners. */
export async function readProgress(
  db: Queryable,
  batch: Batch,
  entries: readonly Entry[],
  situation: Situation,
  at: Date,
  { forecast: { window }, drawn }: Pick<Assessment, "forecast" | "drawn">,
): Promise<Progress> {
  const recipe = recipeFrom(batch.recipe.document);
  const nowH = hourOf(batch, at);
  const curve = drawn?.expected ?? null;
  const ms = (hour: number) => batch.startedAt.getTime() + hour * HOUR_MS;
  const [photos, given, earlier, meter] = await Promise.all([
    listBatchPhotos(db, batch.id),
    listForecastsOfBatch(db, batch.id),
    earlierOf(db, batch, curve?.feature ?? "phase"),
    readMeter(db, situation.farm, at),
  ]);
  const spans = stageSpans(recipe, logItemsOf(batch, entries), nowH, window.start.p50);
  const running = runningStageAt(spans, nowH);
  const probes = (situation.probes.get(batch.vesselId) ?? []).filter(
    (reading) => reading.at >= batch.startedAt && reading.at <= at,
  );
  return {
    curve: curve && {
      feature: curve.feature,
      points: curve.points.map(({ hour, ...point }) => ({ atMs: ms(hour), ...point })),
      readings: readingsOf(curve.feature, entries, probes),
    },
    liquid: (drawn?.liquid ?? []).map(({ hour, ...course }) => ({ atMs: ms(hour), ...course })),
    temperatures: temperaturesOf(entries, probes),
    tending: tendingOf(recipe, logItemsOf(batch, entries), nowH, ms),
    stages: spans.map(({ stage: { name, note, lid }, fromH: beginsH, untilH, basis }, index) => ({
      name,
      note,
      lid,
      fromMs: ms(beginsH),
      untilMs: untilH === null ? null : ms(untilH),
      basis,
      isNow: index === running,
    })),
    photos: photos.map(({ publicId, at: takenAt, note, actorName }) => ({
      id: publicId,
      atMs: takenAt.getTime(),
      note,
      by: actorName,
    })),
    given: given.map(({ madeAt, start }) => ({
      madeMs: madeAt.getTime(),
      p10: start.p10?.getTime() ?? null,
      p50: start.p50?.getTime() ?? null,
      p90: start.p90?.getTime() ?? null,
    })),
    earlier,
    meter,
  };
}
