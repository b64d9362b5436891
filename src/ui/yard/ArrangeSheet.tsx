"use client";
import { useState, type FormEvent } from "react";
import { momentOn, isoDay, clockTime, type FarmClock } from "@/formats/times";
import type { RoundTask } from "@/services/yard";
import { useYardAct } from "../acts/yard";
import { Choices } from "../kit/Choices";
import { SelectField, TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";
import { undoOffer } from "../acts/undo";

interface ArrangeSheetProps {
  readonly task: RoundTask;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly nowMs: number;
  readonly clock: FarmClock;
  readonly onClose: () => void;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
type Later = "no" | "1" | "3" | "morning" | "at";

/** When it comes again; null for as soon as it is due. */
function untilOf(later: Later, at: string, nowMs: number, clock: FarmClock): string | null {
  if (later === "no") return null;
  if (later === "1" || later === "3") return new Date(nowMs + Number(later) * HOUR_MS).toISOString();
  const tomorrow = isoDay(new Date(nowMs + DAY_MS), clock);
  if (later === "morning") return momentOn(tomorrow, "07:00", clock)?.toISOString() ?? null;
  const today = momentOn(isoDay(new Date(nowMs), clock), at, clock);
  // An hour that is over today means tomorrow's.
  const moment = today && today.getTime() > nowMs ? today : momentOn(tomorrow, at, clock);
  return moment?.toISOString() ?? at;
}

/** What is chosen for a task, and its sending, with a way back in the seconds after. */
function useArranging(
  task: RoundTask,
  people: ArrangeSheetProps["people"],
  nowMs: number,
  clock: FarmClock,
  onClose: () => void,
) {
  const act = useYardAct("arrangeTask");
  const [person, setPerson] = useState(String(people.find(({ name }) => name === task.who)?.id ?? ""));
  const [later, setLater] = useState<Later>(task.putOff ? "at" : "no");
  const [at, setAt] = useState(task.putOff ? clockTime(new Date(task.putOff.untilMs), clock) : "18:00");
  const [reason, setReason] = useState(task.putOff?.reason ?? "");
  const submit = async (event?: FormEvent) => {
    event?.preventDefault();
    const until = untilOf(later, at, nowMs, clock);
    const answer = await act.run({
      taskKey: task.key,
      personId: person === "" ? null : Number(person),
      until,
      reason: until === null ? null : reason,
    });
    if (answer === null) return;
    told(
      until === null ? `${task.title}: saved.` : `${task.title}: put off.`,
      undoOffer(() =>
        act.run({
          taskKey: task.key,
          personId: people.find(({ name }) => name === task.who)?.id ?? null,
          until: task.putOff ? new Date(task.putOff.untilMs).toISOString() : null,
          reason: task.putOff?.reason ?? null,
        }),
      ),
    );
    onClose();
  };
  return { act, person, setPerson, later, setLater, at, setAt, reason, setReason, submit };
}

/** A task of the day given to a person, or put off to another hour with a reason. */
export const ArrangeSheet = ({ task, people, nowMs, clock, onClose }: ArrangeSheetProps) => {
  const { act, person, setPerson, later, setLater, at, setAt, reason, setReason, submit } = useArranging(
    task,
    people,
    nowMs,
    clock,
    onClose,
  );
  return (
    <FormSheet title={task.title} act="Save" busy={act.busy} error={act.error} onSubmit={submit} onClose={onClose}>
      <SelectField
        label="Who does it"
        value={person}
        onChange={(event) => setPerson(event.target.value)}
        error={act.fields["/personId"]}
      >
        <option value="">Anyone</option>
        {people.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      <Choices<Later>
        label="When"
        value={later}
        onChange={setLater}
        options={[
          { value: "no", label: "When it is due" },
          { value: "1", label: "In 1 h" },
          { value: "3", label: "In 3 h" },
          { value: "morning", label: "Tomorrow 07:00" },
          { value: "at", label: "At a time" },
        ]}
      />
      {later === "at" ? (
        <TextField
          label="Time"
          type="time"
          value={at}
          onChange={(event) => setAt(event.target.value)}
          error={act.fields["/until"]}
        />
      ) : act.fields["/until"] ? (
        <p role="alert" className="font-semibold text-rust">
          {act.fields["/until"]}
        </p>
      ) : null}
      {later === "no" ? null : (
        <TextField
          label="Reason it can wait"
          maxLength={300}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          error={act.fields["/reason"]}
        />
      )}
    </FormSheet>
  );
};
