import type { Act, SignKind } from "@/core/book/words";
import { sayTemperature, sayVolume, type UnitSystem } from "./amounts";

/** Acts as a log tells them. */
export const ACT_WORDS: Record<Act, string> = {
  "stirred": "Stirred",
  "vented": "Vented",
  "topped-up": "Topped up",
  "fed": "Fed with culture and sugar",
  "air-on": "Air on",
  "air-off": "Air off",
  "pressed-under": "Pressed under",
};

/** What an entry holds, as far as its words need it. */
export interface EntryLike {
  readonly kind: "ph" | "temperature" | SignKind | "act" | "note" | "withdrawn";
  readonly numberValue: number | null;
  readonly word: string | null;
  readonly instrument: string | null;
  readonly spot: string | null;
  readonly note: string;
}

/** An entry of a batch's log in words. @example sayEntry(entry, "metric"); // "pH 4.3 by meter, mid-depth" */
export function sayEntry(entry: EntryLike, units: UnitSystem): string {
  switch (entry.kind) {
    case "ph":
      return `pH ${entry.numberValue} by ${entry.instrument}, ${entry.spot === "mid-depth" ? "mid-depth" : `in the ${entry.spot}`}`;
    case "temperature":
      return `Liquid ${sayTemperature(entry.numberValue ?? 0, units)}`;
    case "act":
      return `${ACT_WORDS[entry.word as Act] ?? entry.word}${entry.numberValue ? ` with ${sayVolume(entry.numberValue, units)}` : ""}`;
    case "note":
      return entry.note;
    case "withdrawn":
      return "Withdrawn";
    default:
      return `${entry.kind.charAt(0).toUpperCase()}${entry.kind.slice(1)}: ${entry.word}`;
  }
}
