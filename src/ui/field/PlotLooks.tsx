"use client";
import { useState } from "react";
import { SIGN_IDS } from "@/core/apply/looks";
import { sayMoment } from "@/formats/times";
import type { PlotPage } from "@/services/field";
import { sayAfter, SIGN_WORDS } from "@/words/said";
import { Button } from "../kit/Button";
import { panel } from "../kit/later";
import { inText } from "@/formats/grammar";

type LookOf = PlotPage["looks"][number];

const LookSheet = panel(() => import("./LookSheet").then((module) => module.LookSheet));

/** Pictures side by side: the last before what went on last, and those since. */
const Pictures = ({ page }: { readonly page: PlotPage }) => {
  const taken = page.looks.filter(({ photo }) => photo !== null).toReversed();
  if (taken.length === 0) return null;
  const lastDoseMs = page.doses[0]?.atMs ?? null;
  const before = lastDoseMs === null ? [] : taken.filter(({ atMs }) => atMs < lastDoseMs).slice(-1);
  const after = lastDoseMs === null ? taken : taken.filter(({ atMs }) => atMs >= lastDoseMs);
  const caption = (look: LookOf) =>
    lastDoseMs === null
      ? ""
      : look.atMs < lastDoseMs
        ? "before, "
        : `${sayAfter(Math.max(1, Math.round((look.atMs - lastDoseMs) / 86_400_000)))}, `;
  return (
    <ol
      className="flex snap-x gap-3 relative overflow-x-auto py-2"
      aria-label="Pictures, before beside after"
      tabIndex={0}
    >
      {[...before, ...after].map((look) => (
        <li key={look.id} className="w-40 shrink-0 snap-start">
          {/* eslint-disable-next-line @next/next/no-img-element -- out of the farm's books, made small already */}
          <img
            src={`/api/photos/${look.photo}`}
            alt={look.note || `${page.plot.name} as it looked`}
            className="aspect-square w-40 border-2 border-ink object-cover"
          />
          <p className="reading mt-1 text-[0.86rem] leading-tight">
            {caption(look)}
            {sayMoment(new Date(look.atMs), new Date(page.nowMs), page.farm)}
          </p>
        </li>
      ))}
    </ol>
  );
};

const saySigns = ({ signs, note }: LookOf): string =>
  [
    ...SIGN_IDS.flatMap((id) => (signs[id] ? [`${inText(SIGN_WORDS[id])}: ${signs[id]}`] : [])),
    ...(note ? [note] : []),
  ].join("; ");

const SHOWN = 6;

/** How a plot looked, look by look; the next look that is due, and pictures before beside after. */
export const PlotLooks = ({ page }: { readonly page: PlotPage }) => {
  const [open, setOpen] = useState(false);
  const { lookDue } = page;
  const dose = lookDue && page.doses.find(({ applicationId }) => applicationId === lookDue.applicationId);
  return (
    <section aria-labelledby="looks" className="mt-6">
      <h2 id="looks" className="text-xl">
        Photos
      </h2>
      {lookDue && dose ? (
        <p className="border-l-4 border-marigold pl-3">
          {sayAfter(lookDue.afterD)[0]!.toUpperCase() + sayAfter(lookDue.afterD).slice(1)} {inText(dose.storeLabel)}:
          look at {lookDue.signs.map((id) => inText(SIGN_WORDS[id])).join(", ")}.
        </p>
      ) : null}
      <Button className="mt-2" onClick={() => setOpen(true)}>
        Look at it
      </Button>
      <Pictures page={page} />
      <ol>
        {page.looks.slice(0, SHOWN).map((look) => (
          <li key={look.id} className="border-b border-line py-1">
            <span className="text-soft">
              {sayMoment(new Date(look.atMs), new Date(page.nowMs), page.farm)}, {look.by}:
            </span>{" "}
            {saySigns(look) || "a picture"}
          </li>
        ))}
      </ol>
      {open ? <LookSheet page={page} onClose={() => setOpen(false)} /> : null}
    </section>
  );
};
