import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { substitutesFor } from "@/core/book/substitutes";
import type { ScaledRecipe } from "@/core/recipe/scale";
import { leastStarts, thinnest } from "@/core/recipe/starter";
import { spreadInstead, TOP_DRESSING_KG_PER_M2 } from "@/core/recipe/spreadInstead";
import { sayArea, sayMoney, sayStock, type UnitSystem } from "@/formats/amounts";
import { sayKgPerArea } from "@/formats/fieldUnits";
import type { BookView } from "@/services/book";
import { Notice } from "../kit/Notice";
import { inText } from "@/formats/grammar";

interface FactsProps {
  readonly view: BookView;
  readonly recipe: Recipe;
  readonly scaled: ScaledRecipe;
}

/** Tea beside the same castings spread as they are: growers differ on which does more. */
export const OrSpreadIt = ({ view, recipe, scaled }: FactsProps) => {
  const spread = spreadInstead(recipe, scaled);
  if (!spread) return null;
  const { units, currency } = view.farm;
  const price = view.priceMinor[spread.ingredient];
  return (
    <Notice tone="plain" title="Or spread it">
      {`As tea it waters ${sayArea(spread.teaM2, units)}. The same ${sayStock(spread.amountKg, "kg", units)} spread thinly, ${sayKgPerArea(TOP_DRESSING_KG_PER_M2, units)}, dress ${sayArea(spread.dressedM2, units)}${price === undefined ? "" : ` for ${sayMoney(spread.amountKg * price, currency)}`} with no brewing; some growers find that it does as well.`}
    </Notice>
  );
};

/** The dear starters: how little still starts it, and the cheapest that would do, by what the shed's cost. */
export const Starters = ({ view, recipe, scaled }: FactsProps) => {
  const { units, currency } = view.farm;
  return leastStarts(recipe, scaled.liquidL).map(({ ingredient, least }) => {
    const { name, stockUnit } = findIngredient(ingredient);
    const sources = [{ use: ingredient, factor: 1 }, ...substitutesFor(ingredient)]
      .flatMap(({ use, factor }) => {
        const price = view.priceMinor[use];
        return price === undefined ? [] : [{ use, amount: least * factor, costMinor: price * least * factor }];
      })
      .toSorted((a, b) => a.costMinor - b.costMinor);
    const cheapest = sources[0];
    return (
      <p key={ingredient} className="text-[0.95rem]">
        {name}: at least {sayStock(least, stockUnit, units)} still starts it in good time.
        {cheapest
          ? ` Cheapest here: ${sayStock(cheapest.amount, findIngredient(cheapest.use).stockUnit, units)} of ${inText(findIngredient(cheapest.use).name)}, ${sayMoney(cheapest.costMinor, currency)}.`
          : ""}
      </p>
    );
  });
};

/** Every limit, the tightest first, and how far each goes at the thinnest. */
export const Bounds = ({
  scaled,
  recipe,
  units,
}: Pick<FactsProps, "scaled" | "recipe"> & { readonly units: UnitSystem }) => {
  if (scaled.bounds.length < 2) return null;
  const { stockUnit, name } = findIngredient(recipe.basis);
  return (
    <p aria-label="What limits it">
      {scaled.bounds.map(({ by, basisAmount }, index) => (
        <span key={by} className={index === 0 ? "font-semibold" : "text-soft"}>
          {index > 0 ? "; " : ""}
          {by === "vessel" ? "the vessel" : by === "target" ? "what is wanted" : inText(findIngredient(by).name)} goes
          to {sayStock(basisAmount, stockUnit, units)} of {inText(name)}
          {index === 0 ? " and governs" : ""}
          {thinnest(recipe, by, basisAmount) === null
            ? ""
            : `, to ${sayStock(thinnest(recipe, by, basisAmount)!, stockUnit, units)} at the thinnest that growers go`}
        </span>
      ))}
      .
    </p>
  );
};
