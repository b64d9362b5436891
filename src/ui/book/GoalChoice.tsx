"use client";
import { useState } from "react";
import { GOAL_IDS, GOALS, type GoalId } from "@/core/book/goals";
import { CROP_STAGE_IDS, CROP_STAGES, rateForStage, type CropStage } from "@/core/choose/byStage";
import { handsMin, methodsFor, rateFor } from "@/core/choose/byGoal";
import { findUse } from "@/core/book/uses";
import { sayDilution, sayMoney } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import type { BookView } from "@/services/book";
import { farmRecipe } from "@/core/recipe/pick";
import { Choices } from "../kit/Choices";
import { SelectField } from "../kit/fields";
import { drumCost } from "./drumCost";
import { MethodPlate } from "./MethodPlate";
import { inText } from "@/formats/grammar";

const STAGE_OF_GOAL: Partial<Record<GoalId, CropStage>> = {
  "before-planting": "bare",
  "wake-soil": "bare",
  "settle-seedlings": "seedling",
  "flowering": "flowering",
  "calcium": "flowering",
  "fruiting": "fruiting",
  "perennials": "perennial",
};

/** What the crop or the soil needs, and what growers make for it, the fittest first. */
export const GoalChoice = ({ view }: { readonly view: BookView }) => {
  const [goal, setGoal] = useState<GoalId>("leaf-growth");
  const [stage, setStage] = useState<CropStage>("growing");
  const fits = methodsFor(goal);
  // A goal mostly names its stage; it can be said otherwise.
  const pick = (next: GoalId) => {
    setGoal(next);
    setStage(STAGE_OF_GOAL[next] ?? "growing");
  };
  return (
    <>
      <div className="max-sm:hidden">
        <Choices
          label="What is wanted"
          value={goal}
          onChange={pick}
          options={GOAL_IDS.map((id) => ({ value: id, label: GOALS[id] }))}
        />
      </div>
      <div className="sm:hidden">
        <SelectField label="What is wanted" value={goal} onChange={(event) => pick(event.target.value as GoalId)}>
          {GOAL_IDS.map((id) => (
            <option key={id} value={id}>
              {GOALS[id]}
            </option>
          ))}
        </SelectField>
      </div>
      <div className="mt-3 max-w-72">
        <SelectField
          label="At what stage"
          value={stage}
          onChange={(event) => setStage(event.target.value as CropStage)}
          hint="The dilution is for this stage."
        >
          {CROP_STAGE_IDS.map((id) => (
            <option key={id} value={id}>
              {CROP_STAGES[id]}
            </option>
          ))}
        </SelectField>
      </div>
      <ol className="mt-2" aria-label={GOALS[goal]}>
        {fits.map(({ method, weight, why }) => {
          const recipe = farmRecipe(view, method.id);
          const lead = view.lead[method.id];
          const days = Math.ceil((lead?.likelyH ?? 0) / 24);
          const cost = drumCost(recipe, view, days);
          const use = goal === "compost" ? rateFor(goal, recipe) : rateForStage(stage, recipe);
          return (
            <MethodPlate
              key={method.id}
              recipe={recipe}
              lead={lead}
              because={`${weight === 3 ? "Made for it. " : weight === 2 ? "Serves well. " : "Helps. "}${why}`}
            >
              <p className="text-[0.9rem]">
                About {formatNumber(handsMin(recipe, days) / 60, 2)} h of hands for a drum of 200 L
                {cost.totalMinor > 0 ? `, ${sayMoney(cost.totalMinor, view.farm.currency)} with them` : ""}
                {cost.unpriced.length > 0 ? ` (no price yet for ${cost.unpriced.join(", ")})` : ""}.{" "}
                {use
                  ? `${findUse(use.use).name}: ${sayDilution(use.partsWater.default)}, never stronger than ${sayDilution(use.partsWater.strongest)}. `
                  : `No strength is stated for this stage (${inText(CROP_STAGES[stage])}): leave it. `}
                {recipe.risk.why}
              </p>
            </MethodPlate>
          );
        })}
      </ol>
      {goal === "wake-soil" || goal === "compost" ? (
        <p className="mt-3 text-soft">
          Ripe compost spread 1 cm thick, or a cover crop, may do as much where the ground is large or far: liquid is
          heavy to carry.
        </p>
      ) : null}
    </>
  );
};
