import type { IngredientId } from "./ingredients";

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
  good("plum", "fruit", "rose", ["plums"]),
  good("apple", "fruit", "rose", ["apples", "windfalls", "pear", "pears", "windfall apples"]),
  good(
    "cherry",
    "fruit",
    "rose",
    ["cherries", "peaches", "peach", "apricot", "apricots"],
    "Fruit only: leaves and stones give off cyanide when crushed.",
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
  good("tomato", "fruit", "nightshade", ["tomatoes", "pepper", "peppers", "aubergine", "eggplant"], OWN_KIN),
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
    SALTY,
  ),
  good("seaweed", "water-weed", "seaweed", ["kelp", "wrack"], SALTY),
  good(
    "grass",
    "grass",
    "grass",
    ["grass clippings", "clippings", "lawn"],
    "From a lawn or a field that was not sprayed: weedkiller survives it. Sow three beans in it first.",
  ),
  poison("hemlock", "carrot", "Hemlock kills, and a mouthful of spray is enough.", ["water hemlock", "poison hemlock"]),
  poison("foxglove", "plantain", "Foxglove stops hearts.", ["digitalis"]),
  poison("oleander", "dogbane", "Oleander stops hearts, in smoke and in water too."),
  poison("yew", "yew", "Yew kills people and beasts, dry or green."),
  poison("lily of the valley", "asparagus", "Lily of the valley poisons the heart.", ["lily-of-the-valley"]),
  poison("ragwort", "daisy", "Ragwort ruins livers, slowly and for good.", ["ragworts", "groundsel"]),
  poison("monkshood", "buttercup", "Monkshood kills through the skin.", ["aconite", "wolfsbane"]),
  poison("deadly nightshade", "nightshade", "Nightshade poisons people.", [
    "belladonna",
    "thorn apple",
    "datura",
    "jimson weed",
    "henbane",
  ]),
  poison("castor bean", "spurge", "Castor bean holds ricin.", ["castor", "ricin"]),
  poison("tobacco", "nightshade", "Nicotine poisons people, and tobacco carries virus to tomatoes and their kin.", [
    "nicotine",
    "tobacco leaves",
  ]),
  poison("laburnum", "pea", "Laburnum poisons people and animals."),
  poison("giant hogweed", "carrot", "Its sap burns skin in the sun.", ["hogweed"]),
  poison("poison ivy", "sumac", "Its oil burns skin and lungs.", ["poison oak"]),
  poison("meadow saffron", "colchicum", "Meadow saffron kills, and is taken for wild garlic.", [
    "autumn crocus",
    "colchicum",
  ]),
  poison("rhubarb leaf", "dock", "Rhubarb leaves are poisonous; the stalks may go in.", ["rhubarb leaves"]),
];

const plain = (text: string) => text.trim().toLowerCase().replace(/\s+/g, " ");

/** A plant by any of its names; null for one that the book doesn't know, which is a reason to leave it out. */
export function findPlant(typed: string): Plant | null {
  const wanted = plain(typed);
  return PLANTS.find(({ name, also }) => name === wanted || also.includes(wanted)) ?? null;
}

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
