"use client";
import { Link } from "../kit/Link";
import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { isFit } from "@/core/apply/fitHours";
import { clockTime, isoDay, longWeekday, sayDay } from "@/formats/times";
import type { FieldView } from "@/services/field";
import { useKey } from "../frame/keys";
import { Button, buttonClass } from "../kit/Button";
import { Notice } from "../kit/Notice";
import { panel, part, WhenSeen } from "../kit/later";
import { sayBand } from "../drawings/bandWords";
import { StageKey } from "./plan/hatches";
import { FieldPlan, fillPointOf, planFrameOf } from "./plan/FieldPlan";
import type { Poured } from "./plan/poured";
import { Elsewhere } from "./Elsewhere";
import type { ApplyStart } from "./useChoice";
import { ChooseBy, WithChosen } from "./ChosenPlots";
import { counted } from "@/formats/grammar";

const ApplySide = part("Apply", () => import("./ApplySide").then((module) => module.ApplySide));
const AddPlotSheet = panel(() => import("./AddPlotSheet").then((module) => module.AddPlotSheet));
const ThingSheet = panel(() => import("../farm/ThingSheet").then((module) => module.ThingSheet));
const HarvestRulesSheet = panel(() => import("./HarvestRules").then((module) => module.HarvestRulesSheet));

