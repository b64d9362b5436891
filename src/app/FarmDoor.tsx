"use client";
import { useRouter } from "next/navigation";
import { useCallback, useMemo, type ReactNode } from "react";
import type { ActResult } from "@/contracts/answer";
import { mayAs, type Role } from "@/core/people/roles";
import { PERSON_HEADER } from "@/contracts/waiting";
import { DoorProvider, type Door } from "@/ui/acts/act";
import { AwayBar } from "@/ui/away/AwayBar";
import { noteWaiting, type Waiting } from "@/ui/away/queue";
import { leaveForSteward, sendOrKeep, sendWaiting, type Post } from "@/ui/away/sending";

const post = (path: string, body: object, headers: Readonly<Record<string, string>> = {}): Promise<Response> =>
  fetch(path, {
    method: "POST",
    headers: { "content-type": "application/json", ...headers },
    body: JSON.stringify(body),
  });

const toAct: Post = async (name, request, person) =>
  (await (
    await post(`/api/act/${name}`, request, person === null ? {} : { [PERSON_HEADER]: String(person) })
  ).json()) as ActResult<unknown>;

interface FarmDoorProps {
  readonly units: Door["units"];
  readonly person: { readonly id: number; readonly name: string; readonly role: Role } | null;
  /** When this page was read, ms since the epoch. */
  readonly readMs: number;
  readonly children: ReactNode;
}

/** The farm's own door, for the screens below it; what can't go through it now waits on this device. */
export function FarmDoor({ units, person, readMs, children }: FarmDoorProps) {
  const router = useRouter();
  const door = useMemo(
    (): Door => ({
      units,
      role: person?.role ?? null,
      send: async (name, request) => {
        // Signing in is nobody's yet.
        const sent = await sendOrKeep(toAct, name, request, person && { id: person.id, name: person.name });
        return "seq" in sent ? { kept: true, note: (said) => void noteWaiting(sent.seq, { said }) } : sent;
      },
      read: async (name, query, signal) =>
        (await (
          await fetch(`/api/view/${name}?${new URLSearchParams(query)}`, { signal })
        ).json()) as ActResult<unknown>,
      onChanged: () => router.refresh(),
    }),
    [router, units, person],
  );
  const sendNow = useCallback(async () => {
    const sent = await sendWaiting(toAct, person?.id ?? null);
    if (sent.sent > 0) router.refresh();
    return sent;
  }, [router, person]);
  const handIn = useCallback((one: Waiting) => leaveForSteward(toAct, one, "left"), []);
  const isSteward = person !== null && mayAs(person.role, "steward");
  return (
    <DoorProvider door={door}>
      <AwayBar readMs={readMs} personId={person?.id ?? null} sendNow={sendNow} handIn={isSteward ? handIn : null} />
      {children}
    </DoorProvider>
  );
}
