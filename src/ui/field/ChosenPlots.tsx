"use client";
import { memo, useState } from "react";
import { isoDay } from "@/formats/times";
import type { FieldView } from "@/services/field";
import { Button } from "../kit/Button";
import { Link } from "../kit/Link";
import { panel } from "../kit/later";

const PlantSheet = panel(() => import("./PlantSheet").then((module) => module.PlantSheet));
const StageSheet = panel(() => import("./StageSheet").then((module) => module.StageSheet));
const ClearSheet = panel(() => import("./StageSheet").then((module) => module.ClearSheet));

const DAY_MS = 86_400_000;

type ChosenSheet = "plant" | "stage" | "clear";

/** What can be done with the chosen plots besides pouring: planted, seen, cleared; one alone is opened. */
export const WithChosen = ({ view, chosen }: { readonly view: FieldView; readonly chosen: ReadonlySet<number> }) => {
  const [sheet, setSheet] = useState<ChosenSheet | null>(null);
  const plots = view.plots.filter(({ id }) => chosen.has(id));
  const planted = plots.filter(({ planting }) => planting !== null);
  const today = isoDay(new Date(view.nowMs), view.farm);
  const close = () => setSheet(null);
  // It stands there with nothing chosen too, so that the plan does not move under the thumb.
  return (
    <div className="my-2 flex min-h-14 flex-wrap items-center gap-2 border-l-4 border-marigold bg-chalk py-1 pl-3">
      <span className="font-semibold">
        {plots.length === 0
          ? "Choose plots on the plan."
          : plots.length === 1
            ? plots[0]!.name
            : `${plots.length} chosen`}
      </span>
      {plots.length === 1 ? (
        <Link
          href={`/field/plots/${plots[0]!.id}`}
          className="inline-flex min-h-11 items-center px-2 font-semibold underline"
        >
          Open it
        </Link>
      ) : (
        <span aria-hidden className="invisible inline-flex min-h-11 items-center px-2 font-semibold">
          Open it
        </span>
      )}
      <Button variant="quiet" disabled={plots.length === 0} onClick={() => setSheet("plant")}>
        Plant
      </Button>
      <Button variant="quiet" disabled={planted.length === 0} onClick={() => setSheet("stage")}>
        How far it is
      </Button>
      <Button variant="quiet" disabled={planted.length === 0} onClick={() => setSheet("clear")}>
        Cleared
      </Button>
      {sheet === "plant" ? <PlantSheet plots={plots} onClose={close} /> : null}
      {sheet === "stage" ? <StageSheet plots={planted} today={today} onClose={close} /> : null}
      {sheet === "clear" ? <ClearSheet plots={planted} today={today} onClose={close} /> : null}
    </div>
  );
};

/** Plots by what they have in common, to be chosen at once. */
export const ChooseBy = memo(
  ({ view, onChoose }: { readonly view: FieldView; readonly onChoose: (next: ReadonlySet<number>) => void }) => {
    const groups = [
      ...[...new Set(view.plots.map(({ block }) => block).filter(Boolean))].map((block) => ({
        label: `group ${block}`,
        ids: view.plots.filter((plot) => plot.block === block).map(({ id }) => id),
      })),
      ...[...new Set(view.plots.flatMap(({ tags }) => tags))].toSorted().map((tag) => ({
        label: `tag ${tag}`,
        ids: view.plots.filter((plot) => plot.tags.includes(tag)).map(({ id }) => id),
      })),
      ...[...new Set(view.plots.map(({ crop }) => crop).filter(Boolean))].toSorted().map((crop) => ({
        label: crop,
        ids: view.plots.filter((plot) => plot.crop === crop).map(({ id }) => id),
      })),
      ...[...new Set(view.plots.map(({ stage }) => stage))].map((stage) => ({
        label: `all ${stage}`,
        ids: view.plots.filter((plot) => plot.stage === stage).map(({ id }) => id),
      })),
      {
        label: "nothing for two weeks",
        ids: view.plots.filter(({ last }) => !last || view.nowMs - last.atMs > 14 * DAY_MS).map(({ id }) => id),
      },
    ];
    return (
      <select
        aria-label="Choose by"
        value=""
        onChange={(event) => onChoose(new Set(groups[Number(event.target.value)]?.ids ?? []))}
        className="min-h-11 max-w-44 rounded-[5px] border-[1.5px] border-line bg-chalk px-2"
      >
        <option value="">choose by …</option>
        {groups.map(({ label, ids }, index) => (
          <option key={label} value={index}>
            {label} ({ids.length})
          </option>
        ))}
      </select>
    );
  },
);
ChooseBy.displayName = "ChooseBy";
