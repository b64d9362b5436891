"use client";
import { daysOfWeek, deedsOf, type SeasonDeed } from "@/core/plan/hand/deeds";
import { handsOf, type Hand } from "@/core/plan/hand/people";
import { weekOf, type PlanBody, type Season } from "@/core/plan/season";
import type { UnitSystem } from "@/formats/amounts";
import { longWeekday } from "@/formats/times";
import { sayDeed, type SeasonNames } from "@/words/said";
import { Button } from "../kit/Button";
import { Link } from "../kit/Link";
import { dateOf, sayDate, sayMinutes } from "./seasonSpeech";

interface WeekListProps {
  readonly season: Season;
  readonly plan: PlanBody;
  readonly names: SeasonNames;
  readonly units: UnitSystem;
  readonly week: number;
  readonly weekMin: readonly number[];
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly hands: readonly Hand[];
  readonly onWeek: (week: number) => void;
  readonly onBatch: (batchId: string) => void;
}
const PLOTS_NAMED = 4;

const Deed = ({
  deed,
  who,
  names,
  units,
  onBatch,
}: { readonly deed: SeasonDeed; readonly who: string | undefined } & Pick<
  WeekListProps,
  "names" | "units" | "onBatch"
>) => {
  const { title, amount, where } = sayDeed(deed, names, units, PLOTS_NAMED);
  const rest = `, ${amount}${where === "" ? "" : `: ${where}`}${who ? ` (${who})` : ""}`;
  if (deed.kind === "start" || deed.kind === "strain")
    return (
      <button type="button" className="thumb text-left" onClick={() => onBatch(deed.batch)}>
        <span className="font-semibold underline decoration-line decoration-2 underline-offset-4">{title}</span>
        {rest}
      </button>
    );
  return (
    <span>
      {deed.kind === "apply" ? (
        <Link href="/field" className="thumb font-semibold underline">
          {title}
        </Link>
      ) : (
        <span className="font-semibold">{title}</span>
      )}
      {rest}
    </span>
  );
};

/** A week of the plan, day by day, with what its hours come to. */
export const WeekList = ({
  season,
  plan,
  names,
  units,
  week,
  weekMin,
  people,
  hands,
  onWeek,
  onBatch,
}: WeekListProps) => {
  const given = handsOf(season, plan, hands);
  const nameOf = (id: string | undefined): string | undefined => people.find((one) => String(one.id) === id)?.name;
  const now = weekOf(season.nowDay);
  const days = daysOfWeek(deedsOf(season, plan), week).filter(({ day }) => day >= season.nowDay);
  const [used, there] = [weekMin[week] ?? 0, season.labour.weekMin[week] ?? 0];
  return (
    <section aria-labelledby="week">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="week" className="text-xl">
          {week === now ? "This week" : `Week of ${sayDate(season, week * 7)}`}
        </h2>
        <div className="flex gap-2">
          <Button disabled={week <= now} onClick={() => onWeek(week - 1)}>
            Earlier
          </Button>
          <Button disabled={(week + 1) * 7 >= season.days} onClick={() => onWeek(week + 1)}>
            Later
          </Button>
        </div>
      </div>
      <p className={used > there + 0.5 ? "font-semibold text-rust" : "text-soft"}>
        {used === 0 ? "No work planned." : `${sayMinutes(used)} of work; you have ${sayMinutes(there)}.`}
      </p>
      {used > 0 && hands.length > 0 ? (
        <ul className="flex flex-wrap gap-x-4 text-[0.92rem] text-soft">
          {hands.map((hand) => {
            const minutes = given.weekMin[hand.id]![week] ?? 0;
            return (
              <li key={hand.id} className={minutes > hand.weekMin + 0.5 ? "font-semibold text-rust" : undefined}>
                {nameOf(hand.id) ?? "somebody who left"}: {sayMinutes(minutes)} of {sayMinutes(hand.weekMin)}
              </li>
            );
          })}
        </ul>
      ) : null}
      <ol className="mt-2 divide-y divide-line border-y border-line">
        {days.map(({ day, deeds }) => (
          <li key={day} className="grid grid-cols-[5.5rem_1fr] gap-3 py-2">
            <span>
              <span className="block font-semibold">
                {day === season.nowDay ? "Today" : longWeekday(dateOf(season, day), { timeZone: "UTC" })}
              </span>
              <span className="text-[0.88rem] text-soft">{sayDate(season, day)}</span>
            </span>
            {deeds.length === 0 ? (
              <span className="text-soft">nothing planned</span>
            ) : (
              <ul className="grid gap-1.5">
                {deeds.map((deed) => (
                  <li key={deed.id}>
                    <Deed
                      deed={deed}
                      who={nameOf(given.whose.get(deed.id))}
                      names={names}
                      units={units}
                      onBatch={onBatch}
                    />
                  </li>
                ))}
              </ul>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
};
