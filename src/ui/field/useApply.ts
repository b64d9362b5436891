import { useMemo, useState } from "react";
import { told } from "../kit/told";
import { sentAt, type When } from "../kit/WhenChoice";
import { addBrought, broughtPerL, NOTHING_BROUGHT, timesBrought } from "@/core/apply/brought";
import { findCautions, gatherCautions, type ApplyCaution } from "@/core/apply/cautions";
import { isElsewhere, rateFor } from "@/core/apply/elsewhere";
import type { Priority } from "@/core/apply/allocate";
import type { WorkedLoads } from "@/core/apply/loads";
import { pour, type Poured } from "@/core/apply/pour";
import { DomainError } from "@/core/errors";
import { recipeFrom } from "@/core/recipe/document";
import { sayThinned } from "@/words/said";
import { isSolid } from "@/core/apply/solids";
import { isInline } from "@/core/apply/tool";
import { parseNumber } from "@/formats/numbers";
import { isoDay } from "@/formats/times";
import type { MixPer } from "@/formats/fieldUnits";
import type { FieldView } from "@/services/field";
import { useFieldAct } from "../acts/field";
import { askedWater, NO_WATER, type WaterDraft } from "../water/waterDraft";
import { partsWaterOf, useChoice, type ApplyStart, type Choice } from "./useChoice";
import { workOut } from "./workOut";
import { undoOffer } from "../acts/undo";
import { counted, inText } from "@/formats/grammar";

type StoreOn = FieldView["stores"][number];

/** What speaks against one liquid of the can, by the same rules as the server's. */
const cautionsOfStore = (
  view: FieldView,
  store: StoreOn,
  { use, useId, second, perOne, store: first }: Choice,
  dilution: { readonly partsWater: number },
  plots: readonly ServedPlot[],
  fromRiver: boolean,
  atMs: number,
): readonly ApplyCaution[] => {
  const recipe = recipeFrom(store.recipe);
  const other = second ? (store === first ? second : first) : null;
  const share = second ? 1 / (1 + (perOne ?? 1)) : 1;
  const bringsOf = (one: StoreOn) => broughtPerL(one.content, isSolid(recipeFrom(one.recipe)));
  const [brings, secondBrings] = [bringsOf(first), second ? bringsOf(second) : NOTHING_BROUGHT];
  return findCautions({
    recipe,
    rate: rateFor(recipe, useId),
    use,
    partsWater: dilution.partsWater,
    hoursPastExpiry: (atMs - store.expiresMs) / 3_600_000,
    hoursSinceShelf: (atMs - store.shelfFromMs) / 3_600_000,
    smelt: store.smelt,
    recheck: store.recheck,
    plots: plots.map((plot) => {
      const lastSameD = plot.lastByMethod[store.methodId] ?? null;
      const { name, crop, leafEaten, harvestOn, part } = plot;
      // What lies nowhere on the plan has no ground that fills up, and no water beside it.
      return isElsewhere(plot.kind) ? { name, crop, leafEaten, harvestOn, part, lastSameD } : { ...plot, lastSameD };
    }),
    carries: store.carries,
    urineStoredD: store.urineStoredD,
    riverWater: store.riverWater || fromRiver,
    rules: view.rules,
    today: isoDay(new Date(atMs), view.farm),
    hour: { ...view.hour, atMs },
    patchTests: store.patchTests,
    brings: addBrought(timesBrought(brings, share), timesBrought(secondBrings, 1 - share)),
    ...(other ? { with: recipeFrom(other.recipe) } : {}),
  });
};

/** The moment meant; now, where what was typed is none: the farm says so at its field. */
function momentOf(at: string | undefined, nowMs: number): number {
  const meant = at === undefined ? nowMs : Date.parse(at);
  return Number.isNaN(meant) ? nowMs : meant;
}

/** Whether any of it lies far enough from water. */
const isTreatable = ({ treatableM2 }: FieldView["plots"][number]): boolean => treatableM2 >= 0.05;