interface FieldScreenProps {
  readonly view: FieldView;
  readonly start: ApplyStart;
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

/** What lacks before anything can be put on. */
const Lacking = ({ view }: { readonly view: FieldView }) =>
  view.stores.length === 0 ? (
    <Notice tone="plain" title="Nothing to apply">
      No inputs yet. Strain a batch in the{" "}
      <Link href="/" className="underline">
        yard
      </Link>{" "}
      first.
    </Notice>
  ) : (
    <Notice tone="plain" title="No tool yet">
      Add the can, knapsack or injector that you carry it with.
    </Notice>
  );

interface LandProps {
  readonly view: FieldView;
  readonly chosen: ReadonlySet<number>;
  readonly onChoose: (next: ReadonlySet<number>) => void;
}

/** The plan with its choosing and its key; over it, how the brew runs. */
const Land = ({ view, chosen, onChoose, poured }: LandProps & { readonly poured: readonly Poured[] | null }) => {
  // One function for all plots and for good: hundreds of them are not drawn anew for one that is chosen.
  const latest = useRef(chosen);
  useEffect(() => {
    latest.current = chosen;
  }, [chosen]);
  const toggle = useCallback(
    (id: number) => {
      const now = latest.current;
      // What lies nowhere on the plan is never poured together with beds.
      const beds = [...now].filter((other) => !view.elsewhere.some((one) => one.id === other));
      onChoose(new Set(now.has(id) ? beds.filter((other) => other !== id) : [...beds, id]));
    },
    [onChoose, view.elsewhere],
  );
  return (
    <>
      <Waiting view={view} />
      <WithChosen view={view} chosen={chosen} />
      <FieldPlan
        plots={view.plots}
        marks={view.marks}
        chosen={chosen}
        onToggle={toggle}
        clock={view.farm}
        nowMs={view.nowMs}
        units={view.farm.units}
        poured={poured}
        tools={
          <>
            <Button variant="quiet" onClick={() => onChoose(new Set(view.plots.map(({ id }) => id)))}>
              Choose all
            </Button>
            <Button variant="quiet" disabled={chosen.size === 0} onClick={() => onChoose(new Set())}>
              Choose none
            </Button>
            <ChooseBy view={view} onChoose={onChoose} />
          </>
        }
      />
      <div className="mt-3">
        <StageKey />
      </div>
      <Elsewhere view={view} chosen={chosen} onChoose={onChoose} />
    </>
  );
};

const Columns = ({ left, right }: { readonly left: ReactNode; readonly right: ReactNode }) => (
  <div className="grid print:hidden md:grid-cols-[minmax(0,1fr)_400px]">
    <div className="min-w-0 px-4 py-4 md:px-6">{left}</div>
    <aside id="apply" aria-label="Apply" className="border-line bg-chalk px-4 py-4 max-md:border-t md:border-l">
      {right}
    </aside>
  </div>
);

/** The field with something to put on: what is chosen at the side runs over the plan at once. */
const Pouring = ({
  view,
  start,
  chosen,
  onChoose,
  head,
  foot,
}: LandProps & { readonly start: ApplyStart; readonly head: ReactNode; readonly foot: ReactNode }) => {
  const [poured, setPoured] = useState<readonly Poured[] | null>(null);
  const frame = useMemo(() => planFrameOf(view), [view]);
  return (
    <Columns
      left={
        <>
          {head}
          <Land view={view} chosen={chosen} onChoose={onChoose} poured={poured} />
          {foot}
        </>
      }
      right={
        <WhenSeen
          wanted={chosen.size > 0}
          before={
            <>
              <h2 className="text-xl">Apply</h2>
              <p className="py-3 text-soft">Choose beds on the plan.</p>
            </>
          }
        >
          <ApplySide
            view={view}
            start={start}
            chosen={chosen}
            fillPoint={fillPointOf(view.marks, frame)}
            onPoured={setPoured}
            onDone={() => onChoose(new Set())}
          />
        </WhenSeen>
      }
    />
  );
};

const Head = ({ view }: { readonly view: FieldView }) => {
  const next = view.bands.find(isFit);
  return (
    <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
      <h1 className="text-2xl">The field</h1>
      {next ? (
        <p className="text-soft">
          Next good time to apply: {longWeekday(new Date(next.fromMs), view.farm)}{" "}
          {clockTime(new Date(next.fromMs), view.farm)} to {clockTime(new Date(next.toMs), view.farm)}, {sayBand(next)}
        </p>
      ) : null}
    </div>
  );
};

type SheetName = "plot" | "tool" | "rules";

/** The land to scale, and beside it what goes on the chosen plots, as the tools that carry it there. */
export const FieldScreen = ({ view, start }: FieldScreenProps) => {
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set(start.step?.plotIds));
  const [sheet, setSheet] = useState<SheetName | null>(null);
  useKey("a", () => setChosen(new Set(chosen.size === view.plots.length ? [] : view.plots.map(({ id }) => id))));
  useKey("n", () => setSheet("plot"));
  const foot = (
    <>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button onClick={() => setSheet("plot")}>Add a bed</Button>
        <Link href="/field/land" className={buttonClass("plain")}>
          Draw the field
        </Link>
        <Link href="/field/programmes" className={buttonClass("plain")}>
          Schedules
        </Link>
        <Link href="/field/jobs" className={buttonClass("plain")}>
          Jobs
        </Link>
        <Link href="/field/trials" className={buttonClass("plain")}>
          Trials
        </Link>
        <Link href="/field/files" className={buttonClass("plain")}>
          Files
        </Link>
        <Button onClick={() => setSheet("tool")}>Add can or sprayer</Button>
        <Link href="/farm/tool" className={buttonClass("plain")}>
          Change cans
        </Link>
        <Button onClick={() => setSheet("rules")}>Days before harvest</Button>
      </div>
      {chosen.size > 0 ? (
        <a
          href="#apply"
          className="sticky bottom-14 z-20 -mx-4 mt-3 grid min-h-12 place-items-center border-y-2 border-ink bg-marigold-wash font-semibold md:hidden"
        >
          {counted(chosen.size, { one: "One bed chosen: to the loads", other: "# beds chosen: to the loads" })}
        </a>
      ) : null}
    </>
  );
  const head = <Head view={view} />;
  const land = { view, chosen, onChoose: setChosen };
  return (
    <>
      {view.plots.length + view.elsewhere.length === 0 ? (
        <Columns
          left={
            <>
              {head}
              <div className="mt-4 max-w-md border-l-4 border-marigold bg-chalk p-4">
                <p>No beds yet. Add your beds with their size.</p>
              </div>
              <Elsewhere view={view} chosen={chosen} onChoose={setChosen} />
              {foot}
            </>
          }
          right={<Lacking view={view} />}
        />
      ) : view.stores.length === 0 || view.tools.length === 0 ? (
        <Columns
          left={
            <>
              {head}
              <Land {...land} poured={null} />
              {foot}
            </>
          }
          right={<Lacking view={view} />}
        />
      ) : (
        <Pouring key={`${start.storeId} ${start.step?.stepKey}`} {...land} start={start} head={head} foot={foot} />
      )}
      {sheet === "plot" ? <AddPlotSheet onClose={() => setSheet(null)} /> : null}
      {sheet === "rules" ? <HarvestRulesSheet rules={view.rules} onClose={() => setSheet(null)} /> : null}
      {sheet === "tool" ? <ThingSheet kind="tool" onClose={() => setSheet(null)} /> : null}
    </>
  );
};
