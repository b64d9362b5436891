import type { FileKind } from "@/formats/csv/tables";

/** What would become of one row of a file. */
export interface RowOutcome {
  /** Line of the file, its heads being 1. */
  readonly line: number;
  readonly what: "new" | "changed" | "same" | "wrong";
  /** What would be written, or is there already. */
  readonly text: string;
  /** What is wrong, by column. */
  readonly faults: Readonly<Record<string, string>>;
}

export interface FilePreview {
  readonly kind: FileKind;
  readonly rows: number;
  readonly counts: Readonly<Record<RowOutcome["what"], number>>;
  /** All that is wrong, and the first of the rest. */
  readonly shown: readonly RowOutcome[];
  /** What is wrong with the file as a whole; then no row was looked at. */
  readonly refused: string | null;
  readonly notes: readonly string[];
}

export const wrongRow = (line: number, faults: Readonly<Record<string, string>>): RowOutcome => ({
  line,
  what: "wrong",
  text: "",
  faults,
});
