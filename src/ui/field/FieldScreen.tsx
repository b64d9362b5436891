"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { isFit } from "@/core/apply/fitHours";
import { clockTime, isoDay, longWeekday, sayDay } from "@/formats/times";
import type { FieldView } from "@/services/field";
import { useKey } from "../frame/keys";
import { Button } from "../kit/Button";
import { Notice } from "../kit/Notice";
import { sayBand } from "../drawings/TimePlate";
import { AddPlotSheet } from "./AddPlotSheet";
import { AddToolSheet } from "./AddToolSheet";
import { ApplyPanel } from "./ApplyPanel";
import { FieldMap, StageKey } from "./FieldMap";
import { HarvestRulesSheet } from "./HarvestRules";

interface FieldScreenProps {
  readonly view: FieldView;
  readonly storeId: number | null;
}

/** Beds that got what carried something, and whose days are not over. */
const Waiting = ({ view }: { readonly view: FieldView }) => {
  const today = isoDay(new Date(view.nowMs), view.farm);
  const waiting = view.plots.filter(({ clearOn, crop }) => clearOn !== null && clearOn > today && crop !== "");
  return waiting.length > 0 ? (
    <div className="mb-3">
      <Notice tone="caution" title="Not to be harvested yet">
        <ul>
          {waiting.map(({ id, name, clearOn }) => (
            <li key={id}>
              {name}: not before {sayDay(clearOn!)}
            </li>
          ))}
        </ul>
      </Notice>
    </div>
  ) : null;
};

/** What goes on the chosen beds, or what lacks for it. */
const Aside = ({
  view,
  storeId,
  chosen,
  onDone,
}: {
  readonly view: FieldView;
  readonly storeId: number | null;
  readonly chosen: ReadonlySet<number>;
  readonly onDone: () => void;
}) => (
  <aside id="apply" aria-label="Apply" className="border-line bg-chalk px-4 py-4 max-md:border-t md:border-l">
    {view.stores.length === 0 ? (
      <Notice tone="plain" title="Nothing to apply">
        No finished input is in store. Strain a batch in the{" "}
        <Link href="/" className="underline">
          yard
        </Link>{" "}
        first.
      </Notice>
    ) : view.tools.length === 0 ? (
      <Notice tone="plain" title="No tool yet">
        Add the can, knapsack or injector that you carry it with.
      </Notice>
    ) : (
      <ApplyPanel key={storeId ?? 0} view={view} storeId={storeId} chosen={chosen} onDone={onDone} />
    )}
  </aside>
);

/** The beds to scale, and beside them what goes on the chosen ones, as the tools that carry it there. */
export const FieldScreen = ({ view, storeId }: FieldScreenProps) => {
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [sheet, setSheet] = useState<"plot" | "tool" | "rules" | null>(null);
  const clock = view.farm;
  const toggle = (id: number) =>
    setChosen(new Set(chosen.has(id) ? [...chosen].filter((other) => other !== id) : [...chosen, id]));
  useKey("a", () => setChosen(new Set(chosen.size === view.plots.length ? [] : view.plots.map(({ id }) => id))));
  useKey("n", () => setSheet("plot"));
  const next = view.bands.find(isFit);
  return (
    <div className="grid md:grid-cols-[minmax(0,1fr)_400px]">
      <div className="min-w-0 px-4 py-4 md:px-6">
        <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
          <h1 className="text-2xl">The field</h1>
          {next ? (
            <p className="text-soft">
              Next fit hours: {longWeekday(new Date(next.fromMs), clock)} {clockTime(new Date(next.fromMs), clock)} to{" "}
              {clockTime(new Date(next.toMs), clock)}, {sayBand(next)}
            </p>
          ) : null}
        </div>
        {view.plots.length === 0 ? (
          <div className="mt-4 max-w-md border-l-4 border-marigold bg-chalk p-4">
            <p>No bed is drawn yet. Add your beds, rows and strips with their size; amounts follow from it.</p>
          </div>
        ) : (
          <>
            <div className="my-2 flex flex-wrap items-center gap-x-2">
              <Button variant="quiet" onClick={() => setChosen(new Set(view.plots.map(({ id }) => id)))}>
                Choose all
              </Button>
              <Button variant="quiet" disabled={chosen.size === 0} onClick={() => setChosen(new Set())}>
                Choose none
              </Button>
            </div>
            <Waiting view={view} />
            <FieldMap
              plots={view.plots}
              chosen={chosen}
              onToggle={toggle}
              clock={clock}
              nowMs={view.nowMs}
              units={view.farm.units}
            />
            <div className="mt-3">
              <StageKey />
            </div>
          </>
        )}
        <div className="mt-3 flex flex-wrap gap-2">
          <Button onClick={() => setSheet("plot")}>Add a bed</Button>
          <Button onClick={() => setSheet("tool")}>Add a tool</Button>
          <Button onClick={() => setSheet("rules")}>Days before harvest</Button>
        </div>
        {chosen.size > 0 ? (
          <a
            href="#apply"
            className="sticky bottom-14 z-20 -mx-4 mt-3 grid min-h-12 place-items-center border-y-2 border-ink bg-marigold-wash font-semibold md:hidden"
          >
            {chosen.size === 1 ? "One bed" : `${chosen.size} beds`} chosen: to the loads
          </a>
        ) : null}
      </div>
      <Aside view={view} storeId={storeId} chosen={chosen} onDone={() => setChosen(new Set())} />
      {sheet === "plot" ? <AddPlotSheet onClose={() => setSheet(null)} /> : null}
      {sheet === "rules" ? <HarvestRulesSheet rules={view.rules} onClose={() => setSheet(null)} /> : null}
      {sheet === "tool" ? <AddToolSheet onClose={() => setSheet(null)} /> : null}
    </div>
  );
};
