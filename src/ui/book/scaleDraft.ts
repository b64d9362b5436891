import type { IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { UseId } from "@/core/book/uses";
import { batchForLand, type ForLand } from "@/core/choose/forLand";
import { DomainError } from "@/core/errors";
import { scaleRecipe, type AmountOf, type ScaledRecipe, type ScaleRequest } from "@/core/recipe/scale";
import { splitOver, type Split, type SplitVessel } from "@/core/recipe/split";
import { litresAtDepth, vesselShape } from "@/core/recipe/vesselShape";
import { OF_LITRES, measurableOf, type Measurable, type Measured } from "@/formats/measured";
import type { UnitSystem } from "@/formats/amounts";
import { readInField, type FieldMeasure } from "@/formats/fieldUnits";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";

/** What decides the size: the vessel, a wanted amount, what stands in it, the land it is for, several vessels at once. */
export type ScaleBy = "vessel" | "amount" | "depth" | "land" | "split";

export interface ScaleDraft {
  readonly recipe: Recipe;
  /** How much the vessel holds, as typed. */
  readonly vessel: string;
  readonly diameterM: number | null;
  readonly by: ScaleBy;
  readonly wanted: string;
  readonly depth: string;
  /** As typed, in the farm's unit or any other; and what the beds chosen come to, m². */
  readonly land: string;
  readonly bedsM2: number;
  readonly often: "once" | "in-time";
  readonly useId: UseId | null;
  readonly units: UnitSystem;
  /** Reads an amount in the farm's units and by its own measures. */
  readonly read: ReadAmount;
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

/** What can't be read at a field. */
class Unread extends Error {
  constructor(
    readonly field: string,
    readonly text: string,
  ) {
    super(field);
    this.name = "Unread";
  }
}

type ReadAmount = (text: string, of: Measurable) => Measured;

/** An amount that was typed, in its stock unit, or null where the field is empty. @throws {Unread} */
function typed(field: string, text: string, of: Measurable, read: ReadAmount): number | null {
  if (text.trim() === "") return null;
  const measured = read(text, of);
  if (measured.type === "unreadable") throw new Unread(field, measured.why);
  return measured.amount;
}

/** Amounts as typed, by ingredient; empty ones left out. @throws {Unread} */
export function amounts(
  group: "limits" | "stated",
  values: Readonly<Record<string, string>>,
  read: ReadAmount,
): AmountOf[] {
  return Object.entries(values).flatMap(([id, text]) => {
    const amount = typed(`${group}/${id}`, text, measurableOf(id as IngredientId), read);
    return amount === null ? [] : [{ ingredient: id as IngredientId, amount }];
  });
}

/** A length or an area as typed, in m or m²; null for nothing. @throws {Unread} */
function typedMeasure(field: string, text: string, measure: FieldMeasure, units: UnitSystem): number | null {
  const read = readInField(text, measure, units);
  if (read.type === "unreadable") throw new Unread(field, read.why);
  return read.type === "read" ? read.value : null;
}

/** What the beds chosen and the land typed want. @throws {Unread} */
function forLand({ recipe, land, bedsM2, often, useId, units }: ScaleDraft): ForLand {
  const area = (typedMeasure("land", land, "m2", units) ?? 0) + bedsM2;
  if (!(area > 0)) throw new Unread("land", "Which beds, or how much land?");
  if (useId === null) throw new Unread("land", "For which use?");
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
  const { recipe, diameterM, by, read, units } = draft;
  let request: Pick<ScaleRequest, "limits" | "stated"> = {};
  try {
    const vesselL = typed("vessel", draft.vessel, OF_LITRES, read);
    if (vesselL === null) return nothing("vessel", "How large is the vessel?");
    request = { limits: amounts("limits", draft.limits, read), stated: amounts("stated", draft.stated, read) };
    const common = {
      recipe,
      ...request,
      include: draft.include,
      substitutes: Object.entries(draft.swaps).map(([instead, use]) => ({ instead: instead as IngredientId, use })),
    };
    const land = by === "land" ? forLand(draft) : null;
    const wanted =
      by === "amount" || by === "split" ? typed("wanted", draft.wanted, measurableOf(recipe.basis), read) : null;
    if ((by === "amount" || by === "split") && wanted === null) return nothing("wanted", "How much?");
    if (by === "split") {
      const split = splitOver(common, draft.splitVessels, wanted!);
      return { scaled: split.parts[0]?.scaled ?? null, split, problem: null, land: null };
    }
    const depthM = by === "depth" ? typedMeasure("depth", draft.depth, "cm", units) : null;
    if (by === "depth" && depthM === null) return nothing("depth", "How deep does it stand?");
    const target =
      depthM !== null ? litresAtDepth(vesselShape(vesselL, diameterM), depthM) : (land?.basisAmount ?? wanted);
    const scaled = scaleRecipe({
      ...common,
      vesselL,
      diameterM,
      ...(target === null ? {} : { targetBasis: target }),
    });
    return { scaled, split: null, problem: null, land };
  } catch (error) {
    if (error instanceof Unread) return nothing(error.field, error.text);
    if (error instanceof DomainError) return nothing(fieldOf(error.path, request), sayDomain(error, speechOf(units)));
    throw error;
  }
}

/** What the chooser knows already: so much of one ingredient is at hand. */
export interface ScaleStart {
  readonly limit: { readonly ingredient: IngredientId; readonly amount: number } | null;
}
