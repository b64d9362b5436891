"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState, type ReactNode } from "react";
import { toast } from "sonner";
import { findUse } from "@/core/book/uses";
import { sayDilution, sayMoney, sayStock, sayVolume } from "@/formats/amounts";
import { sayEntry } from "@/formats/entryText";
import { sayWindow } from "@/formats/windowText";
import { clockTime, dayMonth, fullDate, sayMoment } from "@/formats/times";
import type { BatchPage } from "@/services/readBatch";
import { useAct } from "../actions";
import { Button, buttonLook } from "../kit/Button";
import { Notice } from "../kit/Notice";
import { STATE_TEXT, StateMark } from "../kit/StateMark";
import { CostMeasure } from "../ledger/CostMeasure";
import { contentsOf } from "../yard/VesselColumn";
import { VesselDrawing } from "../yard/VesselDrawing";
import { BatchRibbon } from "./BatchRibbon";
import { CloseSheet } from "./CloseSheet";
import { LogList } from "./LogList";
import { focusFor, LogSheet, type Correcting } from "./LogSheet";
import { ReadingsChart } from "./ReadingsChart";

const Part = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section aria-label={title}>
    <h2 className="mb-2 text-xl">{title}</h2>
    {children}
  </section>
);

const Lines = ({ page }: { readonly page: BatchPage }) => (
  <ul className="divide-y divide-line border-y border-line">
    {page.lines.map((line) => {
      const differs = Math.abs(line.used - line.planned) > 0.02 * Math.max(line.planned, 0.001);
      return (
        <li key={`${line.ingredientId}-${line.part}`} className="flex items-baseline justify-between gap-3 py-1.5">
          <span>
            {line.name}
            {line.part === "cap" ? ", the cap" : ""}
          </span>
          <span className="reading whitespace-nowrap">
            {sayStock(line.used, line.unit, page.farm.units)}
            {differs ? (
              <span className="text-soft"> (recipe {sayStock(line.planned, line.unit, page.farm.units)})</span>
            ) : null}
          </span>
        </li>
      );
    })}
  </ul>
);

const Outcome = ({ page }: { readonly page: BatchPage }) => {
  const clock = page.farm;
  const now = new Date(page.nowMs);
  return (
    <Part title="What came of it">
      <ul className="divide-y divide-line border-y border-line">
        {page.close ? (
          <li className="py-1.5">
            {page.close.kind === "strained"
              ? `${sayVolume(page.close.yieldL, page.farm.units)} strained`
              : "Thrown out"}{" "}
            {sayMoment(new Date(page.close.atMs), now, clock)} by {page.close.actorName}; what was left:{" "}
            {page.close.residue}
            {page.close.residueKg === null ? "" : `, ${page.close.residueKg} kg`}.
            {page.close.overrideReason
              ? ` Against the verdict “${page.close.verdict}”: ${page.close.overrideReason}`
              : ""}
          </li>
        ) : null}
        {page.stores.map((store) => (
          <li key={store.id} className="flex items-center justify-between gap-3 py-1.5">
            <span>
              {store.label}: {sayVolume(store.onHandL, page.farm.units)} left{store.place ? `, ${store.place}` : ""};{" "}
              {store.expiresMs < page.nowMs ? "its time was over" : "keeps until"}{" "}
              {fullDate(new Date(store.expiresMs), clock)}
            </span>
            {store.onHandL > 0 ? (
              <Link href={`/field?store=${store.id}`} className={buttonLook("plain")}>
                Apply
              </Link>
            ) : null}
          </li>
        ))}
        {page.applications.map((made) => (
          <li key={`${made.applicationId}-${made.plotId}`} className="py-1.5">
            {made.plotName}: {sayVolume(made.mixL, page.farm.units)} at {sayDilution(made.partsWater)},{" "}
            {findUse(made.useId).name.toLowerCase()}, {dayMonth(new Date(made.atMs), clock)} by {made.actorName}
          </li>
        ))}
      </ul>
    </Part>
  );
};

