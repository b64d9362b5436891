"use client";
import { startRegistration } from "@simplewebauthn/browser";
import { useState } from "react";
import type { AccessView } from "@/services/access";
import { useFarmAct } from "../acts/farm";
import { Button } from "../kit/Button";
import { Refusal } from "../kit/Refusal";
import { told, toldOfTrouble } from "../kit/told";
import { accessMoment } from "./accessMoment";
import { sayDevice } from "./sayDevice";

type AskedOfBrowser = Parameters<typeof startRegistration>[0]["optionsJSON"];

/** One's own passkeys: a finger or a face in place of the passphrase, on this device. */
export const Passkeys = ({ view }: { readonly view: AccessView }) => {
  const begin = useFarmAct("beginPasskey");
  const add = useFarmAct("addPasskey");
  const remove = useFarmAct("removePasskey", "toast");
  const [busy, setBusy] = useState(false);
  if (!view.takesPasskeys && view.passkeys.length === 0) return null;
  const make = async () => {
    setBusy(true);
    try {
      const asked = (await begin.run({})) as AskedOfBrowser | null;
      if (!asked) return;
      const response = await startRegistration({ optionsJSON: asked }).catch(() => null);
      if (!response) {
        toldOfTrouble("No passkey was made.");
        return;
      }
      const done = await add.run({ name: sayDevice(navigator.userAgent).slice(0, 60), response: response as never });
      if (done) told("This device has a passkey now.");
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="mt-4">
      <h3 className="text-lg">Passkeys</h3>
      <p className="text-[0.9rem] text-soft">
        A finger, a face or the device’s own PIN, in place of your passphrase. It stays on your device; the farm has
        nothing that could be stolen.
      </p>
      {view.passkeys.length > 0 ? (
        <ul className="mt-1 divide-y divide-line border-y border-line">
          {view.passkeys.map(({ id, name, addedMs, usedMs }) => (
            <li key={id} className="flex items-center justify-between gap-4 py-1">
              <span>
                <span className="font-semibold">{name}</span>
                <span className="block text-[0.88rem] text-soft">
                  since {accessMoment(addedMs, view)}
                  {usedMs === null ? "" : `; last used ${accessMoment(usedMs, view)}`}
                </span>
              </span>
              <Button
                variant="quiet"
                disabled={remove.busy}
                aria-label={`Remove the passkey of ${name}`}
                onClick={() =>
                  void remove
                    .run({ passkeyId: id })
                    .then((done) => done && told("That passkey opens nothing any more."))
                }
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      ) : null}
      <Refusal error={begin.error ?? add.error} />
      {view.takesPasskeys ? (
        <Button className="mt-2" disabled={busy} onClick={() => void make()}>
          Add a passkey on this device
        </Button>
      ) : null}
    </div>
  );
};
