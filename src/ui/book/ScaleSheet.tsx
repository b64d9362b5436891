"use client";
import { Link } from "../kit/Link";
import type { Recipe } from "@/core/book/recipe";
import type { RecipeKey } from "@/core/recipe/pick";
import { sayVolume } from "@/formats/amounts";
import type { BookView } from "@/services/book";
import { queryOf } from "../fill/recipeKey";
import { buttonClass } from "../kit/Button";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { ScaleResult } from "./ScaleResult";
import { WaterNeed } from "./WaterNeed";
import { useScale, type Scaling } from "./useScale";
import type { ScaleStart } from "./scaleDraft";
import { ScaleChoices } from "./ScaleChoices";
import { inText } from "@/formats/grammar";

interface ScaleSheetProps {
  readonly view: BookView;
  readonly recipeKey: RecipeKey;
  readonly recipe: Recipe;
  readonly start: ScaleStart | null;
  readonly onClose: () => void;
}

/** What comes of it, and the way to the fill. */
const ScaleFoot = ({
  view,
  recipeKey,
  scaling,
}: {
  readonly view: BookView;
  readonly recipeKey: RecipeKey;
  readonly scaling: Scaling;
}) => {
  const { units } = view.farm;
  const {
    draft,
    vessel,
    sized,
    result: { scaled, problem },
  } = scaling;
  return (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <p className={problem ? "font-semibold text-rust" : "text-soft"} aria-live="polite">
        {problem
          ? problem.text
          : scaled
            ? `Fills to ${sayVolume(scaled.occupiedL, units)}; ${sayVolume(scaled.headspaceL, units)} of headspace.`
            : ""}
      </p>
      {vessel && draft.by !== "split" ? (
        vessel.status === "free" ? (
          <Link href={`/?fill=${vessel.id}&${queryOf(recipeKey)}${sized}`} className={buttonClass("strong")}>
            Fill {vessel.name}
          </Link>
        ) : (
          <span className="text-soft">{vessel.name} is not free just now.</span>
        )
      ) : null}
    </div>
  );
};

/** A recipe scaled by a vessel, an amount, a level, the land, or whatever runs out; the vessel's level moves as it is typed. */
export const ScaleSheet = ({ view, recipeKey, recipe, start, onClose }: ScaleSheetProps) => {
  const scaling = useScale(view, recipe, start);
  const { draft, set, result, at } = scaling;
  const { scaled, problem } = result;
  return (
    <Sheet
      wide
      open
      onClose={onClose}
      title={`Scale: ${inText(recipe.shortName)}`}
      lead={`${recipe.school.name}. ${recipe.school.stance}`}
      foot={<ScaleFoot view={view} recipeKey={recipeKey} scaling={scaling} />}
    >
      <div className="grid gap-5 md:grid-cols-[290px_1fr]">
        <ScaleChoices view={view} recipe={recipe} scaling={scaling} />
        <div className="grid content-start gap-5">
          {problem && ["", "split"].includes(problem.field) ? <Notice tone="error">{problem.text}</Notice> : null}
          {scaled ? (
            <ScaleResult
              view={view}
              recipe={recipe}
              scaled={scaled}
              split={result.split}
              draft={draft}
              onChange={set}
              problemAt={at}
            />
          ) : null}
          {scaled && !result.split ? <WaterNeed view={view} recipe={recipe} scaled={scaled} /> : null}
        </div>
      </div>
    </Sheet>
  );
};
