"use client";
import { useState } from "react";
import { dayMonth, sayDuration, type FarmClock } from "@/formats/times";
import type { Progress } from "@/services/ferment";
import type { BatchView } from "@/services/batch";
import { Button } from "../kit/Button";
import { part } from "../kit/later";

const TaskShare = part("Who does it", () => import("./TaskShare").then((module) => module.TaskShare));

interface TendingProps {
  readonly batch: Pick<BatchView, "id" | "seal">;
  readonly progress: Pick<Progress, "stages" | "tending">;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly shares: readonly {
    readonly act: string;
    readonly personName: string | null;
    readonly slot: string | null;
  }[];
  readonly running: boolean;
  readonly clock: FarmClock;
}

/** When a stage began, or is likely to: by what was seen, else by the warmth. */
function sayStage({ fromMs, basis }: Progress["stages"][number], clock: FarmClock): string {
  if (basis === "awaited") return "not seen yet";
  return `${basis === "seen" ? "since" : "from about"} ${dayMonth(new Date(fromMs), clock)}`;
}

/** Its stages one after the other, the one that runs marked: by what was seen, not by the calendar. */
const Stages = ({ progress, batch, clock }: Pick<TendingProps, "progress" | "batch" | "clock">) => (
  <ol className="flex flex-wrap gap-y-2">
    {progress.stages.map((stage, index) => {
      // The open stage of a two-stage soak ends by the warmth that its own forecast goes by.
      const sealMs = index === 1 && stage.basis === "reckoned" ? (batch.seal?.atMs ?? null) : null;
      const at = progress.stages.findIndex(({ isNow }) => isNow);
      return (
        <li
          key={stage.name}
          aria-current={stage.isNow ? "step" : undefined}
          className={`min-w-[9rem] flex-1 border-t-4 pr-3 pt-1.5 ${stage.isNow ? "border-marigold" : index < at ? "border-ink" : "border-line"}`}
        >
          <p className="font-semibold">{stage.name}</p>
          <p className="reading text-[0.88rem] text-soft">
            {sayStage(sealMs === null ? stage : { ...stage, fromMs: sealMs }, clock)} · {stage.lid}
          </p>
          <p className="text-[0.88rem] text-soft">{stage.note}</p>
        </li>
      );
    })}
  </ol>
);

/** A batch's stages and its programme: what was done, what was missed and what that means, and whose it is. */
export const Tending = ({ batch, progress, people, shares, running, clock }: TendingProps) => {
  const [sharing, setSharing] = useState<string | null>(null);
  return (
    <div className="grid gap-4">
      {progress.stages.length > 0 ? <Stages progress={progress} batch={batch} clock={clock} /> : null}
      <ul className="divide-y divide-line border-y border-line empty:hidden">
        {progress.tending.map((task) => {
          const share = shares.find(({ act }) => act === task.act);
          return (
            <li key={`${task.act}-${task.text}`} className="py-2">
              <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                <span className="font-semibold">{task.text}</span>
                <span className="reading text-[0.92rem] text-soft">
                  {task.once
                    ? task.doneMs.length > 0
                      ? "once · done"
                      : "once"
                    : `every ${sayDuration(task.everyH)} · done ${task.doneMs.length}`}
                  {task.missedMs.length > 0 ? ` · missed ${task.missedMs.length}` : ""}
                </span>
              </p>
              {task.missedMs.length > 0 ? (
                <p className="text-[0.92rem] text-rust">
                  Missed{" "}
                  {task.missedMs
                    .slice(-3)
                    .map((ms) => dayMonth(new Date(ms), clock))
                    .join(", ")}
                  {task.missedMs.length > 3 ? `, and ${task.missedMs.length - 3} before` : ""}. {task.ifMissed}
                </p>
              ) : null}
              {running ? (
                <p className="flex flex-wrap items-center gap-x-2 text-[0.9rem] text-soft">
                  {share?.personName ?? "Anyone"}
                  {share?.slot ? `, ${share.slot}` : ""}
                  {people.length > 1 ? (
                    <Button
                      variant="quiet"
                      className="text-[0.9rem]"
                      aria-label={`Who does it: ${task.text}`}
                      onClick={() => setSharing(sharing === task.act ? null : task.act)}
                    >
                      Change
                    </Button>
                  ) : null}
                </p>
              ) : null}
              {sharing === task.act ? (
                <TaskShare batchId={batch.id} act={task.act} people={people} onDone={() => setSharing(null)} />
              ) : null}
            </li>
          );
        })}
      </ul>
    </div>
  );
};
