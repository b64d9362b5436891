import type { Recipe } from "../book/recipe";
import type { CueMeaning } from "../book/types";
import type { PhInstrument, PhSpot, SignKind } from "../book/words";
import type { TemperatureBasis } from "../ferment/liquidTemperature";
import { signsOf, type Observation } from "../ferment/observations";

/** Why a verdict is what it is; `formats` puts each into words in the farm's units. */
export type VerdictReason =
  | {
      readonly code: "warmth";
      readonly meanC: number;
      readonly basis: TemperatureBasis;
      readonly share: number;
      readonly comfortLowC: number;
    }
  | {
      readonly code: "ph";
      readonly ph: number;
      readonly target: number;
      readonly perDay: number | null;
      readonly ageH: number;
      readonly instrument: PhInstrument;
    }
  | { readonly code: "ph-missing" }
  | { readonly code: "ph-not-counted"; readonly ph: number; readonly spot: PhSpot }
  | { readonly code: "ph-stuck"; readonly ph: number; readonly days: number; readonly meanC: number }
  | { readonly code: "too-young"; readonly days: number; readonly minimumDays: number }
  | {
      readonly code: "sign";
      readonly kind: SignKind;
      readonly word: string;
      readonly says: CueMeaning;
      readonly because: string;
    }
  | { readonly code: "sign-missing"; readonly words: readonly string[] }
  | { readonly code: "signs-disagree"; readonly one: string; readonly other: string }
  | { readonly code: "air-off"; readonly sinceH: number; readonly leavesH: number; readonly soilH: number }
  | { readonly code: "window-closed"; readonly hour: number | null }
  | {
      readonly code: "cold" | "too-hot";
      readonly meanC: number;
      readonly rate: number;
      readonly comfortLowC: number;
      readonly comfortHighC: number;
    };

/** Failure signs ever logged: a later good sign does not lift them, only a correction of the entry does. */
export function failures(recipe: Recipe, observations: readonly Observation[]): VerdictReason[] {
  return signsOf(observations).flatMap((sign): VerdictReason[] => {
    const cue = recipe.cues.find(
      (candidate) => candidate.says === "failed" && candidate.kind === sign.kind && candidate.word === sign.word,
    );
    return cue ? [{ code: "sign", kind: sign.kind, word: sign.word, says: "failed", because: cue.because }] : [];
  });
}

/** The hour at which the air last stopped and did not start again; null while it runs. */
export function latestAirOff(observations: readonly Observation[]): number | null {
  const last = observations
    .filter((item) => item.kind === "act" && (item.act === "air-off" || item.act === "air-on"))
    .toSorted((a, b) => a.hour - b.hour)
    .at(-1);
  return last?.kind === "act" && last.act === "air-off" ? last.hour : null;
}
