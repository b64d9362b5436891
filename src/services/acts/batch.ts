import "server-only";
import { logEntry } from "../batch/logEntry";
import { closeBatch } from "../batch/closeBatch";
import { addToBatch, takeFromBatch, moveToShed } from "../batch/feedBatch";
import { addLabResult } from "../farm/measures";
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
