import Papa from "papaparse";

export interface ParsedFile {
  readonly encoding: "utf-8" | "utf-16" | "windows-1252";
  readonly delimiter: string;
  readonly rows: readonly (readonly string[])[];
  /** Quotes that were never closed, and the like; with the line. */
  readonly problems: readonly { readonly line: number; readonly text: string }[];
}

/**
 * Text of a file as spreadsheets write it: UTF-8 with or without a mark, UTF-16 with one, else the Western code page.
 * Bytes that are no UTF-8 are read as that page, which has a letter for every byte.
 */
export function decodeText(bytes: Uint8Array): { readonly text: string; readonly encoding: ParsedFile["encoding"] } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: new TextDecoder("utf-16le").decode(bytes), encoding: "utf-16" };
  if (bytes[0] === 0xfe && bytes[1] === 0xff)
    return { text: new TextDecoder("utf-16be").decode(bytes), encoding: "utf-16" };
  try {
    return { text: new TextDecoder("utf-8", { fatal: true }).decode(bytes), encoding: "utf-8" };
  } catch {
    return { text: new TextDecoder("windows-1252").decode(bytes), encoding: "windows-1252" };
  }
}

/** What tables are parted by. */
export const DELIMITERS = [",", ";", "\t", "|"] as const;

/** Rows of a CSV, whatever it is parted by unless that is said; empty lines are left out. */
export function parseCsv(
  text: string,
  encoding: ParsedFile["encoding"] = "utf-8",
  delimiter: (typeof DELIMITERS)[number] | "" = "",
): ParsedFile {
  const { data, errors, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), {
    skipEmptyLines: "greedy",
    delimiter,
    delimitersToGuess: [...DELIMITERS],
  });
  return {
    encoding,
    delimiter: meta.delimiter,
    rows: data,
    problems: errors
      .filter(({ type }) => type === "Quotes")
      .map(({ row, message }) => ({ line: (row ?? 0) + 1, text: message })),
  };
}

/** What looks as if it had been kept from running already gets a mark of its own, so that reading takes off just one. */
const kept = (cell: string | number): string | number =>
  typeof cell === "string" && /^'+[=+\-@]/.test(cell) ? `'${cell}` : cell;

/** A CSV that spreadsheets open as it is meant: with a mark, and nothing in it that one would run as a formula. */
export const writeCsv = (heads: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  `\uFEFF${Papa.unparse({ fields: [...heads], data: rows.map((row) => row.map(kept)) }, { escapeFormulae: true, newline: "\r\n" })}\r\n`;
