"use client";
import { useForm, useWatch } from "react-hook-form";
import { told } from "../kit/told";
import { DomainError } from "@/core/errors";
import { treatWater, UNREAD_WATER_C, type WaterAnswer, type WaterTreatment } from "@/core/water/chlorine";
import { OF_LITRES } from "@/formats/measured";
import { sayTemperature, type UnitSystem } from "@/formats/amounts";
import { formatNumber, readCelsius } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";
import { sayWaterReason } from "@/words/said";
import type { WaterView } from "@/services/water";
import { useWaterAct } from "../acts/water";
import { useUndo } from "../acts/undo";
import { NumberField, SelectField, TextField, TickField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { Notice } from "../kit/Notice";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";

interface StartForm {
  purpose: "brew" | "dilution";
  volumeL: string;
  treatment: WaterTreatment;
  degrees: string;
  covered: boolean;
  place: string;
}

function answerOf(
  water: WaterView,
  form: StartForm,
  volumeL: number | null,
  temperatureC: number,
  units: UnitSystem,
): WaterAnswer | string {
  if (volumeL === null || Number.isNaN(temperatureC)) return "Enter the amount and the temperature.";
  try {
    return treatWater({
      source: water.kind,
      freeMgPerL: water.freeMgPerL,
      totalMgPerL: water.totalMgPerL,
      volumeL,
      treatment: form.treatment,
      temperatureC,
      covered: form.covered,
    });
  } catch (error) {
    if (error instanceof DomainError) return sayDomain(error, speechOf(units));
    throw error;
  }
}

/** What is filled in of water set aside, what comes of it, and its sending. */
function useStart(water: WaterView, units: UnitSystem, onClose: () => void) {
  const act = useWaterAct("startWater");
  const undo = useUndo();
  const { read, show } = useReadAmount();
  const degree = units === "us" ? "°F" : "°C";
  const chlorinated = water.kind === "mains" || water.kind === "unknown";
  const { register, handleSubmit, control } = useForm<StartForm>({
    defaultValues: {
      purpose: "brew",
      volumeL: show(160, OF_LITRES),
      treatment: chlorinated ? "stand" : "none",
      degrees: "",
      covered: false,
      place: "",
    },
  });
  const form = useWatch({ control }) as StartForm;
  const celsius = readCelsius(form.degrees, units);
  const answer = answerOf(water, form, read(form.volumeL, OF_LITRES), celsius ?? UNREAD_WATER_C, units);
  const submit = handleSubmit(async ({ purpose, volumeL, treatment, covered, place }) => {
    const done = await act.run({
      sourceId: water.id,
      purpose,
      volumeL: read(volumeL, OF_LITRES) as number,
      treatment,
      celsius,
      covered,
      place,
    });
    if (!done) return;
    told(`${water.name} is set aside; its clock runs.`, undo({ kind: "water", id: done.startId }));
    onClose();
  });
  return { act, register, form, answer, degree, submit };
}

/** Water is set aside: how long it must stand or bubble, or what to stir in; its clock starts now. */
export const StartWaterSheet = ({
  water,
  units,
  onClose,
}: {
  readonly water: WaterView;
  readonly units: UnitSystem;
  readonly onClose: () => void;
}) => {
  const { act, register, form, answer, degree, submit } = useStart(water, units, onClose);
  return (
    <FormSheet
      title={`Set ${water.name} aside`}
      act="Start treatment"
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <SelectField label="For" {...register("purpose")}>
        <option value="brew">brewing</option>
        <option value="dilution">dilution on the day</option>
      </SelectField>
      <div className="grid grid-cols-2 gap-3">
        <AmountField
          label="How much"
          of={OF_LITRES}
          typed={form.volumeL}
          {...register("volumeL")}
          error={act.fields["/volumeL"]}
        />
        <NumberField
          label="Water stands at"
          unit={degree}
          hint={`Not read: its clock goes by ${sayTemperature(UNREAD_WATER_C, units)}, the slow case.`}
          {...register("degrees")}
          error={act.fields["/celsius"]}
        />
      </div>
      <SelectField label="How" {...register("treatment")} error={act.fields["/treatment"]}>
        <option value="none">as it is</option>
        <option value="stand">stands open</option>
        <option value="bubble">bubbles</option>
        <option value="ascorbic">ascorbic acid stirred in</option>
        <option value="carbon">through activated carbon</option>
      </SelectField>
      <TickField label="With a lid on: slower" {...register("covered")} />
      <TextField label="Place" {...register("place")} error={act.fields["/place"]} />
      <div aria-live="polite">
        {typeof answer === "string" ? (
          <Notice tone="error">{answer}</Notice>
        ) : (
          <Notice
            tone={answer.safe ? "plain" : "caution"}
            title={
              !answer.safe
                ? "This does not remove it"
                : answer.ascorbicG !== null
                  ? `Stir in ${formatNumber(answer.ascorbicG, 3)} g of ascorbic acid; ready in a quarter of an hour`
                  : (answer.hours ?? 0) > 0
                    ? `Ready in ${sayDuration(answer.hours!)}`
                    : "Ready at once"
            }
          >
            {answer.reasons.map(sayWaterReason).join(" ")}
          </Notice>
        )}
      </div>
      <Notice tone="caution">Mosquitoes breed in open water within a week. Cover it with a lid or fine net.</Notice>
    </FormSheet>
  );
};
