"use client";
import { useState } from "react";
import { OF_LITRES } from "@/formats/measured";
import { formatNumber, parseNumber } from "@/formats/numbers";
import type { SeasonView } from "@/services/season";
import { useSeasonAct } from "../acts/season";
import { NumberField } from "../kit/fields";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";

/** Not a number where a field holds none, so that the field says so. */
const numberOf = (text: string): number => parseNumber(text) ?? Number.NaN;

/** What a farm has for its season: hours in a week, cans, how far ahead. */
export const TermsSheet = ({
  view,
  onClose,
}: {
  readonly view: Pick<SeasonView, "terms">;
  readonly onClose: () => void;
}) => {
  const { terms } = view;
  const act = useSeasonAct("setSeasonTerms");
  const [hours, setHours] = useState(formatNumber(terms.hoursAWeek, 4));
  const { read, show } = useReadAmount();
  const [can, setCan] = useState(show(terms.canL, OF_LITRES));
  const [cans, setCans] = useState(String(terms.cans));
  const [weeks, setWeeks] = useState(String(terms.weeks));
  const submit = async (): Promise<void> => {
    const done = await act.run({
      hoursAWeek: numberOf(hours),
      canL: read(can, OF_LITRES) ?? Number.NaN,
      cans: numberOf(cans),
      weeks: numberOf(weeks),
    });
    if (done === null) return;
    told("Hours and cans are saved. Plan again to use them.");
    onClose();
  };
  return (
    <FormSheet title="Hours and cans" act="Save" busy={act.busy} error={act.error} onSubmit={submit} onClose={onClose}>
      <NumberField
        label="Hours a week"
        hint="All people together, for making and applying."
        value={hours}
        error={act.fields["/hoursAWeek"]}
        onChange={(event) => setHours(event.target.value)}
      />
      <NumberField
        label="Cans to keep inputs in"
        value={cans}
        error={act.fields["/cans"]}
        onChange={(event) => setCans(event.target.value)}
      />
      <AmountField
        label="One can holds"
        of={OF_LITRES}
        typed={can}
        value={can}
        error={act.fields["/canL"]}
        onChange={(event) => setCan(event.target.value)}
      />
      <NumberField
        label="Plan ahead (weeks)"
        hint="4 to 40."
        value={weeks}
        error={act.fields["/weeks"]}
        onChange={(event) => setWeeks(event.target.value)}
      />
    </FormSheet>
  );
};
