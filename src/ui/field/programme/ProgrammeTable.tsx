"use client";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { findRecipe } from "@/core/book";
import { USES, type UseId } from "@/core/book/uses";
import { GROWTH_STAGES, type GrowthStage } from "@/core/land/planting";
import { sayDilution, type UnitSystem } from "@/formats/amounts";
import { inMixUnit, sayMixUnit } from "@/formats/fieldUnits";
import { useFieldAct } from "../../acts/field";
import { Button } from "../../kit/Button";
import { TextField } from "../../kit/fields";
import { Refusal } from "../../kit/Refusal";
import { told } from "../../kit/told";
import { STAGE_WORDS } from "../StageSheet";
import { INPUTS, lineFor, requestOf, type ProgrammeDraft, type StepDraft } from "./programmeDraft";
import { useUndo } from "../../acts/undo";

const stageWord = (stage: GrowthStage): string => (stage === "bare" ? "bare soil" : STAGE_WORDS[stage]);
const CELL =
  "min-h-11 w-full rounded-[5px] border-[1.5px] border-line bg-chalk px-2 text-ink focus:border-ink aria-[invalid=true]:border-rust";

interface LineProps {
  readonly line: StepDraft;
  readonly index: number;
  readonly error: string | undefined;
  readonly units: UnitSystem;
  readonly onChange: (change: Partial<StepDraft>) => void;
  readonly onTakeOut: () => void;
}

const StageCell = ({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: GrowthStage;
  readonly onChange: (stage: GrowthStage) => void;
}) => (
  <select
    aria-label={label}
    className={CELL}
    value={value}
    onChange={(event) => onChange(event.target.value as GrowthStage)}
  >
    {GROWTH_STAGES.map((stage) => (
      <option key={stage} value={stage}>
        {stageWord(stage)}
      </option>
    ))}
  </select>
);

const TypedCell = ({
  label,
  onChange,
  ...rest
}: {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  readonly inputMode?: "numeric" | "decimal";
  readonly onChange: (value: string) => void;
}) => <input aria-label={label} className={CELL} {...rest} onChange={(event) => onChange(event.target.value)} />;

const InputCell = ({ label, line, onChange }: Pick<LineProps, "line" | "onChange"> & { readonly label: string }) => (
  <select
    aria-label={label}
    className={CELL}
    value={line.methodId}
    onChange={(event) => onChange(lineFor(event.target.value, line.from, line.to))}
  >
    {INPUTS.map(({ id, name }) => (
      <option key={id} value={id}>
        {name}
      </option>
    ))}
  </select>
);

/** One input of a programme: how, how strong, how often, from which stage to which. */
const Line = ({ line, index, error, units, onChange, onTakeOut }: LineProps) => {
  const of = `line ${index + 1}`;
  const uses = findRecipe(line.methodId).uses;
  const usual = uses.find(({ use }) => use === line.use)?.partsWater.default;
  return (
    <>
      <tr className="align-top">
        <td className="min-w-44 py-1 pr-2">
          <InputCell label={`Input, ${of}`} line={line} onChange={onChange} />
        </td>
        <td className="min-w-40 py-1 pr-2">
          <select
            aria-label={`How, ${of}`}
            className={CELL}
            value={line.use}
            onChange={(event) => onChange({ use: event.target.value as UseId })}
          >
            {uses.map(({ use }) => (
              <option key={use} value={use}>
                {USES[use].name}
              </option>
            ))}
          </select>
        </td>
        <td className="min-w-24 py-1 pr-2">
          <TypedCell
            label={`Dilution, ${of}`}
            value={line.strength}
            placeholder={usual === undefined ? "" : sayDilution(usual)}
            onChange={(strength) => onChange({ strength })}
          />
        </td>
        <td className="min-w-20 py-1 pr-2">
          <TypedCell
            label={`How much, ${sayMixUnit("m2", units)}, ${of}`}
            value={line.rate}
            placeholder={String(inMixUnit(USES[line.use].mixLPerM2?.default ?? 2, "m2", units))}
            inputMode="decimal"
            onChange={(rate) => onChange({ rate })}
          />
        </td>
        <td className="min-w-16 py-1 pr-2">
          <TypedCell
            label={`Every how many days, ${of}`}
            value={line.everyD}
            inputMode="numeric"
            onChange={(everyD) => onChange({ everyD })}
          />
        </td>
        {(["from", "to"] as const).map((end) => (
          <td key={end} className="min-w-32 py-1 pr-2">
            <StageCell
              label={`${end === "from" ? "From" : "To"}, ${of}`}
              value={line[end]}
              onChange={(stage) => onChange({ [end]: stage })}
            />
          </td>
        ))}
        <td className="py-1">
          <Button variant="quiet" aria-label={`Take out ${of}`} onClick={onTakeOut}>
            <Trash2 aria-hidden className="size-5" />
          </Button>
        </td>
      </tr>
      {error ? (
        <tr>
          <td colSpan={8} role="alert" className="pb-1 font-semibold text-rust">
            {error}
          </td>
        </tr>
      ) : null}
    </>
  );
};

