"use client";
import { useState } from "react";
import { isElsewhere, isOnPlan } from "@/core/apply/elsewhere";
import { USES } from "@/core/book/uses";
import type { UseId } from "@/core/book/uses";
import { stageOn } from "@/core/land/planting";
import { sidesOf } from "@/core/land/ring";
import { sayArea, sayDilution, sayTemperature, sayVolume } from "@/formats/amounts";
import { sayFieldUnit, typedInField } from "@/formats/fieldUnits";
import { sayDay, sayMoment } from "@/formats/times";
import type { PlotPage } from "@/services/field";
import type { PlantingRow } from "@/services/types";
import { ELSEWHERE_WORDS, LAID_WORDS } from "@/words/said";
import { Button } from "../kit/Button";
import { Link } from "../kit/Link";
import { FilledBy } from "./Filled";
import { Hatches, stageFill } from "./plan/hatches";
import { PlotLooks } from "./PlotLooks";
import { PlotReadings } from "./PlotReadings";
import { Wants } from "./Wants";
import { Soakings } from "./Soakings";
import { STAGE_WORDS } from "./StageSheet";
import { panel } from "../kit/later";
import { listed } from "@/formats/grammar";

const DoseSheet = panel(() => import("./DoseSheet").then((module) => module.DoseSheet));
const ChangePlantingSheet = panel(() => import("./PlantSheet").then((module) => module.ChangePlantingSheet));

type Dose = PlotPage["doses"][number];

/** A dose is drawn as thick as its litres on a square metre, within what can be read. */
const PX_PER_L_M2 = 26;
const thickness = (dose: Dose, areaM2: number): number =>
  Math.round(Math.min(96, 34 + (dose.mixL / areaM2) * PX_PER_L_M2));
const DAY_MS = 86_400_000;
/** It pales over so many days. */
const PALES_D = 60;

/** One dose as it lies in the ground, today's at the surface. */
const Layer = ({
  dose,
  page,
  onCorrect,
}: {
  readonly dose: Dose;
  readonly page: PlotPage;
  readonly onCorrect: () => void;
}) => {
  const { units } = page.farm;
  const agoD = (page.nowMs - dose.atMs) / DAY_MS;
  return (
    <li className="flex border-b border-line" style={{ minHeight: thickness(dose, page.plot.areaM2) }}>
      <span aria-hidden className="relative w-20 shrink-0 overflow-hidden border-r-2 border-ink bg-chalk md:w-64">
        <span className="absolute inset-0 bg-[var(--brew)]" style={{ opacity: Math.max(0.15, 0.8 - agoD / PALES_D) }} />
      </span>
      <span className="min-w-0 grow py-1.5 pl-3">
        <b>{dose.storeLabel}</b>{" "}
        <span className="text-soft">{sayMoment(new Date(dose.atMs), new Date(page.nowMs), page.farm)}</span>
        <span className="block text-[0.92rem]">
          {USES[dose.useId as UseId]?.name ?? dose.useId}, {sayVolume(dose.mixL, units)} of mix with{" "}
          {sayVolume(dose.concentrateL, units)} ({sayDilution(dose.partsWater)}), by {dose.actorName}
          {dose.weather ? `, at ${sayTemperature(dose.weather.airC, units)}` : ""}.
          {dose.blendedWith ? ` In one can with ${dose.blendedWith}.` : ""}
          {dose.depthCm
            ? ` Worked in down to ${typedInField(dose.depthCm / 100, "cm", units)} ${sayFieldUnit("cm", units)}.`
            : ""}
          {dose.clearOn ? ` Not to be harvested before ${sayDay(dose.clearOn)}.` : ""}
          {dose.note ? ` ${dose.note}` : ""}
          {dose.overrideReason ? ` Reason: ${dose.overrideReason}` : ""}
        </span>
      </span>
      <Button
        variant="quiet"
        className="whitespace-nowrap"
        onClick={onCorrect}
        aria-label={`Correct: ${dose.storeLabel}`}
      >
        Correct
      </Button>
    </li>
  );
};

type LaidHere = PlotPage["laid"][number];

/** Something that was laid on it by hand, or water: dotted, since it is no brew. */
const LaidLayer = ({ laid, page }: { readonly laid: LaidHere; readonly page: PlotPage }) => {
  const { units } = page.farm;
  return (
    <li className="flex border-b border-line">
      <span
        aria-hidden
        className="w-20 shrink-0 border-r-2 border-ink bg-chalk md:w-64"
        style={
          laid.what === "water"
            ? { background: "var(--rain-wash)" }
            : { backgroundImage: "radial-gradient(var(--ink) 1.2px, transparent 1.4px)", backgroundSize: "9px 9px" }
        }
      />
      <span className="min-w-0 grow py-1.5 pl-3">
        <b>{LAID_WORDS[laid.what]}</b>{" "}
        <span className="text-soft">{sayMoment(new Date(laid.atMs), new Date(page.nowMs), page.farm)}</span>
        <span className="block text-[0.92rem]">
          {sayVolume(laid.litres, units)}
          {laid.depthCm === null
            ? ""
            : `, worked in down to ${typedInField(laid.depthCm / 100, "cm", units)} ${sayFieldUnit("cm", units)}`}
          , by {laid.actorName}; a step of{" "}
          <Link href="/field/jobs" className="underline">
            {laid.jobName}
          </Link>
          .
        </span>
      </span>
    </li>
  );
};

type PlotLayer =
  | { readonly type: "dose"; readonly atMs: number; readonly dose: Dose }
  | { readonly type: "laid"; readonly atMs: number; readonly laid: LaidHere };

