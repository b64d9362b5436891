import { notWith } from "@/core/apply/care";
import { estimateMix } from "@/core/apply/mixEstimate";
import { isInline } from "@/core/apply/tool";
import { partsOfBed } from "@/core/apply/solids";
import { partsWaterFor } from "@/core/apply/strengthCautions";
import { USES } from "@/core/book/uses";
import { sayDilution, sayVolume } from "@/formats/amounts";
import { sayMixUnit } from "@/formats/fieldUnits";
import { formatNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";
import { loadNoun, sayBothWays, sayEstimate, sayMixWarning, sayNotWith } from "@/words/said";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { Fold } from "../kit/Fold";
import { Notice } from "../kit/Notice";
import { SizeField } from "../measures/SizeField";
import type { Applying } from "./useApply";
import { inText } from "@/formats/grammar";

type StoreOn = Applying["choice"]["store"];

const sayStore = ({ label, onHandL, expiresMs }: StoreOn, { view, units }: Applying): string =>
  `${label}, ${sayVolume(onHandL, units)}, ${
    expiresMs < view.nowMs
      ? `over by ${sayDuration((view.nowMs - expiresMs) / 3_600_000)}`
      : `${sayDuration((expiresMs - view.nowMs) / 3_600_000)} left`
  }`;

/** A second liquid in the same can, as much as the scarcer of the two allows. */
const TwoInOne = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, units, fieldError } = applying;
  const { store, second, setSecond, parts, setParts, blended } = choice;
  const others = view.stores.filter(({ id }) => id !== store.id);
  if (others.length === 0) return null;
  const first = blended?.limitedBy === 0;
  return (
    <Fold
      title="Two liquids in one can"
      stands={second ? `with ${second.label}, 1 to ${parts}` : undefined}
      open={second !== null}
    >
      <SelectField
        label="Together with"
        value={second?.id ?? ""}
        onChange={(event) => setSecond(event.target.value === "" ? null : Number(event.target.value))}
        error={fieldError("/second/storeId")}
      >
        <option value="">nothing else</option>
        {others.map((item) => (
          <option key={item.id} value={item.id}>
            {sayStore(item, applying)}
          </option>
        ))}
      </SelectField>
      {second ? (
        <>
          <NumberField
            label={`Parts of it to one of ${store.label}`}
            value={parts}
            onChange={(event) => setParts(event.target.value)}
            error={fieldError("/second/parts")}
          />
          {blended ? (
            <p className="text-[0.95rem]">
              {sayVolume(blended.totalL, units)} of the two can be had: {first ? store.label : second.label} ends first,{" "}
              {sayVolume(blended.parts[first ? 1 : 0]!.leftL, units)} of {first ? second.label : store.label} stay.
            </p>
          ) : null}
        </>
      ) : null}
    </Fold>
  );
};

/** What the mix is about, from what went into it: no reading. */
const Estimate = ({ applying }: { readonly applying: Applying }) => {
  const { choice, dilution } = applying;
  if (!dilution || choice.solid || choice.second) return null;
  const onto = choice.use.target === "leaves" ? "leaves" : choice.useId === "seedling" ? "seedlings" : "soil";
  const estimate = estimateMix({ content: choice.store.content, ph: choice.store.ph }, dilution.partsWater, onto);
  const lands = choice.use.target !== "other";
  return (
    <>
      <p className="text-[0.88rem] text-soft">{sayEstimate(estimate)}</p>
      {lands
        ? estimate.warnings.map((warning) => (
            <Notice key={warning.code} tone="caution">
              {sayMixWarning(warning)}
            </Notice>
          ))
        : null}
    </>
  );
};

