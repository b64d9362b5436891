"use client";
import { useState } from "react";
import { Button } from "../kit/Button";
import { Notice } from "../kit/Notice";

const ASK_EVERY_MS = 1_000;
const ADDRESS = "/api/made-up";

type State = { readonly state: "off" | "starting" | "ready" | "failed"; readonly url?: string; readonly log?: string };

const ask = async (method: "GET" | "POST"): Promise<State> => {
  const answer = (await (await fetch(ADDRESS, { method })).json()) as { ok: boolean; value?: State };
  return answer.value ?? { state: "failed" };
};
const pause = () => new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));

/** A farm to look around in, apart from one's own: it is made and opened by one tap. */
export const MadeUpFarm = () => {
  const [stands, setStands] = useState<State>({ state: "off" });
  const open = async () => {
    setStands({ state: "starting" });
    let now: State = await ask("POST").catch(() => ({ state: "failed" }));
    while (now.state === "starting" || now.state === "off") {
      await pause();
      now = await ask("GET").catch(() => ({ state: "failed" }));
    }
    setStands(now);
    if (now.url) window.location.assign(now.url);
  };
  return (
    <div className="border-t border-line pt-4">
      <Button variant="quiet" className="-ml-3" disabled={stands.state === "starting"} onClick={() => void open()}>
        Look around a made-up farm first
      </Button>
      <p className="text-[0.9rem] text-soft">It is kept apart: nothing you do there reaches your own farm.</p>
      <div role="status">
        {stands.state === "starting" ? (
          <p className="mt-1 font-semibold">Making it: about half a minute the first time…</p>
        ) : null}
      </div>
      {stands.state === "failed" ? (
        <Notice tone="error" title="The made-up farm did not start.">
          Run bin/demo on this machine instead.{stands.log ? ` The reason is in ${stands.log}.` : ""}
        </Notice>
      ) : null}
    </div>
  );
};
