import "server-only";
import { addVessel } from "../farm/addThings";
import { cleanVessel } from "../batch/closeBatch";
import { sayPlace } from "../ferment/sayPlace";

export const YARD_ACTS = { addVessel, cleanVessel, sayPlace } as const;
