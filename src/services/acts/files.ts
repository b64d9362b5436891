import "server-only";
import { importFile } from "../files";

export const FILES_ACTS = { importFile } as const;
