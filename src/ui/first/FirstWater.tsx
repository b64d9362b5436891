"use client";
import { WATER_SOURCES } from "@/core/water/chlorine";
import { sayVolume } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { sayWaterSource } from "@/words/said";
import { Choices } from "../kit/Choices";
import { Notice } from "../kit/Notice";
import type { FillPickProps } from "./fillPickProps";
import { needsTreatment, vitaminCg, type TapTreatment } from "./firstDraft";

const TREATMENTS: readonly TapTreatment[] = ["vitamin-c", "carbon", "stood"];

/** Which water, and what was done against chlorine where it comes from a tap. */
export const FirstWater = ({ draft, drum, units, fields, onChange }: FillPickProps) => {
  const words: Record<TapTreatment, string> = {
    "vitamin-c": `${formatNumber(vitaminCg(drum.waterL), 2)} g of vitamin C, stirred in`,
    "carbon": "Ran through a carbon filter",
    "stood": "Stood open for 1 day",
  };
  return (
    <div className="grid gap-3">
      <Choices
        label={`Water, ${sayVolume(drum.waterL, units)}: where is it from?`}
        value={draft.water ?? ("" as "rain")}
        onChange={(water) => onChange({ water, treatment: null })}
        options={WATER_SOURCES.filter((kind) => kind !== "reverse-osmosis").map((kind) => ({
          value: kind,
          label: kind === "unknown" ? "Not sure" : sayWaterSource(kind),
        }))}
      />
      {needsTreatment(draft.water) ? (
        <Notice tone="caution" title="Chlorine kills the brew.">
          Tap water may hold chlorine, and chloramine, which does not leave by standing. Treat it first. A chlorine
          strip tells for sure.
        </Notice>
      ) : null}
      {needsTreatment(draft.water) ? (
        <Choices
          label="How did you treat it?"
          stacked
          value={draft.treatment ?? ("" as "stood")}
          onChange={(treatment) => onChange({ treatment })}
          options={TREATMENTS.map((value) => ({
            value,
            label: words[value],
            ...(value === "stood" ? { note: "Enough for chlorine, not for chloramine: the brew may fail." } : {}),
          }))}
        />
      ) : null}
      {(fields["/fill/water"] ?? fields["/fill/water/overrideReason"]) ? (
        <Notice tone="error">{fields["/fill/water"] ?? fields["/fill/water/overrideReason"]}</Notice>
      ) : null}
    </div>
  );
};
