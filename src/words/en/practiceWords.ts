import type { AnswerSource, QuestionKind } from "@/core/practice/answers";
import type { Drill, DrillKind } from "@/core/practice/drills";
import type { Care, Look } from "@/core/practice/drum/deeds";
import type { Outcome } from "@/core/practice/drum/ending";
import type { Better } from "@/core/practice/drum/retold";
import type { FillFault } from "@/core/practice/drum/setup";
import type { Judgement } from "@/core/practice/judgement";
import type { Mistake } from "@/core/practice/mistakes";
import type { CourseEvent } from "@/core/practice/drum/course";
import type { TruePlace } from "@/core/practice/yard/places";
import type { CueMeaning } from "@/core/book/types";
import { formatNumber } from "@/formats/numbers";

/** Kinds of judgement, as a learner reads them. */
export const JUDGEMENT_NAMES: Readonly<Record<Judgement, string>> = {
  "too-soon": "Not too early",
  "too-late": "Not too late",
  "spoilt-used": "Bad drums kept off the beds",
  "sound-thrown": "Good drums kept",
  "dose": "How much in a can",
  "load": "How many cans",
  "caution": "Safety",
};

export const LOOK_NAMES: Readonly<Record<Look, string>> = {
  "lid": "Lift the lid",
  "smell": "Smell it",
  "solids": "Look at the solids",
  "ph-strip": "pH with a strip",
  "ph-meter": "pH with the meter",
  "dip": "Dip the thermometer",
};
export const CARE_NAMES: Readonly<Record<Care, string>> = {
  "stir": "Stir",
  "vent": "Open slowly, lid loose",
  "warm": "Move it to warmth",
  "feed": "Add sugar and culture",
  "air-on": "Switch the air on",
};

export const OUTCOME_NAMES: Readonly<Record<Outcome, string>> = {
  "used-in-time": "Used at the right time",
  "used-too-soon": "Used too early",
  "used-too-late": "Used too late",
  "used-spoilt": "A bad drum went on the bed",
  "thrown-out-rightly": "A bad drum was thrown away",
  "thrown-out-past": "It was too old, and was thrown away",
  "thrown-out-sound": "A good drum was thrown away",
  "burst": "The drum burst",
  "left-standing": "It stood until it was worth nothing",
};

/** The one thing to do better. */
export const BETTER: Readonly<Record<Better, string>> = {
  "nothing": "You judged well. Do it the same way next time.",
  "second-look": "One sign is not enough. Look again some hours or a day later: use it when it says the same twice.",
  "measure-ph": "Measure pH before you use a sour drum. It is ready at 4 or lower, twice.",
  "wait-for-sign": "Wait for the sign of ready. Your signs said: not yet.",
  "look-sooner": "Look more often when the day comes near. Ready does not last.",
  "smell-before-use": "Smell it just before you use it. Your last smell was old.",
  "trust-rot": "You met a bad sign. Smell it again, and do not use it.",
  "second-smell": "One smell can be wrong. Smell it again the next day before you decide.",
  "wait-longer": "It was good. Wait, and look again, before you throw it away.",
  "use-in-window": "It was ready before. Look more often, and use it then.",
  "loose-lid":
    "Gas was under a tight lid. A swollen drum can hurt you: stand to the side, open it slowly, leave the lid loose.",
  "come-back": "It was ready and nobody came. Put the day on your list.",
  "fewer-looks": "Good. Half as many looks would have told you the same.",
  "feed-stuck": "It stood still. When pH does not fall for days, add sugar and culture.",
  "warm-cold": "It was too cold to come. Dip the thermometer early, and move it to warmth.",
};

/** What was otherwise at the fill, as its note says it. */
export const FAULT_NOTES: Readonly<Record<FillFault, string>> = {
  "tap-water": "Water straight from the tap.",
  "too-sweet": "Twice the sugar of the recipe.",
  "too-little-sugar": "Half the sugar of the recipe.",
  "tight-lid": "Lid screwed down tight.",
  "no-lid": "No lid.",
  "dirty-vessel": "The drum was not washed.",
};
export const FAULT_TEACHES: Readonly<Record<FillFault, string>> = {
  "tap-water": "Chlorine in tap water kills the culture. The drum is slow, and some stand still.",
  "too-sweet": "Too much sugar uses up the air, and other life takes over.",
  "too-little-sugar": "With little sugar it does not keep: mould comes, or it stands still.",
  "tight-lid": "Gas builds up under a tight lid until the drum bursts.",
  "no-lid": "Flies and dust bring other life in.",
  "dirty-vessel": "What was left in the drum spoils the new one.",
};

export const TRUE_PLACE_NAMES: Readonly<Record<TruePlace, string>> = {
  shade: "outside in the shade",
  sun: "outside in the sun",
  shed: "in the shed",
  cellar: "in the cellar",
  kitchen: "in the kitchen",
  greenhouse: "in the greenhouse",
  heated: "with a heater",
};

export const EVENT_NAMES: Readonly<Record<CourseEvent, string>> = {
  "opened": "Ready from here",
  "closed": "Too old from here",
  "off": "Bad from here",
  "stuck": "It stands still",
  "unstuck": "It goes on",
  "burst": "It bursts",
  "power-gone": "The power goes",
  "no-bloom": "Too cold: it will not bloom",
};

