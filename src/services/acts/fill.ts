import "server-only";
import { fillVessel } from "../fill";
import { planBatch, dropPlan } from "../shed";

export const FILL_ACTS = { fillVessel, planBatch, dropPlan } as const;