/** What goes on, how, how strong. */
export const WhatAndHow = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, units, dilution, thinned, fieldError } = applying;
  const { store, setStore, recipe, uses, useId, setUse, use, rate, ratio, setRatio } = choice;
  return (
    <>
      <SelectField
        label="What"
        value={store.id}
        onChange={(event) => setStore(Number(event.target.value))}
        error={fieldError("/storeId")}
      >
        {view.stores.map((item) => (
          <option key={item.id} value={item.id}>
            {sayStore(item, applying)}
          </option>
        ))}
      </SelectField>
      {uses.length === 0 ? (
        <Notice tone="caution" title="Not for this">
          There is no known use of {inText(recipe.name)}. Choose something else to go there.
        </Notice>
      ) : (
        <Choices
          label="How"
          value={useId}
          onChange={setUse}
          options={uses.map((one) => ({ value: one, label: USES[one].name }))}
        />
      )}
      <p className="text-[0.9rem] text-soft">
        {use.how} {rate?.note} {sayNotWith(notWith(recipe))}
      </p>
      <TextField
        label={choice.solid ? "How many parts" : "Dilution"}
        value={ratio}
        onChange={(event) => setRatio(event.target.value)}
        error={fieldError("/ratio")}
        hint={
          choice.solid
            ? `Parts by volume: 1 of it to so many of what it goes into. Usual range: ${rate ? `${sayDilution(rate.partsWater.strongest)} to ${sayDilution(rate.partsWater.weakest)}` : "no such use"}.`
            : dilution
              ? `${sayBothWays(dilution, units)}. Usual range: ${rate ? `${sayDilution(rate.partsWater.strongest)} to ${sayDilution(rate.partsWater.weakest)}` : "no such use"}.`
              : undefined
        }
      />
      {rate && partsWaterFor(rate, "weekly") !== rate.partsWater.default ? (
        <Choices
          label="How often it goes on"
          value={choice.often}
          onChange={choice.setOften}
          options={[
            { value: "seldom", label: "every two weeks or less" },
            { value: "weekly", label: "every week: weaker" },
          ]}
        />
      ) : null}
      {thinned ? <p className="border-l-4 border-marigold pl-3 text-[0.92rem]">{thinned}</p> : null}
      <Estimate applying={applying} />
      <TwoInOne applying={applying} />
    </>
  );
};

/** A solid worked in: down to where, and what that makes of the bed. */
const Depth = ({ applying }: { readonly applying: Applying }) => {
  const { choice, fieldError } = applying;
  const { depthCm, rateL, per } = choice;
  if (!choice.solid || choice.useId !== "incorporate") return null;
  return (
    <SizeField
      label="Worked in down to"
      measure="cm"
      typed={choice.depth}
      value={choice.depth}
      onChange={(event) => choice.setDepth(event.target.value)}
      error={fieldError("/depthCm")}
      hint={
        depthCm !== null && depthCm > 0 && rateL !== null && rateL > 0 && per === "m2"
          ? `One part in ${formatNumber(partsOfBed(rateL, depthCm / 100), 2)} of that ground, by volume. On the surface half as much does.`
          : undefined
      }
    />
  );
};

/** What the figure beside the amount counts, and by what it is counted. */
const Counting = ({ applying }: { readonly applying: Applying }) => {
  const { choice, units, dilution } = applying;
  const { per, setPer, rateOf, setRateOf, rateL, canCountPlants, isAway, wholeLoads, tool } = choice;
  return (
    <>
      {dilution && rateL !== null && per !== "whole" ? (
        <p className="text-[0.9rem] text-soft">
          {per === "m2" ? "On a square metre" : "On a plant"}: {sayVolume(rateL, units)} of mix, with{" "}
          {sayVolume(rateL / (1 + dilution.partsWater), units)} of concentrate in it.
        </p>
      ) : null}
      <Fold
        title="How it is counted"
        stands={`${rateOf === "mix" ? "the mix" : "the concentrate"}${per === "m2" ? ", by area" : per === "plant" ? ", by the plant" : ", each the same"}${wholeLoads ? ", whole loads" : ""}`}
      >
        <Choices
          label="The rate counts"
          value={rateOf}
          onChange={setRateOf}
          options={[
            { value: "mix", label: "the mix" },
            { value: "concentrate", label: "the concentrate" },
          ]}
        />
        {isAway ? null : (
          <Choices
            label="Counted"
            value={per}
            onChange={setPer}
            options={[
              { value: "m2", label: "by area" },
              ...(canCountPlants ? [{ value: "plant" as const, label: "by the plant" }] : []),
              { value: "whole", label: "each bed the same" },
            ]}
          />
        )}
        {isInline(tool.kind) ? null : (
          <TickField
            label={`Whole loads of the ${loadNoun(tool.kind)} only: no bed gets half of one`}
            checked={wholeLoads}
            onChange={(event) => choice.setWholeLoads(event.target.checked)}
          />
        )}
      </Fold>
    </>
  );
};

/** How much of it, carried with what. */
export const HowMuch = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, units, fieldError } = applying;
  const { per, rateText, setRate, rateOf, usual, inField, tool, setTool } = choice;
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={rateOf === "mix" ? (choice.solid ? "Amount" : "Mix") : "Concentrate"}
          unit={sayMixUnit(per, units)}
          value={rateText}
          onChange={(event) => setRate(event.target.value)}
          error={fieldError("/mixRateL")}
          hint={usual && rateOf === "mix" ? `usual ${inField(usual.low)} to ${inField(usual.high)}` : undefined}
        />
        <SelectField
          label="Apply with"
          value={tool.id}
          onChange={(event) => setTool(Number(event.target.value))}
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
      <Depth applying={applying} />
      <Counting applying={applying} />
    </>
  );
};
