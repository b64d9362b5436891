"use client";
import { Download, Printer } from "lucide-react";
import { USES } from "@/core/book/uses";
import { sayDilution, sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { sayDay, sayMoment } from "@/formats/times";
import type { Trace, TracedApplication, TracedBatch, TracedLot } from "@/services/trace";
import { ENDED_WORDS, sayCameWith, sayCarried } from "@/words/said";
import { Button, buttonClass } from "../kit/Button";
import { Link } from "../kit/Link";
import { inText } from "@/formats/grammar";

const moment = (ms: number, trace: Trace) => sayMoment(new Date(ms), new Date(trace.nowMs), trace.farm);

const sayLot = (lot: TracedLot, units: UnitSystem): string =>
  [
    `${sayStock(lot.amount, lot.unit, units)} of ${inText(lot.ingredient)}`,
    lot.picked
      ? `${lot.picked.species}${lot.picked.place ? `, picked at ${lot.picked.place}` : ", picked"}`
      : lot.origin,
    sayDay(lot.receivedOn),
    lot.note,
    lot.cameWithBatchId === null ? "" : sayCameWith(lot.cameWithBatchId, lot.origin),
  ]
    .filter(Boolean)
    .join(", ");

/** One batch with all that went into it. */
const BatchLine = ({ batch, trace }: { readonly batch: TracedBatch; readonly trace: Trace }) => {
  const names = new Map(trace.batches.map(({ id, name }) => [id, name]));
  return (
    <li className="break-inside-avoid border-b border-line py-2">
      <Link href={`/batches/${batch.id}`} className="font-bold underline">
        {batch.name}, batch {batch.id}
      </Link>{" "}
      <span className="text-soft">
        {batch.vesselName}, filled {moment(batch.startedMs, trace)} by {batch.startedBy}
        {batch.close === null
          ? ", still in its vessel"
          : `, ${ENDED_WORDS[batch.close.kind]} ${moment(batch.close.atMs, trace)}`}
      </span>
      <ul className="ml-4 list-disc pl-3 text-[0.95rem]">
        {batch.madeFrom.map((from) => (
          <li key={from}>
            made from {names.get(from) ?? "batch"} {from}
          </li>
        ))}
        {batch.lots.map((lot) => (
          <li key={lot.lotId}>
            <Link href={`/trace?lot=${lot.lotId}`} className="underline">
              Lot {lot.lotId}
            </Link>
            : {sayLot(lot, trace.farm.units)}
          </li>
        ))}
      </ul>
    </li>
  );
};

/** What can still be held back: it stands on the shelf or in a store, and batches of it still run. */
const StillHere = ({ trace }: { readonly trace: Trace }) => {
  const running = trace.batches.filter(({ close }) => close === null);
  const { units } = trace.farm;
  return (
    <section aria-labelledby="still">
      <h2 id="still" className="mt-5 text-xl">
        Still on the farm
      </h2>
      {trace.onHand.length + running.length === 0 ? <p className="text-soft">Nothing of it is left.</p> : null}
      <ul className="list-disc pl-5">
        {running.map(({ id, name, vesselName }) => (
          <li key={`batch ${id}`}>
            <Link href={`/batches/${id}`} className="font-semibold underline">
              {name}
            </Link>{" "}
            in {vesselName}
          </li>
        ))}
        {trace.onHand.map((one) => (
          <li key={`${one.type} ${one.id}`}>
            <Link href={one.type === "store" ? `/shed?store=${one.id}` : "/shed"} className="font-semibold underline">
              {one.name}
            </Link>
            : {sayStock(one.amount, one.unit, units)}
            {one.place ? `, ${one.place}` : ""}
          </li>
        ))}
      </ul>
    </section>
  );
};

/** Where it went: bed by bed, with what must be waited for. */
const Where = ({ trace }: { readonly trace: Trace }) => (
  <div className="relative overflow-x-auto">
    <table className="w-full text-left text-[0.95rem]">
      <thead>
        <tr className="border-b-2 border-ink">
          {["Plot", "Crop now", "When", "What", "How", "By", "Carried", "Harvest"].map((head) => (
            <th key={head} scope="col" className="py-1 pr-3">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {trace.applications.map((made) => (
          <Made key={`${made.applicationId} ${made.plotId}`} made={made} trace={trace} />
        ))}
      </tbody>
    </table>
  </div>
);

const Made = ({ made, trace }: { readonly made: TracedApplication; readonly trace: Trace }) => {
  const { units } = trace.farm;
  return (
    <tr className="border-b border-line align-top">
      <td className="whitespace-nowrap py-1 pr-3">
        <Link href={`/field/plots/${made.plotId}`} className="font-semibold underline">
          {made.plotName}
        </Link>
      </td>
      <td className="pr-3">{made.crop || (made.isOnPlan ? "bare" : "")}</td>
      <td className="pr-3 whitespace-nowrap">{moment(made.atMs, trace)}</td>
      <td className="pr-3">
        {made.batchName}, batch {made.batchId}: {sayVolume(made.concentrateL, units)}
        {made.blendedWith ? `, in one can with ${made.blendedWith}` : ""}
      </td>
      <td className="pr-3">
        {USES[made.useId]?.name ?? made.useId}, {sayDilution(made.partsWater)}, {sayVolume(made.mixL, units)}
        {made.note ? `. ${made.note}` : ""}
        {made.overrideReason ? `. Reason: ${made.overrideReason}` : ""}
      </td>
      <td className="pr-3">{made.by}</td>
      <td className="pr-3">{made.carries.map(sayCarried).join("; ") || "nothing to wait for"}</td>
      <td className="pr-3">
        {made.clearOn ? `not before ${sayDay(made.clearOn)}` : ""}
        {made.harvestFrom ? `${made.clearOn ? "; " : ""}planned from ${sayDay(made.harvestFrom)}` : ""}
      </td>
    </tr>
  );
};

const HEADS = {
  plot: (name: string) => `What ${name} got, and where it came from`,
  batch: (name: string) => `Where ${name} came from, and where it went`,
  lot: (name: string) => `Where ${inText(name)} went`,
} as const;

/** A trace on one page, to be read, printed or taken along as a table. */
export const TraceScreen = ({ trace }: { readonly trace: Trace }) => (
  <div className="px-4 py-4 md:px-8">
    <div className="flex flex-wrap items-baseline justify-between gap-3">
      <h1 className="text-2xl">
        {HEADS[trace.of.type](trace.of.type === "lot" ? `lot ${trace.of.id}, ${trace.of.name}` : trace.of.name)}
      </h1>
      <div className="flex gap-2 print:hidden">
        <Button onClick={() => window.print()}>
          <Printer aria-hidden className="size-5" /> Print
        </Button>
        <a href={`/api/trace?${trace.of.type}=${trace.of.id}`} className={buttonClass("plain")} download>
          <Download aria-hidden className="size-5" /> CSV
        </a>
      </div>
    </div>
    <p className="text-soft">
      {trace.farm.name}, {moment(trace.nowMs, trace)}. {trace.applications.length} entries on plots,{" "}
      {trace.batches.length} batches.
    </p>
    {trace.of.type === "plot" ? null : <StillHere trace={trace} />}
    <h2 className="mt-5 text-xl">On the plots</h2>
    {trace.applications.length === 0 ? (
      <p className="text-soft">Nothing of it is on any plot.</p>
    ) : (
      <Where trace={trace} />
    )}
    <h2 className="mt-6 text-xl">Made from</h2>
    {trace.batches.length === 0 ? <p className="text-soft">It went into no batch.</p> : null}
    <ul>
      {trace.batches.map((batch) => (
        <BatchLine key={batch.id} batch={batch} trace={trace} />
      ))}
    </ul>
  </div>
);
