import "server-only";
import {
  logEntry,
  logResidue,
  closeBatch,
  takeBackEnd,
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
  takeBackEnd,
  logResidue,
  addToBatch,
  takeFromBatch,
  moveToShed,
  addLabResult,
  shareTask,
  addBatchPhoto,
} as const;
