import "server-only";
import { logEntry } from "../logEntry";
import { closeBatch } from "../closeBatch";
import { addToBatch, takeFromBatch, moveToShed } from "../feedBatch";
import { addLabResult } from "../measures";
import { addBatchPhoto } from "../ferment/photos";
import { shareTask } from "../ferment/changes";

export const BATCH_ACTS = {
  logEntry,
  closeBatch,
  addToBatch,
  takeFromBatch,
  moveToShed,
  addLabResult,
  shareTask,
  addBatchPhoto,
} as const;
