interface Details {
  "how-much": object;
  "which-unit": object;
  "which-ingredient": object;
  "which-lot": object;
  "counts-as-what": object;
  "no-name": object;
  "below-zero": object;
  "not-above-zero": object;
  "name-in-book": object;
  "not-in-book": { readonly name: string };
  "not-known": { readonly name: string };
  "too-much": { readonly most: number };
  "too-long": { readonly letters: number };
  "not-between": { readonly least: number; readonly most: number; readonly unit: string };
  "no-whole-days": { readonly most: number };
  "none-of": { readonly allowed: readonly string[] };
  "no-day": { readonly typed: string };
  "no-number": { readonly typed: string };
  /** How it could be read, as the reader of amounts says it. */
  "unreadable": { readonly why: string };
  "no-lot": { readonly lot: string; readonly mayBeNew: boolean };
  "lot-differs": { readonly lot: number };
  "lot-is-other": { readonly lot: number; readonly name: string };
  "known-otherwise": { readonly name: string };
  "again": { readonly line: number; readonly of: "lot" | "count" | "name" };
  "no-plot": { readonly name: string };
  "no-planting": { readonly typed: string };
  "before": { readonly column: string };
  "received-ahead": object;
  "expires-early": object;
  "file-empty": object;
  "no-rows": object;
  "quote-open": { readonly line: number };
  "no-column": {
    readonly missing: readonly string[];
    readonly found: readonly string[];
    readonly wanted: readonly string[];
    readonly optional: readonly string[];
  };
  "too-many-rows": { readonly rows: number; readonly most: number };
}
export type FileFaultCode = keyof Details;
/** What is wrong with a cell, a row or a whole file. */
export type FileFault = { [C in FileFaultCode]: { readonly code: C } & Details[C] }[FileFaultCode];

/** A thing of a table: its name, how much it holds where it holds something, and its words as they were typed. */
interface ThingTold {
  readonly name: string;
  readonly volumeL: number | null;
  readonly words: readonly string[];
}

/** What a row would write, or finds there already. */
export type RowWould =
  | { readonly code: "lot-there"; readonly lot: number }
  | {
      readonly code: "lot";
      readonly ingredient: string;
      readonly amount: number;
      readonly unit: "kg" | "L";
      readonly receivedOn: string;
    }
  | { readonly code: "counted-same"; readonly lot: number; readonly amount: number; readonly unit: "kg" | "L" }
  | {
      readonly code: "counted";
      readonly lot: number;
      readonly ingredient: string;
      readonly before: number;
      readonly after: number;
      readonly unit: "kg" | "L";
    }
  | { readonly code: "planting-there"; readonly plot: string; readonly crop: string }
  | { readonly code: "planting"; readonly plot: string; readonly crop: string }
  | { readonly code: "thing-there"; readonly name: string }
  | ({ readonly code: "thing" } & ThingTold)
  | ({ readonly code: "thing-changed" } & ThingTold)
  | { readonly code: "ingredient-there"; readonly name: string }
  | { readonly code: "ingredient"; readonly name: string; readonly countsAs: string };

/** How a file is written, and which of its columns are left alone. */
export interface FileLayout {
  readonly delimiter: string;
  readonly encoding: string;
  readonly unknown: readonly string[];
}
