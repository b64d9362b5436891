import { useState } from "react";
import { toast } from "sonner";
import { findCautions, type ApplyCaution } from "@/core/apply/cautions";
import { findUseRate, usualRate } from "@/core/book";
import { findUse, USES, type UseId } from "@/core/book/uses";
import { recipeFrom } from "@/core/recipe/document";
import { sayDilution } from "@/formats/amounts";
import { inMixUnit, litresOfMix } from "@/formats/fieldUnits";
import { sayThinned } from "@/words/said";
import { parseNumber } from "@/formats/numbers";
import { isoDay } from "@/formats/times";
import type { FieldView } from "@/services/field";
import { useFieldAct } from "../acts/field";
import { askedWater, NO_WATER, type WaterDraft } from "../water/waterDraft";
import { workOut } from "./workOut";

type StoreOn = FieldView["stores"][number];

/** What speaks against it, by the same rules as the server's. */
const cautionsOf = (
  view: FieldView,
  store: StoreOn,
  useId: UseId,
  dilution: { readonly partsWater: number },
  plots: FieldView["plots"],
  fromRiver: boolean,
): readonly ApplyCaution[] => {
  const recipe = recipeFrom(store.recipe);
  const rate = findUseRate(recipe, useId);
  const use = findUse(useId);
  return findCautions({
    recipe,
    rate,
    use,
    partsWater: dilution.partsWater,
    hoursPastExpiry: (view.nowMs - store.expiresMs) / 3_600_000,
    hoursSinceShelf: (view.nowMs - store.shelfFromMs) / 3_600_000,
    smelt: store.smelt,
    recheck: store.recheck,
    plots: plots.map((plot) => ({ ...plot, lastSameD: plot.lastByMethod[store.methodId] ?? null })),
    carries: store.carries,
    urineStoredD: store.urineStoredD,
    riverWater: store.riverWater || fromRiver,
    rules: view.rules,
    today: isoDay(new Date(view.nowMs), view.farm),
  });
};

/** Which store goes on, how, how strong, how much, with what: what nobody touched follows from the rest. */
function useChoice(view: FieldView, storeId: number | null, plots: FieldView["plots"]) {
  const { units } = view.farm;
  const [pickedStore, setPickedStore] = useState(storeId);
  const [pickedUse, setPickedUse] = useState<UseId | null>(null);
  const [typedRatio, setTypedRatio] = useState<string | null>(null);
  const [pickedPer, setPickedPer] = useState<"m2" | "plant">("m2");
  const [typedRate, setTypedRate] = useState<string | null>(null);
  const [pickedTool, setPickedTool] = useState<number | null>(null);
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
  const suited = useId === "injector" ? "injector" : useId === "foliar" ? "knapsack" : "can";
  return {
    store,
    recipe,
    useId,
    use,
    rate,
    ratio: typedRatio ?? sayDilution(rate?.partsWater.default ?? 20).replace("\u202f", ""),
    canCountPlants,
    per,
    usual,
    inField,
    rateText: typedRate ?? String(inField(usualL)),
    rateL: typedRate === null ? usualL : typedNumber === null ? null : litresOfMix(typedNumber, per, units),
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
    setPer: (next: "m2" | "plant") => {
      setPickedPer(next);
      setTypedRate(null);
    },
    setRatio: setTypedRatio,
    setRate: setTypedRate,
    setTool: setPickedTool,
  };
}

/** What is chosen of an application, what it comes to, what speaks against it, and its sending. */
export function useApply(view: FieldView, storeId: number | null, chosen: ReadonlySet<number>, onDone: () => void) {
  const apply = useFieldAct("applyStore");
  const { units } = view.farm;
  const plots = view.plots.filter(({ id }) => chosen.has(id));
  const choice = useChoice(view, storeId, plots);
  const { store, useId, rate, ratio, per, rateText, rateL, tool } = choice;
  const [labourMin, setLabourMin] = useState("30");
  const [reason, setReason] = useState("");
  const [water, setWater] = useState<WaterDraft>(NO_WATER);
  const mixRate = { amountL: rateL, text: rateText };
  const { plan, dilution, problem } = workOut(ratio, mixRate, per, tool, plots, store.onHandL, units);
  const fromRiver = view.waters.waters.some(({ id, kind }) => id === water.sourceId && kind === "river");
  const cautions = dilution ? cautionsOf(view, store, useId, dilution, plots, fromRiver) : [];
  const waterL = plan ? plan.totals.mixL - plan.totals.concentrateL : 0;

  const confirm = async () => {
    const answer = await apply.run({
      storeId: store.id,
      useId,
      ratio,
      mixRateL: rateL as number,
      mixRatePer: per,
      toolId: tool.id,
      plotIds: plots.map(({ id }) => id),
      labourMin: parseNumber(labourMin) as number,
      overrideReason: reason,
      water: waterL > 0.05 ? askedWater(water) : null,
    });
    if (!answer) return;
    toast.success(
      `${plots.length === 1 ? plots[0]!.name : `${plots.length} beds`}: ${store.label.toLowerCase()} is down in the books.`,
    );
    setReason("");
    onDone();
  };

  return {
    apply,
    view,
    units,
    choice,
    plots,
    labourMin,
    setLabourMin,
    reason,
    setReason,
    water,
    setWater,
    plan,
    dilution,
    problem,
    cautions,
    thinned: sayThinned(store.strength, rate?.partsWater.default ?? 0),
    waterL,
    barred: cautions.some(({ weight }) => weight === "never"),
    blocked: cautions.some(({ weight }) => weight === "blocked"),
    fieldError: (path: string) => apply.fields[path] ?? (problem?.path === path ? problem.message : undefined),
    confirm,
  };
}
export type Applying = ReturnType<typeof useApply>;
