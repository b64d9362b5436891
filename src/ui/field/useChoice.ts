import { useState } from "react";
import type { Priority } from "@/core/apply/allocate";
import { blend, type Blend } from "@/core/apply/blend";
import { isElsewhere, rateFor, usesOn } from "@/core/apply/elsewhere";
import { isSolid } from "@/core/apply/solids";
import { isInline, type ToolKind } from "@/core/apply/tool";
import { partsWaterFor, type Often } from "@/core/apply/strengthCautions";
import { usualRate } from "@/core/book/useRate";
import { findUse, type UseId } from "@/core/book/uses";
import { DomainError } from "@/core/errors";
import { parseDilution } from "@/core/quantity/ratio";
import { recipeFrom } from "@/core/recipe/document";
import { sayDilution } from "@/formats/amounts";
import { inMixUnit, litresOfMix, typedInField, valueInField, type MixPer } from "@/formats/fieldUnits";
import { parseNumber } from "@/formats/numbers";
import type { FieldView } from "@/services/field";

/** What a field rate counts. */
type RateOf = "mix" | "concentrate";

/** As much as goes somewhere that has no size, until somebody says otherwise: a can. */
const WHOLE_L = 10;
/** A solid is worked in so deep, cm. */
const USUAL_DEPTH_CM = 15;

/** Parts of water of a strength as it is typed; null where it is none. */
export function partsWaterOf(ratio: string, units: FieldView["farm"]["units"]): number | null {
  try {
    return parseDilution(ratio, [], "/ratio", units).partsWater;
  } catch (error) {
    if (error instanceof DomainError) return null;
    throw error;
  }
}

type StoreOn = FieldView["stores"][number];

/** What is chosen before anybody touches anything: a store, or a step of a job. */
export interface ApplyStart {
  readonly storeId: number | null;
  readonly step: {
    readonly jobId: number;
    readonly stepKey: string;
    readonly jobName: string;
    readonly use: UseId;
    readonly ratio: string;
    /** L of mix to the square metre. */
    readonly rateL: number;
    readonly plotIds: readonly number[];
    readonly priority: Priority;
    /** Concentrate that the step gets of the store, L. */
    readonly availableL: number;
  } | null;
}
type StartStep = ApplyStart["step"];

/** A depth as it is typed, cm; null where nothing is typed or it can't be read. */
export function centimetresOf(typed: string, units: FieldView["farm"]["units"]): number | null {
  const metres = valueInField(typed, "cm", units);
  return metres === null || Number.isNaN(metres) ? null : Number((metres * 100).toFixed(1));
}

/** The liquids of the can: how much of the blend there is, and which of them ends first. */
const blendOf = (first: StoreOn, second: StoreOn | null, parts: number | null): Blend | null =>
  second && parts !== null && parts > 0 && first.onHandL > 0 && second.onHandL > 0
    ? blend([
        { availableL: first.onHandL, parts: 1 },
        { availableL: second.onHandL, parts },
      ])
    : null;

/** A second liquid in the same can, so many parts of it to one of the first. */
function useSecond(view: FieldView, store: StoreOn, step: StartStep) {
  const [picked, setPicked] = useState<number | null>(null);
  const [parts, setParts] = useState("1");
  const second = view.stores.find(({ id }) => id === picked && id !== store.id) ?? null;
  const perOne = parseNumber(parts);
  const blended = blendOf(store, second, perOne);
  return {
    second,
    setSecond: setPicked,
    parts,
    setParts,
    perOne,
    blended,
    /** Concentrate in hand: of two the scarcer one says how much. */
    availableL: second ? (blended?.totalL ?? 0) : step ? Math.min(step.availableL, store.onHandL) : store.onHandL,
  };
}

