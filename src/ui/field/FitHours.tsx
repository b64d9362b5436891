import { handsHours } from "@/core/apply/haul";
import { MOST_HANDS, workWindows, type WorkWindow } from "@/core/apply/workWindows";
import { clockTime, sayDuration, sayMoment } from "@/formats/times";
import { sayBand } from "../drawings/bandWords";
import type { Applying } from "./useApply";
import { counted } from "@/formats/grammar";

const SHOWN = 3;

/** Whether the hands that there are get it done in these hours. */
function sayHands({ tooLate, people, hours }: WorkWindow): string {
  if (tooLate) return "the liquid is over by then";
  if (people > MOST_HANDS) return `not all of it can be done in these ${sayDuration(hours)}`;
  return counted(Math.max(1, people), { one: "one person gets it done", other: "it takes # people" });
}

/** The next hours fit for it, and how many hands it takes to be done in them. */
export const FitHours = ({ applying }: { readonly applying: Applying }) => {
  const { view, choice, plan } = applying;
  const { store, use, tool } = choice;
  if (use.target === "other" || !plan) return null;
  const needH = handsHours(tool.kind, plan.loads);
  const windows = workWindows(view.bands, use.target, needH, Math.max(store.expiresMs, view.nowMs));
  const at = (ms: number) => new Date(ms);
  return (
    <section aria-label="Good times to apply" className="border-t border-line pt-2">
      <h3 className="text-lg">When</h3>
      {needH > 0 ? <p className="text-soft">It takes about {sayDuration(needH)} of one person’s time.</p> : null}
      {windows.length === 0 ? (
        <p>No hour of the next day and a half is fit{use.target === "leaves" ? " for leaves" : ""}.</p>
      ) : (
        <ul>
          {windows.slice(0, SHOWN).map((one) => (
            <li key={one.band.fromMs} className="py-0.5">
              <span className="font-semibold">
                {sayMoment(at(one.band.fromMs), at(view.nowMs), view.farm)} to {clockTime(at(one.band.toMs), view.farm)}
              </span>{" "}
              ({sayBand(one.band)}): {sayHands(one)}.
            </li>
          ))}
        </ul>
      )}
    </section>
  );
};
