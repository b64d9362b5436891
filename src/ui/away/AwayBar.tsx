"use client";
import { useEffect, useState, useSyncExternalStore } from "react";
import { plural } from "@/formats/numbers";
import { sayDeviceMoment } from "@/formats/times";
import { Button } from "../kit/Button";
import { panel } from "../kit/later";
import { toldBesides } from "../kit/told";
import { askReach, inReach, subscribeReach } from "./reach";
import { noneWaiting, subscribeWaiting, waitingNow, type Waiting } from "./queue";
import type { Sent } from "./sending";
import { counted } from "@/formats/grammar";
import { warm } from "./warm";

const Unsent = panel(() => import("./Unsent").then((module) => module.Unsent));

const ASK_EVERY_MS = 15_000;
/** The page itself comes first. */
const FIRST_MS = 1500;

interface AwayBarProps {
  /** When the page was read from the farm, ms since the epoch. */
  readonly readMs: number;
  /** Who is at this device; what others entered on it waits for them. */
  readonly personId: number | null;
  /** Sends what waits. */
  readonly sendNow: () => Promise<Sent>;
  /** Leaves with the farm what somebody did who works here no more; nothing for who is no steward. */
  readonly handIn: ((one: Waiting) => Promise<boolean>) | null;
}

/** Sends what waits whenever the farm may be there again, and has the pages of a working day at hand for when it is not. */
function useSending(sendNow: () => Promise<Sent>): void {
  useEffect(() => {
    const tryNow = async () => {
      const waits = waitingNow().some(({ refused }) => refused === null);
      if (!waits && inReach()) return;
      if (!(await askReach())) return;
      const { sent, held } = await sendNow();
      if (sent > held) toldBesides(`${plural(sent - held, "entry", "entries")} sent to the farm.`);
      if (held > 0)
        toldBesides(
          counted(held, {
            one: "You may not enter this any more. The farm keeps it for a steward.",
            other: "You may not enter # of these any more. The farm keeps them for a steward.",
          }),
        );
    };
    const now = () => void tryNow();
    const tick = () => {
      now();
      void warm();
    };
    const timer = setInterval(tick, ASK_EVERY_MS);
    window.addEventListener("online", now);
    const stop = subscribeWaiting(() => undefined);
    const first = setTimeout(tick, FIRST_MS);
    return () => {
      clearInterval(timer);
      clearTimeout(first);
      window.removeEventListener("online", now);
      stop();
    };
  }, [sendNow]);
}

/** Says that the farm is out of reach, how old the page is, and what waits on this device; nothing while all is well. */
export const AwayBar = ({ readMs, personId, sendNow, handIn }: AwayBarProps) => {
  const [open, setOpen] = useState(false);
  const reached = useSyncExternalStore(subscribeReach, inReach, () => true);
  const waiting = useSyncExternalStore(subscribeWaiting, waitingNow, noneWaiting);
  useSending(sendNow);
  if (reached && waiting.length === 0) return null;
  const refused = waiting.filter((one) => one.refused !== null).length;
  const others = waiting.filter((one) => one.refused === null && (one.person?.id ?? null) !== personId);
  const names = [...new Set(others.map((one) => one.person?.name ?? "somebody"))].join(", ");
  const mine = waiting.length - refused - others.length;
  return (
    <div
      role="status"
      className="flex flex-wrap items-center justify-center gap-x-4 gap-y-1 border-b-2 border-ink bg-marigold-wash px-4 py-1.5 text-ink print:hidden"
    >
      {reached ? null : (
        <span>
          <span className="font-semibold">No connection to the farm.</span> This page is as it was on{" "}
          {sayDeviceMoment(readMs)}; what you enter waits here.
        </span>
      )}
      {mine > 0 ? <span className="font-semibold">{plural(mine, "entry", "entries")} not sent yet.</span> : null}
      {others.length > 0 ? (
        <span className="font-semibold">
          {plural(others.length, "entry", "entries")} of {names}: sent when they are signed in here again.
        </span>
      ) : null}
      {refused > 0 ? (
        <span className="font-semibold text-rust">■ {plural(refused, "entry", "entries")} not taken.</span>
      ) : null}
      {waiting.length > 0 ? <Button onClick={() => setOpen(true)}>Show</Button> : null}
      {open ? (
        <Unsent
          waiting={waiting}
          personId={personId}
          sendNow={sendNow}
          handIn={handIn}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </div>
  );
};
