import { convertTask } from "./convert";
import { costTask } from "./cost";
import { diluteTask } from "./dilute";
import { forecastTask } from "./forecast";
import { loadsTask } from "./loads";
import { scaleTask } from "./scale";
import type { Task } from "./task";

/** Every task of `bin/core`, in the order that help lists them. */
export const TASKS = [
  convertTask,
  diluteTask,
  scaleTask,
  forecastTask,
  loadsTask,
  costTask,
] as unknown as readonly Task<unknown>[];
