import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { findUse, type UseId } from "@/core/book/uses";
import { DomainError } from "@/core/errors";
import { scaleRecipe, type AmountOf, type ScaledRecipe, type ScaleRequest } from "@/core/recipe/scale";
import { splitOver, type Split, type SplitVessel } from "@/core/recipe/split";
import { litresAtDepth, vesselShape } from "@/core/recipe/vesselShape";
import { parseNumber } from "@/formats/numbers";

/** What decides the size: the vessel, a wanted amount, what stands in it, the land it is for, several vessels at once. */
export type ScaleBy = "vessel" | "amount" | "depth" | "land" | "split";

export interface ScaleDraft {
  readonly recipe: Recipe;
  readonly vesselL: string;
  readonly diameterM: number | null;
  readonly by: ScaleBy;
  readonly wanted: string;
  readonly depthCm: string;
  readonly landM2: string;
  readonly useId: UseId | null;
  /** What is at hand, as typed, by ingredient; empty for no limit. */
  readonly limits: Readonly<Record<string, string>>;
  readonly stated: Readonly<Record<string, string>>;
  readonly include: readonly IngredientId[];
  readonly swaps: Readonly<Record<string, IngredientId>>;
  readonly splitVessels: readonly SplitVessel[];
}

export interface Scaling {
  readonly scaled: ScaledRecipe | null;
  readonly split: Split | null;
  /** What is wrong, and at which field. */
  readonly problem: { readonly field: string; readonly text: string } | null;
  /** What so much land takes, in words. */
  readonly landNote: string | null;
}

const nothing = (field: string, text: string): Scaling => ({
  scaled: null,
  split: null,
  problem: { field, text },
  landNote: null,
});

/** A figure that was typed: its number, or null where the field is empty. @throws {RangeError} naming the field */
function typed(field: string, text: string, what: string): number | null {
  if (text.trim() === "") return null;
  const value = parseNumber(text);
  if (value === null) throw new RangeError(`${field}|${what}: a number, please.`);
  return value;
}

function amounts(group: "limits" | "stated", values: Readonly<Record<string, string>>): AmountOf[] {
  return Object.entries(values).flatMap(([id, text]) => {
    const amount = typed(`${group}/${id}`, text, findIngredient(id).name);
    return amount === null ? [] : [{ ingredient: id as IngredientId, amount }];
  });
}

/** Basis that gives enough concentrate for so much land at a use's usual rate. */
function basisForLand({ recipe, landM2, useId }: ScaleDraft): { basis: number; note: string } {
  const area = typed("land", landM2, "The area");
  const rate = recipe.uses.find(({ use }) => use === useId);
  if (area === null || !(area > 0)) throw new RangeError("land|How many square metres?");
  if (!rate) throw new RangeError("land|For which use?");
  const mixLPerM2 = findUse(rate.use).mixLPerM2?.default;
  if (mixLPerM2 === undefined) throw new RangeError("land|This use has no rate by area.");
  const mixL = area * mixLPerM2;
  const concentrateL = mixL / (1 + rate.partsWater.default);
  return {
    basis: concentrateL / recipe.yieldPerBasis.default,
    note: `${Number(mixL.toPrecision(3))} L of mix at 1:${rate.partsWater.default} takes ${Number(concentrateL.toPrecision(3))} L of it`,
  };
}

const FIELD_OF: readonly [start: string, field: string][] = [
  ["/vessels", "split"],
  ["/vessel", "vessel"],
  ["/target", "wanted"],
  ["/depth", "depth"],
];

function fieldOf(path: string, request: Pick<ScaleRequest, "limits" | "stated">): string {
  const [, group, index] = /^\/(limits|stated)\/(\d+)/.exec(path) ?? [];
  if (group && index) {
    const list = group === "limits" ? request.limits : request.stated;
    return `${group}/${list?.[Number(index)]?.ingredient ?? ""}`;
  }
  return FIELD_OF.find(([start]) => path.startsWith(start))?.[1] ?? "";
}

/** The scaling while it is typed. */
export function workScale(draft: ScaleDraft): Scaling {
  const { recipe, diameterM, by } = draft;
  let request: Pick<ScaleRequest, "limits" | "stated"> = {};
  try {
    const vesselL = typed("vessel", draft.vesselL, "The vessel");
    if (vesselL === null) return nothing("vessel", "How large is the vessel?");
    request = { limits: amounts("limits", draft.limits), stated: amounts("stated", draft.stated) };
    const common = {
      recipe,
      ...request,
      include: draft.include,
      substitutes: Object.entries(draft.swaps).map(([instead, use]) => ({ instead: instead as IngredientId, use })),
    };
    const land = by === "land" ? basisForLand(draft) : null;
    const wanted = by === "amount" || by === "split" ? typed("wanted", draft.wanted, "The amount") : null;
    if ((by === "amount" || by === "split") && wanted === null) return nothing("wanted", "How much?");
    if (by === "split") {
      const split = splitOver(common, draft.splitVessels, wanted!);
      return { scaled: split.parts[0]?.scaled ?? null, split, problem: null, landNote: null };
    }
    const depth = by === "depth" ? typed("depth", draft.depthCm, "The depth") : null;
    if (by === "depth" && depth === null) return nothing("depth", "How deep does it stand, in cm?");
    const target =
      depth !== null ? litresAtDepth(vesselShape(vesselL, diameterM), depth / 100) : (land?.basis ?? wanted);
    const scaled = scaleRecipe({
      ...common,
      vesselL,
      diameterM,
      ...(target === null ? {} : { targetBasis: target }),
    });
    return { scaled, split: null, problem: null, landNote: land?.note ?? null };
  } catch (error) {
    if (error instanceof RangeError) {
      const [field = "", text = ""] = error.message.split("|");
      return nothing(field, text);
    }
    if (error instanceof DomainError) return nothing(fieldOf(error.path, request), error.message);
    throw error;
  }
}
