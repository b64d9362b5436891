"use client";
import type { PlanBatch, Season } from "@/core/plan/season";
import { counted } from "@/formats/grammar";
import type { SeasonNames } from "@/words/said";
import { Fold } from "../kit/Fold";
import { changesBetween } from "@/core/plan/hand/changes";
import { sayDate } from "./seasonSpeech";

/** What a plan that is being tried does otherwise than the one in use. */
export const ChangeList = ({
  season,
  names,
  before,
  after,
}: {
  readonly season: Season;
  readonly names: SeasonNames;
  readonly before: readonly PlanBatch[];
  readonly after: readonly PlanBatch[];
}) => {
  const { moved, added, gone } = changesBetween(before, after);
  const count = moved.length + added.length + gone.length;
  const nameOf = ({ input, vessel }: PlanBatch): string => `${names.inputs[input]} in ${names.vessels[vessel]}`;
  return (
    <Fold
      title="Changed against the plan in use"
      stands={counted(count, { zero: "no batch", one: "one batch", other: "# batches" })}
      open={count > 0 && count < 7}
    >
      <ul className="text-[0.92rem]">
        {moved.map(({ from, to }) => (
          <li key={to.id}>
            {nameOf(to)}: start {sayDate(season, to.startDay)}, was {sayDate(season, from.startDay)}
            {from.vessel === to.vessel ? "" : ` in ${names.vessels[from.vessel]}`}
          </li>
        ))}
        {added.map((batch) => (
          <li key={batch.id}>
            {nameOf(batch)}: new, {sayDate(season, batch.startDay)}
          </li>
        ))}
        {gone.map((batch) => (
          <li key={batch.id}>
            {nameOf(batch)}: not any more, was {sayDate(season, batch.startDay)}
          </li>
        ))}
      </ul>
    </Fold>
  );
};
