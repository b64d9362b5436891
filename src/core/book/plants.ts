import type { IngredientId } from "./ingredients";
import { bareName, namesAnywhere, plantKey } from "./plantNames";

/** What a grower may want to put in a vessel: known by name, since nothing unknown goes in. */
export type PlantKind = "leafy" | "legume" | "flower" | "fruit" | "root" | "water-weed" | "grass";

export interface Plant {
  readonly name: string;
  /** Other names it is typed by. */
  readonly also: readonly string[];
  readonly kind: PlantKind;
  readonly family: string;
  /** Said where it is used; null where nothing speaks against it. */
  readonly caution: string | null;
  /** Why it is refused; null where it may go in. */
  readonly refused: string | null;
}

const good = (
  name: string,
  kind: PlantKind,
  family: string,
  also: readonly string[] = [],
  caution: string | null = null,
): Plant => ({
  name,
  also,
  kind,
  family,
  caution,
  refused: null,
});
const poison = (name: string, family: string, refused: string, also: readonly string[] = []): Plant => ({
  name,
  also,
  kind: "leafy",
  family,
  caution: null,
  refused,
});

const SALTY = "Brackish or salty: rinse it well, or use half. Salt stays in the soil.";
const OWN_KIN = "May carry the crop's own diseases: never on tomato, pepper, potato or aubergine, and not on leaves.";
const SEEDS = "Take it before it sets seed, or it is sown with every can.";

