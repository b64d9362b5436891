"use client";
import { useForm } from "react-hook-form";
import { told } from "../kit/told";
import { sayDay } from "@/formats/times";
import type { Asking } from "../acts/act";
import { useFillAct } from "../acts/fill";
import { undoOffer } from "../acts/undo";
import { TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";

type Ask = Omit<Asking<"fill", "planBatch">, "forDay" | "note">;

/** Means the batch for a day: what it will take is kept for it, and what lacks is on the shopping list. */
export const PlanSheet = ({
  ask,
  name,
  today,
  onClose,
  onDone,
}: {
  readonly ask: Ask;
  readonly name: string;
  readonly today: string;
  readonly onClose: () => void;
  readonly onDone: () => void;
}) => {
  const act = useFillAct("planBatch");
  const drop = useFillAct("dropPlan", "toast");
  const { register, handleSubmit } = useForm({ defaultValues: { forDay: today, note: "" } });
  const submit = handleSubmit(async ({ forDay, note }) => {
    const { methodId, schoolId, versionNo, vesselId, basisAmount, substitutes, stated, include } = ask;
    const answer = await act.run({
      methodId,
      schoolId,
      basisAmount,
      forDay,
      note,
      versionNo: versionNo ?? null,
      vesselId: vesselId ?? null,
      substitutes: substitutes ?? [],
      stated: stated ?? [],
      include: include ?? [],
    });
    if (!answer) return;
    told(
      `${name} is planned for ${sayDay(forDay)}.`,
      undoOffer(answer.planId ? () => drop.run({ planId: answer.planId }) : null),
    );
    onDone();
  });
  return (
    <FormSheet
      title={`Plan: ${name}`}
      act="Plan it"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <TextField
        label="For the day"
        type="date"
        min={today}
        {...register("forDay")}
        error={act.fields["/forDay"]}
        hint="Its ingredients are reserved. Missing ones go on the shopping list."
      />
      <TextField label="Note" {...register("note")} error={act.fields["/note"]} />
    </FormSheet>
  );
};
