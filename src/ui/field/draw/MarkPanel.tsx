"use client";
import { useState } from "react";
import { MARK_KINDS, USUAL_BUFFER_M, type MarkKind } from "@/core/land/marks";
import type { Point } from "@/core/land/ring";
import type { UnitSystem } from "@/formats/amounts";
import { typedInField, valueInField } from "@/formats/fieldUnits";
import type { LandMark } from "@/services/types";
import { useFieldAct } from "../../acts/field";
import { Button } from "../../kit/Button";
import { SelectField, TextField } from "../../kit/fields";
import { Refusal } from "../../kit/Refusal";
import { SizeField } from "../../measures/SizeField";
import { useUndo } from "../../acts/undo";
import { told } from "../../kit/told";
import { counted } from "@/formats/grammar";

const KIND_WORDS: Readonly<Record<MarkKind, string>> = {
  "well": "well",
  "stream": "stream",
  "pond": "pond",
  "tap": "tap",
  "fill-point": "fill point",
  "gate": "gate",
};

interface MarkPanelProps {
  readonly marks: readonly LandMark[];
  readonly units: UnitSystem;
  readonly line: readonly Point[];
  readonly onLine: (line: readonly Point[]) => void;
}

/** The mark in hand, what is typed of it, and its keeping. */
function useMark(units: UnitSystem, line: readonly Point[], onLine: MarkPanelProps["onLine"]) {
  const act = useFieldAct("setMark");
  const undo = useUndo();
  const [chosen, setChosen] = useState<LandMark | null>(null);
  const [kind, setKind] = useState<MarkKind>("stream");
  const [name, setName] = useState("");
  const [buffer, setBuffer] = useState(typedInField(USUAL_BUFFER_M.stream, "m", units));
  const choose = (mark: LandMark | null) => {
    setChosen(mark);
    setKind(mark?.kind ?? "stream");
    setName(mark?.name ?? "");
    setBuffer(typedInField(mark?.bufferM ?? USUAL_BUFFER_M.stream, "m", units));
    onLine(mark?.line ?? []);
  };
  const keep = async (isPutAway: boolean) => {
    const answer = await act.run({
      markId: chosen?.id ?? null,
      kind,
      name,
      line: line.map(([x, y]): [number, number] => [x, y]),
      bufferM: valueInField(buffer, "m", units) ?? NaN,
      putAway: isPutAway,
    });
    if (!answer) return;
    told(isPutAway ? `${name} is put away.` : `${name} saved.`, undo({ kind: "land-mark", id: answer.rowId }));
    choose(null);
  };
  const turnInto = (next: MarkKind) => {
    setKind(next);
    setBuffer(typedInField(USUAL_BUFFER_M[next], "m", units));
  };
  return { act, chosen, choose, kind, turnInto, name, setName, buffer, setBuffer, keep };
}

/** What a mark is, is called, and how far is kept from it. */
const MarkFields = ({ mark }: { readonly mark: ReturnType<typeof useMark> }) => (
  <>
    <SelectField
      label="What it is"
      value={mark.kind}
      onChange={(event) => mark.turnInto(event.target.value as MarkKind)}
      error={mark.act.fields["/kind"]}
    >
      {MARK_KINDS.map((one) => (
        <option key={one} value={one}>
          {KIND_WORDS[one]}
        </option>
      ))}
    </SelectField>
    <TextField
      label="Name"
      value={mark.name}
      onChange={(event) => mark.setName(event.target.value)}
      error={mark.act.fields["/name"]}
    />
    <SizeField
      label="Nothing put on within"
      measure="m"
      typed={mark.buffer}
      value={mark.buffer}
      onChange={(event) => mark.setBuffer(event.target.value)}
      error={mark.act.fields["/bufferM"]}
      hint="Local law may ask for more."
    />
  </>
);

/** A new mark, set down by taps on the plan, or one that is there, changed or put away. */
export const MarkPanel = ({ marks, units, line, onLine }: MarkPanelProps) => {
  const mark = useMark(units, line, onLine);
  const { act, chosen, choose, keep } = mark;
  return (
    <div className="grid gap-3">
      <h2 className="text-xl">Wells, streams, taps</h2>
      {marks.length > 0 ? (
        <SelectField
          label="Which"
          value={chosen?.id ?? 0}
          onChange={(event) => choose(marks.find(({ id }) => id === Number(event.target.value)) ?? null)}
        >
          <option value={0}>a new one</option>
          {marks.map(({ id, name, kind }) => (
            <option key={id} value={id}>
              {name}, {KIND_WORDS[kind]}
            </option>
          ))}
        </SelectField>
      ) : null}
      <MarkFields mark={mark} />
      <p className={line.length === 0 ? "font-semibold" : "text-soft"} role="status">
        {counted(line.length, {
          zero: "Tap the plan where it is; along its course for what runs.",
          one: "One place. Tap on for what runs.",
          other: "A line through # places.",
        })}
        {act.fields["/line"] ? ` ${act.fields["/line"]}` : ""}
      </p>
      {line.length > 0 ? (
        <Button variant="quiet" onClick={() => onLine([])}>
          Set it down anew
        </Button>
      ) : null}
      <Refusal error={act.error} />
      <div className="flex flex-wrap gap-2">
        <Button variant="strong" disabled={act.busy || line.length === 0} onClick={() => void keep(false)}>
          {chosen ? "Save" : "Set it down"}
        </Button>
        {chosen ? (
          <Button disabled={act.busy} onClick={() => void keep(true)}>
            Remove it
          </Button>
        ) : null}
      </div>
    </div>
  );
};
