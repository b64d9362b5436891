import { addDays } from "../calendar";
import type { CautionId } from "./cautions";
import type { IngredientId } from "./ingredients";

export type Season = "spring" | "summer" | "autumn" | "winter";
export type UsualSource = "bought" | "foraged" | "saved" | "made";

/** What a grower needs to know of an ingredient before it is in the drum: where it comes from, how it keeps, what to mind. */
export interface IngredientFacts {
  readonly source: UsualSource;
  /** Days it keeps unopened or as it came; null where years do it no harm. */
  readonly keepsD: number | null;
  /** Days it keeps once opened, where that is shorter. */
  readonly openD: number | null;
  readonly keeping: string;
  /** When it is there to be picked or saved; empty where it is bought or always there. */
  readonly season: readonly Season[];
  readonly cautions: readonly CautionId[];
  /** The pack it is usually sold in, in its stock unit; null where it is not sold. */
  readonly pack: { readonly name: string; readonly amount: number } | null;
  /** A live culture: heat and age kill it before anyone can see that. */
  readonly living: boolean;
}

type Rest = Partial<Omit<IngredientFacts, "source" | "keeping" | "keepsD">>;
const facts = (source: UsualSource, keepsD: number | null, keeping: string, rest: Rest = {}): IngredientFacts => ({
  source,
  keepsD,
  openD: rest.openD ?? null,
  keeping,
  season: rest.season ?? [],
  cautions: rest.cautions ?? [],
  pack: rest.pack ?? null,
  living: rest.living ?? false,
});
const pack = (name: string, amount: number) => ({ pack: { name, amount } });
const ALL: readonly Season[] = ["spring", "summer", "autumn", "winter"];
const GROWING: readonly Season[] = ["spring", "summer", "autumn"];
const DRY = "Dry, closed, away from mice.";
const COOL = "Cool and dark, lid loose.";

