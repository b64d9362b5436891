"use client";
import { useState, type FormEvent } from "react";
import { PIN_LEAST, PIN_MOST } from "@/core/people/roles";
import { useFarmAct } from "../acts/farm";
import { Button } from "../kit/Button";
import { TextField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { forget } from "./forget";

export interface LockProps {
  readonly farmName: string;
  readonly people: readonly { readonly id: number; readonly name: string }[];
}

/** A shared phone that waits: who takes it, and by which PIN. */
export const LockScreen = ({ farmName, people }: LockProps) => {
  const unlock = useFarmAct("unlockDevice");
  const leave = useFarmAct("signOut", "toast");
  const [personId, setPersonId] = useState<number | null>(null);
  const [pin, setPin] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (personId === null) return;
    void unlock.run({ personId, pin }).then((answer) => {
      if (answer === null) setPin("");
    });
  };
  const chosen = people.find(({ id }) => id === personId);
  return (
    <div className="mx-auto max-w-md px-5 py-8">
      <h1 className="text-3xl">{farmName}</h1>
      <p className="mb-5 mt-1 text-soft">This phone is shared. Who is it?</p>
      {chosen ? (
        <form onSubmit={submit} noValidate className="grid gap-4">
          <TextField
            label={`PIN of ${chosen.name}`}
            type="password"
            inputMode="numeric"
            autoComplete="off"
            autoFocus
            minLength={PIN_LEAST}
            maxLength={PIN_MOST}
            value={pin}
            onChange={(event) => setPin(event.target.value.replace(/\D/g, ""))}
            error={unlock.fields["/pin"]}
            className="reading text-2xl tracking-[0.4em]"
          />
          <Refusal error={unlock.error} />
          <Button type="submit" variant="strong" wide disabled={unlock.busy || pin.length < PIN_LEAST}>
            Open
          </Button>
          <Button
            variant="quiet"
            onClick={() => {
              setPersonId(null);
              setPin("");
              unlock.clear();
            }}
          >
            Somebody else
          </Button>
        </form>
      ) : (
        <ul className="grid gap-3">
          {people.map(({ id, name }) => (
            <li key={id}>
              <Button wide className="min-h-14 text-lg" onClick={() => setPersonId(id)}>
                {name}
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Button
        variant="quiet"
        className="-ml-3 mt-6"
        disabled={leave.busy}
        onClick={() => void leave.run({}).then(() => forget())}
      >
        Sign this phone out
      </Button>
    </div>
  );
};
