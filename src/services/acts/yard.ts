import "server-only";
import { addVessel } from "../farm";
import { cleanVessel } from "../batch";
import { sayPlace } from "../ferment";
import { arrangeTask } from "../yard";

export const YARD_ACTS = { addVessel, cleanVessel, sayPlace, arrangeTask } as const;