/** All that lies in its ground, the latest at the top. */
const layersOf = ({ doses, laid }: PlotPage): PlotLayer[] =>
  [
    ...doses.map((dose) => ({ type: "dose" as const, atMs: dose.atMs, dose })),
    ...laid.map((one) => ({ type: "laid" as const, atMs: one.atMs, laid: one })),
  ].toSorted((a, b) => b.atMs - a.atMs);

const sayPlanting = (planting: PlantingRow, today: string): string => {
  const stage = stageOn(planting, today);
  const parts = [
    planting.plantedOn ? `${planting.sown ? "sown" : "set out"} ${sayDay(planting.plantedOn)}` : "",
    planting.plants ? `${planting.plants} plants` : "",
    planting.harvestFrom
      ? `harvest ${sayDay(planting.harvestFrom)}${planting.harvestTo ? ` to ${sayDay(planting.harvestTo)}` : ""}`
      : "",
    planting.endedOn ? `cleared ${sayDay(planting.endedOn)}` : stage === "bare" ? "" : STAGE_WORDS[stage],
  ];
  return parts.filter(Boolean).join(", ");
};

/** All that grew here, grows or is meant to; a touch changes it. */
const Plantings = ({ page }: { readonly page: PlotPage }) => {
  const [open, setOpen] = useState<PlantingRow | null>(null);
  return (
    <section aria-labelledby="grew">
      <h2 id="grew" className="text-xl">
        What grows here
      </h2>
      {page.plantings.length === 0 ? (
        <p className="text-soft">Nothing yet. Choose the plot on the field, then Plant.</p>
      ) : null}
      <ul>
        {page.plantings.map((planting) => (
          <li key={planting.id} className="flex items-center gap-3 border-b border-line py-1">
            <span className="min-w-0 grow">
              <b>{planting.crop || "nothing named"}</b>{" "}
              <span className="text-soft">{sayPlanting(planting, page.today)}</span>
            </span>
            <Button variant="quiet" onClick={() => setOpen(planting)} aria-label={`Change ${planting.crop}`}>
              Change
            </Button>
          </li>
        ))}
      </ul>
      {open ? <ChangePlantingSheet planting={open} onClose={() => setOpen(null)} /> : null}
    </section>
  );
};

/** One plot opened: the ground in section with what it got, deeper the longer ago; what grew; and where it all came from. */
export const PlotScreen = ({ page }: { readonly page: PlotPage }) => {
  const { plot, farm } = page;
  const [wrong, setWrong] = useState<Dose | null>(null);
  const { widthM, lengthM } = sidesOf(plot.ring);
  const onPlan = isOnPlan(plot);
  const inField = (metres: number) => typedInField(metres, "m", farm.units);
  return (
    <div className="px-4 py-4 md:px-8">
      <p>
        <Link href="/field" className="thumb underline">
          The field
        </Link>
      </p>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6">
        <h1 className="text-2xl">
          {plot.name}{" "}
          <span className="font-normal text-soft">
            {isElsewhere(plot.kind) ? ELSEWHERE_WORDS[plot.kind] : plot.crop || "bare"}
          </span>
        </h1>
        <Link href={`/trace?plot=${plot.id}`} className="thumb font-semibold underline">
          Where it all came from
        </Link>
      </div>
      <p className="text-soft">
        {onPlan
          ? `${inField(widthM)} by ${inField(lengthM)} ${sayFieldUnit("m", farm.units)}, ${sayArea(plot.areaM2, farm.units)}`
          : "Not on the plan"}
        {page.nearWater.length > 0
          ? `; ${sayArea(page.treatableM2, farm.units)} of it far enough from ${listed(page.nearWater)}`
          : ""}
        {plot.block ? `; group ${plot.block}` : ""}
        {plot.tags.length > 0 ? `; ${plot.tags.join(", ")}` : ""}
      </p>
      <div className="mt-4 grid gap-8 md:grid-cols-[minmax(0,1fr)_380px]">
        <section aria-labelledby="ground">
          <h2 id="ground" className="text-xl">
            In the ground
          </h2>
          <svg aria-hidden className="mt-2 block h-12 w-20 border-b-4 border-ink md:w-64">
            <Hatches />
            <rect width="100%" height="100%" fill={stageFill(plot.stage)} />
          </svg>
          {page.doses.length + page.laid.length === 0 ? (
            <p className="py-3 text-soft">Nothing was put on it yet.</p>
          ) : null}
          <ol>
            {layersOf(page).map((layer) =>
              layer.type === "dose" ? (
                <Layer
                  key={`dose ${layer.dose.applicationId}`}
                  dose={layer.dose}
                  page={page}
                  onCorrect={() => setWrong(layer.dose)}
                />
              ) : (
                <LaidLayer key={`laid ${layer.laid.what} ${layer.laid.atMs}`} laid={layer.laid} page={page} />
              ),
            )}
          </ol>
          <PlotLooks page={page} />
          <PlotReadings page={page} />
        </section>
        <div className="grid content-start gap-6">
          {onPlan ? (
            <>
              <Wants page={page} />
              <Plantings page={page} />
            </>
          ) : null}
          {page.filled.length > 0 ? <FilledBy filled={page.filled} units={farm.units} /> : null}
          {onPlan && (plot.stage === "bare" || plot.next) ? <Soakings page={page} /> : null}
        </div>
      </div>
      {wrong ? <DoseSheet dose={wrong} clock={farm} nowMs={page.nowMs} onClose={() => setWrong(null)} /> : null}
    </div>
  );
};
