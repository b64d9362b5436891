import "server-only";
import { fillVessel, startFirstDrum, takeBackStart } from "../fill";
import { planBatch, dropPlan } from "../shed";

export const FILL_ACTS = { fillVessel, startFirstDrum, takeBackStart, planBatch, dropPlan } as const;
