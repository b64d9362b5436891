"use client";
import { clsx } from "clsx";
import { buttonClass } from "../kit/Button";
import { HowSure } from "../kit/HowSure";
import { Link } from "../kit/Link";
import { findUse } from "@/core/book/uses";
import { sayArea, sayDilution, sayMoney, sayVolume } from "@/formats/amounts";
import { sayPricePer } from "@/formats/fieldUnits";
import { dayMonth } from "@/formats/times";
import type { LedgerBatch, LedgerPlot, LedgerView } from "@/services/ledger";
import { sureCosts } from "@/words/said";
import { CostMeasure } from "./CostMeasure";
import { WhereItIs } from "./WhereItIs";
import { counted, inText } from "@/formats/grammar";

const OUTCOME = {
  "running": "still running",
  "strained": "",
  "discarded": "thrown away, no yield",
  "taken-back": "start undone",
} as const;
const DRAWN_BATCHES = 9;

const BatchCard = ({ batch, view }: { readonly batch: LedgerBatch; readonly view: LedgerView }) => {
  const { currency, units } = view.farm;
  return (
    <li className="border-t-2 border-ink pt-2">
      <h2 className="text-[1.05rem]">
        <Link
          href={`/batches/${batch.id}`}
          className="thumb underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink"
        >
          {batch.name}, {batch.vesselName}
        </Link>
      </h2>
      <p className="text-[0.9rem] text-soft">
        batch {batch.id}, from {dayMonth(new Date(batch.startedMs), view.farm)}
        {batch.yieldL === null ? "" : `; ${sayVolume(batch.yieldL, units)} strained`}
      </p>
      <p className="my-2">
        {batch.cost.perLMinor === null ? (
          <span className={clsx("font-semibold", batch.outcome === "discarded" && "text-rust")}>
            {batch.outcome === "discarded" ? "■ " : ""}
            {OUTCOME[batch.outcome]}: {sayMoney(batch.cost.totalMinor, currency)}
          </span>
        ) : (
          <>
            <span className="reading text-2xl font-semibold">
              {sayPricePer(batch.cost.perLMinor, "L", currency, units)}
            </span>{" "}
            <span className="text-soft">({sayMoney(batch.cost.totalMinor, currency)} in all)</span>
          </>
        )}
      </p>
      <CostMeasure cost={batch.cost} currency={currency} label={`${batch.name}, batch ${batch.id}`} />
    </li>
  );
};

const PlotRow = ({
  plot,
  most,
  view,
}: {
  readonly plot: LedgerPlot;
  readonly most: number;
  readonly view: LedgerView;
}) => {
  const { currency, units } = view.farm;
  return (
    <li>
      <details className="group">
        <summary className="grid min-h-11 cursor-pointer grid-cols-[1fr_auto] items-center gap-x-3 py-1.5 sm:grid-cols-[11rem_1fr_8.5rem]">
          <span className="font-semibold">
            {plot.name} <span className="font-normal text-soft">{plot.crop}</span>
          </span>
          <span aria-hidden className="hidden h-3 sm:block">
            <span
              className="block h-full bg-blue"
              style={{ width: `${most > 0 ? (100 * plot.costMinor) / most : 0}%` }}
            />
          </span>
          <span className="reading text-right">
            {sayMoney(plot.costMinor, currency)}
            <span className="block text-[0.85rem] text-soft">
              {plot.areaM2 === null ? "" : sayPricePer(plot.costMinor / plot.areaM2, "m2", currency, units)}
            </span>
          </span>
        </summary>
        <ul className="pb-2 pl-4 text-[0.92rem]">
          {plot.applications.length === 0 ? (
            <li className="text-soft">
              Nothing was put on it. {plot.areaM2 === null ? "" : `${sayArea(plot.areaM2, units)}.`}
            </li>
          ) : null}
          {plot.applications.map((made) => (
            <li key={made.applicationId} className="flex justify-between gap-3 py-0.5">
              <span>
                {dayMonth(new Date(made.atMs), view.farm)}: {sayVolume(made.mixL, units)} of {inText(made.storeLabel)}{" "}
                at {sayDilution(made.partsWater)}, {inText(findUse(made.useId).name)}
              </span>
              <span className="reading whitespace-nowrap">{sayMoney(made.costMinor, currency)}</span>
            </li>
          ))}
        </ul>
      </details>
    </li>
  );
};

