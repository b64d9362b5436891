"use client";
import { MEASURES } from "@/core/trial/terms";
import type { FieldErrors } from "@/contracts/fieldErrors";
import type { UnitSystem } from "@/formats/amounts";
import { cardOf, READING_HOW, READING_NAMES } from "@/words/said";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { Fold } from "../kit/Fold";
import { KINDS, scaleOf, unitOf, type TrialDraft } from "./trialDraft";

interface FieldsProps {
  readonly draft: TrialDraft;
  readonly change: (part: Partial<TrialDraft>) => void;
  readonly fields: FieldErrors;
  readonly units: UnitSystem;
}

/** When it is judged, after how many applications, and how often somebody looks. */
const WhenFields = ({ draft, change, fields }: Omit<FieldsProps, "units">) => (
  <>
    <TextField
      type="date"
      label="Judged on"
      value={draft.decidingOn}
      hint="Named now, so that nobody picks the best of several days."
      error={fields["/terms/decidingOn"]}
      onChange={({ target }) => change({ decidingOn: target.value })}
    />
    <NumberField
      label="Put on how many times before"
      value={draft.asked}
      error={fields["/terms/asked"]}
      onChange={({ target }) => change({ asked: target.value })}
    />
    <Choices
      label="How often will you look?"
      stacked
      value={draft.looks}
      options={[
        {
          value: "several",
          label: "Now and then",
          note: "Pairs may be added if it can’t tell. A little is paid for looking.",
        },
        { value: "one", label: "Once", note: "Tells with the fewest pairs; then it is over." },
        { value: "any", label: "At any time", note: "For a series that grows pair by pair. Wants many pairs." },
      ]}
      onChange={(looks) => change({ looks })}
    />
  </>
);

/** The five steps of the farm's card. */
const CardFields = ({ draft, change }: Pick<FieldsProps, "draft" | "change">) => (
  <Fold title="The card" stands={cardOf(draft).join(", ")}>
    {cardOf({ kind: draft.kind, card: [] }).map((usual, step) => (
      <TextField
        key={usual}
        label={`Step ${step + 1}`}
        maxLength={40}
        value={draft.card[step] ?? usual}
        onChange={({ target }) =>
          change({ card: cardOf(draft).map((word, nth) => (nth === step ? target.value : word)) })
        }
      />
    ))}
  </Fold>
);

/** What is read, how large a difference would be worth it, and when it is judged. */
export const MeasureFields = ({ draft, change, fields, units }: FieldsProps) => {
  const { kind } = draft;
  const scale = scaleOf(draft);
  const unit = scale === "difference" ? (kind === "disease-share" ? "%" : unitOf(draft, units)) : "%";
  return (
    <>
      <SelectField
        label="What is read"
        value={kind}
        hint={READING_HOW[kind]}
        error={fields["/terms/kind"]}
        onChange={({ target }) => {
          const next = target.value as TrialDraft["kind"];
          change({ kind: next, asShare: MEASURES[next].scale === "ratio", card: [] });
        }}
      >
        {KINDS.map((one) => (
          <option key={one} value={one}>
            {READING_NAMES[one]}
          </option>
        ))}
      </SelectField>
      {kind === "number" ? (
        <TextField
          label="Its unit"
          value={draft.unit}
          maxLength={20}
          error={fields["/terms/unit"]}
          onChange={({ target }) => change({ unit: target.value })}
        />
      ) : null}
      {MEASURES[kind].scale === "ratio" ? (
        <Choices
          label="A difference is told"
          value={draft.asShare ? "share" : "unit"}
          options={[
            { value: "share", label: "in percent" },
            { value: "unit", label: `in ${unitOf(draft, units)}`, note: "where a strip may have nothing" },
          ]}
          onChange={(value) => change({ asShare: value === "share" })}
        />
      ) : null}
      <NumberField
        label={
          scale === "ordinal"
            ? "How many more of 100 comparisons must go one way to be worth it"
            : `How much ${MEASURES[kind].better === "more" ? "more" : "less"} would be worth it`
        }
        unit={scale === "ordinal" ? undefined : unit}
        value={draft.smallest}
        hint="What would pay for the work. Smaller differences are called no large difference."
        error={fields["/terms/smallest"]}
        onChange={({ target }) => change({ smallest: target.value })}
      />
      {MEASURES[kind].scale === "ordinal" ? <CardFields draft={draft} change={change} /> : null}
      {scale === "difference" ? (
        <TickField
          label="Read before the first application too, and judge the change"
          checked={draft.isChange}
          error={fields["/terms/isChange"]}
          onChange={({ target }) => change({ isChange: target.checked })}
        />
      ) : null}
      <WhenFields draft={draft} change={change} fields={fields} />
    </>
  );
};
