import "server-only";
import { fillVessel, startFirstDrum } from "../fill";
import { planBatch, dropPlan } from "../shed";

export const FILL_ACTS = { fillVessel, startFirstDrum, planBatch, dropPlan } as const;
