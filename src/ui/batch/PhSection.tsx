"use client";
import type { Progress } from "@/services/ferment";
import { useState } from "react";
import { PH_INSTRUMENTS, PH_SPOTS, type PhInstrument, type PhSpot } from "@/core/book/words";
import { sayDay } from "@/formats/times";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { Stepper } from "../kit/Stepper";
import type { SectionProps } from "./LogSections";
type Meter = NonNullable<Progress["meter"]>;

/** What keeps a reading from being believed. */
const PhNotes = ({
  instrument,
  spot,
  settled,
  meter,
}: {
  readonly instrument: PhInstrument;
  readonly spot: PhSpot;
  readonly settled: "yes" | "no";
  readonly meter: Meter | null;
}) => (
  <>
    {instrument === "meter" && meter?.isDue ? (
      <p className="text-[0.9rem] text-rust">
        {meter.name} {meter.calibratedOn ? `was last calibrated ${sayDay(meter.calibratedOn)}` : "was never calibrated"}
        : calibrate it first, or take a strip.
      </p>
    ) : null}
    {instrument === "meter" && settled === "no" ? (
      <p className="text-[0.9rem] text-soft">Kept in the log, but not taken as the batch’s pH until it stands still.</p>
    ) : null}
    {spot === "mid-depth" ? null : (
      <p className="text-[0.9rem] text-soft">
        Kept in the log, but not taken as the batch’s pH: film and lees differ from the middle.
      </p>
    )}
  </>
);

/** pH, by meter or strip, and where it was read. */
export const PhSection = ({
  last,
  meter = null,
  busy,
  onLog,
}: SectionProps & {
  readonly last: number | null;
  readonly meter?: Meter | null;
}) => {
  const [settled, setSettled] = useState<"yes" | "no">("yes");
  const [value, setValue] = useState(NaN);
  const [instrument, setInstrument] = useState<PhInstrument>("meter");
  const [spot, setSpot] = useState<PhSpot>("mid-depth");
  return (
    <section aria-label="pH" className="grid gap-3 border-b border-line pb-5">
      <Stepper
        label="pH"
        value={value}
        step={instrument === "meter" ? 0.05 : 0.5}
        min={0}
        max={14}
        digits={2}
        from={last ?? 5}
        onChange={setValue}
      />
      {last === null ? null : (
        <p className="text-[0.9rem] text-soft">
          Last read <span className="reading">{last}</span>; the first tap begins there.
        </p>
      )}
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <Choices
          label="Read with a"
          value={instrument}
          onChange={setInstrument}
          options={PH_INSTRUMENTS.map((option) => ({ value: option, label: option }))}
        />
        <Choices
          label="Where"
          value={spot}
          onChange={setSpot}
          options={PH_SPOTS.map((option) => ({
            value: option,
            label: option === "mid-depth" ? "halfway down" : `in the ${option}`,
          }))}
        />
      </div>
      {instrument === "meter" ? (
        <Choices
          label="Was the number steady for 30 seconds?"
          value={settled}
          onChange={setSettled}
          options={[
            { value: "yes", label: "yes" },
            { value: "no", label: "still moving" },
          ]}
        />
      ) : (
        <p className="text-[0.9rem] text-soft">A strip is exact to 0.5. It counts less than a meter.</p>
      )}
      <PhNotes instrument={instrument} spot={spot} settled={settled} meter={meter} />
      <Button
        variant="strong"
        disabled={busy || !Number.isFinite(value)}
        onClick={() =>
          onLog(
            { kind: "ph", value, instrument, spot, ...(instrument === "meter" ? { settled: settled === "yes" } : {}) },
            `pH ${value}`,
          )
        }
      >
        {Number.isFinite(value) ? `Log pH ${value}` : "Log pH: read it first"}
      </Button>
    </section>
  );
};