/** Where a batch's price comes from, drawn as what went in; beds by what was spent on them; failed drums not hidden. */
export const LedgerScreen = ({ view }: { readonly view: LedgerView }) => {
  const most = Math.max(0, ...view.plots.map(({ costMinor }) => costMinor));
  const treated = view.plots.filter(({ costMinor }) => costMinor > 0);
  const untouched = view.plots.length - treated.length;
  return (
    <div className="grid gap-x-12 gap-y-8 px-4 py-5 md:px-8 lg:grid-cols-[1.55fr_1fr]">
      <section aria-labelledby="ledger">
        <h1 id="ledger" className="text-2xl">
          Cost of each batch
        </h1>
        <p className="text-soft">Ingredients, work time and power. Layer height = share of cost.</p>
        <Link href="/ledger/season" className={clsx(buttonClass("plain"), "mt-2")}>
          Season’s report
        </Link>
        <div className="mt-3 max-w-2xl">
          <HowSure
            lines={sureCosts({
              labour: sayMoney(view.labourMinorPerH, view.farm.currency),
              power: sayMoney(view.powerMinorPerKWh, view.farm.currency),
            })}
          />
        </div>
        {view.batches.length === 0 ? (
          <p className="mt-3">No batch yet. The first one’s price stands here as soon as it is filled.</p>
        ) : null}
        <ul className="mt-4 grid gap-x-8 gap-y-7 sm:grid-cols-2">
          {view.batches.slice(0, DRAWN_BATCHES).map((batch) => (
            <BatchCard key={batch.id} batch={batch} view={view} />
          ))}
        </ul>
        {view.batches.length > DRAWN_BATCHES ? (
          <ul className="mt-6 divide-y divide-line border-y border-line">
            {view.batches.slice(DRAWN_BATCHES).map((batch) => (
              <li key={batch.id} className="flex justify-between gap-3 py-1.5">
                <Link href={`/batches/${batch.id}`} className="thumb underline decoration-line underline-offset-4">
                  {batch.name}, {batch.vesselName}, batch {batch.id}
                </Link>
                <span className="reading">
                  {batch.cost.perLMinor === null
                    ? `${OUTCOME[batch.outcome]}, ${sayMoney(batch.cost.totalMinor, view.farm.currency)}`
                    : sayPricePer(batch.cost.perLMinor, "L", view.farm.currency, view.farm.units)}
                </span>
              </li>
            ))}
          </ul>
        ) : null}
        {view.batchCount > view.batches.length ? (
          <p className="mt-2 text-soft">
            The newest {view.batches.length} of {view.batchCount} batches.
          </p>
        ) : null}
      </section>
      <section aria-labelledby="by-bed">
        <WhereItIs view={view} />
        <h2 id="by-bed" className="text-2xl">
          Cost per bed
        </h2>
        <p className="text-soft">Concentrate at its batch’s price, and the hands that carried it.</p>
        <ul className="mt-3 divide-y divide-line border-y border-line empty:hidden">
          {treated.map((plot) => (
            <PlotRow key={plot.id} plot={plot} most={most} view={view} />
          ))}
        </ul>
        {view.plots.length === 0 ? <p className="mt-2 text-soft">No bed is drawn yet.</p> : null}
        {untouched > 0 ? (
          <p className="mt-2 text-soft">
            {counted(untouched, { one: "One bed got nothing so far.", other: "# beds got nothing so far." })}
          </p>
        ) : null}
      </section>
    </div>
  );
};
