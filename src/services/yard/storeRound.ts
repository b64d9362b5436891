import "server-only";
import type { Farm } from "@/data/farm";
import { sayVolume } from "@/formats/amounts";
import { sayDuration, sayMoment } from "@/formats/times";
import type { StoreUses } from "../field";
import type { StoreView } from "../stores";
import type { RoundDraft } from "./roundTask";
import type { MakeTask } from "./shedTask";

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** In its last day a store is for now. */
const LAST_DAY_H = 24;

/** A store that is about to be over: what could take it. */
function runsOutTask(view: StoreView, { takers }: StoreUses, alertH: number, farm: Farm, now: Date, task: MakeTask) {
  const { id, label, onHandL, expiresMs } = view;
  const leftH = (expiresMs - now.getTime()) / HOUR_MS;
  const could = takers.length > 0 ? `Could take it: ${takers.join(", ")}` : "No bed could take it as it stands";
  return task(
    {
      key: `store-${id}-${alertH}`,
      does: "use-now",
      on: label,
      title: `${label}: use it, ${sayDuration(leftH)} left`,
      why: `${sayVolume(onHandL, farm.units)}, until ${sayMoment(new Date(expiresMs), now, farm)}. ${could}`,
      href: `/field?store=${id}`,
    },
    { dueMs: expiresMs, urgency: leftH <= LAST_DAY_H ? "now" : "later" },
  );
}

/** All that one store asks for: used up before its day, its gas let out, smelt, brought to the heap. */
export function storeTasks(view: StoreView, uses: StoreUses, farm: Farm, now: Date, task: MakeTask): RoundDraft[] {
  const { id, label: on, onHandL, expiresMs, loosenMs, smelt, recheck } = view;
  const { alertH, takers } = uses;
  const nowMs = now.getTime();
  const href = `/shed?store=${id}`;
  const tasks: RoundDraft[] = [];
  if (alertH !== null && onHandL > 0) tasks.push(runsOutTask(view, uses, alertH, farm, now, task));
  if (onHandL > 0 && loosenMs !== null && loosenMs <= nowMs + DAY_MS)
    tasks.push(
      task(
        {
          key: `loosen-${id}`,
          does: "let-gas-out",
          on,
          title: `${on}: let gas out slowly, face away`,
          why: "It still works: a lid or lock that sticks may burst it",
          href,
        },
        loosenMs > nowMs ? { dueMs: loosenMs, urgency: "later" } : {},
      ),
    );
  if (recheck !== null && smelt !== "off" && expiresMs > nowMs)
    tasks.push(
      task({
        key: `smell-${id}`,
        does: "smell",
        on,
        title: `${on}: smell it before use`,
        why:
          recheck.because === "hot-spell"
            ? "It stood through a hot spell"
            : "It has stood long since it was last smelled",
        href,
      }),
    );
  if (smelt === "off")
    tasks.push(
      task({
        key: `off-${id}`,
        does: "to-heap",
        on,
        title: `${on}: smells bad, put it on hot compost`,
        why: "Not on what grows",
        href,
      }),
    );
  if (expiresMs <= nowMs)
    tasks.push(
      task({
        key: `over-${id}`,
        does: "to-heap",
        on,
        title: `${on}: expired, use on compost or bare soil`,
        why: `${sayVolume(onHandL, farm.units)}${takers.length > 0 ? `; bare: ${takers.join(", ")}` : ""}`,
        href: "/shed",
      }),
    );
  return tasks;
}