/** Plants that growers use, and those that must never go in. */
export const PLANTS: readonly Plant[] = [
  good("nettle", "leafy", "nettle", ["nettles", "stinging nettle"], "It stings until it is chopped and wet: gloves."),
  good("comfrey", "leafy", "borage", [], "Keep it off skin wounds and out of drinks; it is for soil and leaves only."),
  good("dandelion", "leafy", "daisy", ["dandelions"], SEEDS),
  good("plantain", "leafy", "plantain", []),
  good("chickweed", "leafy", "pink", [], SEEDS),
  good("borage", "leafy", "borage", []),
  good("yarrow", "leafy", "daisy", []),
  good("mugwort", "leafy", "daisy", ["wormwood"], "Strong: it slows other ferments. A tenth of the plant at most."),
  good("purslane", "leafy", "purslane", [], SEEDS),
  good("amaranth", "leafy", "amaranth", ["pigweed"], SEEDS),
  good("spinach", "leafy", "amaranth", ["chard", "beet leaves", "beet greens"]),
  good("lettuce", "leafy", "daisy", []),
  good(
    "cabbage leaf",
    "leafy",
    "cabbage",
    ["cabbage", "cabbages", "kale", "mustard", "radish leaves", "brassica"],
    "Smells of sulphur by nature: judge it by pH, not by that smell.",
  ),
  good("sweet potato vine", "leafy", "bindweed", ["sweet potato vines", "sweet potato leaves"]),
  good("squash leaf", "leafy", "gourd", ["squash leaves", "pumpkin leaves", "pumpkin vines"]),
  good("banana leaf", "leafy", "banana", ["banana leaves", "banana stem"]),
  good("bamboo shoot", "leafy", "grass", ["bamboo shoots"]),
  good(
    "weeds",
    "leafy",
    "mixed",
    ["weed", "thinnings", "crop waste", "garden greens", "greens"],
    "Every one of them named, and none of them poisonous.",
  ),
  good("willow tips", "leafy", "willow", ["willow"], "For rooting."),
  good("clover", "legume", "pea", ["clovers"]),
  good("alfalfa", "legume", "pea", ["lucerne"]),
  good("vetch", "legume", "pea", ["vetches"]),
  good(
    "bean leaf",
    "legume",
    "pea",
    ["bean leaves", "beans", "pea leaves", "peas", "pea vines"],
    "Raw beans of some kinds upset people: leaves and vines only.",
  ),
  good("moringa", "legume", "moringa", ["moringa leaves"]),
  good("pigeon pea", "legume", "pea", []),
  good(
    "flowers",
    "flower",
    "mixed",
    ["flower", "blossom", "blossoms"],
    "Every one of them named, and none of them poisonous.",
  ),
  good("marigold", "flower", "daisy", ["calendula", "marigolds"]),
  good("sunflower", "flower", "daisy", ["sunflowers"]),
  good(
    "plum",
    "fruit",
    "rose",
    ["plums", "damson", "sloe"],
    "Stones left whole or taken out: crushed, they give off cyanide.",
  ),
  good("apple", "fruit", "rose", ["apples", "windfalls", "pear", "pears", "windfall apples"]),
  good(
    "cherry",
    "fruit",
    "rose",
    ["cherries", "peaches", "peach", "apricot", "apricots"],
    "Fruit only, stones left whole or taken out: leaves and crushed stones give off cyanide.",
  ),
  good("banana", "fruit", "banana", ["bananas", "banana peels", "banana peel"]),
  good("papaya", "fruit", "papaya", ["papayas", "mango", "mangoes", "pineapple", "guava"]),
  good("squash", "fruit", "gourd", [
    "pumpkin",
    "pumpkins",
    "courgettes",
    "zucchini",
    "melon",
    "melons",
    "cucumber",
    "cucumbers",
  ]),
  good("berries", "fruit", "rose", [
    "berry",
    "strawberries",
    "raspberries",
    "blackberries",
    "currants",
    "grapes",
    "grape",
  ]),
  good("fruit", "fruit", "mixed", ["fruits", "unripe fruit", "spoiled fruit"], "Bruised is fine; mouldy is not."),
  good(
    "tomato",
    "fruit",
    "nightshade",
    [
      "tomatoes",
      "tomato leaf",
      "tomato leaves",
      "tomato plants",
      "tomato suckers",
      "pepper",
      "peppers",
      "aubergine",
      "eggplant",
    ],
    OWN_KIN,
  ),
  good("carrot", "root", "carrot", ["carrots"]),
  good("beet", "root", "amaranth", ["beets", "beetroot", "turnip", "turnips"]),
  good(
    "ginger",
    "root",
    "ginger",
    ["garlic", "onion", "onions", "turmeric"],
    "Strong: it slows other ferments. A tenth of the plant at most.",
  ),
  good(
    "duckweed",
    "water-weed",
    "arum",
    ["water weed", "lake grass", "lake weed", "pond weed", "pondweed", "water hyacinth"],
    "Not where the water is green as paint or smells musty: such blooms are poisonous to people and dogs, and no brewing helps. Brackish: rinse it well.",
  ),
  good("seaweed", "water-weed", "seaweed", ["kelp", "wrack"], SALTY),
  good(
    "grass",
    "grass",
    "grass",
    ["grass clippings", "clippings", "lawn"],
    "From a lawn or a field that was not sprayed: weedkiller survives it. Sow three beans in it first.",
  ),
  poison("hemlock", "carrot", "Hemlock kills, and a mouthful of spray is enough.", [
    "water hemlock",
    "poison hemlock",
    "conium",
    "cicuta",
    "water dropwort",
  ]),
  poison("foxglove", "plantain", "Foxglove stops hearts.", ["digitalis"]),
  poison("oleander", "dogbane", "Oleander stops hearts, in smoke and in water too.", ["nerium"]),
  poison("yew", "yew", "Yew kills people and beasts, dry or green.", ["taxus"]),
  poison("lily of the valley", "asparagus", "Lily of the valley poisons the heart.", ["convallaria"]),
  poison("ragwort", "daisy", "Ragwort ruins livers, slowly and for good.", [
    "groundsel",
    "senecio",
    "jacobaea",
    "tansy ragwort",
    "stinking willie",
  ]),
  poison("monkshood", "buttercup", "Monkshood kills through the skin.", ["aconite", "aconitum", "wolfsbane"]),
  poison("deadly nightshade", "nightshade", "Nightshade poisons people.", [
    "nightshade",
    "belladonna",
    "atropa",
    "thorn apple",
    "datura",
    "jimson weed",
    "jimsonweed",
    "henbane",
    "hyoscyamus",
    "angel's trumpet",
    "brugmansia",
    "moonflower",
  ]),
  poison("castor bean", "spurge", "Castor bean holds ricin.", ["castor", "ricin", "ricinus", "castor oil plant"]),
  poison("tobacco", "nightshade", "Nicotine poisons people, and tobacco carries virus to tomatoes and their kin.", [
    "nicotine",
    "nicotiana",
    "tabacum",
    "cigarette",
  ]),
  poison("laburnum", "pea", "Laburnum poisons people and animals.", ["golden chain", "golden rain tree"]),
  poison("giant hogweed", "carrot", "Its sap burns skin in the sun.", ["hogweed", "heracleum"]),
  poison("poison ivy", "sumac", "Its oil burns skin and lungs.", ["poison oak", "poison sumac", "toxicodendron"]),
  poison("ivy", "ginseng", "Ivy is poisonous and burns skin."),
  poison("meadow saffron", "colchicum", "Meadow saffron kills, and is taken for wild garlic.", [
    "autumn crocus",
    "colchicum",
  ]),
  poison("false hellebore", "melanthium", "It kills, and is taken for wild garlic or ramps.", ["veratrum"]),
  poison("hellebore", "buttercup", "Hellebore poisons the heart.", ["helleborus", "christmas rose"]),
  poison("buttercup", "buttercup", "Fresh buttercup blisters mouth and skin.", ["ranunculus", "lesser celandine"]),
  poison("larkspur", "buttercup", "Larkspur stops breathing.", ["delphinium"]),
  poison("lords and ladies", "arum", "Its juice swells the throat.", ["cuckoo pint", "arum", "dieffenbachia"]),
  poison("bryony", "gourd", "Bryony poisons people.", ["bryonia", "black bryony"]),
  poison("dog's mercury", "spurge", "Dog’s mercury poisons people and beasts.", ["mercurialis"]),
  poison("spurge", "spurge", "Its milk burns skin and eyes.", ["euphorbia"]),
  poison("cherry laurel", "rose", "Cherry laurel gives off cyanide when it is crushed.", [
    "laurocerasus",
    "laurel hedge",
  ]),
  poison("rhododendron", "heath", "It poisons people and beasts.", ["azalea", "mountain laurel"]),
  poison("daphne", "mezereum", "Daphne burns the mouth and kills.", ["mezereon", "spurge laurel"]),
  poison("privet", "olive", "Privet poisons people and beasts.", ["ligustrum"]),
  poison("wisteria", "pea", "Wisteria poisons people."),
  poison("lantana", "verbena", "Lantana ruins livers."),
  poison("pokeweed", "pokeweed", "Pokeweed poisons people, root and leaf.", ["phytolacca", "pokeberry"]),
  poison("daffodil", "amaryllis", "Daffodils poison people, bulb and leaf.", ["narcissus", "snowdrop"]),
  poison("rosary pea", "pea", "A single seed can kill.", ["abrus"]),
  poison("rhubarb leaf", "dock", "Rhubarb leaves are poisonous; the stalks may go in."),
];

