"use client";
import { useEffect, useState } from "react";
import { sayTemperature, type UnitSystem } from "@/formats/amounts";
import { clockTime, longWeekday, type FarmClock } from "@/formats/times";
import { sayDifference } from "@/words/said";
import type { BatchBrief } from "@/services/batch";
import type { WhatIfAnswer } from "@/services/ferment";
import type { QueryOf } from "@/services/views";
import { useDoor } from "../acts/act";
import { PeakStarts } from "../content/PeakStarts";
import { Choices } from "../kit/Choices";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { Electricity } from "../kit/Electricity";
import { Stepper } from "../kit/Stepper";
import { WarmthStepper } from "../measures/WarmthStepper";
import { Strip } from "./CourseStrip";

interface WhatIfSheetProps {
  readonly batch: BatchBrief;
  readonly vesselName: string;
  readonly nowMs: number;
  readonly units: UnitSystem;
  readonly clock: FarmClock;
  readonly onClose: () => void;
}

type Asked = "place" | "heater" | "culture" | "sugar" | "later";

const OPTIONS: readonly { readonly value: Asked; readonly label: string }[] = [
  { value: "place", label: "a warmer place" },
  { value: "heater", label: "a heater in it" },
  { value: "culture", label: "next one: more culture" },
  { value: "sugar", label: "next one: less sugar" },
  { value: "later", label: "next one: begun later" },
];
const QUERY_OF = {
  place: "placeC",
  heater: "heaterC",
  culture: "inoculum",
  sugar: "sugar",
  later: "laterH",
} as const satisfies Record<Asked, keyof QueryOf<"whatIf">>;
const FIRST: Record<Asked, number> = { place: 24, heater: 24, culture: 2, sugar: 0.5, later: 24 };
const WAIT_MS = 250;
const DAY_MS = 86_400_000;

const isOpen = ({ asIs, of }: WhatIfAnswer, nowMs: number) =>
  of === "next" || (asIs.window.start.p50 !== null && asIs.window.start.p50 <= nowMs);

const isWarmth = (asked: Asked): boolean => asked === "place" || asked === "heater";

/** How much of what is asked about. */
const ValueStepper = ({
  asked,
  value,
  units,
  onChange,
}: {
  readonly asked: Asked;
  readonly value: number;
  readonly units: UnitSystem;
  readonly onChange: (value: number) => void;
}) => (
  <div className="mt-4">
    {isWarmth(asked) ? (
      <WarmthStepper
        label={asked === "place" ? "The place is" : "The thermostat is at"}
        units={units}
        celsius={value}
        onChange={onChange}
      />
    ) : asked === "later" ? (
      <Stepper label="Hours later" unit="h" value={value} step={6} min={1} max={240} digits={0} onChange={onChange} />
    ) : (
      <Stepper
        label={asked === "culture" ? "Times the culture" : "Share of the sugar"}
        value={value}
        step={asked === "culture" ? 0.5 : 0.1}
        min={0.1}
        max={asked === "culture" ? 10 : 3}
        digits={1}
        onChange={onChange}
      />
    )}
  </div>
);

/** How warm to keep it to have it in by a day. */
const HowWarm = ({
  answer,
  byDays,
  byMs,
  units,
  clock,
  onDays,
}: {
  readonly answer: WhatIfAnswer;
  readonly byDays: number;
  readonly byMs: number;
  readonly units: UnitSystem;
  readonly clock: FarmClock;
  readonly onDays: (days: number) => void;
}) => (
  <section className="mt-6 border-t border-line pt-4" aria-label="How warm by a day">
    <h3 className="text-lg">How warm to have it in by a day?</h3>
    <div className="mt-2">
      <Stepper
        label="Days from now"
        unit="d"
        value={byDays}
        step={1}
        min={1}
        max={60}
        digits={0}
        onChange={(days) => onDays(Number.isFinite(days) ? days : 1)}
      />
    </div>
    <p className="mt-2" aria-live="polite">
      {answer.warmthNeeded === "none"
        ? `By ${longWeekday(new Date(byMs), clock)} ${clockTime(new Date(byMs), clock)} it comes by itself.`
        : answer.warmthNeeded === "beyond"
          ? `No warmth that its culture bears brings it in by ${longWeekday(new Date(byMs), clock)}.`
          : answer.warmthC === null
            ? ""
            : `Keep it at ${sayTemperature(answer.warmthC, units)} from now on, and it is as likely as not in by ${longWeekday(new Date(byMs), clock)} ${clockTime(new Date(byMs), clock)}.`}
    </p>
  </section>
);

