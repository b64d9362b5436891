"use client";
import { Download } from "lucide-react";
import type { AccessView } from "@/services/access";
import { HELD_WORDS, MAY_WORDS } from "@/words/said";
import { useFarmAct } from "../acts/farm";
import { Button, buttonClass } from "../kit/Button";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { Code } from "../paper/Code";
import { accessMoment as moment } from "./accessMoment";

const TWO_DAYS_MS = 2 * 24 * 3_600_000;

/** Whether all of it would be there after a bad night, and the way out with all of it. */
export const Backup = ({ view }: { readonly view: AccessView }) => {
  const { lastBackup } = view;
  const isOld = lastBackup !== undefined && (lastBackup === null || view.nowMs - lastBackup.atMs > TWO_DAYS_MS);
  return (
    <section aria-labelledby="backup">
      <h2 id="backup" className="text-xl">
        Backup
      </h2>
      {lastBackup === undefined ? null : (
        <p className={isOld ? "font-semibold text-rust" : ""}>
          {isOld ? "■ " : ""}
          {lastBackup === null
            ? "There is no backup yet. One is made each night while Ruchka runs; bin/backup makes one now."
            : `The last good one is of ${moment(lastBackup.atMs, view)}, read back and compared: ${lastBackup.file}.`}
        </p>
      )}
      <a href="/api/farm/archive" download className={`${buttonClass("plain")} mt-2`}>
        <Download aria-hidden className="size-5" /> The whole farm as one file
      </a>
      <p className="mt-1 text-[0.9rem] text-soft">
        All of it: people, photographs, records. Whoever has this file has the farm: keep it on another machine, where
        nobody else reads it. It is put back on the first page of an empty Ruchka, or by bin/restore.
      </p>
    </section>
  );
};

/** How a phone of the farm's own network comes in, the first time and after. */
export const Phones = ({ phones }: { readonly phones: NonNullable<AccessView["phones"]> }) => (
  <section aria-labelledby="phones">
    <h2 id="phones" className="text-xl">
      Phones on this network
    </h2>
    <div className="mt-2 flex flex-wrap items-start gap-4">
      <span className="block size-36 shrink-0">
        <Code code={phones.square} label={`Opens ${phones.trust?.address ?? phones.address}`} />
      </span>
      <div className="grid max-w-md gap-1">
        <p>
          The farm’s address: <b className="break-all">{phones.address}</b>
        </p>
        {phones.trust ? (
          <p>
            The first time, photograph this square (or open {phones.trust.address}), and install the farm’s certificate,
            whose mark is <b className="reading">{phones.trust.mark}</b>. After that the address opens without a
            warning.
          </p>
        ) : null}
      </div>
    </div>
  </section>
);

/** What people did without a signal and may not enter any more. */
export const Held = ({ view }: { readonly view: AccessView }) => {
  const enter = useFarmAct("enterHeld");
  const drop = useFarmAct("dropHeld");
  if (view.held.length === 0) return null;
  return (
    <section aria-labelledby="held">
      <h2 id="held" className="text-xl">
        Kept for a steward
      </h2>
      <p className="text-soft">
        Done without a signal, and not taken when it was sent. You enter it in your name, at its own hour.
      </p>
      <ul className="mt-2 divide-y divide-line border-y border-line">
        {view.held.map((one) => (
          <li key={one.id} className="grid gap-1 py-2">
            <span className="font-semibold">{one.said || MAY_WORDS[one.actName] || one.actName}</span>
            <span className="text-[0.92rem] text-soft">
              {one.personName}, {moment(one.doneMs, view)}: {HELD_WORDS[one.because]}
            </span>
            <span className="flex flex-wrap gap-2">
              <Button
                disabled={enter.busy}
                aria-label={`Enter: ${one.said}`}
                onClick={() => void enter.run({ heldId: one.id }).then((done) => done && told("Entered."))}
              >
                Enter it
              </Button>
              <Button
                variant="quiet"
                disabled={drop.busy}
                aria-label={`Drop: ${one.said}`}
                onClick={() => void drop.run({ heldId: one.id }).then((done) => done && told("Dropped."))}
              >
                Drop it
              </Button>
            </span>
          </li>
        ))}
      </ul>
      <Refusal error={enter.error ?? drop.error} />
    </section>
  );
};
