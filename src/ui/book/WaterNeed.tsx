import { usualRate } from "@/core/book/useRate";
import { findUse } from "@/core/book/uses";
import type { Recipe } from "@/core/book/recipe";
import type { ScaledRecipe } from "@/core/recipe/scale";
import { waterInAll } from "@/core/recipe/waterInAll";
import { sayDilution, sayVolume } from "@/formats/amounts";
import type { BookView } from "@/services/book";
import { inText } from "@/formats/grammar";

/** All the water that a batch asks for, from the brew to the last rinsing, beside what is set aside. */
export const WaterNeed = ({
  view,
  recipe,
  scaled,
}: {
  readonly view: Pick<BookView, "waters" | "farm">;
  readonly recipe: Recipe;
  readonly scaled: ScaledRecipe;
}) => {
  const { units } = view.farm;
  const rate = usualRate(recipe);
  const { brewL, thinL, rinseL, totalL } = waterInAll(recipe, scaled, rate);
  const known = view.waters.waters.flatMap(({ name, leftL }) => (leftL === null ? [] : [{ name, leftL }]));
  const thereL = known.reduce((sum, { leftL }) => sum + leftL, 0);
  const asideL = view.waters.starts.reduce((sum, { leftL }) => sum + leftL, 0);
  return (
    <p aria-label="Water in all" className="text-[0.95rem]">
      Water in all: <span className="reading font-semibold">{sayVolume(totalL, units)}</span>
      {brewL > 0 ? `, ${sayVolume(brewL, units)} to brew` : ""}
      {rate && thinL > 0
        ? `, ${sayVolume(thinL, units)} to dilute it all at ${sayDilution(rate.partsWater.default)} (${inText(findUse(rate.use).name)})`
        : ""}
      , {sayVolume(rinseL, units)} to rinse. Set aside to stand: {asideL > 0 ? sayVolume(asideL, units) : "none"}.{" "}
      {known.length === 0
        ? "What the butts hold is not read yet: it is written down in the shed, under Water."
        : `${known.map(({ name, leftL }) => `${name} holds about ${sayVolume(leftL, units)}`).join("; ")}: ${
            thereL + asideL >= totalL * 0.995 ? "enough." : `${sayVolume(totalL - thereL - asideL, units)} short.`
          }`}
    </p>
  );
};
