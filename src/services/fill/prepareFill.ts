import "server-only";
import type { FillRequest } from "@/contracts/fill";
import { METHODS } from "@/core/book";
import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { fits } from "@/core/quantity/fits";
import { occupiedLitres } from "@/core/recipe/room";
import { thinStarters } from "@/core/recipe/starter";
import { tooSalty } from "@/core/safety/salt";
import { conflictIn } from "@/core/safety/together";
import { scaleRecipe, type ScaledRecipe, type ScaleRequest } from "@/core/recipe/scale";
import { listMethodsOfVessel } from "@/data/batch";
import type { Queryable } from "@/data/db";
import { listOpenMixings } from "@/data/mixing";
import { lockVessel, type VesselState } from "@/data/vessels";
import { atField, refuse } from "../refusal";

type FillLine = FillRequest["lines"][number];

function requireFree(vessel: VesselState | null): VesselState {
  if (!vessel) throw refuse("not-found", { thing: "vessel" }, "/vesselId");
  if (vessel.state !== "in-use") throw refuse("vessel-away", { vessel: vessel.name, state: vessel.state }, "/vesselId");
  if (vessel.batchId !== null && !vessel.ended) throw refuse("vessel-filled", { vessel: vessel.name }, "/vesselId");
  if (vessel.batchId !== null && !vessel.cleaned) throw refuse("vessel-dirty", { vessel: vessel.name }, "/vesselId");
  return vessel;
}

type Sized = Pick<VesselState, "name" | "volumeL" | "diameterM">;

function scaleAsked(request: FillRequest, vessel: Sized, recipe: Recipe): ScaledRecipe {
  return atField("/basisAmount", () =>
    scaleRecipe({
      recipe,
      vesselL: vessel.volumeL,
      diameterM: vessel.diameterM,
      ...(request.headspaceL === null || request.headspaceL === undefined ? {} : { headspaceL: request.headspaceL }),
      targetBasis: request.basisAmount,
      include: (request.include ?? []) as IngredientId[],
      stated: (request.stated ?? []) as ScaleRequest["stated"] & object,
      substitutes: (request.substitutes ?? []) as ScaleRequest["substitutes"] & object,
    }),
  );
}

export interface UsedLine {
  readonly ingredient: IngredientId;
  readonly part: "mix" | "cap";
  readonly amount: number;
  readonly unit: "kg" | "L";
  readonly planned: number;
  readonly pickedNow: boolean;
  readonly species: string;
}

/** What really goes in, beside what the recipe asked for; people use what they have, so more or other lines are welcome. */
function usedLines(request: FillRequest, scaled: ScaledRecipe): UsedLine[] {
  return request.lines.map((line: FillLine, index) => {
    const item = atField(`/lines/${index}/ingredientId`, () => findIngredient(line.ingredientId));
    const planned = scaled.lines.find((candidate) => candidate.ingredient === item.id && candidate.part === line.part);
    return {
      ingredient: item.id,
      part: line.part,
      amount: line.used,
      unit: item.stockUnit,
      planned: planned?.amount ?? 0,
      pickedNow: line.pickedNow ?? false,
      species: line.species?.trim() ?? "",
    };
  });
}

function requireRoom(vessel: Sized, recipe: Recipe, lines: readonly UsedLine[]): number {
  const filledL = occupiedLitres(recipe, lines);
  if (!(filledL > 0)) throw refuse("nothing-goes-in", {}, "/lines");
  if (!fits(filledL, vessel.volumeL)) {
    throw refuse("over-brim", { takesL: filledL, vessel: vessel.name, holdsL: vessel.volumeL }, "/lines");
  }
  return filledL;
}

/** A vessel that once held dung is kept for it: no scrubbing makes it fit for what goes on leaves. */
async function requireKeptApart(db: Queryable, vessel: VesselState, recipe: Recipe): Promise<void> {
  if (recipe.vesselUse === "manure") return;
  if (vessel.heldBefore === "manure")
    throw refuse("vessel-of-dung", { vessel: vessel.name, held: "manure" }, "/methodId");
  const held = await listMethodsOfVessel(db, vessel.id);
  const dung = METHODS.find(({ id, vesselUse }) => vesselUse === "manure" && held.includes(id));
  if (dung) throw refuse("vessel-of-dung", { vessel: vessel.name, held: dung.name }, "/methodId");
}

/** A vessel that nothing is in and nobody fills, locked. @param mixingId a filling that may be the one in it @throws {Refusal} */
export async function requireFreeVessel(
  db: Queryable,
  vesselId: number,
  mixingId: number | null = null,
): Promise<VesselState> {
  const vessel = requireFree(await lockVessel(db, vesselId));
  const mixing = (await listOpenMixings(db)).find((open) => open.vesselId === vesselId && open.id !== mixingId);
  if (mixing) throw refuse("vessel-mixing", { vessel: vessel.name, by: mixing.actorName }, "/vesselId");
  return vessel;
}

/** A vessel that is free, has air where the recipe needs it, and held no dung where it may not. @throws {Refusal} */
export async function requireVesselFor(
  db: Queryable,
  vesselId: number,
  recipe: Recipe,
  mixingId: number | null = null,
): Promise<VesselState> {
  const vessel = await requireFreeVessel(db, vesselId, mixingId);
  if (recipe.aerated && vessel.airW === 0)
    throw refuse("vessel-without-air", { vessel: vessel.name, method: recipe.name }, "/methodId");
  await requireKeptApart(db, vessel, recipe);
  return vessel;
}

export interface PreparedFill {
  readonly scaled: ScaledRecipe;
  readonly lines: readonly UsedLine[];
  readonly filledL: number;
}

/** What a fill comes to in its vessel: asked before the first step of a mixing as at the end of it. @throws {Refusal} at the field */
export function prepareFill(request: FillRequest, vessel: Sized, recipe: Recipe): PreparedFill {
  const scaled = scaleAsked(request, vessel, recipe);
  const lines = usedLines(request, scaled);
  const conflict = conflictIn(lines.filter(({ amount }) => amount > 0).map(({ ingredient }) => ingredient));
  if (conflict)
    throw refuse(
      "clash",
      { why: conflict.why },
      `/lines/${lines.findIndex(({ ingredient }) => ingredient === conflict.leaveOut)}/used`,
    );
  const salty = tooSalty(recipe, lines);
  if (salty && !(request.overrideReason ?? "").trim())
    throw refuse(
      "reason-needed",
      { because: { code: "salt", gPerL: salty.gPerL, mostGPerL: salty.mostGPerL } },
      "/overrideReason",
    );
  const slotOf = ({ ingredient, part }: UsedLine) =>
    scaled.lines.find((line) => line.ingredient === ingredient && line.part === part)?.slot ?? ingredient;
  const [thin] = thinStarters(
    recipe,
    lines.map((line) => ({ ...line, slot: slotOf(line) })),
  );
  if (thin && !(request.overrideReason ?? "").trim())
    throw refuse("reason-needed", { because: { code: "thin-starter", thin } }, "/overrideReason");
  return { scaled, lines, filledL: requireRoom(vessel, recipe, lines) };
}
