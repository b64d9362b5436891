import { INGREDIENT_IDS, INGREDIENTS, type IngredientId } from "@/core/book/ingredients";
import { sayStock, sayVolume } from "../amounts";
import type { Figure, FigureOptions } from "./parts";
import type { ReadAmount } from "@/core/quantity/typed/amount";
import { counted, inText } from "../grammar";

interface Loose {
  readonly words: readonly string[];
  /** Lowest, usual and highest that people mean by it, L. */
  readonly litres: readonly [number, number, number];
  /** The same of what is light and springs back: leaves, mould, bran. */
  readonly fluffyL?: readonly [number, number, number];
}

/** Measures of hand and yard, with the spans that people really mean; judged. */
const LOOSE: readonly Loose[] = [
  { words: ["handful", "handfuls"], litres: [0.04, 0.06, 0.09], fluffyL: [0.25, 0.4, 0.6] },
  { words: ["pail", "pails", "bucket", "buckets"], litres: [10, 15, 20] },
  { words: ["jerry can", "jerry cans", "can", "cans"], litres: [18, 20, 22] },
  { words: ["scoop", "scoops"], litres: [0.5, 1, 1.5] },
  { words: ["cap", "caps", "bottle cap", "bottle caps", "capful", "capfuls"], litres: [0.005, 0.007, 0.012] },
  { words: ["splash", "splashes"], litres: [0.015, 0.04, 0.1] },
  { words: ["barrow", "barrows", "barrowful", "barrowfuls"], litres: [60, 75, 100] },
  { words: ["shovel", "shovels", "shovelful", "shovelfuls"], litres: [2, 4, 6] },
];
/** Lighter than this, kg/L, a thing springs back in the hand. */
const FLUFFY_KG_PER_L = 0.3;

const namesOf = (measure: string) => [measure, `${measure}s`, `${measure}fuls`];

function ingredientNamed(text: string): IngredientId | null {
  const wanted = text
    .toLowerCase()
    .replace(/^of\s+/, "")
    .trim();
  if (wanted === "") return null;
  const tidy = (id: IngredientId) => INGREDIENTS[id].name.toLowerCase();
  return (
    INGREDIENT_IDS.find((id) => tidy(id) === wanted || id.replace("-", " ") === wanted) ??
    INGREDIENT_IDS.find((id) => wanted.length > 2 && tidy(id).includes(wanted)) ??
    null
  );
}

/** Parts a text after one of the measure's words: "handfuls of salt" is handfuls, of salt. */
function splitAt(rest: string, words: readonly string[]): string | null {
  const lower = rest.toLowerCase();
  const word = words
    .toSorted((a, b) => b.length - a.length)
    .find((candidate) => lower === candidate || lower.startsWith(`${candidate} `));
  return word === undefined ? null : rest.slice(word.length).trim();
}

/** "2 handfuls of leaf mould": what it likely is, between what it may be; the farm's own weighing where there is one. */
export function measureFigure(
  { value, rest }: ReadAmount,
  { units, own = [] }: Pick<FigureOptions, "units" | "own">,
): Figure | null {
  for (const weighed of own) {
    const of = splitAt(rest, namesOf(weighed.measure.toLowerCase()));
    const item = of === null ? null : ingredientNamed(of);
    if (item !== weighed.ingredientId || item === null) continue;
    const { stockUnit, name } = INGREDIENTS[item];
    const say = (amount: number) => sayStock(amount * value, stockUnit, units);
    return {
      answers: [
        {
          label: inText(name),
          quantity: { value: value * weighed.mean, unit: stockUnit },
          text: say(weighed.mean),
        },
      ],
      working: `${value} × ${sayStock(weighed.mean, stockUnit, units)} = ${say(weighed.mean)}${weighed.weighings > 1 ? `, ${say(weighed.least)} to ${say(weighed.most)}` : ""}`,
      assumed: [
        `our own ${weighed.measure}, ${counted(weighed.weighings, { one: "weighed once", other: "weighed # times" })}`,
      ],
    };
  }
  for (const { words, litres, fluffyL } of LOOSE) {
    const of = splitAt(rest, words);
    if (of === null) continue;
    const item = ingredientNamed(of);
    if (of !== "" && item === null) return null;
    const thing = item ? INGREDIENTS[item] : null;
    const density = thing?.densityKgPerL ?? null;
    const [low, usual, high] = fluffyL && density !== null && density <= FLUFFY_KG_PER_L ? fluffyL : litres;
    const each = thing && thing.stockUnit === "kg" && density !== null ? density : 1;
    const unit = thing && thing.stockUnit === "kg" && density !== null ? "kg" : "L";
    const say = (amount: number) =>
      unit === "kg" ? sayStock(amount * value * each, "kg", units, 2) : sayVolume(amount * value, units, 2);
    return {
      answers: [
        { label: "likely", quantity: { value: usual * value * each, unit }, text: say(usual) },
        { label: "at least", quantity: { value: low * value * each, unit }, text: say(low) },
        { label: "at most", quantity: { value: high * value * each, unit }, text: say(high) },
      ],
      working: `${value} × ${sayVolume(usual, units, 2)}${unit === "kg" ? ` × ${each} kg/L` : ""} = ${say(usual)}`,
      assumed: [
        `a ${words[0]} is anything from ${sayVolume(low, units, 2)} to ${sayVolume(high, units, 2)} until you weigh your own`,
      ],
    };
  }
  return null;
}
