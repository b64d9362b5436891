"use client";
import { useRef, useState } from "react";
import type { TakeInState } from "@/services/archive";
import { Button } from "../kit/Button";
import { Notice } from "../kit/Notice";

const ADDRESS = "/api/farm/archive";
const ASK_EVERY_MS = 1_500;
/** Longer than the server takes to start anew. */
const GIVE_UP_MS = 180_000;
const pause = () => new Promise((resolve) => setTimeout(resolve, ASK_EVERY_MS));

const answerOf = async (asked: Promise<Response>): Promise<TakeInState> => {
  const answer = (await (await asked).json()) as { ok: boolean; value?: TakeInState; error?: { message: string } };
  return answer.value ?? { state: "failed", because: answer.error?.message ?? "" };
};

/** A farm that was kept as one file: it moves in here, people, photographs and all. */
export const TakeIn = () => {
  const input = useRef<HTMLInputElement>(null);
  const [stands, setStands] = useState<TakeInState>({ state: "off" });
  const take = async (file: File | undefined) => {
    if (!file) return;
    setStands({ state: "taking" });
    let now = await answerOf(fetch(ADDRESS, { method: "POST", body: file })).catch((): TakeInState => ({
      state: "failed",
      because: "The farm can’t be reached.",
    }));
    const end = Date.now() + GIVE_UP_MS;
    // The server starts anew in between, and then answers nobody for some seconds.
    while (now.state === "taking" && Date.now() < end) {
      await pause();
      now = await answerOf(fetch(`${ADDRESS}?state`)).catch(() => now);
    }
    if (input.current) input.current.value = "";
    if (now.state === "off") window.location.reload();
    else setStands(now);
  };
  return (
    <div className="border-t border-line pt-4">
      <Button
        variant="quiet"
        className="-ml-3"
        disabled={stands.state === "taking"}
        onClick={() => input.current?.click()}
      >
        Move a farm in from a file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".gz,.tgz,application/gzip"
        aria-label="A farm as one file"
        className="sr-only"
        onChange={(event) => void take(event.target.files?.[0])}
      />
      <p className="text-[0.9rem] text-soft">
        A backup, or the file that a steward takes under Sign-in. All comes with it: people, photographs, records.
      </p>
      <div role="status">
        {stands.state === "taking" ? (
          <p className="mt-1 font-semibold">Reading it, and comparing every table. About a minute…</p>
        ) : null}
      </div>
      {stands.state === "failed" ? (
        <Notice tone="error" title="This farm could not be moved in.">
          {stands.because} Nothing is changed here.
        </Notice>
      ) : null}
    </div>
  );
};