/** What is asked, and the answer to it: asked anew a moment after the last change. */
function useWhatIf(batchId: number, nowMs: number) {
  const door = useDoor();
  const [asked, setAsked] = useState<Asked>("place");
  const [value, setValue] = useState(FIRST.place);
  const [byDays, setByDays] = useState(3);
  const [answer, setAnswer] = useState<WhatIfAnswer | null>(null);
  const [failed, setFailed] = useState(false);
  const byMs = nowMs + byDays * DAY_MS;
  const pick = (next: Asked) => {
    setAsked(next);
    setValue(FIRST[next]);
  };
  useEffect(() => {
    if (!Number.isFinite(value)) return undefined;
    const asking = new AbortController();
    const query = {
      batchId: String(batchId),
      [QUERY_OF[asked]]: String(value),
      byMs: String(byMs),
      forPeak: "true",
    };
    const timer = setTimeout(() => {
      door
        .read("whatIf", query, asking.signal)
        .then((result) => {
          setFailed(!result.ok);
          if (result.ok) setAnswer(result.value as WhatIfAnswer);
        })
        .catch((error: unknown) => {
          if (!(error instanceof DOMException && error.name === "AbortError")) setFailed(true);
        });
    }, WAIT_MS);
    return () => {
      clearTimeout(timer);
      asking.abort();
    };
  }, [door, asked, value, byMs, batchId]);
  return { asked, pick, value, setValue, byDays, setByDays, byMs, answer, failed };
}

/** What if it stood warmer or had a heater; what if the next one had more culture, less sugar, another start: as it is and as it would be, one above the other. */
export const WhatIfSheet = ({ batch, vesselName, nowMs, units, clock, onClose }: WhatIfSheetProps) => {
  const { asked, pick, value, setValue, byDays, setByDays, byMs, answer, failed } = useWhatIf(batch.id, nowMs);
  const ends = answer ? [answer.asIs, ...(answer.changed ? [answer.changed] : [])] : [];
  const toMs = Math.max(...ends.map(({ untilMs }) => untilMs), nowMs + DAY_MS);
  // Of the next one there is nothing before now.
  const fromMs = answer?.of === "next" ? nowMs : batch.startedMs;
  return (
    <Sheet
      open
      onClose={onClose}
      wide
      title={`${vesselName}: what if`}
      lead="This only calculates. Nothing is changed."
    >
      <Choices label="Try" value={asked} onChange={pick} options={OPTIONS} />
      {asked === "heater" ? (
        <div className="mt-4">
          <Electricity />
        </div>
      ) : null}
      <ValueStepper asked={asked} value={value} units={units} onChange={setValue} />
      {failed ? (
        <div className="mt-4">
          <Notice tone="error" title="This could not be worked out just now.">
            Close it and try again in a moment.
          </Notice>
        </div>
      ) : null}
      {answer ? (
        <>
          <p aria-live="polite" className="mt-5 text-lg font-bold">
            {Number.isFinite(value)
              ? answer.changed
                ? sayDifference({ before: answer.asIs.window, after: answer.changed.window, of: answer.of }, nowMs)
                : null
              : "A number is missing above."}
          </p>
          <Strip
            title={answer.of === "next" ? "The next one, made as this, begun now" : "Now"}
            course={answer.asIs}
            nowMs={nowMs}
            fromMs={fromMs}
            toMs={toMs}
            id="as-is"
            clock={clock}
          />
          {answer.changed && Number.isFinite(value) ? (
            <Strip
              title={answer.of === "next" ? "The next one, changed" : "With the change"}
              course={answer.changed}
              nowMs={nowMs}
              fromMs={fromMs}
              toMs={toMs}
              id="would-be"
              clock={clock}
            />
          ) : null}
          {isOpen(answer, nowMs) ? null : (
            <HowWarm answer={answer} byDays={byDays} byMs={byMs} units={units} clock={clock} onDays={setByDays} />
          )}
          {answer.starts.length > 0 ? (
            <section className="mt-6 border-t border-line pt-4" aria-label="The next one">
              <h3 className="text-lg">When to start the next one</h3>
              <PeakStarts starts={answer.starts} nowMs={nowMs} clock={clock} />
            </section>
          ) : null}
        </>
      ) : failed ? null : (
        <p className="mt-6 text-soft" role="status">
          Working it out
        </p>
      )}
    </Sheet>
  );
};
