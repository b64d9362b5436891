import { Link } from "../kit/Link";
import type { ReactNode } from "react";
import { NUTRIENTS } from "@/core/book/composition";
import { findIngredient } from "@/core/book/ingredients";
import { inContentUnit, sayContentUnit, sayStock } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { sayThinned } from "@/words/said";
import type { BatchPage } from "@/services/batch";
import { ContentTable } from "../content/ContentTable";
import { AddLab } from "./deskButtons";
import { inText } from "@/formats/grammar";

/** What is in a batch, worked out or measured. */
export const InIt = ({ page }: { readonly page: BatchPage }) => {
  const { units } = page.farm;
  const thinned = sayThinned(page.strength, page.use.partsWater);
  return (
    <>
      {thinned ? <p className="mb-2 border-l-4 border-marigold pl-3">{thinned}</p> : null}
      <ContentTable
        content={page.content}
        partsWater={page.use.partsWater}
        useName={page.use.name}
        mixLPerM2={page.use.mixLPerM2}
        units={units}
      />
      {page.lab.map((result, index) => (
        <p key={index} className="text-[0.9rem] text-soft">
          {NUTRIENTS[result.nutrient]} {formatNumber(inContentUnit(result.gPerL, units), 4)} {sayContentUnit(units)}{" "}
          measured
          {result.note ? `, ${result.note}` : ""}; entered by {result.actorName}.
        </p>
      ))}
      <AddLab batchId={page.batch.id} />
    </>
  );
};

const BatchLinks = ({ kin }: { readonly kin: BatchPage["madeFrom"] }): ReactNode =>
  kin.map(({ batchId, name }, index) => (
    <span key={batchId}>
      {index > 0 ? ", " : ""}
      <Link href={`/batches/${batchId}`} className="underline decoration-line decoration-2 underline-offset-4">
        {name}, batch {batchId}
      </Link>
    </span>
  ));

/** The recipe it was made by, its water, its kin, and what is still to go in. */
export const Origins = ({ page }: { readonly page: BatchPage }) => {
  const { batch, water } = page;
  const ahead = page.later.filter(({ done }) => !done);
  return (
    <ul className="grid gap-1">
      <li>
        Made by {batch.versionNo === null ? "the standard recipe" : `own version ${batch.versionNo}`},{" "}
        {inText(batch.schoolName)}; it stays with it.
      </li>
      {water ? (
        <li>
          Water: {water.sourceName}
          {water.overrideReason ? `, against the strip: ${water.overrideReason}` : ""}.
        </li>
      ) : null}
      {page.madeFrom.length > 0 ? (
        <li>
          Made with <BatchLinks kin={page.madeFrom} />.
        </li>
      ) : null}
      {page.wentInto.length > 0 ? (
        <li>
          Went into <BatchLinks kin={page.wentInto} />.
        </li>
      ) : null}
      <li>
        <Link href={`/trace?batch=${page.batch.id}`} className="underline">
          Where it came from, and where it went
        </Link>
        .
      </li>
      {ahead.map((line) => (
        <li key={line.ingredient} className="font-semibold">
          Still to go in: {sayStock(line.amount, line.unit, page.farm.units)} of{" "}
          {inText(findIngredient(line.ingredient).name)} on day {line.onDay}, {line.role}.
        </li>
      ))}
    </ul>
  );
};