/** A plot with the mix that it gets; one that is shared out of nothing is left out. */
type ServedPlot = FieldView["plots"][number] & { readonly mixL?: number };
const LEAST_SHARE_L = 1e-6;
/** Where each gets the same it is counted as one square metre: its rate is all that it gets. */
const countedBy = (per: MixPer): "m2" | "plant" => (per === "plant" ? "plant" : "m2");

/** What each of the chosen plots gets of what there is; null where a figure is missing. */
function shareOut(
  { store, availableL, rate, ratio, rateL, per, usual, wholeLoads, tool }: Choice,
  plots: FieldView["plots"],
  priorities: ReadonlyMap<number, Priority>,
  units: FieldView["farm"]["units"],
): Poured | null {
  if (rateL === null || !(rateL > 0) || plots.length === 0) return null;
  const partsWater = partsWaterOf(ratio, units);
  if (partsWater === null) return null;
  try {
    return pour({
      availableL,
      partsWater,
      rate: { amountL: rateL, per: countedBy(per) },
      leastRateL: rate ? (usual?.low ?? rateL) : rateL,
      wholeLoadL: wholeLoads && !isInline(tool.kind) ? tool.volumeL : null,
      plots: plots.map((plot) => ({
        id: plot.id,
        treatableM2: per === "whole" ? (isTreatable(plot) ? 1 : 0) : plot.treatableM2,
        plants: plot.plants,
        priority: priorities.get(plot.id) ?? 2,
        waitedD: plot.lastByMethod[store.methodId] ?? null,
      })),
    });
  } catch (error) {
    if (error instanceof DomainError) return null;
    throw error;
  }
}

/** The plots that get something, with what they get. Where there is enough, plots whose size is not known stay, so that it is said of them. */
function withShares(plots: FieldView["plots"], { shares, without }: Poured): ServedPlot[] {
  const of = new Map(shares.map((share) => [share.id, share]));
  const dry = new Set(without.map(({ id }) => id));
  return plots
    .filter((plot) => isTreatable(plot) && !dry.has(plot.id))
    .map((plot) => {
      const { mixL } = of.get(plot.id)!;
      return mixL > LEAST_SHARE_L ? { ...plot, mixL } : plot;
    });
}

/** All that speaks against it, for what is in the can, each thing once. */
const cautionsOf = (
  view: FieldView,
  choice: Choice,
  dilution: { readonly partsWater: number },
  served: readonly ServedPlot[],
  fromRiver: boolean,
  atMs: number,
): ApplyCaution[] =>
  gatherCautions(
    [choice.store, ...(choice.second ? [choice.second] : [])].flatMap((one) =>
      cautionsOfStore(view, one, choice, dilution, served, fromRiver, atMs),
    ),
  );

/** What of each goes into the blend, with what the tool's marks round; null for one liquid alone. */
function blendFirstOf({ store, second, perOne }: Choice, plan: WorkedLoads | null) {
  if (!second || !plan) return null;
  const allL = plan.totals.concentrateL + plan.roundingErrorL;
  const parts = perOne ?? 1;
  return [
    { label: store.label, litres: allL / (1 + parts) },
    { label: second.label, litres: (allL * parts) / (1 + parts) },
  ];
}

/** How it was done: by whom it was looked at before, which plots were left out, why all the same, what was otherwise. */
function useDoing() {
  const [labourMin, setLabourMin] = useState("30");
  const [reason, setReason] = useState("");
  const [note, setNote] = useState("");
  const [isStrained, setIsStrained] = useState(false);
  /** How many go out with it, a card each. */
  const [people, setPeople] = useState(1);
  const [when, setWhen] = useState<When>({ type: "now" });
  const [skipped, setSkipped] = useState<ReadonlySet<number>>(new Set());
  return {
    labourMin,
    setLabourMin,
    reason,
    setReason,
    note,
    setNote,
    isStrained,
    setIsStrained,
    people,
    setPeople,
    when,
    setWhen,
    isSkipped: (id: number) => skipped.has(id),
    skip: (id: number, isLeftOut: boolean) =>
      setSkipped(new Set(isLeftOut ? [...skipped, id] : [...skipped].filter((other) => other !== id))),
    clear: () => {
      setReason("");
      setNote("");
      setIsStrained(false);
      setSkipped(new Set());
      setWhen({ type: "now" });
    },
  };
}

