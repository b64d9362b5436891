import type { Clash } from "@/core/programme/programme";
import type { CauseId, SymptomId } from "@/core/programme/symptoms";
import type { WantReason } from "@/core/programme/wants";
import { findRecipe } from "@/core/book";
import { counted, inText } from "@/formats/grammar";

/** Why a stage wants something. */
export const WANT_WORDS: Readonly<Record<WantReason, string>> = {
  "ready-before-planting": "The bed is bare and something is to be planted: growers ready the ground before.",
  "rest-bare-ground": "Bare soil: growers wake tired soil now, and cover it.",
  "roots-first": "Young roots: weak, or not at all.",
  "calcium-to-settle": "It settles in: growers give calcium now.",
  "leaf": "It grows leaf: growers give what is rich in nitrogen.",
  "turn": "It turns to flower: growers give phosphorus and what was made from flowers.",
  "calcium-at-turn": "At the turn to flower growers give calcium again.",
  "fruit": "It bears: growers give what carries potassium.",
  "perennial": "A perennial: growers feed the ground about it.",
};

/** What goes for every suggestion: growers' custom, and no proof. */
export const NOT_PROVEN =
  "This is what growers do; how much it does on your ground nobody has shown. Leave a strip without it and compare.";

export const SYMPTOM_WORDS: Readonly<Record<SymptomId, string>> = {
  "pale-leaves": "Pale leaves",
  "yellow-lower-leaves": "Yellow lower leaves",
  "poor-fruit-set": "Flowers fall, little fruit sets",
  "blossom-end": "Fruit goes brown at its end",
  "wilting": "It wilts",
  "heat-or-drought": "A hot or dry spell",
  "cupped-leaves": "Leaves cupped, twisted or fern-like",
  "mildew": "White or grey mould on leaves",
  "pests": "Leaves are eaten or sucked",
  "tired-bed": "A tired bed: little grows",
  "transplant-shock": "It stands still after planting out",
  "cold-spell": "A cold spell",
};

export const CAUSE_WORDS: Readonly<Record<CauseId, string>> = {
  "too-wet": "Too wet: dig a hand deep. Does water stand, does it smell sour?",
  "too-dry": "Too dry: is the soil damp a finger deep?",
  "cold-soil": "Cold soil: under 12 °C roots take up little, whatever is there.",
  "heat": "Heat: over 32 °C flowers fall and leaves roll.",
  "ph-off": "Soil too sour or too chalky: read its pH.",
  "salt": "Salt: a white crust, brown leaf edges, much manure or salted brew before?",
  "compacted": "Compacted: does a stick go in a hand deep?",
  "root-damage": "Roots: pull one plant. Are they eaten, rotten, broken?",
  "no-pollination": "No pollination: bees absent, a closed house, rain at flowering?",
  "swings-of-water": "Water by fits and starts: dry, then soaked. Water evenly, and mulch.",
  "herbicide":
    "Weed-killer in manure, hay, straw or compost: sow beans in it, beside beans in clean soil. If they cup, use none of it.",
  "too-much-nitrogen": "Too much nitrogen: dark, soft leaves, many aphids. Give nothing more.",
  "shade": "Shade: less than five hours of sun.",
  "still-air": "Still air: too close together. Thin it, and water the ground, not the leaf.",
  "age": "Age: the oldest leaves of many crops go yellow by themselves.",
};

const nameOf = (methodId: string): string => inText(findRecipe(methodId).shortName);

/** What can't stay as it is in a calendar, after the day and the bed. */
export function sayClash(clash: Clash): string {
  switch (clash.code) {
    case "same-leaves-day":
      return `${nameOf(clash.methods[0])} and ${nameOf(clash.methods[1])} on the same leaves on one day: keep three days between.`;
    case "acid-and-ash":
      return `${nameOf(clash.methods[0])} and ${nameOf(clash.methods[1])} on one day: acid and ash undo each other. Keep a week between.`;
    case "too-often":
      return counted(clash.everyD, {
        one: `${nameOf(clash.methodId)} twice by two schedules. The usual is every day.`,
        other: `${nameOf(clash.methodId)} twice by two schedules. The usual is every # days.`,
      });
    case "before-harvest":
      return `${nameOf(clash.methodId)} ${counted(clash.daysToHarvest, { zero: "while it is picked", one: "# day before harvest", other: "# days before harvest" })}: it stops ${clash.ruleD} days before.`;
  }
}
