"use client";
import { Check, ChevronRight } from "lucide-react";
import { clsx } from "clsx";
import { clockTime, type FarmClock } from "@/formats/times";
import type { RoundDone, RoundTask } from "@/services/round";

interface RoundListProps {
  readonly tasks: readonly RoundTask[];
  readonly done: readonly RoundDone[];
  readonly nowMs: number;
  readonly clock: FarmClock;
  readonly busyKey: string | null;
  readonly onTouch: (task: RoundTask) => void;
}

const isOneTouch = (task: RoundTask) => task.touch.type === "log-act" || task.touch.type === "clean";
const when = (task: RoundTask, nowMs: number, clock: FarmClock) =>
  task.urgency === "late"
    ? "late"
    : task.urgency === "now" || task.dueMs <= nowMs
      ? "now"
      : clockTime(new Date(task.dueMs), clock);

/** What to do, in walking order; what one touch can do, one touch does. */
export const RoundList = ({ tasks, done, nowMs, clock, busyKey, onTouch }: RoundListProps) => (
  <section aria-labelledby="round" className="flex flex-col">
    <h2 id="round" className="text-xl">
      Today’s round
    </h2>
    {tasks.length === 0 ? <p className="mt-2 text-soft">Nothing is due before tomorrow.</p> : null}
    <ol className="mt-2 divide-y divide-line border-y border-line empty:hidden">
      {tasks.map((task) => (
        <li key={task.key}>
          <button
            type="button"
            data-round={task.key}
            disabled={busyKey === task.key}
            onClick={() => onTouch(task)}
            className={clsx(
              "grid min-h-14 w-full grid-cols-[2.7rem_1fr_1.75rem] items-center gap-2 border-l-4 py-2 pl-2 text-left hover:bg-marigold-wash",
              task.urgency === "late"
                ? "border-rust"
                : task.urgency === "now"
                  ? "border-marigold"
                  : "border-transparent",
            )}
          >
            <span className={clsx("reading text-[0.95rem] font-semibold", task.urgency === "late" && "text-rust")}>
              {when(task, nowMs, clock)}
            </span>
            <span className="min-w-0">
              <span className="block font-semibold leading-tight">{task.title}</span>
              <span className="line-clamp-2 text-[0.86rem] leading-tight text-soft">{task.why}</span>
            </span>
            {isOneTouch(task) ? (
              <span
                aria-hidden
                className="grid size-7 place-items-center rounded-[4px] border-[1.5px] border-ink bg-chalk"
              >
                {busyKey === task.key ? <Check className="size-5" /> : null}
              </span>
            ) : (
              <ChevronRight aria-hidden className="size-6 text-soft" />
            )}
          </button>
        </li>
      ))}
    </ol>
    {done.length > 0 ? (
      <>
        <h3 className="mt-4 text-[1rem]">Done today</h3>
        <ul className="mt-1 text-[0.9rem] text-soft">
          {done.map((item) => (
            <li key={item.entryId} className="flex gap-2 py-0.5">
              <span className="reading w-[3.1rem] shrink-0">{clockTime(new Date(item.atMs), clock)}</span>
              <span>
                {item.title} <span className="whitespace-nowrap">by {item.by}</span>
              </span>
            </li>
          ))}
        </ul>
      </>
    ) : null}
  </section>
);
