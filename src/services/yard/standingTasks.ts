import "server-only";
import { isUsable } from "@/core/judge/verdictState";
import { KEPT_LONG_H } from "@/core/tend/keptLong";
import type { RoundDraft, RunningBatch } from "./roundTask";

const HOUR_MS = 3_600_000;

/** What is wrong with how it stands: its air, its power, a stage that is over. */
export function standingTasks({ vessel, order, batch, view }: RunningBatch, now: Date): RoundDraft[] {
  const base = { dueMs: now.getTime(), vesselOrder: order, urgency: "late" as const, on: vessel.name };
  const drafts: RoundDraft[] = [];
  const living = view.state === "early" || view.state === "near" || isUsable(view.state);
  if (view.aerated && !view.airOn && living)
    drafts.push({
      ...base,
      key: `${batch.id}-air`,
      does: view.powerOff ? "power-on" : "air-on",
      title: `${vessel.name}: ${view.powerOff ? "the power is off" : "the air is off"}; start it again`,
      why: "An hour without air is nothing; four spoil it. On leaves only within the hour.",
      touch: { type: "log-act", batchId: batch.id, act: view.powerOff ? "power-back" : "air-on" },
    });
  // What the cold has stopped wants its heater the most.
  if (view.powerOff && view.hasHeater && !view.aerated && (living || view.state === "stuck"))
    drafts.push({
      ...base,
      key: `${batch.id}-heater`,
      does: "power-on",
      title: `${vessel.name}: its heater has no power; start it again`,
      why: "It cools to the air's warmth and slows. Wrap it while the power is away.",
      touch: { type: "log-act", batchId: batch.id, act: "power-back" },
    });
  if (view.lidOff)
    drafts.push({
      ...base,
      key: `${batch.id}-lid-checked`,
      does: "lid-on",
      title: `${vessel.name}: its lid is off; put it on and tie it`,
      why: "Flies lay within the hour, rain thins it. Look for both first, and log what got in.",
      touch: { type: "log-act", batchId: batch.id, act: "lid-checked" },
    });
  if (view.keptUntilMs !== null && view.keptUntilMs <= now.getTime() && living)
    drafts.push({
      ...base,
      key: `${batch.id}-close`,
      does: "use-now",
      title: `${vessel.name}: its night on air is over; use it now`,
      why: "One night is the most that it is held: its food has run out. Smell it; if it is off, onto the compost.",
      touch: { type: "close", batchId: batch.id },
    });
  const readyMs = view.window.start.p50;
  if (view.solidsIn && isUsable(view.state) && readyMs !== null && now.getTime() - readyMs > KEPT_LONG_H * HOUR_MS)
    drafts.push({
      ...base,
      urgency: "now",
      key: `${batch.id}-bag-out`,
      does: "lift-out",
      title: `${vessel.name}: take out the solids and shade it`,
      why: "Ready for over four weeks: to keep it longer it stands without them, cool and dark.",
      touch: { type: "log-act", batchId: batch.id, act: "bag-out" },
    });
  const { seal } = view;
  if (seal && !seal.done && seal.atMs !== null && seal.atMs <= now.getTime() + 24 * HOUR_MS)
    drafts.push({
      ...base,
      urgency: seal.atMs <= now.getTime() ? "now" : "later",
      dueMs: Math.max(seal.atMs, now.getTime()),
      key: `${batch.id}-seal`,
      does: "close",
      title: `${vessel.name}: close it with an airlock`,
      why: "By its warmth the open weeks are over. Leave room for gas, and an airlock.",
      touch: { type: "log-act", batchId: batch.id, act: "sealed" },
    });
  return drafts;
}
