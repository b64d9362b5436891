import "server-only";
import {
  logEntry,
  logResidue,
  closeBatch,
  addToBatch,
  takeFromBatch,
  moveToShed,
  addBatchPhoto,
  shareTask,
} from "../batch";
import { addLabResult } from "../farm";

export const BATCH_ACTS = {
  logEntry,
  closeBatch,
  logResidue,
  addToBatch,
  takeFromBatch,
  moveToShed,
  addLabResult,
  shareTask,
  addBatchPhoto,
} as const;
