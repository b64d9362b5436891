import "server-only";
import type { RecipeDocument } from "@/core/recipe/document";
import type { RecipeFlag } from "@/core/recipe/recipeFlag";
import { listMethodsMade } from "@/data/batch";
import { listRecipeChoices, listRecipeVersions, type RecipeChoice } from "@/data/recipes";
import { listOpenPlans, type Plan } from "@/data/shed";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { readEquipment, type EquipmentView } from "../equipment";
import { readShelf, type ShelfItem } from "../shed";
import { readWaters, type WatersView } from "../water";

export interface VersionView {
  readonly methodId: string;
  readonly schoolId: string;
  readonly versionNo: number;
  readonly document: RecipeDocument;
  readonly unconfirmed: readonly RecipeFlag[];
  readonly actorName: string;
  readonly addedMs: number;
}

/** What making anything needs: the shed, the farm's own recipes and choices, its waters. */
export interface MakingView {
  readonly shelf: readonly ShelfItem[];
  readonly versions: readonly VersionView[];
  readonly choices: readonly RecipeChoice[];
  readonly waters: WatersView;
  /** Methods that came off well here at least once; the rest are first tried small. */
  readonly made: readonly string[];
  readonly equipment: readonly EquipmentView[];
  readonly plans: readonly Plan[];
  readonly today: string;
  readonly nowMs: number;
}

export async function readMaking(ctx: Context, timeZone = "UTC"): Promise<MakingView> {
  const [shelf, versions, choices, waters, made, equipment, plans] = await Promise.all([
    readShelf(ctx, timeZone),
    listRecipeVersions(ctx.pool),
    listRecipeChoices(ctx.pool),
    readWaters(ctx),
    listMethodsMade(ctx.pool),
    readEquipment(ctx.pool, { timeZone }),
    listOpenPlans(ctx.pool),
  ]);
  return {
    shelf,
    versions: versions.map(({ addedAt, ...version }) => ({ ...version, addedMs: addedAt.getTime() })),
    choices,
    waters,
    made,
    equipment,
    plans,
    today: isoDay(ctx.now(), { timeZone }),
    nowMs: ctx.now().getTime(),
  };
}
