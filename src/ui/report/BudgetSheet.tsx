"use client";
import { useState } from "react";
import { readOptional } from "@/formats/numbers";
import type { ReportView } from "@/services/report";
import { useReportAct } from "../acts/report";
import { NumberField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";

const typed = (minor: number | null | undefined): string => (minor == null ? "" : String(minor / 100));

/** What a season may cost; what is left empty has no limit. */
export const BudgetSheet = ({ view, onClose }: { readonly view: ReportView; readonly onClose: () => void }) => {
  const act = useReportAct("setBudget");
  const year = Number(view.span.to.slice(0, 4));
  const [bought, setBought] = useState(typed(view.budget?.boughtMinor));
  const [hours, setHours] = useState(view.budget?.hours == null ? "" : String(view.budget.hours));
  const [loss, setLoss] = useState(typed(view.budget?.lossMinor));
  const submit = async () => {
    const answer = await act.run({
      year,
      bought: readOptional(bought),
      hours: readOptional(hours),
      loss: readOptional(loss),
    });
    if (!answer) return;
    told("The budget is set.");
    onClose();
  };
  return (
    <FormSheet
      title={`Budget of ${year}`}
      act="Set it"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <p className="text-soft">What is left empty has no limit.</p>
      <NumberField
        label="Bought"
        unit={view.farm.currency}
        value={bought}
        error={act.fields["/bought"]}
        onChange={({ target }) => setBought(target.value)}
      />
      <NumberField
        label="Work"
        unit="h"
        value={hours}
        error={act.fields["/hours"]}
        onChange={({ target }) => setHours(target.value)}
      />
      <NumberField
        label="Lost"
        unit={view.farm.currency}
        value={loss}
        error={act.fields["/loss"]}
        onChange={({ target }) => setLoss(target.value)}
      />
    </FormSheet>
  );
};
