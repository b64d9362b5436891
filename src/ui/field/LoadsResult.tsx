import type { WorkedLoads } from "@/core/apply/loads";
import { haulOf } from "@/core/apply/haul";
import { isCarried } from "@/core/apply/tool";
import { sayVolume } from "@/formats/amounts";
import { sayHaul } from "@/words/said";
import type { FieldView } from "@/services/field";
import type { Tool } from "@/services/types";
import { Notice } from "../kit/Notice";

/** What it takes in all, and what stays or lacks in the store. */
export const Stock = ({
  plan,
  view,
  heldL,
  tool,
  leftL,
}: {
  readonly plan: WorkedLoads;
  readonly view: FieldView;
  readonly heldL: number;
  readonly tool: Tool;
  /** What stays in the store after it, L; null where two liquids go on, and the figures are those of their blend. */
  readonly leftL: number | null;
}) => {
  const { units } = view.farm;
  const haul = !isCarried(tool.kind) ? null : sayHaul(haulOf(plan.loads), tool.kind, units);
  return (plan.shortL ?? 0) > 0 ? (
    <Notice tone="error" title={`${sayVolume(plan.shortL!, units)} short`}>
      It takes {sayVolume(plan.totals.concentrateL, units)}; {leftL === null ? "of the two there is" : "there is"}{" "}
      {sayVolume(heldL, units)}. Leave beds out, or go weaker.
    </Notice>
  ) : (
    <p className="py-2 text-[0.95rem]">
      In all {sayVolume(plan.totals.mixL, units)} of mix: {sayVolume(plan.totals.concentrateL, units)} of concentrate
      and {sayVolume(plan.totals.waterL, units)} of water.{" "}
      {leftL === null ? "" : `${sayVolume(Math.max(0, leftL), units)} stay in the container.`}
      {Math.abs(plan.roundingErrorL) > 1e-6
        ? ` Rounded to what the tool measures: ${plan.roundingErrorL > 0 ? "+" : "−"}${sayVolume(Math.abs(plan.roundingErrorL), units, 2)}.`
        : ""}
      {haul ? <span className="mt-1 block border-l-4 border-marigold pl-3">{haul}</span> : null}
    </p>
  );
};
