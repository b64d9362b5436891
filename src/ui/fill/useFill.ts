"use client";
import { useState } from "react";
import { DomainError } from "@/core/errors";
import { METHODS } from "@/core/book";
import type { IngredientId } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { AmountOf } from "@/core/recipe/scale";
import { chosenKey, recipeOfKey, type RecipeKey } from "@/core/recipe/pick";
import type { MakingView } from "@/services/fill";
import type { Vessel } from "@/services/types";
import { measurableOf, readMeasured, typedAmount, type Measurable } from "@/formats/measured";
import { useDraft } from "../kit/useDraft";
import { useMeasures } from "../measures/measuresContext";
import type { FillStart } from "./recipeKey";
import { NO_WATER, type WaterDraft } from "../water/waterDraft";
import { basisOf, workOutFill, type WorkedFill, type FillSize } from "./workOutFill";

interface FillState {
  readonly key: RecipeKey;
  readonly size: FillSize;
  readonly wanted: string;
  readonly depth: string;
  readonly include: readonly IngredientId[];
  readonly stated: Readonly<Record<string, string>>;
  readonly swaps: Readonly<Record<string, IngredientId>>;
  readonly picked: ReadonlySet<string>;
  readonly drafts: Readonly<Record<string, string>>;
  /** Which plants were picked, by ingredient. */
  readonly species: Readonly<Record<string, string>>;
  /** Equipment that goes in. */
  readonly tools: readonly number[];
  readonly water: WaterDraft;
}

export interface Fill {
  readonly state: FillState;
  readonly recipe: Recipe;
  /** Amounts that the recipe leaves to the grower; NaN for one that can't be read. */
  readonly stated: readonly AmountOf[];
  readonly plan: WorkedFill;
  /** Changes part of the draft; amounts typed by hand go where the recipe or the size moves under them. */
  readonly set: (change: Partial<FillState>) => void;
  /** What is typed is kept on this device until it is started or dropped. */
  readonly isKept: boolean;
  readonly drop: () => void;
}

/** A fill as it is kept. */
type KeptFill = Omit<FillState, "picked"> & { readonly picked: readonly string[] };

const kept = ({ picked, ...state }: FillState): KeptFill => ({ ...state, picked: [...picked] });
/** A kept fill, where its recipe is still there; null where it is not. */
function revived(value: KeptFill | undefined, versions: MakingView["versions"]): FillState | null {
  if (!value) return null;
  try {
    recipeOfKey(value.key, versions);
    return { ...value, picked: new Set(value.picked) };
  } catch (error) {
    if (error instanceof DomainError) return null;
    throw error;
  }
}

const firstOf = (vessel: Vessel) => METHODS.find(({ aerated }) => !aerated || vessel.airW > 0)!.id;

/** The fill of a vessel while it is put together. */
export function useFill(
  vessel: Vessel,
  making: MakingView,
  startWith: RecipeKey | null,
  plan: FillStart | null = null,
): Fill {
  const { own, units } = useMeasures();
  const key = startWith ?? chosenKey(firstOf(vessel), making.choices);
  const [fresh] = useState<FillState>(() => ({
    key,
    size: plan ? "amount" : "vessel",
    wanted: plan ? typedAmount(plan.basisAmount, basisOf(recipeOfKey(key, making.versions)).unit, units) : "",
    depth: "",
    include: (plan?.choice.include ?? []) as readonly IngredientId[],
    stated: Object.fromEntries(
      (plan?.choice.stated ?? []).map(({ ingredient, amount }) => [
        ingredient,
        typedAmount(amount, measurableOf(ingredient as IngredientId).unit, units),
      ]),
    ),
    swaps: Object.fromEntries(
      (plan?.choice.substitutes ?? []).map(({ instead, use }) => [instead, use as IngredientId]),
    ),
    picked: new Set(),
    drafts: {},
    species: {},
    tools: [],
    water: NO_WATER,
  }));
  // What was begun from the book or from a plan is another fill than what was begun from the yard.
  const begunFrom = [startWith?.methodId, startWith?.schoolId, startWith?.versionNo, plan?.basisAmount].join("/");
  const { draft, keep, drop } = useDraft<KeptFill>(`fill/${vessel.id}/${begunFrom}`);
  const state = revived(draft?.value, making.versions) ?? fresh;
  const recipe = recipeOfKey(state.key, making.versions);
  const read = (typed: string, of: Measurable) => readMeasured(typed, of, own, units);
  const stated = Object.entries(state.stated)
    .filter(([, typed]) => typed.trim() !== "")
    .map(([id, typed]) => {
      const ingredient = id as IngredientId;
      const measured = read(typed, measurableOf(ingredient));
      return { ingredient, amount: measured.type === "read" ? measured.amount : NaN };
    });
  const planned = workOutFill({
    recipe,
    vessel,
    size: state.size,
    wanted: state.wanted,
    depth: state.depth,
    include: state.include,
    stated: stated.filter(({ amount }) => amount > 0),
    substitutes: Object.entries(state.swaps).map(([instead, use]) => ({ instead: instead as IngredientId, use })),
    picked: state.picked,
    drafts: state.drafts,
    shelf: making.shelf,
    read,
    units,
  });
  const set = (change: Partial<FillState>) => {
    const moves = ["key", "size", "wanted", "depth", "swaps"].some((name) => name in change);
    const other: Partial<FillState> = "key" in change ? { include: [], stated: {}, swaps: {}, picked: new Set() } : {};
    keep(kept({ ...state, ...other, ...(moves ? { drafts: {} } : {}), ...change }));
  };
  return { state, recipe, stated, plan: planned, set, isKept: draft !== null, drop };
}
