"use client";
import { Undo2 } from "lucide-react";
import type { FieldView } from "@/services/field";
import { useUndoAct } from "../../acts/undo";
import { Button } from "../../kit/Button";
import { told } from "../../kit/told";

/** Beds that were put away: each comes back as it lay, with all that it got. */
export const PutAwayBeds = ({ putAway }: { readonly putAway: FieldView["putAway"] }) => {
  const { run, busy } = useUndoAct("takeBack", "toast");
  if (putAway.length === 0) return null;
  const bringBack = async ({ shapeId, name }: FieldView["putAway"][number]) => {
    if (await run({ rows: [{ kind: "bed-shape", id: shapeId }] })) told(`${name} is back.`);
  };
  return (
    <details className="border-t border-line pt-2">
      <summary className="thumb cursor-pointer font-semibold">Put away: {putAway.length}</summary>
      <ul className="divide-y divide-line">
        {putAway.map((bed) => (
          <li key={bed.shapeId} className="flex items-center justify-between gap-3">
            <span>{bed.name}</span>
            <Button
              variant="quiet"
              disabled={busy}
              aria-label={`Bring back ${bed.name}`}
              onClick={() => void bringBack(bed)}
            >
              <Undo2 aria-hidden className="size-5" /> Bring back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
};
