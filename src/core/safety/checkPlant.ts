import { plantKey, plantsIn } from "../book/plantNames";
import { findPlant, NAMES_NONE, poisonIn, type Plant } from "../book/plants";

export type PlantCheck =
  | { readonly type: "refused"; readonly plant: Plant; readonly why: string }
  | { readonly type: "caution"; readonly plant: Plant; readonly why: string }
  | { readonly type: "unknown"; readonly why: string }
  | { readonly type: "good"; readonly plant: Plant };

/** Families of crops as growers name them, for keeping a crop's own kin off it. */
const CROP_FAMILIES: readonly (readonly [RegExp, string])[] = [
  [/tomato|pepper|potato|aubergine|chilli/, "nightshade"],
  [/cabbage|kale|radish|turnip|broccoli|mustard|rocket/, "cabbage"],
  [/bean|pea|lentil|clover|lucerne/, "pea"],
  [/cucumber|squash|pumpkin|melon|courgette/, "gourd"],
  [/carrot|parsley|fennel|celery|parsnip|dill/, "carrot"],
  [/lettuce|sunflower|chicory|artichoke/, "daisy"],
  [/beet|chard|spinach/, "amaranth"],
  [/apple|pear|plum|cherry|strawberr|raspberr|rose/, "rose"],
];

/** The family of a crop; null where it is not known by name. Sweet potato is no potato. */
export function familyOfCrop(crop: string): string | null {
  const wanted = crop.trim().toLowerCase();
  if (wanted.startsWith("sweet potato")) return "bindweed";
  return CROP_FAMILIES.find(([names]) => names.test(wanted))?.[1] ?? null;
}

/** Places that nothing is picked from, whatever grows there. */
export const NEVER_FROM = ["roadside", "sprayed", "railway", "car park", "industrial", "dump"] as const;

const GRAVITY = { refused: 3, unknown: 2, caution: 1, good: 0 } as const;

function checkOne(species: string, place: string, crops: readonly string[]): PlantCheck {
  const lurking = poisonIn(species);
  if (lurking) return { type: "refused", plant: lurking, why: lurking.refused! };
  const plant = findPlant(species);
  if (NAMES_NONE.includes(plantKey(species)) || (plant !== null && plant.family === "mixed" && plant.kind !== "fruit"))
    return {
      type: "unknown",
      why: `“${species.trim()}” may be anything: which plants are they? Name each, such as nettle, chickweed, dock.`,
    };
  const bad = NEVER_FROM.find((word) => place.toLowerCase().includes(word));
  if (bad && plant)
    return {
      type: "caution",
      plant,
      why: `Nothing is picked from ${bad} ground: exhaust, spray and runoff stay in the leaf.`,
    };
  if (!plant)
    return {
      type: "unknown",
      why: `The book doesn't know "${species.trim()}". Only plants you can name and would dare to eat go in.`,
    };
  const kin = crops.find((crop) => familyOfCrop(crop) === plant.family);
  if (kin)
    return {
      type: "caution",
      plant,
      why: `${plant.name} is of the ${plant.family} family, as ${kin} is: it may carry its diseases.`,
    };
  return plant.caution ? { type: "caution", plant, why: plant.caution } : { type: "good", plant };
}

/**
 * Whether what was picked may go into a brew; several plants of one line are each looked at, and the gravest word counts. A poisonous one, known by any of
 * its names, plural, Latin or misspelt by a letter, anywhere in the text, is refused for good; an unknown one, a name that says none, one that wants
 * care, one from bad ground or of the crop's own family wants a reason that is kept.
 * @param crops what it is meant for; may be empty
 */
export function checkPlant(species: string, place: string, crops: readonly string[]): PlantCheck {
  const lurking = poisonIn(species);
  if (lurking) return { type: "refused", plant: lurking, why: lurking.refused! };
  const names = findPlant(species) ? [species] : plantsIn(species);
  const checks = (names.length > 0 ? names : [species]).map((name) => checkOne(name, place, crops));
  return checks.toSorted((a, b) => GRAVITY[b.type] - GRAVITY[a.type])[0]!;
}
