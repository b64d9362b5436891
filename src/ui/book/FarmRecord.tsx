"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { told } from "../kit/told";
import { formatNumber } from "@/formats/numbers";
import { fullDate, type FarmClock } from "@/formats/times";
import type { MethodRecord, SaidThen } from "@/services/ferment";
import { useBookAct } from "../acts/book";
import { Button } from "../kit/Button";
import { TextField } from "../kit/fields";
import { useUndo } from "../acts/undo";

const DAY_DIGITS = 3;
const days = (value: number | null) => (value === null ? "never" : formatNumber(value, DAY_DIGITS));
const VERDICTS = { "hit": "right", "too-early": "too early", "too-late": "too late", "open": "can’t be told" } as const;

const Said = ({ said }: { readonly said: SaidThen | null }) =>
  said ? (
    <>
      <span className="reading">
        {days(said.p10D)} to {days(said.p90D)}
      </span>{" "}
      <span className={said.score.verdict === "hit" ? "font-semibold text-leaf" : "text-soft"}>
        {VERDICTS[said.score.verdict]}
      </span>
    </>
  ) : (
    <span className="text-soft">nothing kept</span>
  );

function sayPace(learned: NonNullable<MethodRecord["learned"]>): string {
  const percent = Math.round(Math.abs(learned.pace - 1) * 100);
  const pace =
    percent < 3 ? "as fast as usual" : `about ${percent} % ${learned.pace > 1 ? "faster" : "slower"} than usual`;
  const surer = Math.round((1 - learned.sd / learned.bookSd) * 100);
  return `Batches run ${pace} here, by ${learned.taught} of ${learned.finished} finished ones${surer > 3 ? `; forecasts are ${surer} % narrower for it` : ""}.`;
}

/** Batch by batch: what was said, and what came of it. */
const RecordTable = ({ lines, clock }: { readonly lines: MethodRecord["lines"]; readonly clock: FarmClock }) => (
  <div role="region" aria-label="Forecasts and results" tabIndex={0} className="relative overflow-x-auto">
    <table className="w-full min-w-[34rem] text-left text-[0.95rem]">
      <thead>
        <tr className="border-b-2 border-ink align-bottom">
          <th className="py-1.5 pr-3 font-semibold">Batch</th>
          <th className="py-1.5 pr-3 font-semibold">Ready, day</th>
          <th className="py-1.5 pr-3 font-semibold">Said at the start</th>
          <th className="py-1.5 font-semibold">Said half-way</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <tr key={line.batchId} className="border-b border-line">
            <td className="py-1.5 pr-3">
              <Link
                href={`/batches/${line.batchId}`}
                className="underline decoration-line decoration-2 underline-offset-4"
              >
                {fullDate(new Date(line.startedMs), clock)}
              </Link>
              <span className="text-soft">, {line.vesselName}</span>
            </td>
            <td className="reading py-1.5 pr-3">
              {line.readyD.notBefore === null ? "by " : `${days(line.readyD.notBefore)} to `}
              {days(line.readyD.by)}
            </td>
            <td className="py-1.5 pr-3">
              <Said said={line.atStart} />
            </td>
            <td className="py-1.5">
              <Said said={line.halfWay} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

/** How right the forecasts of a method have been on this farm, what its batches taught, and the way to make it forget. */
export const FarmRecord = ({ record, clock }: { readonly record: MethodRecord; readonly clock: FarmClock }) => {
  const [resetting, setResetting] = useState(false);
  const [reason, setReason] = useState("");
  const reset = useBookAct("resetLearning");
  const undo = useUndo();
  const { learned, lines } = record;
  const forget = async () => {
    if (!learned) return;
    const answer = await reset.run({ modelId: learned.modelId, reason: reason.trim() });
    if (answer) {
      told("What was learned is set aside. The record stays.", undo({ kind: "learning-reset", id: answer.resetId }));
      setResetting(false);
    }
  };
  return (
    <div className="grid gap-3">
      {learned && learned.taught > 0 ? (
        <p>{sayPace(learned)}</p>
      ) : (
        <p className="text-soft">No finished batch has taught anything yet: the usual pace counts.</p>
      )}
      {record.judged > 0 ? (
        <p>
          {record.hits} of {record.judged} forecasts were right; the aim is 8 of 10.
          {record.offD !== null && record.ruleOffD !== null
            ? ` At the start its likeliest day was ${formatNumber(record.offD, 2)} days off; the days rule ${formatNumber(record.ruleOffD, 2)}.`
            : ""}
        </p>
      ) : null}
      {lines.length > 0 ? <RecordTable lines={lines} clock={clock} /> : null}
      {learned?.resets.map(({ atMs, reason: why, by }) => (
        <p key={atMs} className="text-[0.9rem] text-soft">
          Forgotten on {fullDate(new Date(atMs), clock)} by {by}: {why}.
        </p>
      ))}
      {learned && learned.taught > 0 ? (
        resetting ? (
          <form
            className="grid max-w-md gap-3 border-l-4 border-marigold pl-3"
            onSubmit={(event) => {
              event.preventDefault();
              void forget();
            }}
          >
            <TextField
              label="What has changed here?"
              value={reason}
              maxLength={200}
              error={reset.fields["/reason"]}
              onChange={(event) => setReason(event.target.value)}
            />
            <div className="flex gap-2">
              <Button variant="strong" type="submit" disabled={reset.busy}>
                Reset learning
              </Button>
              <Button onClick={() => setResetting(false)}>Keep it</Button>
            </div>
          </form>
        ) : (
          <Button variant="quiet" className="justify-self-start" onClick={() => setResetting(true)}>
            Yes, reset it
          </Button>
        )
      ) : null}
    </div>
  );
};
