import "server-only";
import { startMixing, tickMixing, finishMixing, dropMixing } from "../mixing";

export const MIXING_ACTS = { startMixing, tickMixing, finishMixing, dropMixing } as const;
