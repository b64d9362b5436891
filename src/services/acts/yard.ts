import "server-only";
import { addVessel } from "../farm";
import { cleanVessel, takeBackWashing } from "../batch";
import { sayPlace } from "../ferment";
import { arrangeTask } from "../yard";

export const YARD_ACTS = { addVessel, cleanVessel, takeBackWashing, sayPlace, arrangeTask } as const;
