/** The part of a crop that is eaten. `none`: nobody eats of it. */
export type EdiblePart = "leaf" | "stem" | "root" | "fruit" | "seed" | "flower" | "none";

export interface CropFacts {
  readonly part: EdiblePart;
  /** The edible part lies in or on the soil, or is splashed by it. */
  readonly touchesSoil: boolean;
  readonly eatenRaw: boolean;
}

const facts = (part: EdiblePart, touchesSoil: boolean, eatenRaw: boolean): CropFacts => ({
  part,
  touchesSoil,
  eatenRaw,
});

/** Crops by the words that growers type, the first that fits; touch and raw are judged on the careful side. */
const CROPS: readonly (readonly [RegExp, CropFacts])[] = [
  [/\b(lawn|grass|meadow|hedge|willow|green manure|cover crop|flowers?|ornamental)/, facts("none", false, false)],
  [
    /\b(lettuces?|salads?|rocket|spinach|chard|endive|cress|mizuna|pak ?choi|purslane|lamb'?s lettuce)\b/,
    facts("leaf", true, true),
  ],
  [/\b(herbs?|parsley|basil|coriander|cilantro|dill|mint|chives?|sage|thyme)\b/, facts("leaf", true, true)],
  [/\b(cabbages?|kales?|collards?|brussels sprouts?)\b/, facts("leaf", true, true)],
  [/\b(celery|fennel|leeks?|rhubarb|asparagus|kohlrabi|spring onions?|scallions?)\b/, facts("stem", true, true)],
  [/\b(broccoli|cauliflowers?|artichokes?)\b/, facts("flower", true, true)],
  [/\bsweet ?potato/, facts("root", true, false)],
  [/\b(potato(es)?|cassava|yams?|taro)\b/, facts("root", true, false)],
  [
    /\b(carrots?|radish(es)?|beets?|beetroots?|turnips?|parsnips?|onions?|garlic|ginger|turmeric|celeriac|swedes?)\b/,
    facts("root", true, true),
  ],
  [
    /\b(strawberr(y|ies)|cucumbers?|squash(es)?|pumpkins?|melons?|courgettes?|zucchini|marrows?)\b/,
    facts("fruit", true, true),
  ],
  [/\b(tomato(es)?|peppers?|chill?i(es)?|aubergines?|eggplants?|okra)\b/, facts("fruit", false, true)],
  [/\b(beans?|peas?|lentils?|chickpeas?)\b/, facts("seed", false, true)],
  [/\b(maize|corn|wheat|barley|oats?|rye|rice|sunflowers?)\b/, facts("seed", false, false)],
  [
    /\b(apples?|pears?|plums?|cherr(y|ies)|peach(es)?|apricots?|quinces?|figs?|citrus|lemons?|oranges?|bananas?|mango(es)?|papayas?|currants?|gooseberr(y|ies)|raspberr(y|ies)|blackberr(y|ies)|blueberr(y|ies)|grapes?|vines?|nuts?|walnuts?|hazels?)\b/,
    facts("fruit", false, true),
  ],
];

/**
 * What of a crop is eaten, by its name and by whether its leaves are. A name that nobody knows is taken as eaten raw off the soil, which is the
 * careful side; no crop at all is null.
 * @param part what is eaten by somebody's own word, which goes before the crop's
 */
export function cropFacts(crop: string, leafEaten: boolean, part: EdiblePart | null = null): CropFacts | null {
  if (part !== null && part !== "leaf") {
    const known = cropFacts(crop, false) ?? facts(part, true, true);
    return { ...known, part, touchesSoil: part === "root" || known.touchesSoil };
  }
  const name = crop.trim().toLowerCase();
  if (name === "") return leafEaten ? facts("leaf", true, true) : null;
  if (leafEaten) return facts("leaf", true, true);
  return CROPS.find(([words]) => words.test(name))?.[1] ?? facts("leaf", true, true);
}
