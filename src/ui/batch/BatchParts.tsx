import { RINSE_WORDS, sayResidueTo, sayVerdict } from "@/words/said";
import { Link } from "../kit/Link";
import type { ReactNode } from "react";
import type { Range } from "@/core/book/range";
import { findUse } from "@/core/book/uses";
import { sayDilution, sayStock, sayVolume } from "@/formats/amounts";
import { dayMonth, fullDate, sayMoment } from "@/formats/times";
import type { BatchPage } from "@/services/batch";
import { buttonClass } from "../kit/Button";
import { NotOver, ToShed } from "./deskButtons";
import { inText } from "@/formats/grammar";

export const Part = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section aria-label={title}>
    <h2 className="mb-2 text-xl">{title}</h2>
    {children}
  </section>
);

/** What went in at the start, beside what the recipe asked for. */
export const Lines = ({ page }: { readonly page: BatchPage }) => (
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

/** A yield beside what such batches give. @example "as usual: 145 L to 160 L" */
const sayAgainst = (got: number, { low, high }: Range, say: (amount: number) => string): string =>
  `${got < low ? "less than usual" : got > high ? "more than usual" : "as usual"}: ${say(low)} to ${say(high)}`;

/** The end of a batch, and what became of what it gave. */
export const Outcome = ({ page }: { readonly page: BatchPage }) => {
  const clock = page.farm;
  const now = new Date(page.nowMs);
  return (
    <Part title="Result">
      <ul className="divide-y divide-line border-y border-line">
        {page.close?.kind === "taken-back" ? (
          <li className="py-1.5">
            {page.close.actorName} undid its start: what it took is in stock again, and {page.vesselName} stands as
            before.
          </li>
        ) : page.close ? (
          <li className="py-1.5">
            {page.close.kind === "strained"
              ? page.close.yieldKg === null
                ? `${sayVolume(page.close.yieldL, page.farm.units)} strained of ${sayVolume(page.batch.filledL, page.farm.units)} (${sayAgainst(page.close.yieldL, page.batch.closing.expected, (litres) => sayVolume(litres, page.farm.units))})`
                : `${sayStock(page.close.yieldKg, "kg", page.farm.units)} made (${sayAgainst(page.close.yieldKg, page.batch.closing.expected, (kg) => sayStock(kg, "kg", page.farm.units))})`
              : "Thrown away"}{" "}
            {sayMoment(new Date(page.close.atMs), now, clock)} by {page.close.actorName}; what was left:{" "}
            {sayResidueTo(page.close.residue)}
            {page.close.residueKg === null ? "" : `, ${sayStock(page.close.residueKg, "kg", page.farm.units)}`}
            {page.close.rinse
              ? `; rinsed with ${sayVolume(page.close.rinse.litres, page.farm.units)}, ${RINSE_WORDS[page.close.rinse.to]}`
              : ""}
            {"."}
            {page.close.overrideReason
              ? ` Strained while “${sayVerdict(page.close.verdict)}”: ${page.close.overrideReason}`
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
              <span className="flex shrink-0 gap-2">
                <Link href={`/field?store=${store.id}`} className={buttonClass("plain")}>
                  Apply
                </Link>
                {page.batch.closing.makes ? <ToShed storeId={store.id} heldL={store.onHandL} /> : null}
              </span>
            ) : null}
          </li>
        ))}
        {page.applications.map((made) => (
          <li key={`${made.applicationId}-${made.plotId}`} className="py-1.5">
            {made.plotName}: {sayVolume(made.mixL, page.farm.units)} at {sayDilution(made.partsWater)},{" "}
            {inText(findUse(made.useId).name)}, {dayMonth(new Date(made.atMs), clock)} by {made.actorName}
          </li>
        ))}
      </ul>
      {page.close && page.close.kind !== "taken-back" ? <NotOver batchId={page.batch.id} /> : null}
    </Part>
  );
};
