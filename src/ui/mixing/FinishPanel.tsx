"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { fromBase, toBase } from "@/core/quantity/units";
import { parseNumber, readOptional } from "@/formats/numbers";
import { clockTime } from "@/formats/times";
import type { MixingView } from "@/services/mixing/readMixing";
import { useAct } from "../actions";
import { Button } from "../kit/Button";
import { NumberField, TextArea } from "../kit/fields";
import { Notice } from "../kit/Notice";

/** All is in: the batch begins, its clock at the last living thing. */
export const FinishPanel = ({ view }: { readonly view: MixingView }) => {
  const router = useRouter();
  const act = useAct("finishMixing");
  const degree = view.farm.units === "us" ? "°F" : "°C";
  const [stated, setStated] = useState(
    view.statedC === null
      ? ""
      : String(Math.round(fromBase({ dimension: "temperature", value: view.statedC }, degree).value)),
  );
  const [labourMin, setLabourMin] = useState(
    String(Math.max(1, Math.min(600, Math.round((view.nowMs - view.startedMs) / 60_000)))),
  );
  const [reason, setReason] = useState("");
  const finish = async () => {
    const typed = readOptional(stated);
    const answer = await act.run({
      mixingId: view.id,
      labourMin: parseNumber(labourMin) as number,
      statedC:
        typed === null || Number.isNaN(typed) ? typed : Number(toBase({ value: typed, unit: degree }).value.toFixed(1)),
      overrideReason: reason.trim() === "" ? null : reason.trim(),
    });
    if (!answer) return;
    toast.success("Its clock runs. The label is ready to print.");
    router.push(`/batches/${answer.batchId}`);
  };
  const { fields } = act;
  return (
    <section aria-label="All is in" className="grid gap-3 border-2 border-ink bg-chalk p-4">
      <h2 className="text-2xl">All is in</h2>
      {view.progress.timeNoughtMs === null ? null : (
        <p className="text-lg">
          Its clock starts at{" "}
          <span className="reading font-semibold">{clockTime(new Date(view.progress.timeNoughtMs), view.farm)}</span>.
        </p>
      )}
      {act.error ? (
        <Notice tone="error" title={act.error.message}>
          {Object.entries(fields)
            .filter(([path]) => path !== "/overrideReason")
            .map(([, text]) => text)
            .join(" ")}
        </Notice>
      ) : null}
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Liquid stands at"
          unit={degree}
          value={stated}
          onChange={(event) => setStated(event.target.value)}
          error={fields["/statedC"]}
        />
        <NumberField
          label="Hands’ time"
          unit="min"
          value={labourMin}
          onChange={(event) => setLabourMin(event.target.value)}
          error={fields["/labourMin"]}
        />
      </div>
      {fields["/overrideReason"] || reason !== "" ? (
        <TextArea
          label="Why it goes in all the same"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={fields["/overrideReason"]}
        />
      ) : null}
      <Button look="strong" wide className="min-h-16 text-xl" disabled={act.busy} onClick={() => void finish()}>
        Start the clock
      </Button>
    </section>
  );
};
