import "server-only";
import { isBusy, isConnectionError, isDiskFull } from "@/data/db";

/** What is wrong with the database rather than with what was asked; null for every other error. */
export type Outage = "database-away" | "disk-full" | "busy";

export const outageOf = (error: unknown): Outage | null =>
  isConnectionError(error) ? "database-away" : isDiskFull(error) ? "disk-full" : isBusy(error) ? "busy" : null;
