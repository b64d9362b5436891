"use client";
import { useState } from "react";
import type { BatchBrief } from "@/services/batch";
import { useBatchAct } from "../acts/batch";
import { useFillAct } from "../acts/fill";
import { Button } from "../kit/Button";
import { panel } from "../kit/later";
import { told } from "../kit/told";
import { useBatchDesk } from "./BatchDesk";
import type { Correcting } from "./logFocus";
import { afterColon } from "@/formats/grammar";

const LabSheet = panel(() => import("../content/LabSheet").then((module) => module.LabSheet));

/** What can be done with it now. */
export const Acts = ({
  batch,
}: {
  readonly batch: Pick<BatchBrief, "next" | "spoilt" | "filledL"> & {
    readonly closing: Pick<BatchBrief["closing"], "makes">;
  };
}) => {
  const { open } = useBatchDesk();
  return (
    <div className="mt-4 flex flex-wrap gap-3">
      <Button variant="strong" onClick={() => open("log")}>
        {batch.next.act === "strain" || batch.next.act === "use-now" || batch.next.act === "compost"
          ? "Log"
          : `Log: ${afterColon(batch.next.words)}`}
      </Button>
      <Button onClick={() => open("close")}>Strain or throw away</Button>
      {batch.spoilt === "discard" ? null : (
        <>
          <Button onClick={() => open("add")}>Add ingredient</Button>
          <Button onClick={() => open("what-if")}>What if</Button>
        </>
      )}
      {batch.closing.makes ? (
        <Button onClick={() => open({ take: "batch", heldL: batch.filledL })}>Move some to shed</Button>
      ) : null}
    </div>
  );
};

/** What can be done with an entry of the log. */
export const EntryButtons = ({
  entry,
  mayCorrect,
}: {
  readonly entry: Correcting;
  /** What stock hangs on is crossed out and logged anew. */
  readonly mayCorrect: boolean;
}) => {
  const { correct, strike } = useBatchDesk();
  return (
    <span className="flex max-sm:flex-col">
      {mayCorrect ? (
        <Button
          variant="quiet"
          className="text-[0.88rem]"
          aria-label={`Correct: ${entry.was}`}
          onClick={() => correct(entry)}
        >
          Correct
        </Button>
      ) : null}
      <Button
        variant="quiet"
        className="text-[0.88rem]"
        aria-label={`Cross out: ${entry.was}`}
        onClick={() => strike(entry.entryId)}
      >
        Cross out
      </Button>
    </span>
  );
};

/** Moves what a store holds to the shed. */
export const ToShed = ({ storeId, heldL }: { readonly storeId: number; readonly heldL: number }) => {
  const { open } = useBatchDesk();
  return <Button onClick={() => open({ take: storeId, heldL })}>To the shed</Button>;
};

/** A laboratory's figure for what is in it. */
export const AddLab = ({ batchId }: { readonly batchId: number }) => {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="quiet" onClick={() => setOpen(true)}>
        Add lab result
      </Button>
      {open ? <LabSheet batchId={batchId} onClose={() => setOpen(false)} /> : null}
    </>
  );
};

/** Takes the end of a batch back, where it was a slip. */
export const NotOver = ({ batchId }: { readonly batchId: number }) => {
  const { run, busy } = useBatchAct("takeBackEnd", "toast");
  return (
    <Button
      variant="quiet"
      className="-ml-3"
      disabled={busy}
      onClick={() => void run({ batchId }).then((done) => done && told("It runs on, in its vessel."))}
    >
      It is not over: undo the end
    </Button>
  );
};

/** Takes the start of a batch back, where it was a slip and nothing is logged yet. */
export const NeverStarted = ({ batchId, vesselName }: { readonly batchId: number; readonly vesselName: string }) => {
  const { run, busy } = useFillAct("takeBackStart", "toast");
  const undo = async () => {
    if (await run({ batchId })) told(`${vesselName} is as it was. What the batch took is in stock again.`);
  };
  return (
    <Button variant="quiet" className="-ml-3 mt-1" disabled={busy} onClick={() => void undo()}>
      Started by mistake: undo the start
    </Button>
  );
};
