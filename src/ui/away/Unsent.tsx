"use client";
import { useState } from "react";
import { plural } from "@/formats/numbers";
import { sayDeviceMoment } from "@/formats/times";
import { Button } from "../kit/Button";
import { Sheet } from "../kit/Sheet";
import { told, toldOfTrouble } from "../kit/told";
import { dropWaiting, noteWaiting, type Waiting } from "./queue";

interface UnsentProps {
  readonly waiting: readonly Waiting[];
  readonly personId: number | null;
  readonly sendNow: () => Promise<unknown>;
  readonly handIn: ((one: Waiting) => Promise<boolean>) | null;
  readonly onClose: () => void;
}

const Entry = ({ one, handIn }: { readonly one: Waiting; readonly handIn: UnsentProps["handIn"] }) => (
  <li className="grid gap-1 border-b border-line py-3">
    <p>
      <span className="font-semibold">{one.said || "An entry"}</span>
      <span className="block text-[0.9rem] text-soft">
        {sayDeviceMoment(one.atMs)}
        {one.person ? `, ${one.person.name}` : ""}
      </span>
    </p>
    {one.refused ? (
      <div role="alert" className="border-l-4 border-rust bg-rust-wash px-3 py-2">
        <p className="font-semibold">The farm did not take it:</p>
        <p>{one.refused.message}</p>
        {Object.values(one.refused.fields ?? {}).map((text) =>
          text === one.refused!.message ? null : <p key={text}>{text}</p>,
        )}
        <p className="text-soft">
          Both stay as they are until you choose. Enter it again where it belongs, then remove this one.
        </p>
      </div>
    ) : null}
    <span className="flex flex-wrap gap-2">
      {one.refused ? <Button onClick={() => void noteWaiting(one.seq, { refused: null })}>Send it again</Button> : null}
      {handIn ? (
        <Button
          onClick={() =>
            void handIn(one).then((done) =>
              done ? told("The farm keeps it: see Sign-in.") : toldOfTrouble("The farm can’t be reached now."),
            )
          }
        >
          Keep it for a steward
        </Button>
      ) : null}
      <Button variant="quiet" onClick={() => void dropWaiting(one.seq)}>
        Remove it
      </Button>
    </span>
  </li>
);

/** All that waits on this device, in the order in which it was done; what the farm did not take, with its reason. */
export const Unsent = ({ waiting, personId, sendNow, handIn, onClose }: UnsentProps) => {
  const [busy, setBusy] = useState(false);
  const send = async () => {
    setBusy(true);
    await sendNow().catch(() => 0);
    setBusy(false);
  };
  return (
    <Sheet open title={`${plural(waiting.length, "entry", "entries")} on this device`} onClose={onClose}>
      {waiting.length === 0 ? <p>Everything is sent.</p> : null}
      <ol>
        {waiting.map((one) => (
          <Entry key={one.seq} one={one} handIn={(one.person?.id ?? null) === personId ? null : handIn} />
        ))}
      </ol>
      {waiting.some(({ refused }) => refused === null) ? (
        <Button variant="strong" className="mt-4" disabled={busy} onClick={() => void send()}>
          Send now
        </Button>
      ) : null}
    </Sheet>
  );
};
