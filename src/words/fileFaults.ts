import type { FileFault, FileLayout, RowWould } from "@/formats/csv/fileFault";
import type { Language } from "./codes";
import { FILE_FAULTS, ROW_WOULD, sayLayout } from "./en/fileFaults";
import type { Speech } from "./speech";

const EN = { faults: FILE_FAULTS, would: ROW_WOULD, layout: sayLayout };
const LANGUAGES: Record<Language, typeof EN> = { en: EN };

/** What is wrong with a cell, a row or a whole file, in a person's words. */
export const sayFileFault = (fault: FileFault, say: Speech, language: Language = "en"): string =>
  (LANGUAGES[language].faults[fault.code] as (of: FileFault, say: Speech) => string)(fault, say);

/** What a row would write, or finds there already. */
export const sayRow = (would: RowWould, say: Speech, language: Language = "en"): string =>
  (LANGUAGES[language].would[would.code] as (of: RowWould, say: Speech) => string)(would, say);

/** How a file was read, a sentence each. */
export const sayFileLayout = (layout: FileLayout, language: Language = "en"): readonly string[] =>
  LANGUAGES[language].layout(layout);
