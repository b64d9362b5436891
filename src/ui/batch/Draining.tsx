"use client";
import type { StrainStep } from "@/core/recipe/straining";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { sayDuration } from "@/formats/times";

const WORDS: Readonly<Record<StrainStep["code"], string>> = {
  hang: "Hang the sack up to drain",
  squeeze: "Squeeze it",
  press: "Squeeze it once more, then stop",
};

/** When to squeeze and when to leave it alone, counted from the start of straining. */
export const Draining = ({ steps, units }: { readonly steps: readonly StrainStep[]; readonly units: UnitSystem }) => (
  <section aria-label="How it drains">
    <ol className="border-l-2 border-ink pl-3 text-[0.95rem]">
      {steps.map(({ code, atMin, waitMin, offL }, index) => (
        <li key={`${code}-${atMin}`} className="py-0.5">
          <b>{WORDS[code]}</b>
          {index > 0 ? `, ${sayDuration(atMin / 60)} after the start` : ""}
          {waitMin > 0 ? `; then hands off for ${sayDuration(waitMin / 60)}` : ""}
          <span className="text-soft">: about {sayVolume(offL, units)} off by then</span>
        </li>
      ))}
    </ol>
  </section>
);
