import type { SignKind } from "../book/words";
import type { FilmClass, Foam, Observation, SmellClass } from "../ferment/evidence/observations";
import type { FermentModel } from "../ferment/models/types";
import type { Cue } from "../book/types";
import type { LogItem, SignItem } from "./log";

/** Growers' words are finer than the model's few classes. Fishy and ammonia tell nothing of progress and stand in none. */
const SMELL: Record<string, SmellClass> = {
  "raw sweet": "sweet_raw",
  "fresh green": "sweet_raw",
  "yeasty": "yeasty",
  "fruity": "yeasty",
  "cidery": "sour_clean",
  "yogurt-sour": "sour_clean",
  "vinegar": "sour_clean",
  "earthy": "neutral_earthy",
  "neutral": "neutral_earthy",
  "sulphur": "rotten",
  "putrid": "rotten",
};
const FOAM: Record<string, Foam> = {
  "still": "none",
  "fine bubbles": "first_ring",
  "ring at the wall": "first_ring",
  "patches": "patches",
  "full head": "full_head",
  "thick fine head": "full_head",
  "collapsing": "collapsing",
  "flat": "gone",
};
const FILM: Record<string, FilmClass> = {
  "none": "none",
  "thin pale": "white_flat",
  "white bubbly": "white_flat",
  "white fuzzy": "white_fuzzy",
  "coloured mould": "coloured",
};
/**
 * In a yard meters are off from the start and drift, strips are read in poor light, noses have colds and fingers slip: errors are wider and
 * come oftener than the model's own. Measured in `bench/yards`.
 */
const YARD_PH_SD = { meter: 0.25, strip: 0.4 } as const;
const YARD_MISREPORT = 0.12;
const YARD_NOSE = 0.3;
/** A word for which the model has no table says only what the recipe's cue says; so often may such a word be wrong. */
const LOOSE_WORD = 0.4;
const JUDGED = { "not-yet": "not_yet", "ready": "ready", "past": "past" } as const;

/** Bubbles a minute that a look at a still or a lively surface stands for. */
function bubblesSeen(word: string, model: FermentModel): number | null {
  if (model.bubblesPerMin === 0) return null;
  if (word === "still" || word === "flat") return 0;
  return word === "fine bubbles" ? model.bubblesPerMin / 2 : null;
}

function signSeen(sign: SignItem, model: FermentModel, cues: readonly Cue[]): Observation | null {
  const { hour, kind, word } = sign;
  if (kind === "film") return { hour, type: "film", value: FILM[word] ?? "none" };
  if (kind === "smell" && SMELL[word]) return { hour, type: "smell", value: SMELL[word], eps: YARD_NOSE };
  if (kind === "surface" && model.cls === "bloom" && FOAM[word])
    return { hour, type: "foam", value: FOAM[word], eps: YARD_MISREPORT };
  if (kind === "surface") {
    const value = bubblesSeen(word, model);
    if (value !== null) return { hour, type: "bubbles", value };
  }
  const says = cues.find((cue) => cue.kind === kind && cue.word === word)?.says;
  return says && says !== "failed" ? { hour, type: "judge", value: JUDGED[says], eps: LOOSE_WORD } : null;
}

/** What one line of the log says in the model's terms; null where it says nothing of how far the batch is. */
export function seenBy(item: LogItem, model: FermentModel, cues: readonly Cue[]): Observation | null {
  const { hour } = item;
  switch (item.kind) {
    case "ph":
      return {
        hour,
        type: "ph",
        value: item.value,
        method: item.instrument,
        sd: Math.max(item.sd ?? 0, YARD_PH_SD[item.instrument]),
        eps: YARD_MISREPORT,
      };
    case "act":
      return null;
    case "bubbles":
      return { hour, type: "bubbles", value: item.value };
    case "sunk":
      return { hour, type: "sink", value: item.value / 100 };
    case "parted":
      return { hour, type: "sep", value: item.value / 100 };
    case "core":
      return { hour, type: "core", value: item.value };
    default:
      return signSeen(item, model, cues);
  }
}

/** Smells that tell nothing of progress but warn where the method should not have them. */
export const WARNING_SMELLS: readonly string[] = ["fishy", "ammonia"];

/** Whether a word is a smell of rot. */
export const isRot = (kind: SignKind, word: string): boolean => kind === "smell" && SMELL[word] === "rotten";
