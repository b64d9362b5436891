import { offTarget, type MixProgress } from "@/core/mixing/progress";
import { sayStock } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { clockTime } from "@/formats/times";
import type { MixingView } from "@/services/mixing";

/** What was done, when and by whom; the real amount beside the recipe's. */
export const MixLog = ({ progress, view }: { readonly progress: MixProgress; readonly view: MixingView }) => {
  const done = progress.steps.filter((state) => state.done !== null).toReversed();
  const say = (amount: number, unit: "kg" | "L") => sayStock(amount, unit, view.farm.units);
  return (
    <section aria-label="Done so far" className="mt-6">
      <h2 className="text-lg">Done so far</h2>
      {done.length === 0 ? (
        <p className="text-soft">
          Nothing yet. Begun by {view.startedBy}, {clockTime(new Date(view.startedMs), view.farm)}.
        </p>
      ) : null}
      <ol className="divide-y divide-line border-y border-line">
        {done.map(({ step, done: entry, rounds, planned }) => {
          const off = planned === null ? null : offTarget(entry!.amount ?? 0, planned);
          return (
            <li key={step.key} className="flex flex-wrap justify-between gap-x-3 py-1.5">
              <span>
                <span className="reading text-soft">{clockTime(new Date(entry!.atMs), view.farm)}</span>{" "}
                <span className="font-semibold">{step.title}</span>
                {entry!.answer ? `: ${entry!.answer}` : ""}
                {step.everyMin ? `, ${rounds} rounds` : ""}, {entry!.actorName}
              </span>
              {step.amount ? (
                <span className="reading">
                  {say(entry!.amount ?? 0, step.amount.unit)} of {say(planned!, step.amount.unit)}
                  {off !== null && Math.abs(off) >= 1
                    ? ` (${off > 0 ? "+" : "−"}${formatNumber(Math.abs(off), 2)} %)`
                    : ""}
                </span>
              ) : null}
            </li>
          );
        })}
      </ol>
      {progress.timeNoughtMs !== null ? (
        <p className="mt-1">
          Start: <span className="reading font-semibold">{clockTime(new Date(progress.timeNoughtMs), view.farm)}</span>,
          when the last living thing went in.
        </p>
      ) : null}
    </section>
  );
};