/** Keeping times are those of ordinary kitchens and barns, rounded down; judged. The nose beats them. */
export const INGREDIENT_FACTS: Readonly<Record<IngredientId, IngredientFacts>> = {
  "water": facts("saved", null, "Covered, against mosquitoes."),
  "soak-water": facts("saved", null, "Covered, against mosquitoes."),
  "molasses": facts("bought", 1095, "Closed; it ferments once water gets in.", { openD: 365, ...pack("jug", 5) }),
  "brown-sugar": facts("bought", 730, "Dry and closed; a stone-hard lump still dissolves.", pack("bag", 1)),
  "white-sugar": facts("bought", null, DRY, pack("bag", 1)),
  "raw-sugar": facts("bought", 730, DRY, pack("bag", 1)),
  "castings": facts("made", 180, "Moist as a wrung sponge, breathing, in shade; dried out they are soil.", {
    ...pack("bag", 20),
    living: true,
  }),
  "compost": facts("made", 365, "Under cover, moist, turned when it smells.", { living: true, ...pack("bag", 40) }),
  "kelp-meal": facts("bought", 730, DRY, { cautions: ["sodium"], ...pack("sack", 5) }),
  "rock-dust": facts("bought", null, "Dry; it sets like cement when wet.", {
    cautions: ["char-dust"],
    ...pack("sack", 25),
  }),
  "shell-meal": facts("bought", 730, DRY, { cautions: ["shellfish"], ...pack("sack", 5) }),
  "fish-hydrolysate": facts("bought", 540, "Closed and cool; it bloats when it turns.", {
    openD: 180,
    cautions: ["fish-smell"],
    ...pack("jug", 5),
  }),
  "seaweed-extract": facts("bought", 730, COOL, { openD: 365, cautions: ["sodium"], ...pack("bottle", 1) }),
  "leachate": facts("saved", 14, "Fresh from the bin, open, in shade; a foul smell means soil only.", { season: ALL }),
  "bacterial-starter": facts("bought", 180, "Cool, out of the sun; sour is good, foul is not.", {
    openD: 60,
    living: true,
    ...pack("bottle", 1),
  }),
  "potato": facts("bought", 60, "Dark, dry, airy; green ones are poisonous to people.", pack("sack", 10)),
  "sea-salt": facts("bought", null, DRY, { cautions: ["sodium"], ...pack("bag", 1) }),
  "leaf-mould": facts("foraged", 90, "Moist, under a lid that breathes, in shade.", {
    season: ["autumn", "winter", "spring"],
    living: true,
  }),
  "rice": facts("bought", 730, DRY, pack("bag", 5)),
  "rice-wash": facts("saved", 2, "Sours within a day or two: the first rinse, with its litres written down.", {
    season: ALL,
  }),
  "milk": facts("bought", 7, "Cold.", { openD: 3, cautions: ["milk"], ...pack("bottle", 1) }),
  "whey": facts("saved", 7, "Cold, lid loose.", { season: ALL, cautions: ["milk"] }),
  "lactic-culture": facts("made", 180, "Cold, or with its weight of sugar at room warmth; lid loose.", {
    living: true,
  }),
  "plant": facts("foraged", 1, "Not at all: used the day it is picked.", {
    season: GROWING,
    cautions: ["poisonous-plants"],
  }),
  "legume-leaf": facts("foraged", 1, "Not at all: used the day it is picked.", {
    season: GROWING,
    cautions: ["poisonous-plants"],
  }),
  "coconut-water": facts("bought", 2, "Cold.", { openD: 2, ...pack("nut", 0.4) }),
  "local-starter": facts("made", 120, "Cool, lid loose.", { living: true }),
  "eggshell": facts("made", null, "Dry; a smell means skins were left in.", { cautions: ["shell-dust", "shellfish"] }),
  "vinegar": facts("bought", 1095, "Closed.", { cautions: ["acid-hands", "strong-vinegar"], ...pack("jug", 5) }),
  "dung-aged": facts("saved", 365, "Under cover, on a floor that doesn't drain to water.", {
    season: ALL,
    cautions: ["manure", "wounds", "herbicide"],
  }),
  "dung-fresh": facts("saved", 3, "Not at all.", { season: ALL, cautions: ["manure", "wounds", "herbicide"] }),
  "manure-aged": facts("saved", 365, "Under cover, on a floor that doesn't drain to water.", {
    season: ALL,
    cautions: ["manure", "wounds", "herbicide"],
  }),
  "pulse-flour": facts("bought", 365, DRY, pack("bag", 1)),
  "urine": facts("saved", 365, "Closed, so that its nitrogen stays in it; labelled; out of reach.", {
    season: ALL,
    cautions: ["urine", "wounds"],
  }),
  "ash": facts("saved", null, "Dry; rain takes the potash out.", { season: ["winter"], cautions: ["caustic-ash"] }),
  "char": facts("made", null, "Damp, so that it doesn't dust.", { cautions: ["char-dust"] }),
  "greens": facts("foraged", 1, "Not at all: used the day it is picked.", {
    season: GROWING,
    cautions: ["poisonous-plants"],
  }),
  "bran": facts("bought", 180, "Dry and cool; rancid bran smells of paint.", pack("sack", 10)),
  "dry-leaves": facts("foraged", 730, "Dry, in sacks.", { season: ["autumn"] }),
  "sugar-water": facts("made", 2, "Not at all.", {}),
  "honey": facts("bought", null, "Closed.", pack("jar", 0.5)),
  "bought-culture": facts("bought", 180, "Cold, and never in a hot car.", {
    openD: 30,
    living: true,
    ...pack("bottle", 0.5),
  }),
  "potato-mash": facts("made", 2, "Cold.", {}),
  "oat-flour": facts("bought", 270, DRY, pack("bag", 1)),
  "guano": facts("bought", null, "Dry and closed; its dust is no good to breathe.", {
    cautions: ["salts", "char-dust"],
    ...pack("bag", 2),
  }),
  "repellent-plant": facts("foraged", 2, "Used the day it is picked.", {
    season: ["summer", "autumn"],
    cautions: ["nicotine", "poisonous-plants"],
  }),
  "shell-raw": facts("saved", null, "Rinsed and dry.", { season: ALL, cautions: ["shellfish"] }),
  "char-lump": facts("bought", null, "Dry. Plain wood only.", { cautions: ["char-dust"], ...pack("sack", 10) }),
  "scraps": facts("saved", 3, "In a lidded pail.", { season: ALL }),
  "jaggery": facts("bought", 540, DRY, pack("block", 1)),
  "palm-sugar": facts("bought", 540, DRY, pack("block", 0.5)),
  "fruit-juice": facts("bought", 180, "Closed; nothing with preservatives, or no yeast lives.", {
    openD: 5,
    ...pack("carton", 1),
  }),
  "yogurt": facts("bought", 21, "Cold; plain and live.", { openD: 7, living: true, ...pack("pot", 0.5) }),
  "buttermilk": facts("bought", 14, "Cold.", { openD: 5, ...pack("carton", 1) }),
  "bread-yeast": facts("bought", 540, "Dry and closed; cold once opened.", {
    openD: 120,
    living: true,
    ...pack("tin", 0.1),
  }),
  "wheat-flour": facts("bought", 365, DRY, pack("bag", 1)),
  "alfalfa-meal": facts("bought", 365, DRY, { cautions: ["herbicide"], ...pack("sack", 10) }),
  "seed-meal": facts("bought", 270, DRY, pack("sack", 10)),
  "seaweed-fresh": facts("foraged", 2, "Rinsed, used the day it is cut.", {
    season: ALL,
    cautions: ["salty-plants", "sodium"],
  }),
  "fish-scraps": facts("saved", 1, "Frozen, or not at all.", { season: ALL, cautions: ["fish-smell"] }),
  "fruit-waste": facts("saved", 2, "Bruised is fine, mouldy is not.", { season: ["summer", "autumn"] }),
  "bone-raw": facts("saved", null, "Boiled clean and dry, out of reach of dogs.", { season: ALL }),
  "sea-shell": facts("foraged", null, "Rinsed of salt, dry.", { season: ALL, cautions: ["shellfish", "sodium"] }),
  "rock-phosphate": facts("bought", null, DRY, { cautions: ["char-dust"], ...pack("sack", 25) }),
  "gypsum": facts("bought", null, DRY, { cautions: ["char-dust"], ...pack("sack", 25) }),
  "garden-soil": facts("saved", 30, "Moist, in a breathing bag; from under plants that thrive.", {
    season: ALL,
    living: true,
  }),
  "straw": facts("bought", 730, "Dry, off the ground.", { cautions: ["herbicide"], ...pack("bale", 12) }),
  "ascorbic-acid": facts("bought", 730, "Dark, dry and closed; yellow powder has lost its strength.", {
    openD: 365,
    ...pack("tub", 0.25),
  }),
  "soft-soap": facts("bought", 1095, "Closed.", pack("bottle", 1)),
  "other-solid": facts("bought", null, "As its maker says."),
  "other-liquid": facts("bought", null, "As its maker says."),
};

