import { findRecipe, METHODS } from "@/core/book";
import { findIngredient } from "@/core/book/ingredients";
import type { Method } from "@/core/book/types";
import { scaleRecipe } from "@/core/recipe/scale";
import { sayQuantity, sayStock, sayVolume } from "../amounts";
import { unreadable, volumeOf, type Figure, type FigureOptions } from "./parts";
import type { ReadAmount } from "@/core/quantity/typed/amount";
import { inText } from "../grammar";

/** Words that say a vessel rather than what is in it. */
const FILLER = /\b(drums?|totes?|pails?|jars?|vessels?|tanks?|batch|of|a|the|for|my|our)\b/g;
const wordsOf = (text: string) =>
  text
    .toLowerCase()
    .replace(FILLER, " ")
    .split(/[^a-z]+/)
    .filter((word) => word.length > 2);

/** Short names in growers' mouths, and the methods that each may mean; several where it is asked which. */
const SHORT_NAMES: Readonly<Record<string, readonly string[]>> = {
  "act": ["aerated-tea"],
  "aact": ["aerated-tea"],
  "compost tea": ["aerated-tea"],
  "worm tea": ["aerated-tea", "leachate-bloom"],
  "worm juice": ["leachate-bloom"],
  "leachate": ["leachate-bloom"],
  "tea": ["aerated-tea", "feeding-tea", "drum-manure-tea"],
  "jms": ["leaf-mould-brew"],
  "potato brew": ["leaf-mould-brew"],
  "lab": ["lactic-serum"],
  "labs": ["lactic-serum"],
  "serum": ["lactic-serum"],
  "rice wash": ["lactic-serum"],
  "rice water": ["lactic-serum"],
  "fpj": ["plant-juice"],
  "ffj": ["plant-juice"],
  "fermented plant juice": ["plant-juice", "cultured-extract"],
  "fpe": ["cultured-extract"],
  "plant ferment": ["cultured-extract", "plant-juice", "legume-leaf-ferment"],
  "wca": ["shell-calcium"],
  "wsca": ["shell-calcium"],
  "ws ca": ["shell-calcium"],
  "water soluble calcium": ["shell-calcium"],
  "eggshell vinegar": ["shell-calcium"],
  "eggshells": ["shell-calcium"],
  "calcium": ["shell-calcium"],
  "jlf": ["leaf-soak"],
  "weed tea": ["leaf-soak"],
  "nettle tea": ["leaf-soak"],
  "plant liquid": ["leaf-soak", "cultured-extract"],
  "jeevamrut": ["dung-flour-ferment"],
  "jiwamrita": ["dung-flour-ferment"],
  "manure tea": ["drum-manure-tea"],
  "dung tea": ["drum-manure-tea", "dung-flour-ferment"],
  "biochar": ["charged-char"],
  "char": ["charged-char", "char-green-liquid"],
  "bokashi": ["bran-starter"],
  "imo": ["bran-starter", "leaf-mould-brew"],
  "milk": ["milk-spray", "lactic-serum"],
};

/**
 * The methods that a name may mean: by growers' own short names, or where every word typed is in the method's name; one, none, or several that are
 * easily taken for each other.
 */
export function methodsNamed(text: string): Method[] {
  const short =
    SHORT_NAMES[
      text
        .toLowerCase()
        .replace(FILLER, " ")
        .replace(/[^a-z]+/g, " ")
        .trim()
    ];
  if (short) return METHODS.filter(({ id }) => short.includes(id));
  const typed = wordsOf(text);
  if (typed.length === 0) return [];
  return METHODS.filter((method) => {
    const known = wordsOf(`${method.name} ${method.shortName} ${method.id}`);
    return typed.every((word) => known.some((name) => name.startsWith(word) || word.startsWith(name)));
  });
}

/** "200 L cultured extract": what goes into a vessel of that size, by the cautious school. */
export function recipeFigure(left: ReadAmount, method: Method, { units, measures }: FigureOptions): Figure {
  const [vessel] = volumeOf(left.readings, measures);
  if (!vessel) throw unreadable(sayQuantity(left.readings[0]!), { code: "vessel-wanted" });
  const recipe = findRecipe(method.id);
  const scaled = scaleRecipe({ recipe, vesselL: vessel.amount.value });
  return {
    answers: scaled.lines.map((line) => ({
      label: `${inText(findIngredient(line.ingredient).name)}${line.part === "cap" ? ", the cap on top" : ""}`,
      quantity: { value: line.amount, unit: line.unit },
      text: sayStock(line.amount, line.unit, units),
    })),
    working: `${sayQuantity(vessel.quantity)} filled to ${Math.round(recipe.fillShare.default * 100)} %: ${sayVolume(scaled.occupiedL, units)} with what the solids push up`,
    assumed: [`${method.name}, ${inText(recipe.school.name)}, the cautious recipe`],
  };
}
