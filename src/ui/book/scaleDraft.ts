import { findIngredient, type IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { UseId } from "@/core/book/uses";
import { batchForLand, type ForLand } from "@/core/choose/forLand";
import { DomainError } from "@/core/errors";
import { scaleRecipe, type AmountOf, type ScaledRecipe, type ScaleRequest } from "@/core/recipe/scale";
import { splitOver, type Split, type SplitVessel } from "@/core/recipe/split";
import { litresAtDepth, vesselShape } from "@/core/recipe/vesselShape";
import { readAmount } from "@/core/quantity/typed/amount";
import { toBase } from "@/core/quantity/units";
import type { UnitSystem } from "@/formats/amounts";
import { numberDoubt, parseNumber } from "@/formats/numbers";

/** What decides the size: the vessel, a wanted amount, what stands in it, the land it is for, several vessels at once. */
export type ScaleBy = "vessel" | "amount" | "depth" | "land" | "split";

export interface ScaleDraft {
  readonly recipe: Recipe;
  readonly vesselL: string;
  readonly diameterM: number | null;
  readonly by: ScaleBy;
  readonly wanted: string;
  readonly depthCm: string;
  /** As typed, in the farm's unit or any other; and what the beds chosen come to, m². */
  readonly land: string;
  readonly bedsM2: number;
  readonly often: "once" | "in-time";
  readonly useId: UseId | null;
  readonly units: UnitSystem;
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
  /** What the land takes, where that decides. */
  readonly land: ForLand | null;
}

const nothing = (field: string, text: string): Scaling => ({
  scaled: null,
  split: null,
  problem: { field, text },
  land: null,
});

/** A figure that was typed: its number, or null where the field is empty. @throws {RangeError} naming the field */
function typed(field: string, text: string, what: string): number | null {
  if (text.trim() === "") return null;
  const value = parseNumber(text);
  if (value === null) throw new RangeError(`${field}|${what}: a number, please.`);
  return value;
}

/** Amounts as typed, by ingredient; empty ones left out. @throws {RangeError} naming the field */
export function amounts(group: "limits" | "stated", values: Readonly<Record<string, string>>): AmountOf[] {
  return Object.entries(values).flatMap(([id, text]) => {
    const amount = typed(`${group}/${id}`, text, findIngredient(id).name);
    return amount === null ? [] : [{ ingredient: id as IngredientId, amount }];
  });
}

/** An area as typed: a bare number in the farm's unit. @throws {RangeError} naming the field */
function typedArea(text: string, units: UnitSystem): number {
  if (text.trim() === "") return 0;
  const read = readAmount(text, units, []);
  const doubt = read ? numberDoubt(read.typedNumber) : null;
  if (doubt) throw new RangeError(`land|${doubt}`);
  const given = read?.readings.map((quantity) => toBase(quantity)).find(({ dimension }) => dimension === "area");
  const value =
    given?.value ?? (read?.rest === "" ? toBase({ value: read.value, unit: AREA_UNIT[units] }).value : null);
  if (value === null || (given && read!.rest !== "")) throw new RangeError("land|The area: a number, please.");
  return value;
}
/** What a bare area is in. */
export const AREA_UNIT: Readonly<Record<UnitSystem, "m2" | "ft2">> = { metric: "m2", us: "ft2" };

/** What the beds chosen and the land typed want. @throws {RangeError} naming the field */
function forLand({ recipe, land, bedsM2, often, useId, units }: ScaleDraft): ForLand {
  const area = typedArea(land, units) + bedsM2;
  if (!(area > 0)) throw new RangeError("land|Which beds, or how much land?");
  if (useId === null) throw new RangeError("land|For which use?");
  return batchForLand(recipe, useId, area, often);
}

const FIELD_OF: readonly [start: string, field: string][] = [
  ["/vessels", "split"],
  ["/vessel", "vessel"],
  ["/target", "wanted"],
  ["/depth", "depth"],
  ["/area", "land"],
  ["/use", "land"],
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
    const land = by === "land" ? forLand(draft) : null;
    const wanted = by === "amount" || by === "split" ? typed("wanted", draft.wanted, "The amount") : null;
    if ((by === "amount" || by === "split") && wanted === null) return nothing("wanted", "How much?");
    if (by === "split") {
      const split = splitOver(common, draft.splitVessels, wanted!);
      return { scaled: split.parts[0]?.scaled ?? null, split, problem: null, land: null };
    }
    const depth = by === "depth" ? typed("depth", draft.depthCm, "The depth") : null;
    if (by === "depth" && depth === null) return nothing("depth", "How deep does it stand, in cm?");
    const target =
      depth !== null ? litresAtDepth(vesselShape(vesselL, diameterM), depth / 100) : (land?.basisAmount ?? wanted);
    const scaled = scaleRecipe({
      ...common,
      vesselL,
      diameterM,
      ...(target === null ? {} : { targetBasis: target }),
    });
    return { scaled, split: null, problem: null, land };
  } catch (error) {
    if (error instanceof RangeError) {
      const [field = "", text = ""] = error.message.split("|");
      return nothing(field, text);
    }
    if (error instanceof DomainError) return nothing(fieldOf(error.path, request), error.message);
    throw error;
  }
}
