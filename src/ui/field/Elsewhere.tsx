"use client";
import { clsx } from "clsx";
import { useState } from "react";
import { isElsewhere, type ElsewhereKind } from "@/core/apply/elsewhere";
import type { FieldView, PlotView } from "@/services/field";
import { ELSEWHERE_WORDS } from "@/words/said";
import { Button } from "../kit/Button";
import { Fold } from "../kit/Fold";
import { panel } from "../kit/later";

const kindOf = ({ kind }: PlotView): ElsewhereKind => (isElsewhere(kind) ? kind : "compost-bin");

const ElsewhereSheet = panel(() => import("./ElsewhereSheet").then((module) => module.ElsewhereSheet));

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
      {open ? (
        <ElsewhereSheet
          before={open === "new" ? null : open}
          was={open === "new" ? "potting-mix" : kindOf(open)}
          onClose={() => setOpen(null)}
        />
      ) : null}
    </div>
  );
};
