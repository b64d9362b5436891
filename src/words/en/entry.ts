import { findIngredient } from "@/core/book/ingredients";
import type { Act, MeasureKind, SignKind } from "@/core/book/words";
import { formatNumber } from "@/formats/numbers";
import { sayStock, sayTemperature, sayVolume, type UnitSystem } from "@/formats/amounts";
import { inText } from "@/formats/grammar";

/** Acts as a log tells them. */
export const ACT_WORDS: Record<Act, string> = {
  "stirred": "Stirred",
  "vented": "Vented",
  "topped-up": "Water added",
  "fed": "Fed with culture and sugar",
  "air-on": "Air on",
  "air-off": "Air off",
  "pressed-under": "Pushed solids under",
  "power-cut": "Power went off",
  "power-back": "Power came back",
  "moved": "Moved to another place",
  "moved-back": "Moved back",
  "heater-on": "Heater on",
  "heater-off": "Heater off",
  "wrapped": "Wrapped up",
  "unwrapped": "Unwrapped",
  "sealed": "Closed",
  "opened": "Opened",
  "flies-in": "Flies or ants inside",
  "lid-checked": "Checked lid",
  "lid-off": "Lid was off",
  "joined": "Both joined",
  "bag-out": "Took solids out",
  "kept-on-air": "Kept on its air",
};
/** What the number of an act stands for. */
const WITH_LITRES: readonly string[] = ["topped-up"];
const AT_CELSIUS: readonly string[] = ["moved", "heater-on"];

function sayAct({ word, numberValue, note, moved }: EntryLike, units: UnitSystem): string {
  const what = ACT_WORDS[word as Act] ?? word;
  if (word === "fed" && moved?.itemId) {
    const { name, stockUnit } = findIngredient(moved.itemId);
    return `Added ${sayStock(moved.amount, stockUnit, units)} ${inText(name)}`;
  }
  // Entries from before that was kept in figures.
  if (word === "fed" && note) return `Added ${note}`;
  if (numberValue && WITH_LITRES.includes(word ?? "")) return `${what}: ${sayVolume(numberValue, units)}`;
  if (numberValue !== null && AT_CELSIUS.includes(word ?? "")) return `${what}, ${sayTemperature(numberValue, units)}`;
  return what;
}

/** What was counted or measured. */
function sayMeasure(kind: MeasureKind, value: number, units: UnitSystem): string {
  switch (kind) {
    case "bubbles":
      return `${formatNumber(value, 3)} bubbles a minute`;
    case "sunk":
      return `${formatNumber(value, 3)} % has sunk`;
    case "parted":
      return `${formatNumber(value, 3)} % has parted`;
    case "core":
      return `Middle of the pile ${sayTemperature(value, units)}`;
  }
}

export const SIGN_NAMES: Readonly<Record<Exclude<SignKind, "lens">, string>> = {
  smell: "Smell",
  surface: "Foam",
  film: "Film",
  solids: "Solids",
  liquid: "Liquid",
  texture: "A handful, squeezed",
  warmth: "Warmth",
};

/** What an entry holds, as far as its words need it. */
export interface EntryLike {
  readonly kind: "ph" | "temperature" | SignKind | MeasureKind | "act" | "note" | "withdrawn";
  readonly numberValue: number | null;
  readonly word: string | null;
  readonly instrument: string | null;
  readonly spot: string | null;
  readonly settled?: boolean | null;
  readonly note: string;
  readonly moved?: { readonly itemId: string | null; readonly amount: number } | null;
}

/** An entry of a batch's log in words. @example sayEntry(entry, "metric"); // "pH 4.3 by meter, mid-depth" */
export function sayEntry(entry: EntryLike, units: UnitSystem): string {
  switch (entry.kind) {
    case "ph":
      return `pH ${entry.numberValue} by ${entry.instrument}, ${entry.spot === "mid-depth" ? "halfway down" : `in the ${entry.spot}`}${entry.settled === false ? ", not steady" : ""}`;
    case "temperature":
      return `Liquid ${sayTemperature(entry.numberValue ?? 0, units)}`;
    case "act":
      return sayAct(entry, units);
    case "bubbles":
    case "sunk":
    case "parted":
    case "core":
      return sayMeasure(entry.kind, entry.numberValue ?? 0, units);
    case "lens":
      return `Microscope ${entry.word}`;
    case "note":
      return entry.moved ? `${sayVolume(entry.moved.amount, units)} drawn off into the shed` : entry.note;
    case "withdrawn":
      return "Crossed out";
    default:
      return `${SIGN_NAMES[entry.kind]}: ${entry.word}`;
  }
}
