"use client";
import type { StepState } from "@/core/mixing/progress";
import { Button } from "../kit/Button";
import { sayClock } from "../kit/Countdown";
import { inText } from "@/formats/grammar";

/** A clock that runs between two steps. It runs from the tick, not from the screen: asleep or on another phone it goes on. */
export const WaitPanel = ({
  state,
  untilMs,
  nowMs,
  onSkip,
}: {
  readonly state: StepState;
  readonly untilMs: number;
  readonly nowMs: number;
  readonly onSkip: () => void;
}) => {
  const wholeMs = (state.step.wait?.minutes ?? state.step.everyMin ?? 1) * 60_000;
  const share = Math.min(1, Math.max(0, 1 - (untilMs - nowMs) / wholeMs));
  return (
    <section aria-label="Waiting" className="border-2 border-ink bg-chalk p-4">
      <h2 className="text-2xl">{state.step.wait ? `It is ${state.step.wait.what}` : "Let it stand"}</h2>
      <p role="timer" className="reading text-6xl font-semibold">
        {sayClock(untilMs - nowMs)}
      </p>
      <svg aria-hidden viewBox="0 0 100 4" preserveAspectRatio="none" className="h-4 w-full">
        <rect width={100} height={4} fill="var(--line)" />
        <rect width={share * 100} height={4} fill="var(--marigold)" />
      </svg>
      <p className="mt-2 text-soft">
        After {inText(state.step.title)}. {state.step.why}
      </p>
      <Button wide className="mt-3 min-h-14" onClick={onSkip}>
        Skip the wait
      </Button>
    </section>
  );
};
