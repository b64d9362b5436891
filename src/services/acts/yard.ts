import "server-only";
import { addVessel } from "../addThings";
import { cleanVessel } from "../closeBatch";
import { sayPlace } from "../ferment/sayPlace";

export const YARD_ACTS = { addVessel, cleanVessel, sayPlace } as const;
