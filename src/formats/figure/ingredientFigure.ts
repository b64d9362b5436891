import { findRecipe, METHODS } from "@/core/book";
import { findIngredient, INGREDIENT_IDS, INGREDIENTS, isWater, type IngredientId } from "@/core/book/ingredients";
import { type ReadAmount, readAmount } from "@/core/quantity/typed/amount";
import { readUnit } from "@/core/quantity/typed/unitWords";
import { sayQuantity, sayStock, sayVolume } from "../amounts";
import { formatNumber } from "../numbers";
import { base, unreadable, volumeOf, type Figure, type FigureAnswer, type FigureOptions } from "./parts";
import { inText } from "../grammar";

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/^of /, "")
    .replace(/[^a-z ]+/g, " ")
    .trim();

/** The ingredient that a name means; null where it names none, or more than one. */
export function ingredientNamed(text: string): IngredientId | null {
  const name = plain(text);
  if (name.length < 3) return null;
  const words = (id: IngredientId) => inText(INGREDIENTS[id].name);
  const exact = INGREDIENT_IDS.filter((id) => words(id) === name || id.replace("-", " ") === name);
  const like = exact.length > 0 ? exact : INGREDIENT_IDS.filter((id) => words(id).split(/\W+/).includes(name));
  return like.length === 1 ? like[0]! : null;
}

/**
 * "15 lb castings": how much water so much of an ingredient serves in each method that is counted by water, at the usual and at the thinnest
 * that growers go. Null where the name is no ingredient, or no method counts it so.
 */
export function servesFigure(amount: ReadAmount, name: string, { units, measures }: FigureOptions): Figure | null {
  const id = ingredientNamed(name);
  if (id === null || isWater(id)) return null;
  const { stockUnit } = findIngredient(id);
  const wanted = stockUnit === "kg" ? "mass" : "volume";
  const reading = amount.readings.find((quantity) => base(quantity, measures).dimension === wanted);
  if (!reading) return null;
  const held = base(reading, measures).value;
  const answers = METHODS.flatMap((method): FigureAnswer[] => {
    const recipe = findRecipe(method.id);
    const line = recipe.ingredients.find(({ ingredient, optional }) => ingredient === id && !optional);
    if (!isWater(recipe.basis) || line?.amount.type !== "per-basis") return [];
    const { low, default: usual, high } = line.amount.perBasis;
    if (!(usual > 0)) return [];
    const span = high > low * 1.001 ? `; ${sayVolume(held / high, units)} to ${sayVolume(held / low, units)}` : "";
    return [
      {
        label: `water for ${inText(method.name)}`,
        quantity: { value: held / usual, unit: "L" },
        text: `${sayVolume(held / usual, units)}${span}`,
      },
    ];
  });
  return answers.length === 0
    ? null
    : {
        answers,
        working: `${sayQuantity(reading)} = ${sayStock(held, stockUnit, units)} of ${inText(INGREDIENTS[id].name)}, by each recipe's own share`,
        assumed: ["the cautious recipe of each; the largest is the thinnest that growers go"],
      };
}

const PER =
  /^(.+?)\s*(?:\/|\bper\b|\bto (?:a|the)\b)\s*(?:a |the )?([a-z ]+?)(?:\s+of\s+([a-z ]+?))?(?:\s+in\s+(.+))?$/i;

/**
 * "1 tbsp of sea salt per litre", "2 Tbsp salt per L in 20 L": grams to the litre, and for a volume behind it how much in all. Null where the text
 * is no such thing.
 */
export function perLitreFigure(text: string, { units, measures }: FigureOptions): Figure | null {
  const [, left = "", per = "", behind, inAll] = PER.exec(text) ?? [];
  const amount = readAmount(left, units, measures);
  const litre = readUnit(per, units, measures)[0];
  if (!amount || amount.readings.length === 0 || litre === undefined) return null;
  const id = ingredientNamed(amount.rest !== "" ? amount.rest : (behind ?? ""));
  if (id === null) return null;
  const { densityKgPerL, name } = findIngredient(id);
  const perL = base({ value: 1, unit: litre }, measures);
  if (perL.dimension !== "volume") return null;
  const one = amount.readings
    .map((quantity) => ({ quantity, amount: base(quantity, measures) }))
    .find(({ amount: { dimension } }) => dimension === "mass" || (dimension === "volume" && densityKgPerL !== null));
  if (!one) return null;
  const kg = one.amount.dimension === "mass" ? one.amount.value : one.amount.value * densityKgPerL!;
  const gPerL = (kg * 1000) / perL.value;
  const total = inAll === undefined ? null : readAmount(inAll, units, measures);
  if (inAll !== undefined && (!total || total.rest !== "")) throw unreadable(inAll, { code: "volume-after-in" });
  return {
    answers: [
      {
        label: `${inText(name)} to the litre`,
        quantity: { value: gPerL, unit: "g" },
        text: `${formatNumber(gPerL, 3)} g`,
      },
      ...volumeOf(total?.readings ?? [], measures).map(({ quantity, amount: { value } }) => ({
        label: `in ${sayQuantity(quantity)}`,
        quantity: { value: (gPerL * value) / 1000, unit: "kg" },
        text: sayStock((gPerL * value) / 1000, "kg", units),
      })),
    ],
    working: `${sayQuantity(one.quantity)} of ${inText(name)} weigh ${formatNumber(kg * 1000, 3)} g`,
    assumed: [
      ...(one.amount.dimension === "volume"
        ? [`${inText(name)} weighs ${formatNumber(densityKgPerL!, 3)} kg a litre; yours may differ by a tenth`]
        : []),
      ...(id === "sea-salt"
        ? ["Salt stays in the soil: brews want 1 g to the litre at most, a salted ferment 18"]
        : []),
    ],
  };
}