/** What is chosen of an application, what it comes to, what speaks against it, and its sending. */
export function useApply(view: FieldView, start: ApplyStart, chosen: ReadonlySet<number>, onDone: () => void) {
  const apply = useFieldAct("applyStore");
  const takeBack = useFieldAct("takeBackApplication");
  const { units } = view.farm;
  const plots = [...view.plots, ...view.elsewhere].filter(({ id }) => chosen.has(id));
  const choice = useChoice(view, start, plots);
  const { store, second, useId, rate, ratio, per, rateText, rateL, tool } = choice;
  const doing = useDoing();
  const [water, setWater] = useState<WaterDraft>(NO_WATER);
  const mixRate = { amountL: rateL, text: rateText };
  const [priorities, setPriorities] = useState<ReadonlyMap<number, Priority>>(
    new Map(start.step?.plotIds.map((id) => [id, start.step!.priority])),
  );
  const asked = useMemo(() => shareOut(choice, plots, priorities, units), [choice, plots, priorities, units]);
  const served: readonly ServedPlot[] = asked ? withShares(plots, asked) : plots.filter(isTreatable);
  const { plan, dilution, problem } = workOut(ratio, mixRate, countedBy(per), tool, served, choice.availableL, units);
  const fromRiver = view.waters.waters.some(({ id, kind }) => id === water.sourceId && kind === "river");
  const at = sentAt(doing.when, view.nowMs, view.farm);
  const cautions = dilution ? cautionsOf(view, choice, dilution, served, fromRiver, momentOf(at, view.nowMs)) : [];
  // A solid is thinned by the ground that it goes into.
  const waterL = plan && !choice.solid ? plan.totals.mixL - plan.totals.concentrateL : 0;

  /** What of it was done, with what each got: all of it unless some was left out. */
  const done = served.flatMap(({ id, name, mixL }, index) =>
    doing.isSkipped(id) || !plan ? [] : [{ id, name, mixL: mixL ?? plan.plots[index]!.mixL }],
  );

  const confirm = async () => {
    const answer = await apply.run({
      storeId: store.id,
      second: second ? { storeId: second.id, parts: choice.perOne as number } : null,
      useId,
      ratio,
      mixRateL: rateL as number,
      mixRatePer: per,
      toolId: tool.id,
      plotIds: done.map(({ id }) => id),
      mixL: done.map(({ mixL }) => mixL),
      labourMin: parseNumber(doing.labourMin) as number,
      ...(at === undefined ? {} : { at }),
      overrideReason: doing.reason,
      note: doing.note,
      ...(choice.use.target === "leaves" ? { isStrained: doing.isStrained } : {}),
      water: waterL > 0.05 ? askedWater(water) : null,
      depthCm: choice.depthCm,
      jobStep: choice.step && { jobId: choice.step.jobId, stepKey: choice.step.stepKey },
    });
    if (!answer) return;
    told(
      `${counted(done.length, { one: done[0]?.name ?? "", other: "# beds" })}: ${inText(store.label)} logged.`,
      undoOffer(() => takeBack.run({ applicationId: answer.applicationId })),
    );
    doing.clear();
    onDone();
  };

  return {
    apply,
    view,
    units,
    choice,
    plots,
    asked,
    served,
    barredByWater: plots.filter((plot) => !isTreatable(plot)),
    priorityOf: (id: number): Priority => priorities.get(id) ?? 2,
    setPriority: (id: number, priority: Priority) => setPriorities(new Map([...priorities, [id, priority]])),
    ...doing,
    done,
    water,
    setWater,
    plan,
    blendFirst: blendFirstOf(choice, plan),
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
