import "server-only";
import { once } from "node:events";
import path from "node:path";
import { Worker } from "node:worker_threads";
import type { LoggerFile } from "@/formats/csv/loggerFile";
import { refuse } from "../refusal";

/** Longer than this nobody waits for a file; eight megabytes take a tenth of it. */
const LIMIT_MS = 20_000;
/** A file's rows and figures need a fraction of this; what wants more is no logger's. */
const MOST_MB = 512;

/**
 * Reads a logger's file in a thread of its own, so that whoever else asks something is answered meanwhile.
 * @param zone time zone of its times where they have none of their own
 * @throws {Refusal} for one that takes too long, or more room than there is
 */
export async function readLogger(text: string, zone: string, limitMs = LIMIT_MS): Promise<LoggerFile> {
  // The thread runs from the source, as the scripts in bin/ do.
  const worker = new Worker(path.join(process.cwd(), "src/services/devices/loggerThread.cjs"), {
    workerData: { text, zone },
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
  });
  const stop = new AbortController();
  const limit = setTimeout(() => stop.abort(), limitMs);
  try {
    const [file] = (await once(worker, "message", { signal: stop.signal })) as [LoggerFile];
    return file;
  } catch (error) {
    const isOutOfRoom = error instanceof Error && "code" in error && error.code === "ERR_WORKER_OUT_OF_MEMORY";
    if (stop.signal.aborted || isOutOfRoom) throw refuse("file-too-slow", {}, "/text");
    throw error;
  } finally {
    clearTimeout(limit);
    await worker.terminate();
  }
}
