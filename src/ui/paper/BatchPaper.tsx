"use client";
import type { ReactNode } from "react";
import type { Paper } from "@/core/paper/papers";
import { sayDilution, sayMoney, sayStock, sayVolume } from "@/formats/amounts";
import { clockTime, fullDate } from "@/formats/times";
import { sayEntry, sayVerdict } from "@/words/said";
import type { BatchPage } from "@/services/batch";
import { PaperBar } from "./PaperBar";
import { LongPage } from "./PaperSheet";
import { RecordTable, SignHere } from "./RecordTable";
import { inText } from "@/formats/grammar";

const moment = (page: BatchPage, atMs: number): string =>
  `${fullDate(new Date(atMs), page.farm)} ${clockTime(new Date(atMs), page.farm)}`;

const Section = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section aria-label={title} className="mt-[5mm]">
    <h3 className="break-after-avoid text-xl">{title}</h3>
    {children}
  </section>
);

const Made = ({ page }: { readonly page: BatchPage }) => (
  <Section title="Ingredients">
    <RecordTable
      label="Ingredients used"
      heads={["Ingredient", "Used", "Recipe"]}
      rows={page.lines.map((line) => ({
        key: `${line.ingredientId}-${line.part}`,
        cells: [
          line.name,
          sayStock(line.used, line.unit, page.farm.units),
          sayStock(line.planned, line.unit, page.farm.units),
        ],
      }))}
    />
    {page.water ? (
      <p className="mt-[1mm]">
        Water: {page.water.sourceName}
        {page.water.overrideReason ? ` (reason: ${page.water.overrideReason})` : ""}.
      </p>
    ) : null}
    {page.madeFrom.length > 0 ? (
      <p>Made from {page.madeFrom.map(({ name, batchId }) => `${inText(name)}, batch ${batchId}`).join("; ")}.</p>
    ) : null}
  </Section>
);

/** The whole log, what was crossed out among it: a record shows its corrections. */
const Log = ({ page }: { readonly page: BatchPage }) => (
  <Section title="Log">
    {page.log.length === 0 ? (
      <p>Nothing was logged.</p>
    ) : (
      <RecordTable
        label="Log entries"
        heads={["When", "What", "By"]}
        rows={page.log
          .toSorted((a, b) => a.atMs - b.atMs)
          .map((entry) => ({
            key: entry.id,
            struck: entry.correctedById !== null,
            cells: [moment(page, entry.atMs), sayEntry(entry, page.farm.units), entry.actorName],
          }))}
      />
    )}
  </Section>
);

const WentOn = ({ page }: { readonly page: BatchPage }) =>
  page.applications.length === 0 ? null : (
    <Section title="Where it went">
      <RecordTable
        label="Plots it went on"
        heads={["When", "Plot", "Dilution", "Input"]}
        rows={page.applications.map((one) => ({
          key: `${one.applicationId}-${one.plotId}`,
          cells: [
            moment(page, one.atMs),
            one.plotName,
            sayDilution(one.partsWater),
            sayVolume(one.concentrateL, page.farm.units),
          ],
        }))}
      />
    </Section>
  );

/** A batch's record on paper: what it is, what went in, all that was logged, how it ended, what it cost and where it went. */
export const BatchPaper = ({ page, paper }: { readonly page: BatchPage; readonly paper: Paper }) => {
  const { batch, close, farm } = page;
  return (
    <div className="px-4 py-5 print:p-0">
      <PaperBar title={`Record of batch ${batch.id}`} paper={paper.id} />
      <LongPage paper={paper}>
        <h2 className="text-2xl">
          {batch.name}, batch {batch.id}
        </h2>
        <p>
          {farm.name}. {sayVolume(batch.filledL, farm.units)} in {page.vesselName}, by{" "}
          {batch.versionNo === null ? "the standard recipe" : `own version ${batch.versionNo}`}. Started{" "}
          {moment(page, batch.startedMs)} by {page.startedBy}. Printed on {fullDate(new Date(page.nowMs), farm)}.
        </p>
        <Made page={page} />
        <Log page={page} />
        <Section title="Result">
          <p>
            {close
              ? `${close.kind === "strained" ? `Strained, ${close.yieldKg === null ? sayVolume(close.yieldL, farm.units) : sayStock(close.yieldKg, "kg", farm.units)}` : "Thrown away"}, ${moment(page, close.atMs)} by ${close.actorName}. Its state was “${sayVerdict(close.verdict)}”.${close.overrideReason ? ` Reason: ${close.overrideReason}.` : ""}`
              : `Still running: ${batch.stateWords}.`}{" "}
            Cost: {sayMoney(page.cost.totalMinor, farm.currency)}.
          </p>
        </Section>
        <WentOn page={page} />
        <p className="mt-[4mm] font-semibold">DO NOT DRINK. Keep off skin. Keep away from children and animals.</p>
        <SignHere />
      </LongPage>
    </div>
  );
};
