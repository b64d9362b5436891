import "server-only";
import { addVessel } from "../farm";
import { cleanVessel } from "../batch";
import { sayPlace } from "../ferment";

export const YARD_ACTS = { addVessel, cleanVessel, sayPlace } as const;
