"use client";
import { useState } from "react";
import type { SeasonDeed } from "@/core/plan/hand/deeds";
import { DEED_NAMES } from "@/words/said";
import type { SeasonView } from "@/services/season";
import { useSeasonAct } from "../acts/season";
import { Button } from "../kit/Button";
import { SelectField, TextField, TickField } from "../kit/fields";
import { Fold } from "../kit/Fold";
import { Link } from "../kit/Link";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";

type Kind = SeasonDeed["kind"];
const KINDS = Object.keys(DEED_NAMES) as Kind[];

/** An address that a calendar program reads by itself. */
const Feed = ({ since, query }: { readonly since: number | null; readonly query: string }) => {
  const making = useSeasonAct("newSeasonFeed");
  const ending = useSeasonAct("endSeasonFeed");
  const [token, setToken] = useState<string | null>(null);
  const make = async (): Promise<void> => {
    const made = await making.run({});
    if (made !== null) setToken(made.token);
  };
  const end = async (): Promise<void> => {
    if ((await ending.run({})) === null) return;
    setToken(null);
    told("The address is ended: calendars that read it get nothing more.");
  };
  return (
    <div className="grid gap-2">
      {token ? (
        <TextField
          label="Address for your calendar"
          hint="Whoever has it can read the plan. It is shown this once."
          readOnly
          value={`${location.origin}/api/season/feed/${token}${query}`}
          onFocus={(event) => event.target.select()}
        />
      ) : (
        <p className="text-[0.92rem] text-soft">
          {since === null
            ? "A calendar program can keep up with the plan by an address of its own."
            : "You have an address for a calendar. A new one ends it."}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button disabled={making.busy} onClick={() => void make()}>
          {since === null && !token ? "Make an address" : "Make a new address"}
        </Button>
        {since !== null || token ? (
          <Button variant="quiet" disabled={ending.busy} onClick={() => void end()}>
            End it
          </Button>
        ) : null}
      </div>
      <Refusal error={making.error ?? ending.error} />
    </div>
  );
};

/** The plan in use in other hands: calendar, paper, table; by person, with alarms for what should ring. */
export const TakeAlong = ({ view: { terms, people, feedSinceMs } }: { readonly view: SeasonView }) => {
  const [person, setPerson] = useState("");
  const [alarms, setAlarms] = useState<readonly Kind[]>(["start", "apply"]);
  const withHours = people.filter(({ id }) => terms.hands.some(({ actorId }) => actorId === id));
  const query = `?${new URLSearchParams({ ...(person === "" ? {} : { person }), alarms: alarms.join(",") }).toString()}`;
  return (
    <Fold title="Take it along">
      <p className="flex flex-wrap gap-x-4 gap-y-1">
        <Link href="/paper/season" className="thumb underline">
          The month on paper
        </Link>
        <a href="/api/season/list" className="thumb underline">
          List as CSV
        </a>
      </p>
      {withHours.length > 0 ? (
        <SelectField label="Calendar of" value={person} onChange={(event) => setPerson(event.target.value)}>
          <option value="">everybody</option>
          {withHours.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
      ) : null}
      <fieldset>
        <legend className="text-[0.92rem] font-semibold">Rings at seven for</legend>
        <div className="flex flex-wrap gap-x-5">
          {KINDS.map((kind) => (
            <TickField
              key={kind}
              label={DEED_NAMES[kind]}
              checked={alarms.includes(kind)}
              onChange={(event) =>
                setAlarms(event.target.checked ? [...alarms, kind] : alarms.filter((one) => one !== kind))
              }
            />
          ))}
        </div>
      </fieldset>
      <a href={`/api/season/calendar${query}`} className="thumb underline">
        Calendar file (iCal)
      </a>
      <Feed since={feedSinceMs} query={query} />
      <p className="text-[0.92rem] text-soft">All of it shows the plan in use.</p>
    </Fold>
  );
};
