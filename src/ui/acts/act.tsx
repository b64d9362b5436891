"use client";
import { createContext, useContext, useState, useTransition, type ReactNode } from "react";
import type { Role } from "@/core/people/roles";
import type { ActError, ActResult } from "@/contracts/answer";
import type { FieldErrors, Validator } from "@/contracts/fieldErrors";
import type { DoorCode } from "@/words/codes";
import { sayDoor } from "@/words/door";
import type { UnitSystem } from "@/core/quantity/typed/unitWords";
import { nextIsKept, toldOfTrouble } from "../kit/told";
import type { ActsOf, AnswerOf, Place, RequestOf } from "@/services/acts";

/** Done, and waiting on this device until the farm can be reached. */
export interface KeptHere {
  readonly kept: true;
  /** Takes down what the person was told of it. */
  readonly note: (said: string) => void;
}

/** How a screen reaches the farm; the application hands it down, tests give their own. */
export interface Door {
  /** Sends one act with its key, or keeps it on this device where the farm is out of reach and it may wait; rejects where no answer comes. */
  readonly send: (name: string, request: object) => Promise<ActResult<unknown> | KeptHere>;
  /** Asks a view, which changes nothing; rejects where no answer comes. */
  readonly read: (
    name: string,
    query: Readonly<Record<string, string>>,
    signal: AbortSignal,
  ) => Promise<ActResult<unknown>>;
  /** Something was changed: what the page shows is read anew. */
  readonly onChanged: () => void;
  /** The units that the farm talks in. */
  readonly units: UnitSystem;
  /** What whoever is at this screen may; null for nobody. */
  readonly role: Role | null;
}

const DoorContext = createContext<Door | null>(null);

export const DoorProvider = ({ door, children }: { readonly door: Door; readonly children: ReactNode }) => (
  <DoorContext.Provider value={door}>{children}</DoorContext.Provider>
);

export function useDoor(): Door {
  const door = useContext(DoorContext);
  if (!door) throw new Error("No DoorProvider above this component.");
  return door;
}

/** A refusal that the application itself makes. */
export const doorError = (code: DoorCode): ActError => ({ code, message: sayDoor(code) });

/** What a person fills in of a request; its key is made here. */
export type Asking<P extends Place, N extends keyof ActsOf<P>> = Omit<RequestOf<ActsOf<P>[N]>, "requestKey">;

export interface Acting<Request, Answer> {
  readonly busy: boolean;
  readonly error: ActError | null;
  readonly fields: FieldErrors;
  /** Runs the act; its answer, or null where it was refused (then `error` and `fields` say why). */
  readonly run: (request: Request) => Promise<Answer | null>;
  readonly clear: () => void;
}

const newKey = (): string => crypto.randomUUID();

/** Where a refusal is said: by the form itself, or in passing where there is no form. */
type Failure = "in-place" | "toast";

function useSending(
  name: string,
  check: (request: object, units: UnitSystem) => Promise<FieldErrors | null>,
  failure: Failure,
): Acting<object, unknown> {
  const door = useDoor();
  const [busy, startTransition] = useTransition();
  const [error, setError] = useState<ActError | null>(null);
  const [intent, setIntent] = useState<{ key: string; body: string } | null>(null);

  const send = async (request: object): Promise<unknown> => {
    const body = JSON.stringify(request);
    const key = intent?.body === body ? intent.key : newKey();
    setIntent({ key, body });
    const full = { ...request, requestKey: key };
    const complaints = await check(full, door.units);
    if (complaints) {
      setError({ ...doorError("bad-request"), fields: complaints });
      return null;
    }
    const result = await door.send(name, full).catch(() => ({ ok: false, error: doorError("out-of-reach") }) as const);
    if ("kept" in result) {
      nextIsKept(result.note);
      setError(null);
      setIntent(null);
      return {};
    }
    if (!result.ok) {
      setError(result.error);
      if (failure === "toast") toldOfTrouble(result.error.message);
      return null;
    }
    setError(null);
    setIntent(null);
    startTransition(door.onChanged);
    return result.value;
  };

  return {
    busy,
    error,
    fields: error?.fields ?? {},
    clear: () => setError(null),
    run: (request) => new Promise((resolve) => startTransition(async () => resolve(await send(request)))),
  };
}

/**
 * The hook of a place's acts: one intended write, checked with the server's own schema, sent with a key that a resend keeps, so that
 * a double tap or a lost answer does not write twice. The key is renewed once it went through, or once the request changed.
 * @param schemas the place's compiled schemas; they come with the first act, as most pages are only read
 */
export const actsOf =
  <P extends Place>(_place: P, schemas: () => Promise<{ readonly default: Readonly<Record<string, Validator>> }>) =>
  <N extends keyof ActsOf<P> & string>(
    name: N,
    failure: Failure = "in-place",
  ): Acting<Asking<P, N>, AnswerOf<ActsOf<P>[N]>> =>
    useSending(
      name,
      async (request, units) => {
        // Far from the farm the schemas may not be on this device; the farm checks all the same as it takes the act.
        const come = await Promise.all([schemas(), import("@/contracts/fieldErrors")]).catch(() => null);
        return come && come[1].fieldErrors(come[0].default[name]!, request, units);
      },
      failure,
    ) as Acting<Asking<P, N>, AnswerOf<ActsOf<P>[N]>>;