/** Which use, how strong, how much: what nobody touched follows from the rest. */
function useAmounts(view: FieldView, store: StoreOn, plots: FieldView["plots"], step: StartStep) {
  const { units } = view.farm;
  const [pickedUse, setPickedUse] = useState<UseId | null>(step?.use ?? null);
  const [typedRatio, setTypedRatio] = useState<string | null>(step?.ratio ?? null);
  const [pickedPer, setPickedPer] = useState<MixPer>("m2");
  const [wholeLoads, setWholeLoads] = useState(false);
  const [often, setOften] = useState<Often>("seldom");
  const [typedRate, setTypedRate] = useState<string | null>(null);
  const [rateOf, setRateOf] = useState<RateOf>("mix");
  const [depth, setDepth] = useState<string | null>(null);
  const recipe = recipeFrom(store.recipe);
  const uses = usesOn(
    recipe,
    plots.map(({ kind }) => kind),
  );
  const useId: UseId =
    pickedUse !== null && uses.includes(pickedUse)
      ? pickedUse
      : uses.includes(usualRate(recipe)!.use)
        ? usualRate(recipe)!.use
        : (uses[0] ?? usualRate(recipe)!.use);
  const use = findUse(useId);
  const rate = rateFor(recipe, useId);
  const canCountPlants = use.mixLPerPlant !== null && plots.length > 0 && plots.every(({ plants }) => plants !== null);
  const isAway = plots.some(({ kind }) => isElsewhere(kind));
  const per: MixPer = isAway ? "whole" : pickedPer === "plant" && !canCountPlants ? "m2" : pickedPer;
  const usual = per === "whole" ? null : per === "plant" ? use.mixLPerPlant : use.mixLPerM2;
  const inField = (litres: number) => inMixUnit(litres, per, units);
  // What nobody touched is the rate itself, not what its rounded figure in the field would read as.
  const usualL = step?.rateL ?? (per === "whole" ? WHOLE_L : (usual?.default ?? 2));
  const typedNumber = typedRate === null ? null : parseNumber(typedRate);
  const ratio = typedRatio ?? sayDilution(rate ? partsWaterFor(rate, often) : 20).replace("\u202f", "");
  // A rate of concentrate is so many times as much mix.
  const times = rateOf === "mix" ? 1 : 1 + (partsWaterOf(ratio, units) ?? 0);
  const solid = isSolid(recipe);
  const forget = () => {
    setTypedRatio(null);
    setTypedRate(null);
  };
  return {
    recipe,
    uses,
    useId,
    use,
    rate,
    ratio,
    rateOf,
    canCountPlants,
    isAway,
    wholeLoads,
    setWholeLoads,
    per,
    usual,
    inField,
    solid,
    depth: depth ?? typedInField(USUAL_DEPTH_CM / 100, "cm", units),
    setDepth,
    depthCm: solid && useId === "incorporate" ? (depth === null ? USUAL_DEPTH_CM : centimetresOf(depth, units)) : null,
    rateText: typedRate ?? String(Number((inField(usualL) / times).toPrecision(3))),
    rateL: typedRate === null ? usualL : typedNumber === null ? null : litresOfMix(typedNumber, per, units) * times,
    forget,
    setUse: (next: UseId) => {
      setPickedUse(next);
      forget();
    },
    setRateOf: (next: RateOf) => {
      setRateOf(next);
      setTypedRate(null);
    },
    setPer: (next: MixPer) => {
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
  };
}

/** Which store goes on, alone or with a second one, how, how strong, how much, with what. */
export function useChoice(view: FieldView, start: ApplyStart, plots: FieldView["plots"]) {
  const [pickedStore, setPickedStore] = useState(start.storeId);
  const [pickedTool, setPickedTool] = useState<number | null>(null);
  const store =
    view.stores.find(({ id }) => id === pickedStore) ??
    view.stores.find(({ expiresMs }) => expiresMs > view.nowMs) ??
    view.stores[0]!;
  // Another store than its own is no step of the job any more.
  const step = start.storeId === store.id ? start.step : null;
  const amounts = useAmounts(view, store, plots, step);
  const { useId } = amounts;
  const suits = (kind: ToolKind): boolean =>
    useId === "injector" ? isInline(kind) : kind === (useId === "foliar" || useId === "bedding" ? "knapsack" : "can");
  return {
    store,
    step,
    ...useSecond(view, store, step),
    ...amounts,
    tool:
      view.tools.find(({ id }) => id === pickedTool) ?? view.tools.find(({ kind }) => suits(kind)) ?? view.tools[0]!,
    setStore: (id: number) => {
      setPickedStore(id);
      amounts.forget();
    },
    setUse: (next: UseId) => {
      amounts.setUse(next);
      setPickedTool(null);
    },
    setTool: setPickedTool,
  };
}
export type Choice = ReturnType<typeof useChoice>;
