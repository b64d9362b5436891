"use client";
import { useEffect, useState, useSyncExternalStore } from "react";
import { plural } from "@/formats/numbers";
import { sayDeviceMoment } from "@/formats/times";
import { Button } from "../kit/Button";
import { panel } from "../kit/later";
import { toldBesides } from "../kit/told";
import { askReach, inReach, subscribeReach } from "./reach";
import { noneWaiting, subscribeWaiting, waitingNow } from "./queue";
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
  /** Sends what waits. @returns how many went */
  readonly sendNow: () => Promise<number>;
}

/** Sends what waits whenever the farm may be there again, and has the pages of a working day at hand for when it is not. */
function useSending(sendNow: () => Promise<number>): void {
  useEffect(() => {
    const tryNow = async () => {
      const waits = waitingNow().some(({ refused }) => refused === null);
      if (!waits && inReach()) return;
      if (!(await askReach())) return;
      const sent = await sendNow();
      if (sent > 0) toldBesides(`${plural(sent, "entry", "entries")} sent to the farm.`);
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
export const AwayBar = ({ readMs, personId, sendNow }: AwayBarProps) => {
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
      {open ? <Unsent waiting={waiting} sendNow={sendNow} onClose={() => setOpen(false)} /> : null}
    </div>
  );
};
