import "server-only";
import { logEntry } from "../logEntry";
import { closeBatch } from "../closeBatch";
import { addToBatch, takeFromBatch, moveToShed } from "../feedBatch";
import { addLabResult } from "../measures";
import { shareTask } from "../ferment/changes";

export const BATCH_ACTS = {
  logEntry,
  closeBatch,
  addToBatch,
  takeFromBatch,
  moveToShed,
  addLabResult,
  shareTask,
} as const;
