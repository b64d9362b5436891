"use client";
import { useState } from "react";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { listed } from "@/formats/grammar";
import type { TrialView } from "@/services/trials";
import { useTrialsAct } from "../acts/trials";
import { useUndo } from "../acts/undo";
import { Choices } from "../kit/Choices";
import { SelectField, TextArea, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";
import { armName } from "./armLook";
import { unitName, type NoteWanted } from "./unitName";

const TITLES: Readonly<Record<NoteWanted, { readonly title: string; readonly act: string }>> = {
  "applied": { title: "Put on by hand", act: "Write it down" },
  "left-out": { title: "Leave a pair out", act: "Leave it out" },
  "stopped": { title: "Stop this trial", act: "Stop it" },
  "redraw": { title: "Draw lots again", act: "Draw again" },
};

interface Noted {
  readonly on: string;
  readonly arm: string;
  readonly blockId: string;
  readonly side: "with" | "without" | "both";
  readonly reason: string;
}
interface PartProps {
  readonly view: TrialView;
  readonly noted: Noted;
  readonly change: (part: Partial<Noted>) => void;
  readonly fields: FieldErrors;
}

const AppliedFields = ({ view, noted, change, fields }: PartProps) => (
  <>
    {view.terms.inputs.length > 1 ? (
      <Choices
        label="What went on"
        value={noted.arm}
        options={view.terms.inputs.map((input) => ({ value: input.arm, label: armName(input.arm, view.terms) }))}
        onChange={(arm) => change({ arm })}
      />
    ) : null}
    <TextField
      type="date"
      label="On"
      value={noted.on}
      max={view.today}
      error={fields["/note/on"]}
      onChange={({ target }) => change({ on: target.value })}
    />
    <p className="text-soft">Counts for every strip that gets it. The strips without got the same water.</p>
  </>
);

/** Pairs that nobody compared yet: only those may be left out. */
const openPairs = ({ blocks }: TrialView) => blocks.filter(({ isLooked, leftOut }) => !isLooked && leftOut === null);

const LeftOutFields = ({ view, noted, change, fields }: PartProps) => {
  const units = new Map(view.rounds.flatMap((one) => one.units.map((unit) => [unit.unit, unit] as const)));
  const nameOf = (unit: string): string => `${unitName(units.get(unit)!)} (${units.get(unit)!.code})`;
  return (
    <>
      <p>
        A pair that was dug up, eaten or read wrongly is left out whole, before anybody compares it. It stays in the
        list with its reason.
      </p>
      <SelectField
        label="Pair"
        value={noted.blockId}
        error={fields["/note/blockId"]}
        onChange={({ target }) => change({ blockId: target.value })}
      >
        {openPairs(view).map((block) => (
          <option key={block.id} value={block.id}>
            {listed(block.units.map(nameOf))}
          </option>
        ))}
      </SelectField>
      {view.knows ? (
        <Choices
          label="What was lost"
          value={noted.side}
          options={[
            { value: "both", label: "both" },
            { value: "with", label: "the strip with it" },
            { value: "without", label: "the strip without" },
          ]}
          onChange={(side) => change({ side })}
        />
      ) : null}
    </>
  );
};

/** The note as the farm is told it. */
function noteOf(what: Exclude<NoteWanted, "redraw">, { on, arm, blockId, side, reason }: Noted) {
  if (what === "applied") return { type: "applied", arm, on } as const;
  return what === "left-out"
    ? ({ type: "left-out", blockId, side, reason } as const)
    : ({ type: "stopped", reason } as const);
}

/** A note of a trial: put on by hand, a pair left out, drawn again, stopped; each with its reason. */
export const NoteSheet = ({
  view,
  what,
  onClose,
}: {
  readonly view: TrialView;
  readonly what: NoteWanted;
  readonly onClose: () => void;
}) => {
  const note = useTrialsAct("noteTrial");
  const redraw = useTrialsAct("drawTrialAgain");
  const undo = useUndo();
  const [noted, setNoted] = useState<Noted>({
    ...{ on: view.today, arm: view.terms.inputs[0]!.arm, side: "both", reason: "" },
    blockId: openPairs(view)[0]?.id ?? "",
  });
  const change = (part: Partial<Noted>) => setNoted({ ...noted, ...part });
  const round = view.rounds.findLast(({ isFrozen }) => !isFrozen);
  const fields = { ...note.fields, ...redraw.fields };
  const drawAnew = async () => {
    if (!round) return;
    if (!(await redraw.run({ trialId: view.id, roundNo: round.roundNo, reason: noted.reason }))) return;
    told("Lots are drawn anew.");
    onClose();
  };
  const submit = async () => {
    if (what === "redraw") return drawAnew();
    const answer = await note.run({ trialId: view.id, note: noteOf(what, noted) });
    if (!answer) return;
    told("Written down.", undo({ kind: "trial-entry", id: answer.entryId }));
    onClose();
  };
  const parts = { view, noted, change, fields };
  return (
    <FormSheet
      {...TITLES[what]}
      busy={note.busy || redraw.busy}
      error={note.error ?? redraw.error}
      onSubmit={submit}
      onClose={onClose}
    >
      {what === "applied" ? <AppliedFields {...parts} /> : null}
      {what === "left-out" ? <LeftOutFields {...parts} /> : null}
      {what === "redraw" ? (
        <p>
          A new draw is written down with its reason. After the second no verdict is given: somebody may have waited for
          a draw that pleases.
        </p>
      ) : null}
      {what === "applied" ? null : (
        <TextArea
          label="Why?"
          value={noted.reason}
          maxLength={200}
          error={fields["/note/reason"] ?? fields["/reason"]}
          onChange={({ target }) => change({ reason: target.value })}
        />
      )}
    </FormSheet>
  );
};
