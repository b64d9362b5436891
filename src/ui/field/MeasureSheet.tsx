"use client";
import { useState } from "react";
import { MEASURES, READING_KINDS, type MeasureKind } from "@/core/trial/terms";
import { formatNumber, parseNumber } from "@/formats/numbers";
import { counted } from "@/formats/grammar";
import type { PlotPage } from "@/services/field";
import { cardOf, READING_HOW, READING_NAMES, unitOfReading } from "@/words/said";
import { useTrialsAct } from "../acts/trials";
import { useUndo } from "../acts/undo";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";

interface ValueProps {
  readonly kind: MeasureKind;
  readonly unit: string;
  readonly parts: readonly number[];
  readonly onParts: (parts: readonly number[]) => void;
  readonly typed: string;
  readonly onTyped: (typed: string) => void;
  readonly error: string | undefined;
}

/** What was typed, with what was taken already. */
const partsOf = (kind: MeasureKind, parts: readonly number[], typed: string): readonly number[] => {
  const value = parseNumber(typed);
  if (value === null || MEASURES[kind].scale === "ordinal") return parts;
  return [...parts, kind === "disease-share" ? value / 100 : value];
};

/** A step of the card, or a figure a plant. */
const ValueFields = ({ kind, unit, parts, onParts, typed, onTyped, error }: ValueProps) =>
  MEASURES[kind].scale === "ordinal" ? (
    <Choices
      label={READING_NAMES[kind]}
      stacked
      value={String(parts[0] ?? "")}
      options={cardOf({ kind, card: [] }).map((word, nth) => ({ value: String(nth + 1), label: `${nth + 1} ${word}` }))}
      onChange={(step) => onParts([Number(step)])}
    />
  ) : (
    <>
      <NumberField
        label={READING_NAMES[kind]}
        unit={unit || undefined}
        value={typed}
        error={error}
        onChange={({ target }) => onTyped(target.value)}
      />
      {parts.length > 0 ? (
        <p className="reading">
          {counted(parts.length, { one: "One so far", other: "# so far" })}:{" "}
          {parts.map((one) => formatNumber(kind === "disease-share" ? 100 * one : one)).join(", ")}
        </p>
      ) : null}
      <Button
        disabled={parseNumber(typed) === null}
        onClick={() => {
          onParts(partsOf(kind, parts, typed));
          onTyped("");
        }}
      >
        And another plant
      </Button>
    </>
  );

/** What is measured, counted or scored of a bed: several plants of it are one reading, their mean. */
export const MeasureSheet = ({ page, onClose }: { readonly page: PlotPage; readonly onClose: () => void }) => {
  const act = useTrialsAct("measurePlot");
  const undo = useUndo();
  // What was measured here last is likely measured again.
  const [kind, setKind] = useState<MeasureKind>(page.readings[0]?.kind ?? "height");
  const [ownUnit, setOwnUnit] = useState("");
  const [parts, setParts] = useState<readonly number[]>([]);
  const [typed, setTyped] = useState("");
  const [note, setNote] = useState("");
  const unit = kind === "number" ? ownUnit : unitOfReading(kind, page.farm.units);
  const submit = async () => {
    const answer = await act.run({ plotId: page.plot.id, kind, unit, parts: [...partsOf(kind, parts, typed)], note });
    if (!answer) return;
    told(`${page.plot.name}: written down.`, undo({ kind: "reading", id: answer.readingId }));
    onClose();
  };
  return (
    <FormSheet
      title={`Measure ${page.plot.name}`}
      act="Write it down"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <SelectField
        label="What is read"
        value={kind}
        hint={READING_HOW[kind]}
        onChange={({ target }) => {
          setKind(target.value as MeasureKind);
          setParts([]);
        }}
      >
        {READING_KINDS.map((one) => (
          <option key={one} value={one}>
            {READING_NAMES[one]}
          </option>
        ))}
      </SelectField>
      {kind === "number" ? (
        <TextField
          label="Its unit"
          value={ownUnit}
          maxLength={20}
          onChange={({ target }) => setOwnUnit(target.value)}
        />
      ) : null}
      <ValueFields
        kind={kind}
        unit={unit}
        parts={parts}
        onParts={setParts}
        typed={typed}
        onTyped={setTyped}
        error={act.fields["/parts"]}
      />
      <TextField label="A note" value={note} maxLength={200} onChange={({ target }) => setNote(target.value)} />
    </FormSheet>
  );
};
