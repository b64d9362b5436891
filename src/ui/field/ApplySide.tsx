"use client";
import { useEffect } from "react";
import { createPortal } from "react-dom";
import type { Point } from "@/core/land/ring";
import type { FieldView } from "@/services/field";
import { ApplyPanel } from "./ApplyPanel";
import { JobCard } from "./JobCard";
import type { Poured } from "./plan/poured";
import { stopsOf, type Stop } from "./PourList";
import { useApply, type Applying } from "./useApply";
import type { ApplyStart } from "./useChoice";

interface ApplySideProps {
  readonly view: FieldView;
  readonly start: ApplyStart;
  readonly chosen: ReadonlySet<number>;
  /** Where brews are filled in. */
  readonly fillPoint: Point;
  /** How the brew runs over the plan as it is chosen now; null while none does. */
  readonly onPoured: (poured: readonly Poured[] | null) => void;
  readonly onDone: () => void;
}

/** How what is chosen runs down over the plan. */
function pouredOver(
  view: FieldView,
  { asked, plan, choice }: Applying,
  stops: readonly Stop[],
): readonly Poured[] | null {
  if (!asked || !plan || choice.isAway) return null;
  const rings = new Map(view.plots.map((plot) => [plot.id, plot.ring]));
  const places = new Map(stops.map(({ plotId }, index) => [plotId, index + 1]));
  return asked.shares
    .filter(({ id, wantedL }) => wantedL > 0 && rings.has(id))
    .map(({ id, wantedL, concentrateL }) => ({
      plotId: id,
      ring: rings.get(id)!,
      wantedL,
      concentrateL,
      nth: places.get(id) ?? null,
    }));
}

/** What goes on the chosen plots, beside the plan: the choosing, the loads, and the card that is carried along on paper. */
export const ApplySide = ({ view, start, chosen, fillPoint, onPoured, onDone }: ApplySideProps) => {
  const applying = useApply(view, start, chosen, onDone);
  const stops = stopsOf(applying, fillPoint);
  const poured = pouredOver(view, applying, stops);
  // It is worked out anew at every drawing: only what came out otherwise is told.
  const shape = JSON.stringify(poured);
  useEffect(() => {
    onPoured(poured);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [shape, onPoured]);
  useEffect(() => () => onPoured(null), [onPoured]);
  return (
    <>
      <ApplyPanel applying={applying} stops={stops} />
      {
        // On paper there is nothing but the card.
        createPortal(<JobCard applying={applying} stops={stops} />, document.body)
      }
    </>
  );
};
