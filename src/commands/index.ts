import { allocateTask } from "./allocate";
import { calciumTask } from "./calcium";
import { convertTask } from "./convert";
import { costTask } from "./cost";
import { diluteTask } from "./dilute";
import { figureTask } from "./figure";
import { forecastTask } from "./forecast";
import { ledgerTask } from "./ledger";
import { loadsTask } from "./loads";
import { planTask } from "./plan";
import { scaleTask } from "./scale";
import type { Task } from "./task";
import { trialPlaceTask, trialSizeTask, trialTask } from "./trial";
import { trajectoryTask } from "./trajectory";
import { waterTask } from "./water";

/** Every task of `bin/core`, in the order that help lists them. */
export const TASKS = [
  convertTask,
  figureTask,
  diluteTask,
  scaleTask,
  waterTask,
  calciumTask,
  forecastTask,
  trajectoryTask,
  loadsTask,
  allocateTask,
  costTask,
  planTask,
  ledgerTask,
  trialTask,
  trialSizeTask,
  trialPlaceTask,
] as unknown as readonly Task<unknown>[];
