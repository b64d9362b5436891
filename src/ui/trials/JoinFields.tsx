"use client";
import { useMemo } from "react";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { drawLots, trialUnits, unitRing, type TrialUnit } from "@/core/trial/farm";
import { counted } from "@/formats/grammar";
import type { TrialStartView } from "@/services/trials";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { TickField } from "../kit/fields";
import { Fold } from "../kit/Fold";
import { TrialPlan, type PlanUnit } from "./TrialPlan";
import { joiningOf, type TrialDraft } from "./trialDraft";

type Plots = TrialStartView["plots"];
const STRIPS = [1, 2, 4, 6, 8, 12] as const;
const MOST_CROPS = 6;

/** A seed for showing who is compared with whom; lots are drawn by the farm, by another. */
const SHOWN_SEED = 1;

/** The strips that would join, and which of them would be compared; nothing of who gets what. */
export function useJoining(draft: TrialDraft, plots: Plots) {
  return useMemo(() => {
    const chosen = draft.plotIds.flatMap((id) => plots.find((plot) => plot.id === id) ?? []);
    const joining = joiningOf(draft);
    const units = trialUnits(chosen, joining);
    const size = draft.inputs.length + 1;
    const isEnough = units.length >= size;
    const placement = isEnough
      ? drawLots(units, joining, { inputs: draft.inputs, useId: null }, SHOWN_SEED)
      : { blocks: [], spare: units.map(({ unit }) => unit) };
    const blockOf = new Map(
      placement.blocks.flatMap((block) => block.units.map(({ unit }) => [unit, String(block.block)] as const)),
    );
    const ringOf = ({ plotId, strip, strips }: TrialUnit) =>
      unitRing(chosen.find(({ id }) => id === plotId)!.ring, strip, strips);
    const shown = units.map((unit): PlanUnit => ({
      ...{ unit: unit.unit, ring: ringOf(unit), arm: null, block: blockOf.get(unit.unit) ?? "" },
      ...{ label: blockOf.get(unit.unit) ?? "", said: blockOf.has(unit.unit) ? "" : "stays out" },
    }));
    return { pairs: placement.blocks.length, spare: placement.spare.length, units: units.length, shown };
  }, [draft, plots]);
}

/** Beds of a crop, to take them all at once. */
const cropsOf = (plots: Plots): readonly { readonly crop: string; readonly ids: readonly number[] }[] => {
  const crops = new Map<string, number[]>();
  for (const { crop, id } of plots) if (crop !== "") crops.set(crop, [...(crops.get(crop) ?? []), id]);
  return [...crops].map(([crop, ids]) => ({ crop, ids })).toSorted((one, other) => other.ids.length - one.ids.length);
};

type Change = (part: Partial<TrialDraft>) => void;
const toggled = (list: readonly number[], id: number): number[] =>
  list.includes(id) ? list.filter((one) => one !== id) : [...list, id];

const BedTicks = ({
  draft,
  change,
  plots,
  error,
}: {
  readonly draft: TrialDraft;
  readonly change: Change;
  readonly plots: Plots;
  readonly error: string | undefined;
}) => (
  <fieldset>
    <legend className="mb-1 text-[0.92rem] font-semibold">Beds</legend>
    {error ? (
      <p role="alert" className="mb-1 font-semibold text-rust">
        {error}
      </p>
    ) : null}
    <div className="mb-1 flex flex-wrap gap-2">
      {cropsOf(plots)
        .slice(0, MOST_CROPS)
        .map(({ crop, ids }) => (
          <Button key={crop} onClick={() => change({ plotIds: [...ids] })}>
            all {crop} ({ids.length})
          </Button>
        ))}
      {draft.plotIds.length > 0 ? (
        <Button variant="quiet" onClick={() => change({ plotIds: [] })}>
          none
        </Button>
      ) : null}
    </div>
    <div className="grid max-h-72 gap-x-4 overflow-y-auto border border-line px-3 sm:grid-cols-2">
      {plots.map(({ id, name, crop }) => (
        <TickField
          key={id}
          label={crop ? `${name}, ${crop}` : name}
          checked={draft.plotIds.includes(id)}
          onChange={() => change({ plotIds: toggled(draft.plotIds, id) })}
        />
      ))}
    </div>
  </fieldset>
);

/** What makes neighbours alike, and what does not. */
const GroundFields = ({
  draft,
  change,
  plots,
}: {
  readonly draft: TrialDraft;
  readonly change: Change;
  readonly plots: Plots;
}) => (
  <Fold title="Edges, slope and shade" stands={draft.gradient === "none" ? "nothing said" : "said"}>
    <Choices
      label="Does the ground change one way? (slope, shade, a hedge)"
      value={draft.gradient}
      options={[
        { value: "none", label: "no" },
        { value: "north-south", label: "north to south" },
        { value: "west-east", label: "west to east" },
      ]}
      onChange={(gradient) => change({ gradient })}
    />
    <div>
      <p className="text-[0.92rem] font-semibold">Beds at an edge (hedge, wall, track)</p>
      {plots
        .filter(({ id }) => draft.plotIds.includes(id))
        .map(({ id, name }) => (
          <TickField
            key={id}
            label={name}
            checked={draft.edgePlotIds.includes(id)}
            onChange={() => change({ edgePlotIds: toggled(draft.edgePlotIds, id) })}
          />
        ))}
    </div>
  </Fold>
);

/** Which beds join, whole or in strips, and how neighbours are found. */
export const JoinFields = ({
  draft,
  change,
  fields,
  plots,
  joined,
}: {
  readonly draft: TrialDraft;
  readonly change: Change;
  readonly fields: FieldErrors;
  readonly plots: Plots;
  readonly joined: ReturnType<typeof useJoining>;
}) => {
  const blockWord =
    draft.inputs.length > 1 ? { one: "One block", other: "# blocks" } : { one: "One pair", other: "# pairs" };
  return (
    <>
      <BedTicks draft={draft} change={change} plots={plots} error={fields["/plotIds"]} />
      <Choices
        label="Each bed"
        value={String(draft.strips)}
        options={STRIPS.map((count) => ({
          value: String(count),
          label: counted(count, { one: "whole", other: "# strips" }),
        }))}
        onChange={(count) => change({ strips: Number(count) })}
      />
      <GroundFields draft={draft} change={change} plots={plots} />
      {joined.units > 0 ? (
        <div>
          <p>
            <b>{counted(joined.pairs, { zero: "No pair yet", ...blockWord })}</b>
            {joined.spare > 0
              ? `; ${counted(joined.spare, { one: "one strip stays out", other: "# strips stay out" })}, as it has no partner.`
              : "."}{" "}
            <span className="text-soft">Joined strips are compared. Lots are drawn when you begin.</span>
          </p>
          <TrialPlan units={joined.shown} label="Strips that are compared" />
        </div>
      ) : null}
    </>
  );
};
