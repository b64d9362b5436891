import "server-only";
import { findUse, USES } from "@/core/book/uses";
import type { Farm } from "@/data/farm";
import { listPlotApplications, listPlotNames, type PlotApplication } from "@/data/field";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { farmView, type FarmView } from "../farm";

/** A span of days, both in it. */
export interface DaySpan {
  readonly from: string;
  readonly to: string;
}

export interface RecordedApplication extends Omit<PlotApplication, "at"> {
  readonly at: Date;
  /** By the farm's calendar. */
  readonly day: string;
  readonly plotName: string;
  readonly useName: string;
}

export interface ApplicationRecordView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly from: string | null;
  readonly to: string | null;
  readonly lines: readonly (Omit<RecordedApplication, "at"> & { readonly atMs: number })[];
}

/** What went on the plots in a span of days, the earliest first; what was taken back is not in it. */
export async function applicationsWithin(
  ctx: Context,
  farm: Farm,
  { from, to }: DaySpan,
): Promise<readonly RecordedApplication[]> {
  const [made, names] = await Promise.all([listPlotApplications(ctx.pool), listPlotNames(ctx.pool)]);
  return made
    .map((one) => ({
      ...one,
      day: isoDay(one.at, farm),
      plotName: names.get(one.plotId) ?? "",
      useName: one.useId in USES ? findUse(one.useId as keyof typeof USES).name : one.useId,
    }))
    .filter(({ day }) => day >= from && day <= to)
    .toReversed();
}

/** The record of what went on the plots, as it is kept on paper. @param asked without days, all of it */
export async function readApplicationRecord(
  ctx: Context,
  farm: Farm,
  asked: { readonly from?: string | undefined; readonly to?: string | undefined },
): Promise<ApplicationRecordView> {
  const lines = await applicationsWithin(ctx, farm, { from: asked.from ?? "0000-00-00", to: asked.to ?? "9999-99-99" });
  return {
    farm: farmView(farm),
    nowMs: ctx.now().getTime(),
    from: asked.from ?? null,
    to: asked.to ?? null,
    lines: lines.map(({ at, ...line }) => ({ ...line, atMs: at.getTime() })),
  };
}
