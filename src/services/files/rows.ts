import type { FileFault, FileLayout, RowWould } from "@/formats/csv/fileFault";
import type { FileKind } from "@/formats/csv/tables";

/** What is wrong with a row, by column. */
export type Faults = Readonly<Record<string, FileFault>>;

/** What would become of one row of a file. */
export interface RowOutcome {
  /** Line of the file, its heads being 1. */
  readonly line: number;
  readonly what: "new" | "changed" | "same" | "wrong";
  readonly would: RowWould | null;
  /** What is wrong, by column. */
  readonly faults: Faults;
}

export interface FilePreview {
  readonly kind: FileKind;
  readonly rows: number;
  readonly counts: Readonly<Record<RowOutcome["what"], number>>;
  /** All that is wrong, and the first of the rest. */
  readonly shown: readonly RowOutcome[];
  /** What is wrong with the file as a whole; then no row was looked at. */
  readonly refused: FileFault | null;
  readonly layout: FileLayout | null;
}

export const wrongRow = (line: number, faults: Faults): RowOutcome => ({
  line,
  what: "wrong",
  would: null,
  faults,
});
