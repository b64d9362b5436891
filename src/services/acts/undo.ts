import "server-only";
import { takeBack } from "../takenBack";

export const UNDO_ACTS = { takeBack } as const;
