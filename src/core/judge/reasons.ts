import type { Act, PhInstrument, PhSpot, SignKind } from "../book/words";
import type { ObservationType } from "../ferment/evidence/observations";
import type { Basis } from "./forecastBatch";
import { actsOf, type LogItem } from "./log";
import type { SmellAhead } from "./nextSmell";
import type { SignMeaning } from "./rule/looks";

/** Which part of the day made a batch run ahead or behind. */
export type WarmthSpell =
  | "warm nights"
  | "cool nights"
  | "warm days"
  | "cool days"
  | "warm weather"
  | "cool weather"
  | "its warm place"
  | "its cool place";

/** Why a verdict is what it is; `formats` puts each into words in the farm's units. */
export type VerdictReason =
  | {
      readonly code: "warmth";
      readonly meanC: number;
      readonly basis: Basis;
      readonly share: number;
      readonly comfortLowC: number;
      readonly comfortHighC: number;
      /** As it stands now, °C. */
      readonly nowC: number;
    }
  /** Against the usual of these days, hours ahead or behind, a span that holds it in eight of ten. */
  | {
      readonly code: "pace";
      readonly isAhead: boolean;
      readonly leastH: number;
      readonly mostH: number;
      readonly spell: WarmthSpell;
    }
  | {
      readonly code: "ph";
      readonly ph: number;
      readonly target: number;
      readonly perDay: number | null;
      readonly ageH: number;
      readonly instrument: PhInstrument;
    }
  /** A thing of a later day that the recipe does once, and the log does not show. */
  | {
      readonly code: "not-done";
      readonly act: Act;
      readonly text: string;
      readonly dueH: number;
      readonly untilH: number | null;
    }
  | { readonly code: "ph-missing" }
  | { readonly code: "ph-very-low"; readonly ph: number }
  | {
      readonly code: "ph-not-counted";
      readonly ph: number;
      readonly spot: PhSpot;
      /** It stood in the middle, but had not come to rest. */
      readonly unsettled: boolean;
    }
  | { readonly code: "ph-stuck"; readonly ph: number; readonly days: number; readonly meanC: number }
  | { readonly code: "too-young"; readonly days: number; readonly minimumDays: number; readonly byPh: boolean }
  | {
      readonly code: "sign";
      readonly kind: SignKind;
      readonly word: string;
      readonly says: SignMeaning;
      readonly because: string;
    }
  /** One sign or reading says ready; a second look has not borne it out yet. */
  | { readonly code: "second-look"; readonly what: "ph" | "smell" | "look" }
  | { readonly code: "by-nose-alone" }
  /** A pH that rests so near its target that the meter may be what is off. */
  | { readonly code: "ph-rests-near"; readonly ph: number; readonly target: number }
  /** Nobody smelt it for days. */
  | { readonly code: "smell-first" }
  /** A reading that rose after it had soured: the instrument, not the batch. */
  | { readonly code: "ph-rose"; readonly one: number; readonly other: number }
  | { readonly code: "shell-ph"; readonly ph: number; readonly says: "acid-spent" | "acid-left" | "between" }
  /** Char of which some floats yet, as far as it was measured. */
  | { readonly code: "still-floats"; readonly sunkPercent: number | null }
  /** Shell in vinegar that makes no bubbles, and stands so cold that it may only rest. */
  | { readonly code: "still-in-cold"; readonly meanC: number; readonly comfortLowC: number }
  /** A brew that lasts so many hours from when it was ready, and was. */
  | { readonly code: "half-day-over"; readonly readyH: number; readonly lastsH: number }
  | { readonly code: "closing"; readonly hour: number | null }
  /** What befell it, and from which hour a look settles it. */
  | { readonly code: "flies-in" | "lid-was-off"; readonly hour: number; readonly looksFromH: number }
  | { readonly code: "heater-cut"; readonly hour: number }
  | { readonly code: "place-unsaid"; readonly lowC: number; readonly highC: number }
  /** What was read in it does not go with the place that was said, °C over the last day. */
  | { readonly code: "place-doubted"; readonly meanC: number }
  /** Readings that came by the hour, and came no more. */
  | { readonly code: "readings-stopped"; readonly hour: number }
  | { readonly code: "sign-missing"; readonly words: readonly string[] }
  | { readonly code: "ph-at-odds"; readonly one: number; readonly other: number }
  | { readonly code: "signs-disagree"; readonly one: string; readonly other: string }
  | {
      readonly code: "cold-ahead" | "heat-ahead";
      readonly celsius: number;
      readonly hour: number;
      readonly comfortC: number;
    }
  | { readonly code: "contradictory" }
  | { readonly code: "surprising"; readonly what: ObservationType }
  | { readonly code: "fed-anew"; readonly hour: number }
  | { readonly code: "watch"; readonly chance: number }
  /** Held by one bad look; clean ones since. */
  | { readonly code: "hold"; readonly cleanLooks: number; readonly by: "nose" | "eyes" }
  | { readonly code: "two-bad-looks"; readonly looks: number }
  /** A bad look that later ones did not bear out. */
  | { readonly code: "doubt-lifted"; readonly word: string; readonly hour: number }
  | { readonly code: "air-off"; readonly sinceH: number; readonly leavesH: number; readonly soilH: number }
  | { readonly code: "air-was-off"; readonly hours: number; readonly untilH: number; readonly soilH: number }
  | { readonly code: "window-closed"; readonly hour: number | null }
  | { readonly code: "kept-on-air"; readonly untilH: number; readonly isOver: boolean }
  | ({ readonly code: "smell-ahead" } & SmellAhead)
  | { readonly code: "overheated" }
  | { readonly code: "slow" }
  | {
      readonly code: "cold" | "too-hot" | "no-bloom";
      readonly meanC: number;
      readonly rate: number;
      readonly comfortLowC: number;
      readonly comfortHighC: number;
    };

/** The hour at which the air last stopped, by hand or by a power cut, and did not start again; null while it runs. */
export function latestAirOff(log: readonly LogItem[]): number | null {
  const last = actsOf(log)
    .filter(({ act }) => act === "air-off" || act === "air-on" || act === "power-cut" || act === "power-back")
    .at(-1);
  return last && (last.act === "air-off" || last.act === "power-cut") ? last.hour : null;
}

/** A stretch without air that is over. */
export interface AirGap {
  readonly hours: number;
  readonly untilH: number;
}

/** The longest stretch that a brew stood without air, by hand or by a power cut, and got it back; null where there was none. */
export function longestAirGap(log: readonly LogItem[]): AirGap | null {
  let offH: number | null = null;
  let longest: AirGap | null = null;
  for (const { act, hour } of actsOf(log).toSorted((a, b) => a.hour - b.hour)) {
    if (act === "air-off" || act === "power-cut") offH ??= hour;
    else if ((act === "air-on" || act === "power-back") && offH !== null) {
      if (longest === null || hour - offH > longest.hours) longest = { hours: hour - offH, untilH: hour };
      offH = null;
    }
  }
  return longest;
}
