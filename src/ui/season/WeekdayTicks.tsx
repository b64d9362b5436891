"use client";
import { TickField } from "../kit/fields";

const WEEK = [0, 1, 2, 3, 4, 5, 6];

/** Days of the week, any of them. */
export const WeekdayTicks = ({
  legend,
  hint,
  nameOf,
  chosen,
  error,
  onChange,
}: {
  readonly legend: string;
  readonly hint: string;
  readonly nameOf: (day: number) => string;
  readonly chosen: readonly number[];
  readonly error: string | undefined;
  readonly onChange: (chosen: readonly number[]) => void;
}) => (
  <fieldset>
    <legend className="text-[0.92rem] font-semibold">{legend}</legend>
    <p className="text-[0.92rem] text-soft">{hint}</p>
    <div className="flex flex-wrap gap-x-5">
      {WEEK.map((day) => (
        <TickField
          key={day}
          label={nameOf(day)}
          checked={chosen.includes(day)}
          onChange={(event) =>
            onChange(event.target.checked ? [...chosen, day].toSorted() : chosen.filter((one) => one !== day))
          }
        />
      ))}
    </div>
    {error ? <p className="text-rust">{error}</p> : null}
  </fieldset>
);
