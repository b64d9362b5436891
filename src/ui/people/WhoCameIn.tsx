"use client";
import { useState } from "react";
import type { Role } from "@/core/people/roles";
import type { AccessView } from "@/services/access";
import { ACCESS_WORDS, ROLE_WORDS } from "@/words/said";
import { SelectField } from "../kit/fields";
import { accessMoment as moment } from "./accessMoment";
import { sayDevice } from "./sayDevice";

type AccessEvent = AccessView["events"][number];
const NOBODY = "somebody";
const different = <T,>(all: readonly T[]): T[] => [...new Set(all)];

const Line = ({ event, view }: { readonly event: AccessEvent; readonly view: AccessView }) => (
  <li className="py-1.5">
    <span className="font-semibold">{event.person || NOBODY}</span>: {ACCESS_WORDS[event.kind]}
    {event.kind === "role" ? ` (${ROLE_WORDS[event.note as Role] ?? event.note})` : ""}
    {event.by ? `, by ${event.by}` : ""}
    <span className="block text-[0.88rem] text-soft">
      {moment(event.atMs, view)}
      {event.device ? `; ${sayDevice(event.device)}` : ""}
      {event.address ? `; from ${event.address}` : ""}
    </span>
  </li>
);

/** Who came in or was refused, and whose rights were changed, the latest first; by person and by what it was. */
export const WhoCameIn = ({ view }: { readonly view: AccessView }) => {
  const [person, setPerson] = useState("");
  const [kind, setKind] = useState("");
  const shown = view.events.filter(
    (event) => (person === "" || (event.person || NOBODY) === person) && (kind === "" || event.kind === kind),
  );
  return (
    <section aria-labelledby="came">
      <h2 id="came" className="text-xl">
        Who came in
      </h2>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <SelectField label="Person" value={person} onChange={(event) => setPerson(event.target.value)}>
          <option value="">Everyone</option>
          {different(view.events.map((event) => event.person || NOBODY)).map((name) => (
            <option key={name}>{name}</option>
          ))}
        </SelectField>
        <SelectField label="What" value={kind} onChange={(event) => setKind(event.target.value)}>
          <option value="">All</option>
          {different(view.events.map((event) => event.kind)).map((one) => (
            <option key={one} value={one}>
              {ACCESS_WORDS[one]}
            </option>
          ))}
        </SelectField>
      </div>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {shown.map((event) => (
          <Line key={event.id} event={event} view={view} />
        ))}
      </ul>
      {shown.length === 0 ? <p className="mt-2 text-soft">None of these.</p> : null}
    </section>
  );
};
