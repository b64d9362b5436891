import type { ArmAnswer, Confounder, MeasureKind, SeasonsTogether, TrialReason, Verdict } from "@/core/trial";
import type { TrialTerms } from "@/core/trial/farm";
import { counted, inText } from "@/formats/grammar";
import { formatNumber } from "@/formats/numbers";
import { sayDay } from "@/formats/times";

/** What is read of beds and strips. */
export const READING_NAMES: Readonly<Record<MeasureKind, string>> = {
  "yield": "Harvest",
  "weight": "Weight of a plant",
  "height": "Height",
  "count": "Count of plants or fruits",
  "brix": "Sugar in the sap (Brix)",
  "number": "A measure of your own",
  "pests": "Pests on a plant",
  "disease-share": "Share of plants with disease",
  "infiltration": "Time for water to sink in",
  "colour": "Leaf colour, by the card",
  "crumb": "Soil crumb, by the card",
  "disease": "Disease, by the card",
};
/** How each is read, so that two people read alike. */
export const READING_HOW: Readonly<Record<MeasureKind, string>> = {
  "yield": "Weigh all that comes off the strip, up to the day.",
  "weight": "Weigh some plants, picked without choosing: every third, say.",
  "height": "From the soil to the highest leaf tip, a few plants a strip.",
  "count": "Count all of the strip, or the same length of row on each.",
  "brix": "A drop of sap of the same leaf of several plants, at the same hour.",
  "number": "The same way on every strip.",
  "pests": "Count on some plants, both sides of the leaves.",
  "disease-share": "Of ten plants or more, how many show it.",
  "infiltration": "Press a ring into the soil, pour in 2 cm of water, time until it is gone.",
  "colour": "Hold the card beside the youngest full leaf, in shade.",
  "crumb": "A spadeful, broken by hand: which picture is it like?",
  "disease": "Look at the whole strip: how much of the leaves is taken?",
};
/** Units by themselves; a farm's own measure has what the farm calls it. */
const UNITS: Readonly<Record<MeasureKind, readonly [metric: string, us: string]>> = {
  "yield": ["kg", "lb"],
  "weight": ["g", "oz"],
  "height": ["cm", "in"],
  "count": ["", ""],
  "brix": ["°Bx", "°Bx"],
  "number": ["", ""],
  "pests": ["a plant", "a plant"],
  "disease-share": ["%", "%"],
  "infiltration": ["min", "min"],
  "colour": ["", ""],
  "crumb": ["", ""],
  "disease": ["", ""],
};
export const unitOfReading = (kind: MeasureKind, system: "metric" | "us"): string =>
  UNITS[kind][system === "us" ? 1 : 0];

/** The usual card: least first. */
const CARDS: Partial<Readonly<Record<MeasureKind, readonly string[]>>> = {
  colour: ["yellow", "pale green", "green", "full green", "dark green"],
  crumb: ["slab, or dust", "clods", "half crumbs", "mostly crumbs", "all crumbs"],
  disease: ["none", "a few spots", "a quarter of leaves", "half of leaves", "most leaves"],
};
/** The five words of a card: the farm's own, or the usual ones. */
export const cardOf = ({
  kind,
  card,
}: {
  readonly kind: MeasureKind;
  readonly card: readonly string[];
}): readonly string[] => (card.length === 5 ? card : (CARDS[kind] ?? ["1", "2", "3", "4", "5"]));

/** What stands in the way of a verdict. */
export const CONFOUNDER_WORDS: Readonly<Record<Confounder, string>> = {
  "placement-chosen": "Lots were drawn several times, so the placement may have been chosen.",
  "other-input-one-side": "Something else went on one side only.",
  "edge-one-side": "One side lies at an edge.",
  "strips-lost": "Many strips were lost, or more on one side.",
  "measure-switched": "What is measured was changed after the first application.",
  "carry-over": "What was put on first may still have worked when the pots changed over.",
  "placement-alternate": "The strips were placed in turn, not by lot.",
  "unblinded-score": "Whoever scored knew which strip got what.",
  "scorer-guessed-right": "Whoever scored could tell which strip got what.",
  "control-got-no-water": "The strips without it got no water in its place.",
  "rain-washed-off": "Rain may have washed it off within hours.",
  "drift-to-neighbour": "Some of it may have reached the strips without.",
  "weak-batch": "A batch was put on past its hours, or against a caution.",
  "fewer-repeats-than-asked": "It was put on fewer times than this trial asks.",
  "unblinded-measure": "Whoever measured knew which strip got what.",
  "other-input-both": "Something else went on both sides.",
  "edge-both": "Both sides lie at an edge.",
  "batches-differ": "More than one batch went on.",
};
/** What is asked on the sheet before somebody looks, as the farm's own records can't tell it. */
export const ASKED_CONFOUNDERS: readonly Confounder[] = [
  "other-input-one-side",
  "control-got-no-water",
  "drift-to-neighbour",
  "edge-one-side",
];
/** Why there is no verdict, in few words. */
const REASONS: Partial<Readonly<Record<TrialReason, string>>> = {
  "too-few-to-tell-at-all": "So few strips can never tell, however clear they look.",
  "small-but-there": "There is a difference, too small to matter.",
};
export const sayTrialReason = (reason: TrialReason): string | null =>
  REASONS[reason] ?? CONFOUNDER_WORDS[reason as Confounder] ?? null;

