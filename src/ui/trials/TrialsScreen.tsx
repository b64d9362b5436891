import { sayDay } from "@/formats/times";
import { counted } from "@/formats/grammar";
import type { TrialLine, TrialsView } from "@/services/trials";
import { VERDICT_NAMES } from "@/words/said";
import { buttonClass } from "../kit/Button";
import { Link } from "../kit/Link";
import { armName } from "./armLook";

/** How a trial stands, in few words. */
function sayStanding(
  { terms, verdicts, isStopped, isUnlooked, readPairs, pairs, applications }: TrialLine,
  today: string,
): string {
  const verdict = verdicts
    .map((one) => (verdicts.length > 1 ? `${armName(one.arm, terms)}: ` : "") + VERDICT_NAMES[one.verdict])
    .join("; ");
  if (isStopped) return verdict ? `${verdict}. Stopped.` : "Stopped.";
  if (isUnlooked) return `${verdict ? `${verdict}. ` : ""}Read, not looked at.`;
  if (verdict) return verdict;
  const put = counted(applications, { zero: "Not put on yet", one: "Put on once", other: "Put on # times" });
  if (today >= terms.decidingOn) return `To be read: ${readPairs} of ${pairs} pairs are.`;
  return `${put}; judged on ${sayDay(terms.decidingOn)}.`;
}

/** All trials of the farm: what was asked, and how it stands. One that can't tell is as good an answer as one that can. */
export const TrialsScreen = ({ view, mayBegin }: { readonly view: TrialsView; readonly mayBegin: boolean }) => (
  <div className="max-w-4xl px-4 py-5 md:px-8">
    <div className="flex flex-wrap items-baseline justify-between gap-3">
      <h1 className="text-2xl">Trials</h1>
      {mayBegin ? (
        <Link href="/field/trials/new" className={buttonClass("strong")}>
          Begin a trial
        </Link>
      ) : null}
    </div>
    <p className="mt-1 max-w-2xl text-soft">
      Does it help? Some strips get it, their neighbours don’t, and lots decide which. Six pairs or more can tell; fewer
      never can.
    </p>
    {view.trials.length === 0 ? <p className="mt-4">No trial yet.</p> : null}
    <ul className="mt-4 divide-y divide-line border-y border-line empty:hidden">
      {view.trials.map((trial) => (
        <li key={trial.id} className="py-3">
          <Link
            href={`/field/trials/${trial.id}`}
            className="thumb text-[1.1rem] font-semibold underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink"
          >
            {trial.terms.question}
          </Link>
          <p>{sayStanding(trial, view.today)}</p>
          <p className="text-[0.9rem] text-soft">
            {counted(trial.pairs, { one: "One pair", other: "# pairs" })}, from {sayDay(trial.begunOn)}
          </p>
        </li>
      ))}
    </ul>
  </div>
);
