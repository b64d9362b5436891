"use client";
import { Link } from "../kit/Link";
import { CalendarClock, Check, ChevronRight } from "lucide-react";
import { clsx } from "clsx";
import { useState } from "react";
import { clockTime, type FarmClock } from "@/formats/times";
import type { RoundDone, RoundTask } from "@/services/yard";
import { Button, buttonClass } from "../kit/Button";
import { TaskPicture } from "./TaskPicture";
import { counted } from "@/formats/grammar";

interface RoundListProps {
  readonly tasks: readonly RoundTask[];
  readonly done: readonly RoundDone[];
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly nowMs: number;
  readonly clock: FarmClock;
  readonly busyKey: string | null;
  readonly onTouch: (task: RoundTask) => void;
  /** Several that one touch does, one after the other. */
  readonly onTouchAll: (tasks: readonly RoundTask[]) => void;
  readonly onArrange: (task: RoundTask) => void;
}

const isOneTouch = (task: RoundTask) => task.touch.type === "log-act" || task.touch.type === "clean";
const when = (task: RoundTask, nowMs: number, clock: FarmClock) =>
  task.urgency === "late"
    ? "late"
    : task.urgency === "now" || task.dueMs <= nowMs
      ? "now"
      : clockTime(new Date(task.dueMs), clock);

interface TaskLineProps extends Pick<RoundListProps, "nowMs" | "clock" | "busyKey" | "onTouch" | "onArrange"> {
  readonly task: RoundTask;
  /** While several are picked: whether this one is; null while none are. */
  readonly picked: boolean | null;
}

const TaskLine = ({ task, nowMs, clock, busyKey, onTouch, onArrange, picked }: TaskLineProps) => (
  <li className="grid grid-cols-[1fr_auto]">
    <button
      type="button"
      data-round={task.key}
      disabled={busyKey === task.key || (picked !== null && !isOneTouch(task))}
      aria-pressed={picked === null ? undefined : picked}
      onClick={() => onTouch(task)}
      className={clsx(
        "grid min-h-14 w-full grid-cols-[2.7rem_1fr_1.75rem] items-center gap-2 border-l-4 py-2 pl-2 text-left hover:bg-marigold-wash",
        task.urgency === "late" ? "border-rust" : task.urgency === "now" ? "border-marigold" : "border-transparent",
      )}
    >
      <span className={clsx("reading text-[0.95rem] font-semibold", task.urgency === "late" && "text-rust")}>
        {when(task, nowMs, clock)}
        <TaskPicture does={task.does} />
      </span>
      <span className="min-w-0">
        <span id={`task-${task.key}`} className="block font-semibold leading-tight">
          {task.title}
        </span>
        <span className="line-clamp-3 text-[0.86rem] leading-tight text-soft">
          {task.who ? <span className="font-semibold">{task.who}. </span> : null}
          {task.putOff ? `Put off by ${task.putOff.by}: ${task.putOff.reason}. ` : null}
          {task.why}
        </span>
      </span>
      {isOneTouch(task) ? (
        <span aria-hidden className="grid size-7 place-items-center rounded-[4px] border-[1.5px] border-ink bg-chalk">
          {busyKey === task.key || picked ? <Check className="size-5" /> : null}
        </span>
      ) : (
        <ChevronRight aria-hidden className="size-6 text-soft" />
      )}
    </button>
    <button
      type="button"
      aria-label="Give or put off"
      aria-describedby={`task-${task.key}`}
      onClick={() => onArrange(task)}
      className="grid w-11 place-items-center text-soft hover:bg-marigold-wash hover:text-ink"
    >
      <CalendarClock aria-hidden className="size-5" />
    </button>
  </li>
);

/** Tasks that one touch does, several at once. */
const Several = ({
  tasks,
  picked,
  onPick,
  onDone,
}: {
  readonly tasks: readonly RoundTask[];
  readonly picked: ReadonlySet<string> | null;
  readonly onPick: (picked: ReadonlySet<string> | null) => void;
  readonly onDone: (tasks: readonly RoundTask[]) => void;
}) => {
  if (tasks.length < 2) return null;
  if (picked === null)
    return (
      <Button variant="quiet" className="-ml-3 self-start" onClick={() => onPick(new Set())}>
        Several at once
      </Button>
    );
  const chosen = tasks.filter(({ key }) => picked.has(key));
  return (
    <div className="flex flex-wrap gap-2 py-1">
      <Button variant="strong" disabled={chosen.length === 0} onClick={() => onDone(chosen)}>
        Mark {chosen.length} as done
      </Button>
      <Button variant="quiet" onClick={() => onPick(null)}>
        Cancel
      </Button>
    </div>
  );
};

/** What was done today, and by whom. */
const DoneToday = ({ done, clock }: Pick<RoundListProps, "done" | "clock">) => (
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
);

const LIST = "mt-2 divide-y divide-line border-y border-line empty:hidden";

/** What to do, in walking order, now before later and tomorrow's last; what one touch can do, one touch does. */
export const RoundList = ({
  tasks,
  done,
  people,
  nowMs,
  clock,
  busyKey,
  onTouch,
  onTouchAll,
  onArrange,
}: RoundListProps) => {
  const [person, setPerson] = useState("");
  const [several, setSeveral] = useState<ReadonlySet<string> | null>(null);
  const pick = ({ key }: RoundTask) =>
    setSeveral(new Set(several?.has(key) ? [...several].filter((one) => one !== key) : [...(several ?? []), key]));
  const isShared = tasks.some(({ who }) => who !== null);
  const shown = tasks.filter(({ who }) => person === "" || who === null || who === person);
  const line = (task: RoundTask) => (
    <TaskLine
      key={task.key}
      task={task}
      nowMs={nowMs}
      clock={clock}
      busyKey={busyKey}
      picked={several === null ? null : several.has(task.key)}
      onTouch={several === null ? onTouch : pick}
      onArrange={onArrange}
    />
  );
  const today = shown.filter(({ tomorrow }) => !tomorrow);
  const tomorrow = shown.filter((task) => task.tomorrow);
  return (
    <section aria-labelledby="round" className="flex flex-col">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 id="round" className="text-xl">
          Today’s jobs
        </h2>
        <Link href="/paper/round" className={buttonClass("quiet")}>
          Print list
        </Link>
        {isShared ? (
          <select
            aria-label="Whose jobs"
            value={person}
            onChange={(event) => setPerson(event.target.value)}
            className="min-h-11 rounded-[5px] border-[1.5px] border-line bg-chalk px-2 text-[0.92rem]"
          >
            <option value="">everyone</option>
            {people.map(({ id, name }) => (
              <option key={id} value={name}>
                {name}’s
              </option>
            ))}
          </select>
        ) : null}
      </div>
      {today.length === 0 ? <p className="mt-2 text-soft">Nothing more to do today.</p> : null}
      <Several
        tasks={today.filter(isOneTouch)}
        picked={several}
        onPick={setSeveral}
        onDone={(picked) => {
          setSeveral(null);
          onTouchAll(picked);
        }}
      />
      <ol className={LIST}>{today.map(line)}</ol>
      {tomorrow.length > 0 ? (
        <details className="mt-3">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {counted(tomorrow.length, { one: "Tomorrow: # thing", other: "Tomorrow: # things" })}
          </summary>
          <ol className={LIST}>{tomorrow.map(line)}</ol>
        </details>
      ) : null}
      {done.length > 0 ? <DoneToday done={done} clock={clock} /> : null}
    </section>
  );
};
