import "server-only";
import type { OwnVersion, RecipeKey } from "@/core/recipe/pick";
import { CARRIED, ruleFor, type HarvestRule } from "@/core/safety/carried";
import { listHarvestRules, listPlots } from "@/data/field";
import { listRecipeChoices, listRecipeVersions } from "@/data/recipes";
import { isoDay } from "@/formats/times";
import type { Frame } from "../context";

/** What the farm's own answers rest on: its recipes, its rules, its crops. */
export interface AnswerFactsView {
  readonly versions: readonly OwnVersion[];
  readonly choices: readonly RecipeKey[];
  readonly rules: readonly (HarvestRule & { readonly isOwn: boolean })[];
  readonly crops: readonly string[];
  readonly system: "metric" | "us";
}

export async function readAnswerFacts({ ctx, farm }: Frame): Promise<AnswerFactsView> {
  const [versions, choices, own, plots] = await Promise.all([
    listRecipeVersions(ctx.pool),
    listRecipeChoices(ctx.pool),
    listHarvestRules(ctx.pool),
    listPlots(ctx.pool, isoDay(ctx.now(), farm)),
  ]);
  return {
    versions: versions.map(({ methodId, schoolId, versionNo, document }) => ({
      methodId,
      schoolId,
      versionNo,
      document,
    })),
    choices: choices.map(({ methodId, schoolId, versionNo }) => ({ methodId, schoolId, versionNo })),
    rules: CARRIED.map((hazard) => {
      const { touchingD, clearD } = ruleFor(hazard, own);
      return { hazard, touchingD, clearD, isOwn: own.some((rule) => rule.hazard === hazard) };
    }),
    crops: [...new Set(plots.flatMap(({ crop }) => (crop ? [crop] : [])))].toSorted(),
    system: farm.units,
  };
}