interface ProgrammeTableProps {
  /** Null for one that is not kept yet. */
  readonly id: number | null;
  readonly kept: ProgrammeDraft;
  readonly units: UnitSystem;
  readonly onKept?: () => void;
}

/** A programme as a table that is typed in where it stands; what was changed is kept at once for all its lines. */
export const ProgrammeTable = ({ id, kept, units, onKept }: ProgrammeTableProps) => {
  const act = useFieldAct("setProgramme");
  const undo = useUndo();
  const [draft, setDraft] = useState(kept);
  const isChanged = id === null || JSON.stringify(draft) !== JSON.stringify(kept);
  const setLine = (at: number, change: Partial<StepDraft>) =>
    setDraft({ ...draft, steps: draft.steps.map((line, index) => (index === at ? { ...line, ...change } : line)) });
  const lineError = (index: number) =>
    Object.entries(act.fields).find(([path]) => path.startsWith(`/steps/${index}/`))?.[1];
  const keep = async (putAway: boolean) => {
    const answer = await act.run({ programmeId: id, ...requestOf(draft, units), putAway });
    if (!answer) return;
    told(putAway ? `${draft.name} is put away.` : `${draft.name} saved.`, undo({ kind: "schedule", id: answer.rowId }));
    onKept?.();
  };
  return (
    <section aria-label={draft.name || "New schedule"} className="border-t-2 border-ink py-4">
      <div className="grid max-w-2xl gap-3 sm:grid-cols-2">
        <TextField
          label="Schedule"
          value={draft.name}
          onChange={(event) => setDraft({ ...draft, name: event.target.value })}
          error={act.fields["/name"]}
        />
        <TextField
          label="For which crops"
          hint="Names, with commas between. Empty: all crops."
          value={draft.crops}
          onChange={(event) => setDraft({ ...draft, crops: event.target.value })}
          error={act.fields["/crops"] ?? act.fields["/crops/0"]}
        />
      </div>
      <div className="relative mt-3 overflow-x-auto" role="region" aria-label={`Lines: ${draft.name}`} tabIndex={0}>
        <table className="w-full">
          <thead>
            <tr className="text-left text-[0.86rem] text-soft">
              {["Input", "How", "Dilution", sayMixUnit("m2", units), "Every … days", "From", "To", ""].map((head) => (
                <th key={head} scope="col" className="pr-2 font-normal">
                  {head || <span className="sr-only">Take out</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {draft.steps.map((line, index) => (
              <Line
                key={index}
                line={line}
                index={index}
                error={lineError(index)}
                units={units}
                onChange={(change) => setLine(index, change)}
                onTakeOut={() => setDraft({ ...draft, steps: draft.steps.filter((_line, at) => at !== index) })}
              />
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          onClick={() => setDraft({ ...draft, steps: [...draft.steps, lineFor(INPUTS[0]!.id, "growing", "fruiting")] })}
        >
          <Plus aria-hidden className="size-5" /> A line
        </Button>
        <Button variant="strong" disabled={act.busy || !isChanged} onClick={() => void keep(false)}>
          {" "}
          Save{" "}
        </Button>
        {id === null ? null : (
          <Button variant="quiet" disabled={act.busy} onClick={() => void keep(true)}>
            Put it away
          </Button>
        )}
      </div>
      <Refusal error={act.error} />
    </section>
  );
};
