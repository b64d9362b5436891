"use client";
import { useState } from "react";
import type { FarmClock } from "@/formats/times";
import type { PlotPage } from "@/services/field";
import { useFieldAct } from "../acts/field";
import { Choices } from "../kit/Choices";
import { TextArea } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";
import { sentAt, WhenChoice, type When } from "../kit/WhenChoice";
import { inText } from "@/formats/grammar";

export type Dose = PlotPage["doses"][number];

interface DoseSheetProps {
  readonly dose: Dose;
  readonly clock: FarmClock;
  readonly nowMs: number;
  readonly onClose: () => void;
}

/** What is older is no slip of a date. The farm refuses a day before the brew was there. */
const YEAR_MS = 365 * 86_400_000;

type Wrong = "never" | "date";

/** Puts an application right: it never went on, or it went on at another time. Neither is done without a reason. */
export const DoseSheet = ({ dose, clock, nowMs, onClose }: DoseSheetProps) => {
  const takeBack = useFieldAct("takeBackApplication");
  const redate = useFieldAct("redateApplication");
  const [wrong, setWrong] = useState<Wrong>("never");
  const [when, setWhen] = useState<When>({ type: "ago", hours: 24 });
  const [reason, setReason] = useState("");
  const act = wrong === "never" ? takeBack : redate;
  const asked = { applicationId: dose.applicationId, reason };
  const submit = async () => {
    if (wrong === "never") {
      if (!(await takeBack.run(asked))) return;
      told("Taken back: what it took is back in stock.");
    } else {
      if (!(await redate.run({ ...asked, at: sentAt(when, nowMs, clock) ?? new Date(nowMs).toISOString() }))) return;
      told("Date changed. The record shows both.");
    }
    onClose();
  };
  return (
    <FormSheet
      title={`Correct ${inText(dose.storeLabel)}`}
      act={wrong === "never" ? "It never went on" : "Change the date"}
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <Choices
        label="What is wrong"
        value={wrong}
        onChange={setWrong}
        options={[
          { value: "never", label: "It never went on" },
          { value: "date", label: "The date or time" },
        ]}
      />
      {wrong === "never" ? (
        <p>All beds of this application lose it, and what it took is back in stock. The record shows it as undone.</p>
      ) : (
        <>
          <p>All beds of this application move with it, and so do their days before harvest.</p>
          <WhenChoice
            when={when}
            nowMs={nowMs}
            startedMs={nowMs - YEAR_MS}
            clock={clock}
            onChange={setWhen}
            error={act.fields["/at"]}
          />
        </>
      )}
      <TextArea
        label="What happened?"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        error={act.fields["/reason"]}
      />
    </FormSheet>
  );
};
