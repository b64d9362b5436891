"use client";
import { useState } from "react";
import type { FieldErrors } from "@/contracts/fieldErrors";
import { longWeekday } from "@/formats/times";
import { OF_LITRES } from "@/formats/measured";
import { formatNumber, parseNumber } from "@/formats/numbers";
import type { SeasonView } from "@/services/season";
import { useSeasonAct } from "../acts/season";
import { NumberField } from "../kit/fields";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { Fold } from "../kit/Fold";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";
import { ForbiddenList } from "./ForbiddenList";
import { WeekdayTicks } from "./WeekdayTicks";

/** Not a number where a field holds none, so that the field says so. */
const numberOf = (text: string): number => parseNumber(text) ?? Number.NaN;

/** Hours as they were typed for each person; who has none is left out. */
function useHours({ people, terms }: Pick<SeasonView, "people" | "terms">) {
  const [typed, setTyped] = useState<Readonly<Record<number, string>>>(
    Object.fromEntries(terms.hands.map(({ actorId, hoursAWeek }) => [actorId, formatNumber(hoursAWeek, 4)])),
  );
  const hands = people.flatMap(({ id }) =>
    (typed[id] ?? "").trim() === "" ? [] : [{ actorId: id, hoursAWeek: numberOf(typed[id]!) }],
  );
  return {
    hands,
    total: hands.reduce((sum, { hoursAWeek }) => sum + (hoursAWeek || 0), 0),
    of: (id: number): string => typed[id] ?? "",
    /** Where in the request a person's hours stand. */
    placeOf: (id: number): string => `/hands/${hands.findIndex(({ actorId }) => actorId === id)}/hoursAWeek`,
    type: (id: number, text: string): void => setTyped({ ...typed, [id]: text }),
  };
}

const ByPerson = ({
  people,
  hours,
  fields,
}: {
  readonly people: SeasonView["people"];
  readonly hours: ReturnType<typeof useHours>;
  readonly fields: FieldErrors;
}) => (
  <Fold title="Hours by person" open={hours.hands.length > 0}>
    {people.map(({ id, name }) => (
      <NumberField
        key={id}
        label={`${name} (hours a week)`}
        value={hours.of(id)}
        error={fields[hours.placeOf(id)]}
        onChange={(event) => hours.type(id, event.target.value)}
      />
    ))}
  </Fold>
);

/** What a farm has for its season: hours in a week, cans, how far ahead; when nobody works, and what is ruled out. */
export const TermsSheet = ({
  view,
  onClose,
}: {
  readonly view: Pick<SeasonView, "terms" | "people" | "names" | "season">;
  readonly onClose: () => void;
}) => {
  const { terms } = view;
  const act = useSeasonAct("setSeasonTerms");
  const [together, setTogether] = useState(formatNumber(terms.hoursAWeek, 4));
  const hours = useHours(view);
  const { read, show } = useReadAmount();
  const [can, setCan] = useState(show(terms.canL, OF_LITRES));
  const [cans, setCans] = useState(String(terms.cans));
  const [weeks, setWeeks] = useState(String(terms.weeks));
  const [closedWeekdays, setClosed] = useState(terms.closedWeekdays);
  const [forbidden, setForbidden] = useState(terms.forbidden);
  const isByPerson = hours.hands.length > 0;
  const submit = async (): Promise<void> => {
    const done = await act.run({
      hoursAWeek: isByPerson && !Number.isNaN(hours.total) ? hours.total : numberOf(together),
      canL: read(can, OF_LITRES) ?? Number.NaN,
      cans: numberOf(cans),
      weeks: numberOf(weeks),
      closedWeekdays: [...closedWeekdays],
      hands: hours.hands,
      forbidden: forbidden.map((one) => ({ ...one })),
    });
    if (done === null) return;
    told("Hours and cans are saved. Plan again to use them.");
    onClose();
  };
  return (
    <FormSheet title="Hours and cans" act="Save" busy={act.busy} error={act.error} onSubmit={submit} onClose={onClose}>
      <NumberField
        label="Hours a week"
        hint={isByPerson ? "The sum of the hours by person." : "All people together, for making and applying."}
        value={isByPerson ? formatNumber(hours.total, 4) : together}
        disabled={isByPerson}
        error={act.fields["/hoursAWeek"]}
        onChange={(event) => setTogether(event.target.value)}
      />
      <ByPerson people={view.people} hours={hours} fields={act.fields} />
      <WeekdayTicks
        legend="No work on"
        hint="Nothing is started or applied then; what stands is still looked after, and may have to be strained."
        nameOf={(day) => longWeekday(new Date(Date.UTC(2024, 0, 1 + day)), { timeZone: "UTC" })}
        chosen={closedWeekdays}
        error={act.fields["/closedWeekdays"]}
        onChange={setClosed}
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
      <ForbiddenList forbidden={forbidden} names={view.names} onChange={setForbidden} />
    </FormSheet>
  );
};
