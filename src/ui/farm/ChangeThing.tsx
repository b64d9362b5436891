"use client";
import { useState } from "react";
import type { ThingsView } from "@/services/things";
import type { ThingKind } from "@/services/types";
import { THING_NAMES } from "@/words/said";
import { useDoor } from "../acts/act";
import { Button } from "../kit/Button";
import { told } from "../kit/told";
import { ThingSheet, type ThingAsItIs } from "./ThingSheet";

/** Changes a thing where it is met: what there is to change is asked for when it is wanted. */
export const ChangeThing = ({
  kind,
  id,
  name,
}: {
  readonly kind: ThingKind;
  readonly id: number;
  readonly name: string;
}) => {
  const door = useDoor();
  const [thing, setThing] = useState<ThingAsItIs | null>(null);
  const [busy, setBusy] = useState(false);
  const open = async () => {
    setBusy(true);
    const answer = await door.read("things", { kind }, AbortSignal.timeout(20_000)).catch(() => null);
    const found = answer?.ok ? (answer.value as ThingsView).things.find((one) => one.id === id) : undefined;
    setBusy(false);
    if (found) setThing(found);
    else told(`This ${THING_NAMES[kind].one} can't be changed just now. Try again in a moment.`);
  };
  return (
    <>
      <Button variant="quiet" disabled={busy} aria-label={`Change ${name}`} onClick={() => void open()}>
        Change
      </Button>
      {thing ? <ThingSheet kind={kind} thing={thing} onClose={() => setThing(null)} /> : null}
    </>
  );
};
