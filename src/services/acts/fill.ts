import "server-only";
import { fillVessel } from "../fill/fillVessel";
import { planBatch, dropPlan } from "../shed/plans";

export const FILL_ACTS = { fillVessel, planBatch, dropPlan } as const;
