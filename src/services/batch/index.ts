import "server-only";
/** A running batch: its log, its photographs, its end. What other places, pages and screens may use of it. */
export { batchView, type BatchBrief, type BatchView, type WordChoice } from "./batchView";
export { takeBackEnd } from "./takeBackEnd";
export { closeBatch } from "./closeBatch";
export { cleanVessel, takeBackWashing } from "./washing";
export { costOfBatch } from "./costs";
export { addToBatch, moveToShed, takeFromBatch } from "./feedBatch";
export { logEntry } from "./logEntry";
export { logResidue } from "./logResidue";
export { addBatchPhoto } from "./photos";
export { readBatch, type BatchPage } from "./readBatch";
export { shareTask } from "./shareTask";
