"use client";
import { useState } from "react";
import { useBatchAct } from "../acts/batch";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";

type Slot = "any" | "morning" | "midday" | "evening";

/** Who does it, and when in the day. */
export const TaskShare = ({
  batchId,
  act,
  people,
  onDone,
}: {
  readonly batchId: number;
  readonly act: string;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly onDone: () => void;
}) => {
  const share = useBatchAct("shareTask", "toast");
  const [person, setPerson] = useState("0");
  const [slot, setSlot] = useState<Slot>("any");
  const save = async () => {
    const request = {
      batchId,
      act,
      personId: person === "0" ? null : Number(person),
      slot: slot === "any" ? null : slot,
    };
    if (await share.run(request)) onDone();
  };
  return (
    <div className="mt-2 grid gap-3 border-l-4 border-marigold pl-3">
      <Choices
        label="Who"
        value={person}
        onChange={setPerson}
        options={[
          { value: "0", label: "Anyone" },
          ...people.map(({ id, name }) => ({ value: String(id), label: name })),
        ]}
      />
      <Choices
        label="When"
        value={slot}
        onChange={setSlot}
        options={(["any", "morning", "midday", "evening"] as const).map((value) => ({
          value,
          label: value === "any" ? "when it is due" : value,
        }))}
      />
      <Button variant="strong" disabled={share.busy} onClick={() => void save()} className="justify-self-start">
        Save
      </Button>
    </div>
  );
};