/** One batch: the vessel large, its ribbon and past on one axis, the log, what went in, what it cost, what came of it. */
export const BatchScreen = ({ page }: { readonly page: BatchPage }) => {
  const router = useRouter();
  const [sheet, setSheet] = useState<"log" | "close" | null>(null);
  const [correcting, setCorrecting] = useState<Correcting | null>(null);
  const withdraw = useAct("logEntry", "toast");
  const { batch, farm } = page;
  const clock = farm;
  const running = page.close === null;
  const standing = page.log.filter(({ kind, correctedById }) => kind !== "withdrawn" && correctedById === null);
  const phs = standing
    .filter(({ kind, spot }) => kind === "ph" && spot === "mid-depth")
    .toReversed()
    .map((entry) => ({
      day: (entry.atMs - batch.startedMs) / 86_400_000,
      ph: entry.numberValue!,
      where: entry.spot ?? "",
    }));
  const strike = async (entryId: number) => {
    if (await withdraw.run({ batchId: batch.id, correctsId: entryId, entry: { kind: "withdrawn" } }))
      toast.success("Struck out; it stays readable.");
  };

  return (
    <div className="mx-auto max-w-[1240px] px-4 py-5">
      <Link
        href="/"
        className="inline-flex min-h-11 items-center text-[0.95rem] underline decoration-line decoration-2 underline-offset-4"
      >
        Back to the yard
      </Link>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-[220px_1fr]">
        <div className="flex items-end justify-center border-b-[3px] border-ink max-md:order-2">
          <VesselDrawing
            kind={page.vesselKind}
            volumeL={batch.vesselL}
            diameterM={null}
            pxPerM={210 / Math.max(0.3, 1.18 * Math.cbrt(batch.vesselL / 1000))}
            contents={running ? contentsOf(batch) : null}
            dirty={!running}
            label={`${page.vesselName}, ${sayVolume(batch.filledL, farm.units)}`}
          />
        </div>
        <div>
          <h1 className="text-3xl">{batch.name}</h1>
          <p className="text-soft">
            {page.vesselName}, {sayVolume(batch.filledL, farm.units)}, {batch.schoolName.toLowerCase()}; started{" "}
            {fullDate(new Date(batch.startedMs), clock)} {clockTime(new Date(batch.startedMs), clock)} by{" "}
            {page.startedBy}
            {running ? `; ${batch.ageText}` : ""}. Batch {batch.id}.
          </p>
          <p className={`mt-3 flex items-center gap-2 text-2xl font-bold ${STATE_TEXT[batch.state]}`}>
            <StateMark state={batch.state} size={22} />
            {page.close
              ? `${page.close.kind === "strained" ? "Strained" : "Thrown out"}; judged ${batch.stateWords.toLowerCase()} then`
              : batch.stateWords}
          </p>
          <ul className="mt-1">
            {batch.reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
            {running ? <li>{sayWindow(batch.window, batch.state, page.nowMs, clock)}</li> : null}
            {running && batch.ifWarmer ? <li>{batch.ifWarmer}</li> : null}
          </ul>
          {running ? (
            <div className="mt-4 flex flex-wrap gap-3">
              <Button look="strong" onClick={() => setSheet("log")}>
                {batch.next.act === "strain" || batch.next.act === "use-now" || batch.next.act === "compost"
                  ? "Log"
                  : `Log: ${batch.next.words.charAt(0).toLowerCase()}${batch.next.words.slice(1)}`}
              </Button>
              <Button onClick={() => setSheet("close")}>Strain or throw out</Button>
            </div>
          ) : null}
        </div>
      </div>
      <div role="region" aria-label="The batch over time" tabIndex={0} className="mt-4 overflow-x-auto">
        <BatchRibbon
          page={page}
          clock={clock}
          pins={page.log
            .filter(({ kind }) => kind !== "withdrawn")
            .map((entry) => ({
              atMs: entry.atMs,
              text: sayEntry(entry, farm.units),
              struck: entry.correctedById !== null,
            }))}
        />
      </div>
      <div className="mt-6 grid gap-x-10 gap-y-8 md:grid-cols-2">
        <div className="grid content-start gap-8">
          <Part title="Log">
            {page.log.length === 0 ? (
              <p className="text-soft">Nothing logged yet. The first look tells most.</p>
            ) : (
              <LogList
                log={page.log}
                clock={clock}
                units={farm.units}
                onCorrect={(next) => {
                  setCorrecting(next);
                  setSheet("log");
                }}
                onWithdraw={(entryId) => void strike(entryId)}
              />
            )}
          </Part>
          {page.close || page.stores.length > 0 ? <Outcome page={page} /> : null}
        </div>
        <div className="grid content-start gap-8">
          {page.targetPh !== null && phs.length > 0 ? (
            <Part title="pH">
              <ReadingsChart points={phs} targetPh={page.targetPh} />
            </Part>
          ) : null}
          <Part title="What went in">
            <Lines page={page} />
          </Part>
          <Part title="What it cost">
            <p className="mb-3">
              <span className="reading text-2xl font-semibold">{sayMoney(page.cost.totalMinor, farm.currency)}</span>
              {page.cost.perLMinor === null ? (
                <span className="text-soft"> so far; a price per litre comes with the yield</span>
              ) : (
                <span className="text-soft"> or {sayMoney(page.cost.perLMinor, farm.currency)} a litre</span>
              )}
            </p>
            <CostMeasure cost={page.cost} currency={farm.currency} label="What it cost" />
          </Part>
          <Part title="Mind">
            <div className="grid gap-2">
              {page.cautions.map((caution) => (
                <Notice key={caution} tone="caution">
                  {caution}
                </Notice>
              ))}
              <p className="text-[0.9rem] text-soft">
                Local code, your certifier and licensed trades stand above this. {page.sureness}
              </p>
            </div>
          </Part>
        </div>
      </div>
      {sheet === "log" ? (
        <LogSheet
          batch={batch}
          vesselName={page.vesselName}
          focus={focusFor(batch)}
          clock={clock}
          units={farm.units}
          nowMs={page.nowMs}
          {...(correcting ? { correcting } : {})}
          onClose={() => {
            setSheet(null);
            setCorrecting(null);
          }}
        />
      ) : null}
      {sheet === "close" ? (
        <CloseSheet
          batch={batch}
          vesselName={page.vesselName}
          units={farm.units}
          onClose={() => {
            setSheet(null);
            router.refresh();
          }}
        />
      ) : null}
    </div>
  );
};