/** @returns whether an ingredient may be picked in a season; true where it knows none */
export const inSeason = (id: IngredientId, season: Season): boolean =>
  INGREDIENT_FACTS[id].season.length === 0 || INGREDIENT_FACTS[id].season.includes(season);

/**
 * The season of a calendar day, by whole months from the equinox month; halves of the year turn round south of the equator.
 * @param day ISO date
 */
export function seasonOf(day: string, latitudeDeg: number): Season {
  const month = Number(day.slice(5, 7));
  const northern = (["winter", "spring", "summer", "autumn"] as const)[Math.floor((month % 12) / 3)]!;
  if (latitudeDeg >= 0) return northern;
  return ({ winter: "summer", spring: "autumn", summer: "winter", autumn: "spring" } as const)[northern];
}

/** Day to use it by: a pack that was opened spoils sooner. Null where nothing is known to spoil it. */
export function usualExpiry(id: IngredientId, receivedOn: string, openedOn: string | null): string | null {
  const { keepsD, openD } = INGREDIENT_FACTS[id];
  const days = [
    ...(keepsD === null ? [] : [addDays(receivedOn, keepsD)]),
    ...(openD === null || openedOn === null ? [] : [addDays(openedOn, openD)]),
  ];
  return days.toSorted()[0] ?? null;
}
