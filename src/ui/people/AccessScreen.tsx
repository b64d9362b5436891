"use client";
import { useState } from "react";
import { mayAs, ROLES, type Role } from "@/core/people/roles";
import { fullDate } from "@/formats/times";
import type { AccessView } from "@/services/access";
import { ROLE_MEANS, ROLE_WORDS } from "@/words/said";
import { useFarmAct } from "../acts/farm";
import { FarmNav } from "../farm/FarmNav";
import { Button } from "../kit/Button";
import { SelectField } from "../kit/fields";
import { panel } from "../kit/later";
import { told } from "../kit/told";
import { accessMoment as moment } from "./accessMoment";
import { Passkeys } from "./Passkeys";
import { RoleTable } from "./RoleTable";
import { Backup, Held, Phones } from "./Safekeeping";
import { sayDevice } from "./sayDevice";
import { WhoCameIn } from "./WhoCameIn";

const InviteSheet = panel(() => import("./InviteSheet").then((module) => module.InviteSheet));
const SecretSheet = panel(() => import("./SecretSheet").then((module) => module.SecretSheet));

/** What is one's own to set. */
const Mine = ({ view }: { readonly view: AccessView }) => {
  const share = useFarmAct("shareDevice", "toast");
  const [open, setOpen] = useState<"passphrase" | "pin" | null>(null);
  return (
    <section aria-labelledby="mine" className="max-w-2xl">
      <h2 id="mine" className="text-xl">
        {view.me.name}, {ROLE_WORDS[view.me.role]}
      </h2>
      <p className="text-soft">{ROLE_MEANS[view.me.role]}</p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button onClick={() => setOpen("passphrase")}>Change passphrase</Button>
        <Button onClick={() => setOpen("pin")}>{view.me.hasPin ? "Change PIN" : "Set a PIN"}</Button>
        {view.isShared || !mayAs(view.me.role, "helper") ? null : (
          <Button
            disabled={share.busy}
            onClick={() => void share.run({}).then((done) => done !== null && told("This phone is the yard's now."))}
          >
            Make this phone the yard’s
          </Button>
        )}
      </div>
      <p className="mt-1 text-[0.9rem] text-soft">
        {view.isShared
          ? "This phone is shared: it locks itself after five minutes, and everybody with a PIN can take it."
          : "A phone of the yard is taken over by PIN, and locks itself after five minutes."}
      </p>
      <Passkeys view={view} />
      {open ? <SecretSheet kind={open} onClose={() => setOpen(null)} /> : null}
    </section>
  );
};

const Devices = ({ view }: { readonly view: AccessView }) => {
  const end = useFarmAct("endOneSession", "toast");
  const everywhere = useFarmAct("signOutEverywhere", "toast");
  return (
    <section aria-labelledby="devices">
      <h2 id="devices" className="text-xl">
        Signed in
      </h2>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {view.sessions.map((session) => (
          <li key={session.id} className="grid grid-cols-[1fr_auto] items-center gap-x-4 py-1.5">
            <span>
              <span className="font-semibold">{session.personName}</span>, {sayDevice(session.device)}
              {session.isShared ? ", shared" : ""}
              {session.isHere ? ", this device" : ""}
              <span className="block text-[0.88rem] text-soft">
                since {moment(session.openedMs, view)}; last seen {moment(session.seenMs, view)}
                {session.address ? `; from ${session.address}` : ""}
              </span>
            </span>
            {session.isHere ? null : (
              <Button
                variant="quiet"
                disabled={end.busy}
                aria-label={`Sign out ${session.personName}, ${sayDevice(session.device)}`}
                onClick={() =>
                  void end
                    .run({ sessionId: session.id })
                    .then((done) => done !== null && told("That device is signed out."))
                }
              >
                Sign out
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Button
        variant="quiet"
        className="-ml-3"
        disabled={everywhere.busy}
        onClick={() =>
          void everywhere
            .run({ personId: view.me.id })
            .then((done) => done !== null && told("You are signed out everywhere but here."))
        }
      >
        Sign me out everywhere else
      </Button>
    </section>
  );
};

const Person = ({
  person,
  view,
  onInvite,
}: {
  readonly person: AccessView["people"][number];
  readonly view: AccessView;
  readonly onInvite: () => void;
}) => {
  const role = useFarmAct("setRole", "toast");
  const out = useFarmAct("signOutEverywhere", "toast");
  return (
    <li className="grid gap-x-6 gap-y-2 py-2 sm:grid-cols-[1fr_10rem_18.5rem] sm:items-end">
      <span>
        <span className="font-semibold">{person.name}</span>
        <span className="block text-[0.88rem] text-soft">
          {person.canSignIn ? "can sign in" : "cannot sign in yet"}
          {person.hasPin ? ", has a PIN" : ""}
          {person.invitedUntilMs === null
            ? ""
            : `; invited until ${fullDate(new Date(person.invitedUntilMs), view.farm)}`}
        </span>
      </span>
      <SelectField
        label={`Role of ${person.name}`}
        value={person.role}
        disabled={role.busy}
        onChange={(event) => {
          const next = event.target.value as Role;
          void role
            .run({ personId: person.id, role: next })
            .then((done) => done && told(`${person.name} is ${ROLE_WORDS[next]} now.`));
        }}
      >
        {ROLES.map((one) => (
          <option key={one} value={one}>
            {ROLE_WORDS[one]}
          </option>
        ))}
      </SelectField>
      <span className="flex flex-wrap gap-2">
        <Button onClick={onInvite}>{person.canSignIn ? "New way in" : "Invite"}</Button>
        {person.canSignIn && person.id !== view.me.id ? (
          <Button
            variant="quiet"
            disabled={out.busy}
            onClick={() =>
              void out
                .run({ personId: person.id })
                .then((done) => done !== null && told(`${person.name} is signed out everywhere.`))
            }
          >
            Sign out everywhere
          </Button>
        ) : null}
      </span>
    </li>
  );
};

/** Who may come in, what each may do, where they are in, and who came: a steward sees it of all, everybody else of themselves. */
export const AccessScreen = ({ view }: { readonly view: AccessView }) => {
  const [invited, setInvited] = useState<AccessView["people"][number] | null>(null);
  const isSteward = mayAs(view.me.role, "steward");
  return (
    <div className="px-4 py-5 md:px-8">
      <h1 className="text-2xl">Sign-in</h1>
      <FarmNav here="/farm/access" />
      <div className="mt-4 grid gap-x-12 gap-y-8 lg:grid-cols-[1.3fr_1fr]">
        <div className="grid min-w-0 grid-cols-1 content-start gap-8">
          <Mine view={view} />
          {isSteward ? (
            <section aria-labelledby="people">
              <h2 id="people" className="text-xl">
                People
              </h2>
              <ul className="mt-2 divide-y divide-line border-y border-line">
                {view.people.map((person) => (
                  <Person key={person.id} person={person} view={view} onInvite={() => setInvited(person)} />
                ))}
              </ul>
              <RoleTable roles={view.roles} />
            </section>
          ) : null}
        </div>
        <div className="grid min-w-0 grid-cols-1 content-start gap-8">
          <Held view={view} />
          {view.phones ? <Phones phones={view.phones} /> : null}
          {isSteward ? <Backup view={view} /> : null}
          <Devices view={view} />
          <WhoCameIn view={view} />
        </div>
      </div>
      {invited ? <InviteSheet person={invited} farm={view.farm} onClose={() => setInvited(null)} /> : null}
    </div>
  );
};
