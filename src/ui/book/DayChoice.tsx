"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { findMethod } from "@/core/book";
import { sayTemperature } from "@/formats/amounts";
import { fullDate, sayDuration } from "@/formats/times";
import { farmRecipe } from "@/core/recipe/pick";
import { sayLead } from "@/words/said";
import type { BookView, StartView } from "@/services/book";
import { TextField } from "../kit/fields";
import { MethodPlate } from "./MethodPlate";

const REFUSED_WORDS = {
  "too-late": "Too late for that day",
  "too-cold": "Too cold for it to come to anything",
  "too-hot": "Too hot for it",
} as const;

function sayStart(start: StartView, view: BookView): string {
  const { answer } = start;
  if (!answer.fits)
    return `${REFUSED_WORDS[answer.because]}: ${sayTemperature(answer.liquidC, view.farm.units)} expected, it takes ${sayLead(answer.lead)}${
      answer.because === "too-cold"
        ? `; with a heater at ${sayTemperature(findMethod(start.methodId).comfortC.low, view.farm.units)} it would`
        : ""
    }.`;
  const inH = (answer.startAtMs - view.nowMs) / 3_600_000;
  return `Start ${inH < 1 ? "now" : `${fullDate(new Date(answer.startAtMs), view.farm)}, in ${sayDuration(inH)}`}: at ${sayTemperature(answer.liquidC, view.farm.units)} it takes ${sayLead(answer.lead)}.`;
}

/** Wanted on a day: when each would have to be started, and which the season does not let. */
export const DayChoice = ({ view }: { readonly view: BookView }) => {
  const router = useRouter();
  const [day, setDay] = useState(view.wanted?.day ?? "");
  const starts = view.wanted?.starts ?? [];
  const pick = (next: string) => {
    setDay(next);
    if (/^\d{4}-\d{2}-\d{2}$/.test(next)) router.replace(`/book?by=day&day=${next}`, { scroll: false });
  };
  return (
    <>
      <div className="max-w-60">
        <TextField
          label="Ready by"
          type="date"
          value={day}
          onChange={(event) => pick(event.target.value)}
          error={view.wanted?.problem ?? undefined}
        />
      </div>
      {day === "" ? <p className="mt-3 text-soft">Pick the day when you want to use it.</p> : null}
      <ol aria-label="When to start">
        {starts.map((start) => {
          const recipe = farmRecipe(view, start.methodId);
          return (
            <MethodPlate
              key={start.methodId}
              recipe={recipe}
              lead={start.answer.lead}
              because={`${start.answer.fits ? "" : "✕ "}${sayStart(start, view)}`}
            />
          );
        })}
      </ol>
    </>
  );
};
