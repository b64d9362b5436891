import { clsx } from "clsx";
import { findRecipe } from "@/core/book";
import { addDays, daysBetween } from "@/core/calendar";
import type { PlotCalendar, ProgrammesView } from "@/services/field";
import { dayMonth } from "@/formats/times";
import { sayClash } from "@/words/said";
import { Notice } from "../../kit/Notice";
import { counted } from "@/formats/grammar";

const WEEK_D = 7;
/** A method's mark: a letter, in the order in which they come. */
const MARKS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";

const monthDay = (day: string): string => dayMonth(new Date(`${day}T00:00:00Z`), { timeZone: "UTC" });

interface WeekProps {
  readonly plot: PlotCalendar;
  readonly fromDay: string;
  /** What is late stands in the first week. */
  readonly isFirst: boolean;
  readonly markOf: (methodId: string) => string;
}

/** What a plot gets in one week; a week with a clash is edged and told by a square too. */
const Week = ({ plot, fromDay, isFirst, markOf }: WeekProps) => {
  const isIn = ({ day }: { readonly day: string }) => daysBetween(fromDay, day) < WEEK_D && day >= fromDay;
  const dues = plot.dues.filter((due) => isIn(due) || (isFirst && due.day < fromDay));
  const clashes = plot.clashes.some(isIn);
  return (
    <td
      className={clsx(
        "reading border-l border-line px-1 text-center text-[0.9rem]",
        clashes && "bg-rust-wash font-semibold",
      )}
    >
      {dues.map(({ methodId }) => markOf(methodId)).join(" ")}
      {clashes ? (
        <span className="text-rust">
          {" "}
          ■<span className="sr-only"> clash</span>
        </span>
      ) : null}
    </td>
  );
};

/** Each clash once, with its days. */
function clashesSaid(plots: readonly PlotCalendar[]): { readonly text: string; readonly days: readonly string[] }[] {
  const said = plots.flatMap(({ name, clashes }) =>
    clashes.map((clash) => ({ text: `${name}: ${sayClash(clash)}`, day: clash.day })),
  );
  return [...new Set(said.map(({ text }) => text))].map((text) => ({
    text,
    days: said.filter((one) => one.text === text).map(({ day }) => day),
  }));
}

/** The season ahead, a row a plot and a column a week: what goes on when, and what clashes. */
export const SeasonCalendar = ({ view }: { readonly view: ProgrammesView }) => {
  const plots = view.plots.filter(({ dues }) => dues.length > 0);
  const methods = [...new Set(plots.flatMap(({ dues }) => dues.map(({ methodId }) => methodId)))];
  const markOf = (methodId: string) => MARKS[methods.indexOf(methodId)] ?? "·";
  const weeks = Array.from({ length: Math.ceil(daysBetween(view.today, view.untilDay) / WEEK_D) }, (_, week) =>
    addDays(view.today, week * WEEK_D),
  );
  const clashes = view.plots.flatMap((plot) => plot.clashes);
  if (plots.length === 0)
    return (
      <p className="text-soft">
        Nothing is due in the next half year: no plot has a crop of these schedules, or its stages do not come.
      </p>
    );
  return (
    <>
      <p className="mb-2 flex flex-wrap gap-x-4 text-[0.92rem]">
        {methods.map((methodId) => (
          <span key={methodId} className="whitespace-nowrap">
            <span className="reading font-semibold">{markOf(methodId)}</span> {findRecipe(methodId).shortName}
          </span>
        ))}
      </p>
      <div className="relative overflow-x-auto" role="region" aria-label="The season ahead" tabIndex={0}>
        <table className="border-b border-line">
          <thead>
            <tr className="text-[0.82rem] text-soft">
              <th scope="col" className="sticky left-0 bg-limewash pr-3 text-left font-normal">
                Plot
              </th>
              {weeks.map((day) => (
                <th key={day} scope="col" className="min-w-14 whitespace-nowrap border-l border-line px-1 font-normal">
                  {monthDay(day)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {plots.map((plot) => (
              <tr key={plot.id} className="border-t border-line">
                <th scope="row" className="sticky left-0 whitespace-nowrap bg-limewash py-1 pr-3 text-left">
                  {plot.name} <span className="font-normal text-soft">{plot.crop}</span>
                </th>
                {weeks.map((day, week) => (
                  <Week key={day} plot={plot} fromDay={day} isFirst={week === 0} markOf={markOf} />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {clashes.length > 0 ? (
        <section aria-label="What clashes" className="mt-3">
          <Notice tone="caution" title={counted(clashes.length, { one: "# clash", other: "# clashes" })}>
            <ul>
              {clashesSaid(view.plots).map(({ text, days }) => (
                <li key={text}>
                  {text} <span className="text-soft">({days.map(monthDay).join(", ")})</span>
                </li>
              ))}
            </ul>
          </Notice>
        </section>
      ) : null}
    </>
  );
};
