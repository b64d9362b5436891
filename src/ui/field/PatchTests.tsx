"use client";
import { useState } from "react";
import { told } from "../kit/told";
import { sayDilution } from "@/formats/amounts";
import { sayDuration } from "@/formats/times";
import type { PatchTestView } from "@/services/field";
import { useFieldAct } from "../acts/field";
import { Button } from "../kit/Button";
import { SelectField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import type { Applying } from "./useApply";
import { undoOffer, useUndo } from "../acts/undo";

const HOUR_MS = 3_600_000;

const RESULT_WORDS = { clear: "clear, no marks", marked: "marks on the leaves" } as const;

/** One patch test, and what it shows once somebody has looked. */
const Test = ({ test, nowMs }: { readonly test: PatchTestView; readonly nowMs: number }) => {
  const act = useFieldAct("seePatchTest");
  const undo = useUndo();
  const see = async (result: "clear" | "marked" | "dropped") => {
    const answer = await act.run({ patchTestId: test.id, result, note: "" });
    if (!answer) return;
    told(
      result === "dropped" ? "The patch test is taken back." : `Patch test: ${RESULT_WORDS[result]}.`,
      undo({ kind: "patch-look", id: answer.lookId }),
    );
  };
  return (
    <li className="grid gap-1 border-b border-line py-2">
      <span>
        {sayDilution(test.partsWater)} on {test.plotName}, {sayDuration((nowMs - test.atMs) / HOUR_MS)} ago:{" "}
        <span className="font-semibold">{test.result ? RESULT_WORDS[test.result] : "nobody has looked yet"}</span>
      </span>
      <span className="flex flex-wrap gap-2">
        {test.result === "clear" ? null : (
          <Button disabled={act.busy} onClick={() => void see("clear")}>
            Clear, no marks
          </Button>
        )}
        {test.result === "marked" ? null : (
          <Button variant="danger" disabled={act.busy} onClick={() => void see("marked")}>
            Leaves are marked
          </Button>
        )}
        <Button variant="quiet" disabled={act.busy} onClick={() => void see("dropped")}>
          It was not done
        </Button>
      </span>
      <Refusal error={act.error} />
    </li>
  );
};

/** A few leaves first: what was tried of this liquid in this way, and a test of the strength that is chosen now. */
export const PatchTests = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, plots, cautions } = applying;
  const { store, useId, ratio } = choice;
  const act = useFieldAct("startPatchTest");
  const see = useFieldAct("seePatchTest", "toast");
  const [picked, setPicked] = useState<number | null>(null);
  const tests = store.patchTests.filter(({ use }) => use === useId);
  const isWanted = cautions.some((caution) => caution.code === "patch-test-first" && !caution.waiting);
  const plot = plots.find(({ id }) => id === picked) ?? plots[0];
  const start = async () => {
    const answer = plot ? await act.run({ storeId: store.id, plotId: plot.id, useId, ratio }) : null;
    if (!plot || !answer) return;
    told(
      `A patch of ${plot.name} is treated. Look at it after a day or two.`,
      undoOffer(() => see.run({ patchTestId: answer.patchTestId, result: "dropped", note: "" })),
    );
  };
  if (tests.length === 0 && !isWanted) return null;
  return (
    <section aria-label="Patch tests" className="border-t border-line pt-2">
      <h3 className="text-lg">A few leaves first</h3>
      <ul>
        {tests.map((test) => (
          <Test key={test.id} test={test} nowMs={view.nowMs} />
        ))}
      </ul>
      {isWanted && plot ? (
        <div className="mt-2 flex flex-wrap items-end gap-3">
          <SelectField label="Patch on" value={plot.id} onChange={(event) => setPicked(Number(event.target.value))}>
            {plots.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
          <Button disabled={act.busy} onClick={() => void start()}>
            A few leaves are treated
          </Button>
          <Refusal error={act.error} />
        </div>
      ) : null}
    </section>
  );
};
