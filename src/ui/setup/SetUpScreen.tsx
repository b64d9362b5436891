"use client";
import { useState, useSyncExternalStore, type FormEvent } from "react";
import type { ZonePlace } from "@/services/farm";
import { useFarmAct } from "../acts/farm";
import { Button } from "../kit/Button";
import { TextField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { useDraft } from "../kit/useDraft";
import { ClimateFields, CountingFields, PositionFields } from "./FarmFields";
import { askedFarm, draftOf, weatherIn, type FarmDraft } from "./farmDraft";
import { guessFarm, hereNow, type Here } from "./guess";
import { Passphrase } from "../people/Passphrase";
import { MadeUpFarm } from "./MadeUpFarm";
import { TakeIn } from "./TakeIn";

/** What the server takes it for, until the browser has told. */
const NOWHERE: Here = { timeZone: "UTC", language: "en", offsetMin: 0 };
const told: { here: Here | null } = { here: null };
const useHere = (): Here =>
  useSyncExternalStore(
    () => () => undefined,
    () => (told.here ??= hereNow()),
    () => NOWHERE,
  );

interface Typed {
  readonly name: string;
  readonly person: string;
  readonly changes: Partial<FarmDraft>;
}
const NOTHING: Typed = { name: "", person: "", changes: {} };

/** The form of a new farm: what was typed, what is guessed for the rest, and how it is sent. */
function useSetUp(zones: readonly ZonePlace[]) {
  const setUp = useFarmAct("setUpFarm");
  const guess = guessFarm(useHere(), zones);
  const { draft: kept, keep, drop } = useDraft<Typed>("set-up");
  const typed = kept?.value ?? NOTHING;
  const draft = draftOf(guess, typed.changes);
  const change = (more: Partial<FarmDraft>) => {
    const inUnits = more.units ? weatherIn(more.units, draft, typed.changes) : {};
    keep({ ...typed, changes: { ...typed.changes, ...inUnits, ...more } });
  };
  // Kept nowhere: not on the device either.
  const [passphrase, setPassphrase] = useState("");
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await setUp.run({
      name: typed.name,
      people: [typed.person.trim()],
      passphrase,
      ...askedFarm(draft),
      labourPerH: 0,
      powerPerKWh: 0,
    });
    // The page is drawn anew by what was set up; what was typed for it is done with.
    if (answer !== null) drop();
  };
  return { setUp, guess, typed, keep, draft, change, submit, passphrase, setPassphrase };
}

/** The first page of a new farm: its name and who works there; all else has an answer that can be changed. */
export const SetUpScreen = ({
  zones,
  canLookAround,
  canTakeIn,
}: {
  readonly zones: readonly ZonePlace[];
  readonly canLookAround: boolean;
  readonly canTakeIn: boolean;
}) => {
  const { setUp, guess, typed, keep, draft, change, submit, passphrase, setPassphrase } = useSetUp(zones);
  const { fields } = setUp;
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="mx-auto max-w-5xl px-5 pb-28 pt-8 md:pb-8">
      <h1 className="text-3xl">Set up your farm</h1>
      <p className="mt-2 max-w-2xl text-soft">
        Type two names, and a passphrase to sign in by. The rest is guessed from this device; you can change all of it
        later in farm settings.
      </p>
      <div className="mt-6 grid gap-x-10 gap-y-6 md:grid-cols-2">
        <div className="grid content-start gap-4">
          <TextField
            label="Name of the farm"
            autoComplete="organization"
            maxLength={60}
            value={typed.name}
            onChange={(event) => keep({ ...typed, name: event.target.value })}
            error={fields["/name"]}
          />
          <TextField
            label="Your name"
            hint="More people can be added later."
            autoComplete="name"
            maxLength={60}
            value={typed.person}
            onChange={(event) => keep({ ...typed, person: event.target.value })}
            error={fields["/people/0"] ?? fields["/people"]}
          />
          <Passphrase isNew value={passphrase} onChange={setPassphrase} error={fields["/passphrase"]} />
          <div className="fixed inset-x-0 bottom-0 z-20 border-t border-line bg-limewash px-5 py-3 md:static md:border-0 md:bg-transparent md:p-0">
            <Refusal error={setUp.error} />
            <Button type="submit" variant="strong" wide disabled={setUp.busy}>
              Set up farm
            </Button>
          </div>
          {canLookAround ? <MadeUpFarm /> : null}
          {canTakeIn ? <TakeIn /> : null}
        </div>
        <section
          aria-labelledby="guessed"
          className="grid content-start gap-4 border-t-2 border-ink pt-3 md:border-l-2 md:border-t-0 md:pl-8 md:pt-0"
        >
          <h2 id="guessed" className="text-xl">
            Guessed: change what is wrong
          </h2>
          {guess.placed ? null : (
            <p className="text-[0.92rem] text-soft">
              Your time zone tells no town, so position and climate are rough guesses. Check them.
            </p>
          )}
          <CountingFields draft={draft} zones={zones} fields={fields} onChange={change} />
          <PositionFields draft={draft} fields={fields} onChange={change} />
          <ClimateFields draft={draft} fields={fields} onChange={change} />
        </section>
      </div>
    </form>
  );
};
