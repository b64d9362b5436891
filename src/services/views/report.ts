import "server-only";
import { DAY, object } from "@/contracts/parts";
import { readReport } from "../report";
import { view } from "../view";

export const REPORT_VIEWS = {
  /** Of a span of days, both in it; of the twelve months up to today where none is given. */
  report: view({ name: "report", schema: object([], { from: DAY, to: DAY }), may: "grower" }, ({ ctx, farm }, asked) =>
    readReport(ctx, farm, asked),
  ),
} as const;