export const MEANINGS: Readonly<Record<CueMeaning, string>> = {
  "not-yet": "not ready yet",
  "ready": "ready",
  "past": "too old",
  "failed": "bad",
};

export const DRILL_NAMES: Readonly<Record<DrillKind, string>> = {
  "per-can": "How much in a can",
  "one-one-one-hundred": "1 to 1 to 1 to 100",
  "pail-to-drum": "From a pail to a drum",
  "cans-for-bed": "How many cans for the bed",
  "how-far": "How far it goes",
};

const say = (figure: number | undefined): string => formatNumber(figure ?? 0, 4);

/** A sum as it is asked. */
export function askDrill({ kind, figures: f, system }: Drill): string {
  const volume = system === "us" ? "gal" : "L";
  switch (kind) {
    case "per-can":
      return `1 part to ${say(f.parts)} parts water. Your can holds ${say(f.can)} ${volume}. How much goes in?`;
    case "one-one-one-hundred":
      return `Plant, sugar and culture 1 part each to 100 parts water. You have ${say(f.water)} ${volume} of water. How much sugar?`;
    case "pail-to-drum":
      return `A ${say(f.pail)} ${volume} pail takes ${say(f.scoop)} cups. How many cups does a drum of ${say(f.drum)} ${volume} take?`;
    case "cans-for-bed":
      return system === "us"
        ? `A bed ${say(f.long)} by ${say(f.wide)} ft. 1 gal wets ${say(f.perGallon)} square feet. Your can holds ${say(f.can)} gal. How many cans?`
        : `A bed ${say(f.long)} by ${say(f.wide)} m, ${say(f.litresPerM2)} L a square metre. Your can holds ${say(f.can)} L. How many cans?`;
    case "how-far":
      return `You have ${say(f.have)} ${volume} and mix it 1 part to ${say(f.parts)} parts water. How much water does it take?`;
  }
}

/** The trick that growers use for it, with these figures. */
export function trickOf({ kind, figures: f, system, answer, unit }: Drill): string {
  const told = `${say(answer)} ${unit}`;
  switch (kind) {
    case "per-can":
      return system === "us"
        ? `A gallon is 128 fl oz, so 1:128 is 1 oz a gallon. Here: 128 × ${say(f.can)} ÷ ${say(f.parts)} = ${told}.`
        : `1:1000 is 1 mL a litre, so 1:${say(f.parts)} is ${say(1000 / f.parts!)} mL a litre. Times ${say(f.can)}: ${told}.`;
    case "one-one-one-hundred":
      return system === "us"
        ? `A gallon is 16 cups. One hundredth of ${say(f.water)} gal is ${told}.`
        : `Move the point two places to the left: ${say(f.water)} L becomes ${told}.`;
    case "pail-to-drum":
      return `How many pails fit in the drum? ${say(f.drum)} ÷ ${say(f.pail)} = ${say(f.drum! / f.pail!)}. Times ${say(f.scoop)}: ${told}.`;
    case "cans-for-bed":
      return system === "us"
        ? `Length times width is ${say(f.long! * f.wide!)} square feet. ÷ ${say(f.perGallon)} ÷ ${say(f.can)}, then round up: ${told}.`
        : `Length times width times litres is ${say(f.long! * f.wide! * f.litresPerM2!)} L. ÷ ${say(f.can)}, then round up: ${told}.`;
    case "how-far":
      return `As many times the water as the second number: ${say(f.have)} × ${say(f.parts)} = ${told}.`;
  }
}

export const QUESTION_NAMES: Readonly<Record<QuestionKind, string>> = {
  "may-use": "May I put this on a crop today?",
  "smells": "It smells of something. What now?",
  "how-much": "How much goes into my can?",
  "how-long": "How long does it keep?",
  "what-goes-in": "What goes in?",
};

export const SOURCE_NAMES: Readonly<Record<AnswerSource, string>> = {
  "own-recipe": "the farm’s own recipe",
  "recipe": "the recipe that this farm uses",
  "own-rule": "the farm’s own days before harvest",
  "default-rule": "the careful rule that Ruchka starts with",
};

/** What to do now, after what a smell says. */
export const SMELL_NOW: Readonly<Record<CueMeaning, string>> = {
  "not-yet": "Close it and wait. Look again tomorrow.",
  "ready": "Smell it once more in some hours. If it says the same, it is ready.",
  "past": "It is old. Put it on compost, not on crops.",
  "failed":
    "Do not use it. Smell it again tomorrow. If it says the same, throw it away on hot compost, away from water.",
};

export const MISTAKE_NAMES: Readonly<Record<Mistake, string>> = {
  "cold": "Left in the cold",
  "late": "Used late",
  "no-second-look": "Used at the first sign",
  "tap-water": "Water from the tap",
  "too-sweet": "Twice the sugar",
  "too-little-sugar": "Half the sugar",
  "tight-lid": "Tight lid",
  "no-lid": "No lid",
  "dirty-vessel": "Drum not washed",
};
export const MISTAKE_TEACHES: Readonly<Record<Mistake, string>> = {
  "cold": "In the cold it is slow or never comes. Dip the thermometer in the first days.",
  "late": "A living brew is past its best within hours; a sour one keeps.",
  "no-second-look": "One sign can be wrong. A second look costs minutes.",
  ...FAULT_TEACHES,
};
