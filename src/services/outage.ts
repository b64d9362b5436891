import "server-only";
import { isConnectionError } from "@/data/db";

/** Whether an error means that the database is not there, rather than that something is wrong. */
export const isDatabaseAway = (error: unknown): boolean => isConnectionError(error);
