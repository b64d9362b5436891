"use client";
import { useState } from "react";
import type { ProgrammesView } from "@/services/field";
import { NOT_PROVEN } from "@/words/said";
import { Button } from "../../kit/Button";
import { Link } from "../../kit/Link";
import { draftOf, seasonDraft } from "./programmeDraft";
import { ProgrammeTable } from "./ProgrammeTable";
import { SeasonCalendar } from "./SeasonCalendar";

/** What each crop is given over the season: tables to type in, and the half year that follows from them. */
export const ProgrammesScreen = ({ view }: { readonly view: ProgrammesView }) => {
  const [isNew, setIsNew] = useState(view.programmes.length === 0);
  return (
    <div className="px-4 py-4 md:px-8">
      <p>
        <Link href="/field" className="thumb underline">
          The field
        </Link>
      </p>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
        <h1 className="text-2xl">Schedules</h1>
        {isNew ? null : <Button onClick={() => setIsNew(true)}>New schedule</Button>}
      </div>
      <p className="max-w-3xl text-soft">
        What a crop is given, how strong, every how many days, from which stage to which. {NOT_PROVEN}
      </p>
      {view.programmes.length > 0 ? (
        <section aria-labelledby="ahead" className="my-5">
          <h2 id="ahead" className="text-xl">
            The half year ahead
          </h2>
          <SeasonCalendar view={view} />
        </section>
      ) : null}
      {isNew ? (
        <ProgrammeTable id={null} kept={seasonDraft()} units={view.farm.units} onKept={() => setIsNew(false)} />
      ) : null}
      {view.programmes.map((programme) => (
        <ProgrammeTable
          key={`${programme.id} ${JSON.stringify(programme)}`}
          id={programme.id}
          kept={draftOf(programme, view.farm.units)}
          units={view.farm.units}
        />
      ))}
    </div>
  );
};
