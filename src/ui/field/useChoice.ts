import { useState } from "react";
import { partsWaterFor, type Often } from "@/core/apply/strengthCautions";
import { findUseRate, usualRate } from "@/core/book";
import { findUse, USES, type UseId } from "@/core/book/uses";
import { DomainError } from "@/core/errors";
import { parseDilution } from "@/core/quantity/ratio";
import { recipeFrom } from "@/core/recipe/document";
import { sayDilution } from "@/formats/amounts";
import { inMixUnit, litresOfMix } from "@/formats/fieldUnits";
import { parseNumber } from "@/formats/numbers";
import type { FieldView } from "@/services/field";

/** What a field rate counts. */
type RateOf = "mix" | "concentrate";

/** Parts of water of a strength as it is typed; null where it is none. */
export function partsWaterOf(ratio: string, units: FieldView["farm"]["units"]): number | null {
  try {
    return parseDilution(ratio, [], "/ratio", units).partsWater;
  } catch (error) {
    if (error instanceof DomainError) return null;
    throw error;
  }
}

/** Which store goes on, how, how strong, how much, with what: what nobody touched follows from the rest. */
export function useChoice(view: FieldView, storeId: number | null, plots: FieldView["plots"]) {
  const { units } = view.farm;
  const [pickedStore, setPickedStore] = useState(storeId);
  const [pickedUse, setPickedUse] = useState<UseId | null>(null);
  const [typedRatio, setTypedRatio] = useState<string | null>(null);
  const [pickedPer, setPickedPer] = useState<"m2" | "plant">("m2");
  const [often, setOften] = useState<Often>("seldom");
  const [typedRate, setTypedRate] = useState<string | null>(null);
  const [pickedTool, setPickedTool] = useState<number | null>(null);
  const [rateOf, setRateOf] = useState<RateOf>("mix");
  const store =
    view.stores.find(({ id }) => id === pickedStore) ??
    view.stores.find(({ expiresMs }) => expiresMs > view.nowMs) ??
    view.stores[0]!;
  const recipe = recipeFrom(store.recipe);
  const useId: UseId =
    pickedUse !== null && recipe.uses.some(({ use }) => use === pickedUse) ? pickedUse : usualRate(recipe)!.use;
  const use = findUse(useId);
  const rate = findUseRate(recipe, useId);
  const canCountPlants =
    USES[useId].mixLPerPlant !== null && plots.length > 0 && plots.every(({ plants }) => plants !== null);
  const per: "m2" | "plant" = pickedPer === "plant" && canCountPlants ? "plant" : "m2";
  const usual = per === "plant" ? use.mixLPerPlant : use.mixLPerM2;
  const inField = (litres: number) => inMixUnit(litres, per, units);
  // What nobody touched is the rate itself, not what its rounded figure in the field would read as.
  const usualL = usual?.default ?? 2;
  const typedNumber = typedRate === null ? null : parseNumber(typedRate);
  const ratio = typedRatio ?? sayDilution(rate ? partsWaterFor(rate, often) : 20).replace("\u202f", "");
  // A rate of concentrate is so many times as much mix.
  const times = rateOf === "mix" ? 1 : 1 + (partsWaterOf(ratio, units) ?? 0);
  const suited = useId === "injector" ? "injector" : useId === "foliar" ? "knapsack" : "can";
  return {
    store,
    recipe,
    useId,
    use,
    rate,
    ratio,
    rateOf,
    canCountPlants,
    per,
    usual,
    inField,
    rateText: typedRate ?? String(Number((inField(usualL) / times).toPrecision(3))),
    rateL: typedRate === null ? usualL : typedNumber === null ? null : litresOfMix(typedNumber, per, units) * times,
    tool:
      view.tools.find(({ id }) => id === pickedTool) ??
      view.tools.find(({ kind }) => kind === suited) ??
      view.tools[0]!,
    setStore: (id: number) => {
      setPickedStore(id);
      setTypedRatio(null);
      setTypedRate(null);
    },
    setUse: (next: UseId) => {
      setPickedUse(next);
      setTypedRatio(null);
      setTypedRate(null);
      setPickedTool(null);
    },
    setRateOf: (next: RateOf) => {
      setRateOf(next);
      setTypedRate(null);
    },
    setPer: (next: "m2" | "plant") => {
      setPickedPer(next);
      setTypedRate(null);
    },
    setRatio: setTypedRatio,
    often,
    setOften: (next: Often) => {
      setOften(next);
      setTypedRatio(null);
    },
    setRate: setTypedRate,
    setTool: setPickedTool,
  };
}
export type Choice = ReturnType<typeof useChoice>;
