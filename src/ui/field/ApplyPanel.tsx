"use client";
import { useState } from "react";
import { toast } from "sonner";
import { findCautions, FULL_REASON, reasonSuffices, type ApplyCaution } from "@/core/apply/cautions";
import { findUseRate, usualRate } from "@/core/book";
import { CAUTIONS } from "@/core/book/cautions";
import { findUse, USES, type UseId } from "@/core/book/uses";
import { recipeFrom } from "@/core/recipe/document";
import { sayDilution, sayVolume } from "@/formats/amounts";
import { inMixUnit, litresOfMix, sayMixUnit } from "@/formats/fieldUnits";
import { sayCaution, sayLoad, sayPreMix, sayBothWays, sayThinned } from "@/words/said";
import { formatNumber, parseNumber } from "@/formats/numbers";
import { isoDay, sayDuration } from "@/formats/times";
import type { FieldView } from "@/services/field";
import { useFieldAct } from "../acts/field";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { askedWater, NO_WATER, type WaterDraft } from "../water/waterDraft";
import { WaterPicker } from "../water/WaterPicker";
import { NumberField, SelectField, TextArea, TextField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { LoadDrawing } from "./LoadDrawing";
import { PlotShares, Stock } from "./LoadsResult";
import { SmellFirst } from "./SmellFirst";
import { workOut } from "./workOut";

interface ApplyPanelProps {
  readonly view: FieldView;
  readonly storeId: number | null;
  readonly chosen: ReadonlySet<number>;
  readonly onDone: () => void;
}

/** Pick what goes on and how; the loads appear as it is chosen, with what is short and what speaks against it. */
export const ApplyPanel = ({ view, storeId, chosen, onDone }: ApplyPanelProps) => {
  const apply = useFieldAct("applyStore");
  const { units } = view.farm;
  const [pickedStore, setPickedStore] = useState(storeId);
  const store =
    view.stores.find(({ id }) => id === pickedStore) ??
    view.stores.find(({ expiresMs }) => expiresMs > view.nowMs) ??
    view.stores[0]!;
  const recipe = recipeFrom(store.recipe);
  const [pickedUse, setPickedUse] = useState<UseId | null>(null);
  const useId: UseId =
    pickedUse !== null && recipe.uses.some(({ use }) => use === pickedUse) ? pickedUse : usualRate(recipe)!.use;
  const use = findUse(useId);
  const rate = findUseRate(recipe, useId);
  const [typedRatio, setTypedRatio] = useState<string | null>(null);
  const ratio = typedRatio ?? sayDilution(rate?.partsWater.default ?? 20).replace("\u202f", "");
  const plots = view.plots.filter(({ id }) => chosen.has(id));
  const canCountPlants =
    USES[useId].mixLPerPlant !== null && plots.length > 0 && plots.every(({ plants }) => plants !== null);
  const [pickedPer, setPickedPer] = useState<"m2" | "plant">("m2");
  const per = pickedPer === "plant" && canCountPlants ? "plant" : "m2";
  const [typedRate, setTypedRate] = useState<string | null>(null);
  const usual = per === "plant" ? use.mixLPerPlant : use.mixLPerM2;
  const inField = (litres: number) => inMixUnit(litres, per, units);
  // What nobody touched is the rate itself, not what its rounded figure in the field would read as.
  const usualL = usual?.default ?? 2;
  const rateText = typedRate ?? String(inField(usualL));
  const typedNumber = typedRate === null ? null : parseNumber(typedRate);
  const rateL = typedRate === null ? usualL : typedNumber === null ? null : litresOfMix(typedNumber, per, units);
  const suited = useId === "injector" ? "injector" : useId === "foliar" ? "knapsack" : "can";
  const [pickedTool, setPickedTool] = useState<number | null>(null);
  const tool =
    view.tools.find(({ id }) => id === pickedTool) ?? view.tools.find(({ kind }) => kind === suited) ?? view.tools[0]!;
  const [labourMin, setLabourMin] = useState("30");
  const [reason, setReason] = useState("");
  const [water, setWater] = useState<WaterDraft>(NO_WATER);

  const { plan, dilution, problem } = workOut(
    ratio,
    { amountL: rateL, text: rateText },
    per,
    tool,
    plots,
    store.onHandL,
    units,
  );
  const cautions: readonly ApplyCaution[] = dilution
    ? findCautions({
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
        riverWater:
          store.riverWater || view.waters.waters.some(({ id, kind }) => id === water.sourceId && kind === "river"),
        rules: view.rules,
        today: isoDay(new Date(view.nowMs), view.farm),
      })
    : [];
  const thinned = sayThinned(store.strength, rate?.partsWater.default ?? 0);
  const waterL = plan ? plan.totals.mixL - plan.totals.concentrateL : 0;
  const barred = cautions.some(({ weight }) => weight === "never");
  const blocked = cautions.some(({ weight }) => weight === "blocked");
  const fieldError = (path: string) => apply.fields[path] ?? (problem?.path === path ? problem.message : undefined);

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
  const onUse = (next: UseId) => {
    setPickedUse(next);
    setTypedRatio(null);
    setTypedRate(null);
    setPickedTool(null);
  };

  return (
    <div className="grid gap-4">
      <h2 className="text-xl">Apply</h2>
      <SelectField
        label="What"
        value={store.id}
        onChange={(event) => {
          setPickedStore(Number(event.target.value));
          setTypedRatio(null);
          setTypedRate(null);
        }}
        error={fieldError("/storeId")}
      >
        {view.stores.map((item) => (
          <option key={item.id} value={item.id}>
            {item.label}, {sayVolume(item.onHandL, units)},{" "}
            {item.expiresMs < view.nowMs
              ? `over by ${sayDuration((view.nowMs - item.expiresMs) / 3_600_000)}`
              : `${sayDuration((item.expiresMs - view.nowMs) / 3_600_000)} left`}
          </option>
        ))}
      </SelectField>
      <Choices
        label="How"
        value={useId}
        onChange={onUse}
        options={recipe.uses.map((item) => ({ value: item.use, label: USES[item.use].name }))}
      />
      <p className="text-[0.9rem] text-soft">
        {use.how} {rate?.note}
      </p>
      <TextField
        label="How strong"
        value={ratio}
        onChange={(event) => setTypedRatio(event.target.value)}
        error={fieldError("/ratio")}
        hint={
          dilution
            ? `${sayBothWays(dilution, units)}. In the book: ${rate ? `${sayDilution(rate.partsWater.strongest)} to ${sayDilution(rate.partsWater.weakest)}` : "no such use"}.`
            : undefined
        }
      />
      {thinned ? <p className="border-l-4 border-marigold pl-3 text-[0.92rem]">{thinned}</p> : null}
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Mix"
          unit={sayMixUnit(per, units)}
          value={rateText}
          onChange={(event) => setTypedRate(event.target.value)}
          error={fieldError("/mixRateL")}
          hint={usual ? `usual ${inField(usual.low)} to ${inField(usual.high)}` : undefined}
        />
        <SelectField
          label="Carried with"
          value={tool.id}
          onChange={(event) => setPickedTool(Number(event.target.value))}
          error={fieldError("/toolId")}
        >
          {view.tools.map((item) => (
            <option key={item.id} value={item.id}>
              {item.name}, {sayVolume(item.volumeL, units)}
              {item.partsWater ? `, 1:${formatNumber(item.partsWater)}` : ""}
            </option>
          ))}
        </SelectField>
      </div>
      {canCountPlants ? (
        <Choices
          label="Counted"
          value={per}
          onChange={(next) => {
            setPickedPer(next);
            setTypedRate(null);
          }}
          options={[
            { value: "m2", label: "by area" },
            { value: "plant", label: "by the plant" },
          ]}
        />
      ) : null}
      <section aria-label="Loads" aria-live="polite" className="border-t-2 border-ink">
        {plots.length === 0 ? (
          <p className="py-3 text-soft">
            Choose beds on the plan; the loads appear here.{fieldError("/plotIds") ? ` ${fieldError("/plotIds")}` : ""}
          </p>
        ) : null}
        {problem?.path === "/plotIds" ? (
          <Notice tone="error" title={problem.message}>
            {null}
          </Notice>
        ) : null}
        {plan ? (
          <>
            {plan.preMix ? (
              <p className="border-l-4 border-marigold py-1 pl-3">
                {sayPreMix(plan.preMix, units)}. The dose is too small for this tool’s marks as it is.
              </p>
            ) : null}
            {plan.loads.map((load, index) => (
              <LoadDrawing
                key={load.mixL}
                load={load}
                tool={tool}
                units={units}
                text={sayLoad(load, tool.kind === "injector" ? "tank" : tool.kind, index > 0, units, plan.preMix)}
              />
            ))}
            <PlotShares plan={plan} view={view} />
            <Stock plan={plan} view={view} heldL={store.onHandL} tool={tool} />
          </>
        ) : null}
      </section>
      {waterL > 0.05 ? (
        <WaterPicker
          label="Water to thin it"
          view={view.waters}
          neededL={waterL}
          value={water}
          units={units}
          fields={apply.fields}
          onChange={setWater}
        />
      ) : null}
      {cautions.map((caution) => (
        <Notice
          key={`${caution.code} ${"hazard" in caution ? caution.hazard : ""}`}
          tone={caution.weight === "reason" ? "caution" : "error"}
          title={sayCaution(caution)}
        >
          {null}
        </Notice>
      ))}
      {cautions.some(({ code }) => code === "smell-first") ? <SmellFirst storeId={store.id} /> : null}
      {cautions.length > 0 && !barred ? (
        <TextArea
          label={blocked ? "This is blocked. Who answers for it, and why?" : "Why all the same?"}
          hint={
            blocked
              ? `In full, ${FULL_REASON} letters at the least. Kept with the application and your name.`
              : "Kept with the application."
          }
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={apply.fields["/overrideReason"]}
        />
      ) : null}
      {use.target === "leaves" ? <Notice tone="caution">{CAUTIONS["spray-mist"]}</Notice> : null}
      <Notice tone="caution">{CAUTIONS.runoff} Local code and your certifier stand above the book.</Notice>
      <NumberField
        label="Hands’ time"
        unit="min"
        value={labourMin}
        onChange={(event) => setLabourMin(event.target.value)}
        error={apply.fields["/labourMin"]}
      />
      <Refusal error={apply.error} />
      <Button
        look="strong"
        wide
        disabled={
          apply.busy || !plan || barred || (blocked && !reasonSuffices(cautions, reason)) || (plan.shortL ?? 0) > 0
        }
        onClick={() => void confirm()}
      >
        It is on the beds
      </Button>
    </div>
  );
};
