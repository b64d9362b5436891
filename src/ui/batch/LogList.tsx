import { clsx } from "clsx";
import { MEASURE_KINDS } from "@/core/book/words";
import { clockTime, dayMonth, type FarmClock } from "@/formats/times";
import type { UnitSystem } from "@/formats/amounts";
import { sayEntry } from "@/words/said";
import type { BatchPage } from "@/services/batch";
import { Link } from "../kit/Link";
import { EntryButtons } from "./deskButtons";
import type { Correcting } from "./logFocus";

export type LogLine = BatchPage["log"][number];

const MEASURED: readonly string[] = MEASURE_KINDS;
const correctingKind = (kind: LogLine["kind"]): Correcting["kind"] =>
  MEASURED.includes(kind)
    ? "measures"
    : kind === "ph" || kind === "temperature" || kind === "act" || kind === "note"
      ? kind
      : "words";

/** Of a long log the newest are shown: nobody reads hundreds at the drum, and a phone takes long to draw them. */
const MOST_SHOWN = 60;

interface LogListProps {
  readonly batchId: number;
  readonly isWhole: boolean;
  readonly log: readonly LogLine[];
  readonly clock: FarmClock;
  readonly units: UnitSystem;
}

/** The log, newest first; of a long one the older part on asking. What was corrected stays readable, struck through, with what took its place. */
export const LogList = ({ batchId, log, isWhole, clock, units }: LogListProps) => {
  const shown = isWhole ? log : log.slice(0, MOST_SHOWN);
  return (
    <>
      <Lines log={shown} clock={clock} units={units} />
      {shown.length < log.length ? (
        <Link href={`/batches/${batchId}?log=all`} scroll={false} className="thumb mt-2 inline-block underline">
          Show all {log.length} entries
        </Link>
      ) : null}
    </>
  );
};
const Lines = ({ log, clock, units }: Pick<LogListProps, "log" | "clock" | "units">) => (
  <ol className="divide-y divide-line border-y border-line">
    {log.map((entry) => {
      const struck = entry.correctedById !== null;
      const said = sayEntry(entry, units);
      const at = new Date(entry.atMs);
      return (
        <li
          key={entry.id}
          className="grid grid-cols-[1fr_auto] items-center gap-x-2 py-1.5 min-[380px]:grid-cols-[6.4rem_1fr_auto]"
        >
          <span className="reading text-[0.92rem] text-soft max-[379px]:col-span-2">
            {dayMonth(at, clock)} {clockTime(at, clock)}
          </span>
          <span>
            <span className={clsx(struck && "line-through decoration-2")}>{said}</span>
            <span className="text-[0.88rem] text-soft">
              {" "}
              by {entry.actorName}
              {struck ? "; corrected later" : ""}
              {entry.correctsId === null ? "" : "; corrects an earlier entry"}
            </span>
          </span>
          {struck || entry.kind === "withdrawn" ? null : (
            <EntryButtons
              entry={{ entryId: entry.id, atMs: entry.atMs, was: said, kind: correctingKind(entry.kind) }}
              mayCorrect={!entry.moved}
            />
          )}
        </li>
      );
    })}
  </ol>
);
