import "server-only";
import { importFile } from "../files/importFile";

export const FILES_ACTS = { importFile } as const;
