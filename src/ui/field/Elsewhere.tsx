"use client";
import { clsx } from "clsx";
import { useState } from "react";
import { ELSEWHERE_KINDS, isElsewhere, type ElsewhereKind } from "@/core/apply/elsewhere";
import type { FieldView, PlotView } from "@/services/field";
import { ELSEWHERE_WORDS } from "@/words/said";
import { useFieldAct } from "../acts/field";
import { Button } from "../kit/Button";
import { SelectField, TextField } from "../kit/fields";
import { Fold } from "../kit/Fold";
import { FormSheet } from "../kit/FormSheet";
import { Link } from "../kit/Link";
import { told } from "../kit/told";

const kindOf = ({ kind }: PlotView): ElsewhereKind => (isElsewhere(kind) ? kind : "compost-bin");

/** Names something that lies nowhere on the plan, or names it anew, or puts it away. */
const ElsewhereSheet = ({ before, onClose }: { readonly before: PlotView | null; readonly onClose: () => void }) => {
  const act = useFieldAct("setElsewhere");
  const [kind, setKind] = useState<ElsewhereKind>(before ? kindOf(before) : "potting-mix");
  const [name, setName] = useState(before?.name ?? "");
  const send = async (putAway: boolean) => {
    if (!(await act.run({ plotId: before?.id ?? null, name, kind, putAway }))) return;
    told(putAway ? `${name} is put away; its records stay.` : `${name} saved.`);
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

/** Pots indoors, bedding, char, a septic tank: chosen like a bed, one kind at a time, never together with beds. */
export const Elsewhere = ({
  view,
  chosen,
  onChoose,
}: {
  readonly view: FieldView;
  readonly chosen: ReadonlySet<number>;
  readonly onChoose: (next: ReadonlySet<number>) => void;
}) => {
  const [open, setOpen] = useState<PlotView | "new" | null>(null);
  const picked = view.elsewhere.filter(({ id }) => chosen.has(id));
  return (
    <div className="mt-4">
      <Fold title="Not on the plan: pots, bedding, char, compost bins" open={view.elsewhere.length > 0}>
        <ul className="flex flex-wrap gap-2">
          {view.elsewhere.map((one) => (
            <li key={one.id} className="flex">
              <button
                type="button"
                aria-pressed={chosen.has(one.id)}
                onClick={() => onChoose(chosen.has(one.id) ? new Set() : new Set([one.id]))}
                className={clsx(
                  "min-h-11 rounded-[5px] border-[1.5px] px-3 py-2 text-left",
                  chosen.has(one.id) ? "border-ink bg-marigold-wash" : "border-line bg-chalk",
                )}
              >
                <b>{one.name}</b> <span className="text-soft">{ELSEWHERE_WORDS[kindOf(one)]}</span>
              </button>
            </li>
          ))}
        </ul>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => setOpen("new")}>Add one</Button>
          <Button variant="quiet" disabled={picked.length !== 1} onClick={() => setOpen(picked[0]!)}>
            Change it
          </Button>
        </div>
      </Fold>
      {open ? <ElsewhereSheet before={open === "new" ? null : open} onClose={() => setOpen(null)} /> : null}
    </div>
  );
};