const BY_KEY = new Map(
  PLANTS.flatMap((plant) => [plant.name, ...plant.also].map((name) => [plantKey(name), plant] as const)),
);

/** A plant by any of its names, plural or with a part of it named; null for one that the book doesn't know, which is a reason to leave it out. */
export const findPlant = (typed: string): Plant | null =>
  BY_KEY.get(plantKey(typed)) ?? BY_KEY.get(bareName(typed)) ?? null;

/** The poisonous plant that a text names anywhere in it, by any of its names, with a slip of a letter too; null where none does. */
export const poisonIn = (text: string): Plant | null =>
  PLANTS.find(
    ({ refused, name, also }) => refused !== null && [name, ...also].some((word) => namesAnywhere(text, word)),
  ) ?? null;

/** Words that say many plants and none: what is in them is asked. */
export const NAMES_NONE: readonly string[] = [
  "weed",
  "green",
  "garden green",
  "thinning",
  "crop waste",
  "plant",
  "flower",
  "blossom",
  "hedge clipping",
  "foliage",
  "leaf",
  "mixed weed",
];

/** Ingredients whose place a plant takes, by its kind, with what that kind is chosen for. */
export const PLANT_SLOTS: Readonly<
  Record<PlantKind, { readonly slots: readonly IngredientId[]; readonly good: string }>
> = {
  "leafy": { slots: ["plant", "greens"], good: "leaf growth" },
  "legume": { slots: ["plant", "legume-leaf", "greens"], good: "leaf growth" },
  "flower": { slots: ["plant"], good: "the turn to flowering" },
  "fruit": { slots: ["plant"], good: "flowering and fruiting" },
  "root": { slots: ["plant"], good: "rooting, potassium" },
  "water-weed": { slots: ["plant", "greens"], good: "leaf growth" },
  "grass": { slots: ["greens"], good: "nitrogen" },
};
