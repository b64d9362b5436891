"use client";
import { clsx } from "clsx";
import { useState } from "react";
import type { Asking } from "../acts/act";
import { MEASURES, SIGN_KINDS, type MeasureKind, type SignKind } from "@/core/book/words";
import { fromBase, toBase } from "@/core/quantity/units";
import { sayTemperature, type UnitSystem } from "@/formats/amounts";
import type { WordChoice } from "@/services/batch";
import { Button } from "../kit/Button";
import { Stepper } from "../kit/Stepper";
import { TextArea } from "../kit/fields";
import { inText } from "@/formats/grammar";

export type Entry = Asking<"batch", "logEntry">["entry"];

const KIND_WORDS: Record<SignKind, string> = {
  smell: "Smell",
  surface: "Foam",
  film: "Film on top",
  solids: "Solids",
  liquid: "Liquid",
  texture: "Squeeze a handful",
  warmth: "Warmth",
  lens: "Microscope",
};
const SAYS_WORDS = {
  "ready": "ready",
  "not-yet": "not yet",
  "past": "past",
  "failed": "failed",
  "warns": "doubtful",
} as const;

export interface SectionProps {
  readonly busy: boolean;
  readonly onLog: (entry: Entry, said: string) => void;
}

/** The liquid's temperature. */
export const TemperatureSection = ({
  lastC,
  units,
  busy,
  onLog,
}: SectionProps & { readonly lastC: number; readonly units: UnitSystem }) => {
  const unit = units === "us" ? "°F" : "°C";
  const from = Math.round(fromBase({ dimension: "temperature", value: lastC }, unit).value * 2) / 2;
  const [value, setValue] = useState(NaN);
  const celsius = Number.isFinite(value) ? toBase({ value, unit }).value : NaN;
  return (
    <section aria-label="Temperature" className="grid gap-3 border-b border-line pb-5">
      <Stepper
        label="Liquid temperature"
        unit={unit}
        value={value}
        step={0.5}
        min={unit === "°F" ? 14 : -10}
        max={unit === "°F" ? 176 : 80}
        digits={1}
        from={from}
        onChange={setValue}
      />
      <Button
        variant="strong"
        disabled={busy || !Number.isFinite(value)}
        onClick={() =>
          onLog({ kind: "temperature", celsius: Number(celsius.toFixed(2)) }, sayTemperature(celsius, units))
        }
      >
        {Number.isFinite(value) ? `Log ${value} ${unit}` : "Log the temperature: read it first"}
      </Button>
    </section>
  );
};

const WordButton = ({ choice, busy, onLog }: SectionProps & { readonly choice: WordChoice }) => (
  <button
    type="button"
    disabled={busy}
    onClick={() =>
      onLog({ kind: choice.kind, word: choice.word } as Entry, `${inText(KIND_WORDS[choice.kind])}: ${choice.word}`)
    }
    className={clsx(
      "min-h-11 rounded-[5px] border-[1.5px] bg-chalk px-3 py-1.5 text-left leading-tight hover:bg-marigold-wash",
      choice.says ? "border-ink font-semibold" : "border-line",
    )}
  >
    {choice.word}
    {choice.says ? <span className="block text-[0.78rem] font-normal text-soft">{SAYS_WORDS[choice.says]}</span> : null}
  </button>
);

/** Words to tap: those that decide for this method first. */
export const WordsSection = ({ words, busy, onLog }: SectionProps & { readonly words: readonly WordChoice[] }) => (
  <section aria-label="Signs" className="grid gap-4 border-b border-line pb-5">
    {SIGN_KINDS.filter((kind) => words.some((choice) => choice.kind === kind)).map((kind) => (
      <div key={kind}>
        <h3 className="mb-1.5 text-[1.02rem]">{KIND_WORDS[kind]}</h3>
        <div className="flex flex-wrap gap-2">
          {words
            .filter((choice) => choice.kind === kind)
            .map((choice) => (
              <WordButton key={choice.word} choice={choice} busy={busy} onLog={onLog} />
            ))}
        </div>
      </div>
    ))}
  </section>
);

const MEASURE_WORDS: Record<
  MeasureKind,
  { readonly label: string; readonly unit: string; readonly first: number; readonly step: number }
> = {
  bubbles: { label: "Bubbles", unit: "a minute", first: 10, step: 1 },
  sunk: { label: "How much has sunk", unit: "%", first: 50, step: 5 },
  parted: { label: "How far it has parted", unit: "%", first: 50, step: 5 },
  core: { label: "Middle of the pile", unit: "°C", first: 25, step: 0.5 },
};

const Measure = ({
  kind,
  units,
  busy,
  onLog,
}: SectionProps & { readonly kind: MeasureKind; readonly units: UnitSystem }) => {
  const { label, unit, first, step } = MEASURE_WORDS[kind];
  const fahrenheit = kind === "core" && units === "us";
  const [value, setValue] = useState(NaN);
  const { min, max } = MEASURES[kind];
  const stored = () => (fahrenheit ? Number(toBase({ value, unit: "°F" }).value.toFixed(2)) : value);
  const shown = (celsius: number) =>
    fahrenheit ? Math.round(fromBase({ dimension: "temperature", value: celsius }, "°F").value) : celsius;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Stepper
        label={label}
        unit={fahrenheit ? "°F" : unit}
        value={value}
        step={step}
        min={kind === "core" ? shown(min) : min}
        max={kind === "core" ? shown(max) : max}
        digits={1}
        from={kind === "core" ? shown(first) : first}
        onChange={setValue}
      />
      <Button
        className="min-h-14"
        disabled={busy || !Number.isFinite(value)}
        onClick={() => onLog({ kind, value: stored() }, `${inText(label)}: ${value}`)}
      >
        Log it
      </Button>
    </div>
  );
};

/** What is counted or measured of this method: bubbles, what has sunk or parted, the middle of a bed. */
export const MeasuresSection = ({
  measures,
  ...rest
}: SectionProps & { readonly measures: readonly MeasureKind[]; readonly units: UnitSystem }) =>
  measures.length === 0 ? null : (
    <section aria-label="Measured" className="grid gap-3 border-b border-line pb-5">
      {measures.map((kind) => (
        <Measure key={kind} kind={kind} {...rest} />
      ))}
    </section>
  );

/** Anything else. */
export const NoteSection = ({ busy, onLog }: SectionProps) => {
  const [note, setNote] = useState("");
  return (
    <section aria-label="Note" className="grid gap-2">
      <TextArea label="A note" value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
      <Button
        disabled={busy || note.trim() === ""}
        onClick={() => onLog({ kind: "note", note: note.trim() }, "note kept")}
      >
        Log note
      </Button>
    </section>
  );
};
