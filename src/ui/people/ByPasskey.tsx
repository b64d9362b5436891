"use client";
import { startAuthentication } from "@simplewebauthn/browser";
import { useState } from "react";
import { useFarmAct } from "../acts/farm";
import { Button } from "../kit/Button";
import { Refusal } from "../kit/Refusal";

type AskedOfBrowser = Parameters<typeof startAuthentication>[0]["optionsJSON"];

/** Comes in by a passkey that this device has; which of them, the device asks. */
export const ByPasskey = () => {
  const begin = useFarmAct("beginPasskeySignIn");
  const come = useFarmAct("signInByPasskey");
  const [state, setState] = useState<"open" | "busy" | "none">("open");
  const signIn = async () => {
    setState("busy");
    const asked = (await begin.run({})) as AskedOfBrowser | null;
    const response = asked ? await startAuthentication({ optionsJSON: asked }).catch(() => null) : null;
    if (response) await come.run({ response: response as never });
    setState(asked && !response ? "none" : "open");
  };
  return (
    <div className="grid gap-1">
      <Button wide disabled={state === "busy"} onClick={() => void signIn()}>
        Sign in with a passkey
      </Button>
      <Refusal error={begin.error ?? come.error} />
      <p role="status" className="text-[0.92rem] text-soft">
        {state === "none" ? "This device gave no passkey. Sign in by name and passphrase." : ""}
      </p>
    </div>
  );
};
