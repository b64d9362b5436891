/**
 * What may be done without a signal: it waits on the device and is sent later under its own key. `at` is where the moment stands at which it was
 * done, which the device fills in; null where the request tells its day itself.
 */
export const MAY_WAIT = {
  logEntry: "at",
  addBatchPhoto: "at",
  addToBatch: "at",
  takeFromBatch: "at",
  closeBatch: "at",
  cleanVessel: "at",
  emptyStore: "at",
  pourStore: "at",
  checkStore: "at",
  wasteLot: "at",
  readWaterLevel: "at",
  readWater: "at",
  startWater: "at",
  noteEquipment: "at",
  noteWormBin: "at",
  applyStore: "at",
  startPatchTest: "at",
  seePatchTest: "at",
  seePlot: "at",
  measurePlot: "at",
  scoreTrial: "at",
  doJobStep: "at",
  logPracticeDrum: "at",
  logPracticeSum: "at",
  logPracticeCaution: "at",
  seeStage: null,
  clearPlantings: null,
} as const satisfies Readonly<Record<string, "at" | null>>;

export type MayWait = keyof typeof MAY_WAIT;

export const mayWait = (name: string): name is MayWait => Object.hasOwn(MAY_WAIT, name);

/** Who did it, told with what was kept on a device: somebody else may hold the device by the time it is sent. */
export const PERSON_HEADER = "x-ruchka-person";
