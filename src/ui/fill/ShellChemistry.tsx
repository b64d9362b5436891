"use client";
import { useState } from "react";
import { DomainError } from "@/core/errors";
import { shellCalcium, type ShellCalcium } from "@/core/recipe/shellCalcium";
import { sayDose } from "@/formats/bookText";
import { sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { parseNumber } from "@/formats/numbers";
import { NumberField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import type { LineDraft } from "./workOutFill";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";

function workOut(
  vinegarL: number,
  shellKg: number,
  percent: number | null,
  units: UnitSystem,
): { answer: ShellCalcium | null; problem: string | null } {
  if (percent === null) return { answer: null, problem: "Fill in the strength of the vinegar, in per cent." };
  try {
    return { answer: shellCalcium({ vinegarL, shellKg, aceticPercent: percent }), problem: null };
  } catch (error) {
    if (error instanceof DomainError) return { answer: null, problem: sayDomain(error, speechOf(units)) };
    throw error;
  }
}

interface ShellChemistryProps {
  readonly lines: readonly Pick<LineDraft, "ingredient" | "used">[];
  readonly units: UnitSystem;
}

/** What this vinegar does to this shell: which runs out, what is left, how strong it gets, how much gas comes off. */
export const ShellChemistry = ({ lines, units }: ShellChemistryProps) => {
  const [percent, setPercent] = useState("5");
  const amountOf = (id: string) => lines.find(({ ingredient }) => ingredient === id)?.used ?? 0;
  const { answer, problem } = workOut(
    amountOf("vinegar"),
    amountOf("eggshell") || amountOf("shell-meal"),
    parseNumber(percent),
    units,
  );
  return (
    <section aria-label="Shell and acid" className="grid gap-2 border-y border-line py-3">
      <h3 className="text-lg">Shell and acid</h3>
      <NumberField
        label="The vinegar’s strength"
        unit="% acetic acid"
        hint="It stands on the bottle; 4 to 6 in kitchens."
        value={percent}
        onChange={(event) => setPercent(event.target.value)}
        error={problem ?? undefined}
      />
      {answer ? (
        <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
          <dt>{answer.limiting === "acid" ? "The acid runs out first" : "The shell runs out first"}</dt>
          <dd className="reading text-right font-semibold">
            Calcium: {sayDose(answer.calciumGPerL, "kg", "L", units)}
          </dd>
          <dt>Shell that dissolves</dt>
          <dd className="reading text-right">{sayStock(answer.dissolvedKg, "kg", units)}</dd>
          <dt>Shell left over: dry it, it serves again</dt>
          <dd className="reading text-right">{sayStock(answer.shellLeftKg, "kg", units)}</dd>
          <dt>Vinegar that all of the shell would want</dt>
          <dd className="reading text-right">{sayVolume(answer.vinegarNeededForAllL, units)}</dd>
          <dt>Gas that comes off</dt>
          <dd className="reading text-right">{sayVolume(answer.carbonDioxideL, units)}</dd>
        </dl>
      ) : null}
      {answer ? (
        <Notice tone="caution" title="Never close it tight">
          The gas bursts a closed bottle; glass can hurt you. Cover it with cloth and air the room.
        </Notice>
      ) : null}
    </section>
  );
};
