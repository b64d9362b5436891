"use client";
import { useState, type ReactNode } from "react";
import { told } from "../kit/told";
import type { UnitSystem } from "@/formats/amounts";
import { sayMoment, type FarmClock } from "@/formats/times";
import { sayWindow } from "@/words/said";
import type { BatchBrief } from "@/services/batch";
import { useBatchAct } from "../acts/batch";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { STATE_TEXT, StateMark } from "../kit/StateMark";
import { ActsSection } from "./LogActs";
import {
  MeasuresSection,
  NoteSection,
  TemperatureSection,
  WordsSection,
  type Entry,
  type SectionProps,
} from "./LogSections";
import type { Correcting, LogFocus } from "./logFocus";
import { PhSection } from "./PhSection";
import { ReasonList } from "./ReasonList";
import { sentAt, WhenChoice, type When } from "../kit/WhenChoice";
import { undoOffer } from "../acts/undo";

interface LogSheetProps {
  readonly batch: BatchBrief;
  readonly vesselName: string;
  readonly focus: LogFocus;
  readonly clock: FarmClock;
  readonly units: UnitSystem;
  readonly nowMs: number;
  readonly correcting?: Correcting;
  /** The farm's pH meter, where the page knows it. */
  readonly meter?: { readonly name: string; readonly calibratedOn: string | null; readonly isDue: boolean } | null;
  readonly onClose: () => void;
}

const Verdict = ({ batch, nowMs, clock }: Pick<LogSheetProps, "batch" | "nowMs" | "clock">) => (
  <div aria-live="polite" className="mb-4">
    <p className={`flex items-center gap-2 text-lg font-bold ${STATE_TEXT[batch.state]}`}>
      <StateMark verdict={batch} size={16} />
      {batch.stateWords}
    </p>
    <div className="text-[0.95rem]">
      <ReasonList reasons={batch.reasons}>
        <li>{sayWindow(batch, nowMs, clock)}</li>
        {batch.ifWarmer ? <li>{batch.ifWarmer}</li> : null}
        {batch.bestLook ? <li>{batch.bestLook.words}</li> : null}
      </ReasonList>
    </div>
  </div>
);

/** Kept outside, so that it is called as the notice appears and not at every drawing. */
const bringIntoView = (element: HTMLElement | null) => {
  element?.scrollIntoView?.({ block: "nearest" });
  element?.focus({ preventScroll: true });
};

type LogPart = "ph" | "temperature" | "words" | "measures" | "act" | "note";

/** What is wrong with what was sent, where the thumb is. */
const PartRefusal = ({
  log,
}: {
  readonly log: Pick<ReturnType<typeof useBatchAct<"logEntry">>, "error" | "fields">;
}) =>
  log.error ? (
    <div ref={bringIntoView} tabIndex={-1}>
      <Notice tone="error" title={Object.values(log.fields)[0] ?? log.error.message}>
        {Object.keys(log.fields).length > 0 ? "Nothing was logged." : null}
      </Notice>
    </div>
  ) : null;

/** What was read, seen, smelt or done: one tap logs it, and the verdict above is drawn anew. */
export const LogSheet = ({
  batch,
  vesselName,
  focus,
  clock,
  units,
  nowMs,
  correcting,
  meter = null,
  onClose,
}: LogSheetProps) => {
  const log = useBatchAct("logEntry");
  /** The part from which the last entry was sent: what is wrong with it is said there. */
  const [sentFrom, setSentFrom] = useState<LogPart | null>(null);
  const [when, setWhen] = useState<When>({ type: "now" });
  const at = correcting ? new Date(correcting.atMs).toISOString() : sentAt(when, nowMs, clock);

  const onLog = async (entry: Entry, said: string) => {
    const request = {
      batchId: batch.id,
      entry,
      ...(at ? { at } : {}),
      ...(correcting ? { correctsId: correcting.entryId } : {}),
    };
    const answer = await log.run(request);
    if (!answer) return;
    told(
      `${vesselName}: ${said}${correcting ? ", corrected" : ""}.`,
      undoOffer(() => log.run({ batchId: batch.id, correctsId: answer.entryId, entry: { kind: "withdrawn" } })),
    );
    if (correcting) onClose();
  };
  const from = (part: LogPart): SectionProps => ({
    busy: log.busy,
    onLog: (entry, said) => {
      setSentFrom(part);
      void onLog(entry, said);
    },
  });
  const parts: Record<LogPart, ReactNode> = {
    ph: <PhSection last={batch.last.ph} meter={meter} {...from("ph")} />,
    temperature: (
      <TemperatureSection lastC={batch.last.celsius ?? batch.liquidC} units={units} {...from("temperature")} />
    ),
    words: <WordsSection words={batch.words} {...from("words")} />,
    measures: <MeasuresSection measures={batch.measures} units={units} {...from("measures")} />,
    act: <ActsSection batch={batch} units={units} {...from("act")} />,
    note: <NoteSection {...from("note")} />,
  };
  const first = correcting ? correcting.kind : focus === "smell" ? "words" : focus;
  const order = correcting
    ? [first]
    : [first, ...(["words", "measures", "ph", "temperature", "act", "note"] as const).filter((part) => part !== first)];
  return (
    <Sheet
      open
      onClose={onClose}
      title={`${vesselName}: ${correcting ? "correct" : "log"}`}
      lead={
        correcting
          ? `Instead of “${correcting.was}”, ${sayMoment(new Date(correcting.atMs), new Date(nowMs), clock)}. The old entry stays readable.`
          : `${batch.name}, ${batch.ageText}`
      }
    >
      {correcting ? null : <Verdict batch={batch} nowMs={nowMs} clock={clock} />}
      {correcting ? null : (
        <WhenChoice when={when} nowMs={nowMs} startedMs={batch.startedMs} clock={clock} onChange={setWhen} />
      )}
      <div className="mt-4 grid gap-5">
        {order.map((part) => (
          <div key={part} className="grid gap-3">
            {sentFrom === part ? <PartRefusal log={log} /> : null}
            {parts[part]}
          </div>
        ))}
      </div>
    </Sheet>
  );
};
