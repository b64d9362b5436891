"use client";
import { useState } from "react";
import { soakingsBefore, USUAL_SOAKINGS, type Soaking } from "@/core/apply/soakings";
import { DomainError } from "@/core/errors";
import { ordinal, parseNumber, plural } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import type { PlotPage } from "@/services/field";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";
import { NumberField, SelectField, TextField } from "../kit/fields";

/** Nobody states it: a week is a start, to be changed. */
const USUAL_EVERY_D = "7";

interface Worked {
  readonly soakings: readonly Soaking[];
  readonly problem: string | null;
}

/** What is typed as dates, or what is wrong with it. */
function workOut(
  form: { readonly plantOn: string; readonly count: string; readonly everyD: string; readonly restD: string },
  brewD: number,
  page: PlotPage,
): Worked {
  const [count, everyD, restD] = [form.count, form.everyD, form.restD].map(parseNumber);
  if (form.plantOn === "") return { soakings: [], problem: null };
  if (count === null || everyD === null || restD === null)
    return { soakings: [], problem: "A number in each field, please." };
  try {
    const asked = {
      plantOn: form.plantOn,
      count: Math.round(count!),
      everyD: everyD!,
      restD: restD!,
      brewD,
      waterD: 1,
      today: page.today,
    };
    return { soakings: soakingsBefore(asked), problem: null };
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    return { soakings: [], problem: sayDomain(error, speechOf(page.farm.units)) };
  }
}

/** Soakings of bare ground before what is to be planted: the day of each, with the day of its brew and of its water. */
export const Soakings = ({ page }: { readonly page: PlotPage }) => {
  const [methodId, setMethodId] = useState(page.soakers[0]?.methodId ?? "");
  const [form, setForm] = useState({
    plantOn: page.plot.next?.plantedOn ?? "",
    count: String(USUAL_SOAKINGS),
    everyD: USUAL_EVERY_D,
    restD: "3",
  });
  const set = (change: Partial<typeof form>) => setForm({ ...form, ...change });
  const soaker = page.soakers.find((one) => one.methodId === methodId) ?? null;
  if (!soaker) return null;
  const { soakings, problem } = workOut(form, soaker.brewD, page);
  return (
    <section aria-labelledby="soakings" className="mt-6 grid gap-3">
      <h2 id="soakings" className="text-xl">
        Soakings before planting
      </h2>
      <SelectField label="With" value={methodId} onChange={(event) => setMethodId(event.target.value)}>
        {page.soakers.map((one) => (
          <option key={one.methodId} value={one.methodId}>
            {one.name}, brews about {plural(Math.ceil(one.brewD), "day")} now
          </option>
        ))}
      </SelectField>
      <div className="grid grid-cols-2 gap-3">
        <TextField
          label="Planted on"
          type="date"
          value={form.plantOn}
          onChange={(event) => set({ plantOn: event.target.value })}
        />
        <NumberField label="How many" value={form.count} onChange={(event) => set({ count: event.target.value })} />
        <NumberField
          label="Days between"
          hint="Growers do not state it."
          value={form.everyD}
          onChange={(event) => set({ everyD: event.target.value })}
        />
        <NumberField
          label="Rest before planting"
          unit="d"
          value={form.restD}
          onChange={(event) => set({ restD: event.target.value })}
        />
      </div>
      {problem ? (
        <p role="alert" className="font-semibold text-rust">
          {problem}
        </p>
      ) : null}
      <ol>
        {soakings.map(({ waterOn, startOn, soakOn, isTooLate }, index) => (
          <li key={soakOn} className={`border-b border-line py-1.5 ${isTooLate ? "text-soft" : ""}`}>
            <b>
              {ordinal(index + 1)}: {sayDay(soakOn)}
            </b>{" "}
            {isTooLate ? "■ too late by now: its brew would have begun " : "brew begun "}
            {sayDay(startOn)}, water filled {sayDay(waterOn)}
          </li>
        ))}
      </ol>
    </section>
  );
};
