import type { Paper } from "@/core/paper/papers";
import { deedsOf, type SeasonDeed } from "@/core/plan/hand/deeds";
import { handsNamed, handsOf, type Hand } from "@/core/plan/hand/people";
import { weekOf, type PlanBody } from "@/core/plan/season";
import { fullDate, longWeekday } from "@/formats/times";
import type { SeasonView } from "@/services/season";
import { sayDeed } from "@/words/said";
import { dateOf, sayDate, sayMinutes } from "../season/seasonSpeech";
import { LongPage } from "./PaperSheet";
import { PaperBar } from "./PaperBar";
import { TickBox } from "./ShoppingPaper";

/** Five weeks hang on the wall until the next five do. */
const DAYS = 35;
/** Plots that are named at an application. */
const PLOTS_NAMED = 6;

interface Line {
  readonly deed: SeasonDeed;
  readonly who: string;
}
const byWeek = (lines: readonly Line[]): Map<number, Line[]> => {
  const weeks = new Map<number, Line[]>();
  for (const line of lines) weeks.set(weekOf(line.deed.day), [...(weeks.get(weekOf(line.deed.day)) ?? []), line]);
  return weeks;
};

const LineOf = ({ view, line: { deed, who } }: { readonly view: SeasonView; readonly line: Line }) => {
  const { title, amount, where } = sayDeed(deed, view.names, view.farm.units, PLOTS_NAMED);
  return (
    <li className="flex break-inside-avoid gap-[3mm] border-b-[0.2mm] border-black py-[1.2mm]">
      <TickBox />
      <span className="w-[26mm] shrink-0">
        {longWeekday(dateOf(view.season, deed.day), { timeZone: "UTC" }).slice(0, 3)} {sayDate(view.season, deed.day)}
      </span>
      <span className="flex-1">
        <span className="font-semibold">{title}</span>, {amount}
        {where === "" ? "" : `: ${where}`}
      </span>
      <span className="shrink-0 text-right">
        {who}
        {deed.minutes >= 1 ? <span className="block text-[0.88em]">{sayMinutes(deed.minutes)}</span> : null}
      </span>
    </li>
  );
};
const Weeks = ({
  view,
  title,
  lines,
  note,
}: {
  readonly view: SeasonView;
  readonly title: string;
  readonly lines: readonly Line[];
  readonly note?: string;
}) =>
  lines.length === 0 ? null : (
    <section className="mt-[6mm]">
      <h3 className="break-after-avoid border-b-[0.5mm] border-black text-xl">{title}</h3>
      {note ? <p className="text-[0.92em]">{note}</p> : null}
      {[...byWeek(lines)].map(([week, of]) => (
        <section key={week} className="mt-[3mm]">
          <h4 className="break-after-avoid font-semibold">Week of {sayDate(view.season, week * 7)}</h4>
          <ul>
            {of.map((line) => (
              <LineOf key={line.deed.id} view={view} line={line} />
            ))}
          </ul>
        </section>
      ))}
    </section>
  );

/** Hours of each week by person. */
const Hours = ({
  view,
  plan,
  hands,
}: {
  readonly view: SeasonView;
  readonly plan: PlanBody;
  readonly hands: readonly Hand[];
}) => {
  const { weekMin } = handsOf(view.season, plan, hands);
  const weeks = Array.from({ length: DAYS / 7 }, (_, nth) => weekOf(view.season.nowDay) + nth).filter(
    (week) => week * 7 < view.season.days,
  );
  const nameOf = (id: string): string =>
    view.people.find((person) => String(person.id) === id)?.name ?? "somebody who left";
  return (
    <section className="mt-[6mm] break-inside-avoid">
      <h3 className="border-b-[0.5mm] border-black text-xl">Hours by person</h3>
      <table className="w-full text-left">
        <thead>
          <tr>
            <th className="py-[1mm]">Week of</th>
            {hands.map(({ id, weekMin: has }) => (
              <th key={id} className="text-right">
                {nameOf(id)}, of {sayMinutes(has)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week} className="border-t-[0.2mm] border-black">
              <td className="py-[1mm]">{sayDate(view.season, week * 7)}</td>
              {hands.map(({ id }) => (
                <td key={id} className="text-right">
                  {sayMinutes(weekMin[id]![week]!)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
};

/** The plan in use for the wall: five weeks day by day, then what to order and to gather, and who has how many hours. */
export const SeasonPaper = ({ view, paper }: { readonly view: SeasonView; readonly paper: Paper }) => {
  const { season, plan, farm, people, terms } = view;
  const hands = handsNamed(terms.hands);
  const { whose } = plan ? handsOf(season, plan, hands) : { whose: new Map<string, string>() };
  const lines = (plan ? deedsOf(season, plan) : [])
    .filter(({ day }) => day >= season.nowDay && day < season.days)
    .map((deed): Line => ({ deed, who: people.find(({ id }) => String(id) === whose.get(deed.id))?.name ?? "" }));
  const month = lines.filter(({ deed }) => deed.day < season.nowDay + DAYS);
  return (
    <div className="px-4 py-5 print:p-0">
      <PaperBar title="The month on paper" paper={paper.id} />
      <LongPage paper={paper}>
        <h2 className="text-2xl">The season, {farm.name}</h2>
        <p>
          {fullDate(new Date(view.nowMs), farm)}.{" "}
          {plan ? `Plan of ${fullDate(new Date(plan.takenMs), farm)}, by ${plan.byName}.` : "No plan is in use."}
        </p>
        <Weeks
          view={view}
          title="Five weeks"
          lines={month.filter(({ deed: { kind } }) => kind !== "order" && kind !== "gather")}
        />
        <Weeks
          view={view}
          title="To order"
          note="Each on its last day: later, it comes too late."
          lines={lines.filter(({ deed }) => deed.kind === "order")}
        />
        <Weeks view={view} title="To gather" lines={lines.filter(({ deed }) => deed.kind === "gather")} />
        {plan && hands.length > 0 ? <Hours view={view} plan={plan} hands={hands} /> : null}
      </LongPage>
    </div>
  );
};
