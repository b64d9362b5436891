"use client";
import { useEffect, useState, useSyncExternalStore, type FormEvent } from "react";
import type { Role } from "@/core/people/roles";
import { ROLE_WORDS } from "@/words/said";
import { useFarmAct } from "../acts/farm";
import { Button } from "../kit/Button";
import { SelectField, TextField } from "../kit/fields";
import { Refusal } from "../kit/Refusal";
import { ByPasskey } from "./ByPasskey";
import { Passphrase } from "./Passphrase";

/** Whether this browser knows passkeys; not until it runs. */
const useCanPasskeys = (): boolean =>
  useSyncExternalStore(
    () => () => undefined,
    () => "PublicKeyCredential" in window,
    () => false,
  );

/** What a link of an invitation begins with, behind the address: it reaches no server's log. */
export const JOIN_HASH = "#join=";

export interface SignInProps {
  readonly farmName: string;
  /** Whether anybody can sign in; where nobody can, `people` says who may be the steward. */
  readonly isClaimed: boolean;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  /** Of a made-up farm: who may be tried, and by what. */
  /** Whether a passkey may be good for the farm as it is called here. */
  readonly takesPasskeys: boolean;
  readonly tries: readonly { readonly name: string; readonly role: Role; readonly passphrase: string }[];
}

const ByName = ({ tries, takesPasskeys }: Pick<SignInProps, "tries" | "takesPasskeys">) => {
  const act = useFarmAct("signIn");
  const [name, setName] = useState("");
  const [passphrase, setPassphrase] = useState("");
  const canPasskeys = useCanPasskeys();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void act.run({ name, passphrase });
  };
  return (
    <form onSubmit={submit} noValidate className="grid gap-4">
      <TextField
        label="Your name"
        autoComplete="username"
        autoCapitalize="words"
        maxLength={60}
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={act.fields["/name"]}
      />
      <Passphrase value={passphrase} onChange={setPassphrase} error={act.fields["/passphrase"]} />
      <Refusal error={act.error} />
      <Button type="submit" variant="strong" wide disabled={act.busy}>
        Sign in
      </Button>
      {takesPasskeys && canPasskeys ? <ByPasskey /> : null}
      {tries.length > 0 ? (
        <section aria-labelledby="tries" className="border-t border-line pt-3">
          <h2 id="tries" className="text-lg">
            This farm is made up
          </h2>
          <p className="text-[0.92rem] text-soft">Try it as one of its people. Nothing here is real.</p>
          <ul className="mt-2 grid gap-2">
            {tries.map((one) => (
              <li key={one.name}>
                <Button
                  wide
                  disabled={act.busy}
                  onClick={() => void act.run({ name: one.name, passphrase: one.passphrase })}
                >
                  {one.name}, {ROLE_WORDS[one.role]}
                </Button>
                <p className="mt-0.5 text-[0.88rem] text-soft">passphrase: {one.passphrase}</p>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </form>
  );
};

const ByInvitation = ({ from }: { readonly from: string }) => {
  const act = useFarmAct("joinFarm");
  const [code, setCode] = useState(from);
  const [passphrase, setPassphrase] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void act.run({ code, passphrase }).then((answer) => {
      // A code is good once; a reload asks for nothing.
      if (answer !== null) window.history.replaceState(null, "", "/");
    });
  };
  return (
    <form onSubmit={submit} noValidate className="grid gap-4">
      <TextField
        label="Code of your invitation"
        autoComplete="off"
        autoCapitalize="none"
        spellCheck={false}
        value={code}
        onChange={(event) => setCode(event.target.value)}
        hint="16 letters and numbers, from the paper or the link."
        error={act.fields["/code"]}
      />
      <Passphrase isNew value={passphrase} onChange={setPassphrase} error={act.fields["/passphrase"]} />
      <Refusal error={act.error} />
      <Button type="submit" variant="strong" wide disabled={act.busy}>
        Set it and come in
      </Button>
    </form>
  );
};

/** A farm from before people signed in: who sits at its machine says who is the steward. */
const Claim = ({ people }: Pick<SignInProps, "people">) => {
  const act = useFarmAct("claimFarm");
  const [personId, setPersonId] = useState(String(people[0]?.id ?? ""));
  const [passphrase, setPassphrase] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void act.run({ personId: Number(personId), passphrase });
  };
  return (
    <form onSubmit={submit} noValidate className="grid gap-4">
      <p>
        From now on people sign in. Say who you are: you are the steward, and give the others their roles. Everything
        that was recorded stays.
      </p>
      <SelectField
        label="You are"
        value={personId}
        onChange={(event) => setPersonId(event.target.value)}
        error={act.fields["/personId"]}
      >
        {people.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      <Passphrase isNew value={passphrase} onChange={setPassphrase} error={act.fields["/passphrase"]} />
      <Refusal error={act.error} />
      <Button type="submit" variant="strong" wide disabled={act.busy}>
        Become the steward
      </Button>
    </form>
  );
};

/** Nobody is signed in on this device: by name, or by an invitation. */
export const SignInScreen = ({ farmName, isClaimed, people, tries, takesPasskeys }: SignInProps) => {
  const [code, setCode] = useState<string | null>(null);
  useEffect(() => {
    // Only the browser knows what stands behind the address.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (window.location.hash.startsWith(JOIN_HASH)) setCode(window.location.hash.slice(JOIN_HASH.length));
  }, []);
  return (
    <div className="mx-auto max-w-md px-5 py-8">
      <h1 className="text-3xl">{farmName}</h1>
      <p className="mb-5 mt-1 text-soft">
        {!isClaimed ? "Nobody can sign in yet." : code === null ? "Sign in to work here." : "You are invited."}
      </p>
      {!isClaimed ? (
        <Claim people={people} />
      ) : code === null ? (
        <>
          <ByName tries={tries} takesPasskeys={takesPasskeys} />
          <Button variant="quiet" className="-ml-3 mt-3" onClick={() => setCode("")}>
            I have an invitation
          </Button>
          <p className="text-[0.9rem] text-soft">Passphrase lost? A steward gives you a new invitation.</p>
        </>
      ) : (
        <>
          <ByInvitation key={code} from={code} />
          <Button variant="quiet" className="-ml-3 mt-3" onClick={() => setCode(null)}>
            Sign in by name
          </Button>
        </>
      )}
    </div>
  );
};