/** What something that may mislead does to what may be said: takes it back, or is only noted beside it. */
export const sayConfounderEffect = (does: "blur" | "note"): string =>
  does === "blur" ? "Because of it nothing is said for or against." : "It is noted beside the verdict.";

/** Several seasons of one trial, and what they carry beyond themselves. */
export function saySeasons({ k, low, high, predictLow, predictHigh }: SeasonsTogether, terms: TrialTerms): string {
  if (low === null || high === null) return "";
  const together = `${counted(k, { one: "One season", other: "# seasons" })} together: ${sayRange({ low, high }, terms)}.`;
  if (predictLow === null || predictHigh === null) return `${together} So few seasons say nothing of the next.`;
  return `${together} The next one likely ${sayRange({ low: predictLow, high: predictHigh }, terms)}.`;
}

export const VERDICT_NAMES: Readonly<Record<Verdict, string>> = {
  "likely-helped": "Likely helped",
  "likely-harmed": "Likely harmed",
  "likely-no-large-difference": "Likely no large difference",
  "cannot-tell": "Can’t tell yet",
  "withheld": "Too early to say",
};

/** A difference on its scale, without which way. */
function sayBare(by: number, { scale, unit }: Pick<TrialTerms, "scale" | "unit">): string {
  if (scale === "ratio") return `${formatNumber(100 * Math.abs(by), 2)} %`;
  if (scale === "ordinal") return `${formatNumber(100 * Math.abs(by), 2)} of 100 comparisons`;
  return `${formatNumber(Math.abs(by), 2)}${unit ? ` ${unit}` : ""}`;
}
/** @example sayTrialDifference(0.12, terms); // "12 % more" */
export function sayTrialDifference(by: number, terms: Pick<TrialTerms, "scale" | "unit" | "kind">): string {
  if (terms.scale === "ordinal") return `better in ${sayBare(by, terms)}`;
  const [more, less] = terms.kind === "infiltration" ? ["slower", "faster"] : ["more", "less"];
  return `${sayBare(by, terms)} ${by < 0 ? less : more}`;
}
function sayRange({ low, high }: Pick<ArmAnswer, "low" | "high">, terms: TrialTerms): string {
  if (low === null || high === null) return "";
  const isOneWay = low >= 0 || high <= 0;
  if (terms.scale === "ordinal") return `better in ${formatNumber(100 * low, 2)} to ${sayBare(high, terms)}`;
  if (!isOneWay) return `between ${sayTrialDifference(low, terms)} and ${sayTrialDifference(high, terms)}`;
  const [least, most] = low >= 0 ? [low, high] : [high, low];
  const figure = terms.scale === "ratio" ? 100 * least : least;
  return `${formatNumber(Math.abs(figure), 2)} to ${sayTrialDifference(most, terms)}`;
}
const sayMore = ({ more }: ArmAnswer): string =>
  more === null
    ? ""
    : more.pairs === null
      ? " More pairs than a farm can lay out would be needed to tell."
      : more.fresh
        ? ` A new trial of ${counted(more.pairs, { one: "one pair", other: "# pairs" })} would probably tell.`
        : ` ${counted(more.pairs, { one: "One more pair", other: "# more pairs" })} would probably tell.`;

/** A verdict in a sentence or two: what is likely, here and this season, and nothing stronger. @param name of the input */
export function sayTrialVerdict(answer: ArmAnswer, terms: TrialTerms, name: string): string {
  const { verdict, seen, estimate, reasons } = answer;
  const differ = sayTrialDifference(estimate, terms);
  if (verdict === "withheld")
    return reasons.includes("single-application")
      ? `One application says nothing yet: this trial asks for ${terms.asked} before it is judged.`
      : `It is judged on ${sayDay(terms.decidingOn)}.`;
  if (verdict === "likely-helped") return `Here and this season: ${sayRange(answer, terms)} with ${inText(name)}.`;
  if (verdict === "likely-harmed")
    return `Here and this season: ${sayRange(answer, terms)} with ${inText(name)}. Stop, and look at strength, salt and hours.`;
  if (verdict === "likely-no-large-difference")
    return `${upper(sayRange(answer, terms))}, where ${sayBare(terms.smallest ?? 0, terms)} would matter.`;
  if (reasons.includes("too-few-to-tell-at-all"))
    return `Strips with ${inText(name)}: ${differ}. So few pairs can never tell; ${answer.least} could.${sayMore(answer)}`;
  if (seen === "unclear")
    return `Strips with ${inText(name)}: ${differ}. Chance alone could do that.${sayMore(answer)}`;
  const way = seen === "no-large" ? "The strips hardly differ" : `The strips with ${inText(name)} differ: ${differ}`;
  return `${way}. But what stands below may be why.`;
}
const upper = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`;

/** @example sayChance(0.14, 6); // "6 pairs: 86 in 100 such trials end with “can’t tell”." */
export const sayChance = (chance: number, pairs: number): string =>
  `${counted(pairs, { one: "One pair", other: "# pairs" })}: ${Math.round(100 * (1 - chance))} in 100 such trials end with “can’t tell”.`;

/** What was noted of a trial, in the history. */
export const TRIAL_NOTED = {
  "applied": "put on",
  "left-out": "a pair left out",
  "confounder": "something noted that may mislead",
  "guesses": "guesses of who scored",
  "look": "looked at",
  "opened": "placement shown",
  "stopped": "stopped",
  "resumed": "goes on",
} as const;
