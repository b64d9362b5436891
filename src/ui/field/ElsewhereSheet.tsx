"use client";
import { useState } from "react";
import { ELSEWHERE_KINDS, type ElsewhereKind } from "@/core/apply/elsewhere";
import type { PlotView } from "@/services/field";
import { ELSEWHERE_WORDS } from "@/words/said";
import { useFieldAct } from "../acts/field";
import { Button } from "../kit/Button";
import { SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { Link } from "../kit/Link";
import { told } from "../kit/told";
import { useUndo } from "../acts/undo";

interface ElsewhereSheetProps {
  readonly before: PlotView | null;
  /** What it was until now, or what is most often added. */
  readonly was: ElsewhereKind;
  readonly onClose: () => void;
}

/** Names something that lies nowhere on the plan, or names it anew, or puts it away. */
export const ElsewhereSheet = ({ before, was, onClose }: ElsewhereSheetProps) => {
  const act = useFieldAct("setElsewhere");
  const undo = useUndo();
  const [kind, setKind] = useState<ElsewhereKind>(was);
  const [name, setName] = useState(before?.name ?? "");
  const send = async (putAway: boolean) => {
    const answer = await act.run({ plotId: before?.id ?? null, name, kind, putAway });
    if (!answer) return;
    told(
      putAway ? `${name} is put away; its records stay.` : `${name} saved.`,
      undo({ kind: "bed-shape", id: answer.shapeId }),
    );
    onClose();
  };
  return (
    <FormSheet
      title={before ? before.name : "Somewhere that is not on the plan"}
      act="Save"
      busy={act.busy}
      error={act.error}
      onSubmit={() => send(false)}
      onClose={onClose}
    >
      <SelectField
        label="What it is"
        value={kind}
        onChange={(event) => setKind(event.target.value as ElsewhereKind)}
        error={act.fields["/kind"]}
      >
        {ELSEWHERE_KINDS.map((one) => (
          <option key={one} value={one}>
            {ELSEWHERE_WORDS[one]}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Name"
        maxLength={40}
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={act.fields["/name"]}
      />
      {before ? (
        <>
          <p>
            <Link href={`/field/plots/${before.id}`} className="underline">
              What it got
            </Link>
          </p>
          <Button variant="quiet" disabled={act.busy} onClick={() => void send(true)}>
            Put it away
          </Button>
        </>
      ) : null}
    </FormSheet>
  );
};
