import { notWith } from "@/core/apply/care";
import { partsWaterFor } from "@/core/apply/strengthCautions";
import { USES } from "@/core/book/uses";
import { sayDilution, sayVolume } from "@/formats/amounts";
import { sayMixUnit } from "@/formats/fieldUnits";
import { formatNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";
import { sayBothWays, sayNotWith } from "@/words/said";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField } from "../kit/fields";
import type { Applying } from "./useApply";

/** What goes on, how, how strong. */
export const WhatAndHow = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, units, dilution, thinned, fieldError } = applying;
  const { store, setStore, recipe, useId, setUse, use, rate, ratio, setRatio } = choice;
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
        onChange={setUse}
        options={recipe.uses.map((item) => ({ value: item.use, label: USES[item.use].name }))}
      />
      <p className="text-[0.9rem] text-soft">
        {use.how} {rate?.note} {sayNotWith(notWith(recipe))}
      </p>
      <TextField
        label="How strong"
        value={ratio}
        onChange={(event) => setRatio(event.target.value)}
        error={fieldError("/ratio")}
        hint={
          dilution
            ? `${sayBothWays(dilution, units)}. In the book: ${rate ? `${sayDilution(rate.partsWater.strongest)} to ${sayDilution(rate.partsWater.weakest)}` : "no such use"}.`
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
    </>
  );
};

/** How much of it, carried with what. */
export const HowMuch = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, units, dilution, fieldError } = applying;
  const { per, setPer, rateText, setRate, rateOf, setRateOf, rateL, usual, inField, tool, setTool, canCountPlants } =
    choice;
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label={rateOf === "mix" ? "Mix" : "Concentrate"}
          unit={sayMixUnit(per, units)}
          value={rateText}
          onChange={(event) => setRate(event.target.value)}
          error={fieldError("/mixRateL")}
          hint={usual && rateOf === "mix" ? `usual ${inField(usual.low)} to ${inField(usual.high)}` : undefined}
        />
        <SelectField
          label="Carried with"
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
      <Choices
        label="The rate counts"
        value={rateOf}
        onChange={setRateOf}
        options={[
          { value: "mix", label: "the mix" },
          { value: "concentrate", label: "the concentrate" },
        ]}
      />
      {dilution && rateL !== null ? (
        <p className="text-[0.9rem] text-soft">
          {per === "m2" ? "On a square metre" : "On a plant"}: {sayVolume(rateL, units)} of mix, with{" "}
          {sayVolume(rateL / (1 + dilution.partsWater), units)} of concentrate in it.
        </p>
      ) : null}
      {canCountPlants ? (
        <Choices
          label="Counted"
          value={per}
          onChange={setPer}
          options={[
            { value: "m2", label: "by area" },
            { value: "plant", label: "by the plant" },
          ]}
        />
      ) : null}
    </>
  );
};
