"use client";
import { useMemo, useState, type ReactNode } from "react";
import { findMethod } from "@/core/book";
import { endedOf, sightOf, type Play } from "@/core/practice/drum/play";
import { retell } from "@/core/practice/drum/retold";
import type { PracticeDrum } from "@/core/practice/drum/setup";
import {
  drumHour,
  isWantMet,
  MINUTES_A_DAY,
  PURSE,
  purseOf,
  setUpWeek,
  TAKES_MIN,
  weekBegun,
  weekBy,
  weekDay,
  weekPasses,
  WANT_COINS,
  WEEK_DAYS,
  WEEK_H,
  WEEK_STARTS_AT,
  type Week,
  type WeekDrum,
} from "@/core/practice/week";
import { sayVolume } from "@/formats/amounts";
import { inText } from "@/formats/grammar";
import { BETTER, FAULT_NOTES, OUTCOME_NAMES, TRUE_PLACE_NAMES } from "@/words/said";
import { Button, buttonClass } from "../kit/Button";
import { Link } from "../kit/Link";
import { useDraft } from "../kit/useDraft";
import { DrumDrawing } from "./DrumDrawing";
import { DrumBefore, DrumDeeds, Row } from "./DrumParts";
import { pictureOf } from "./drumLook";
import { SeenList } from "./SeenList";
import { sayCoins, sayStep } from "./sayHour";
import { PracticeHead } from "./PracticeHead";

interface WeekPlay {
  readonly hour: number;
  readonly plays: readonly Play[];
  /** Minutes spent on the drums on the day that it is. */
  readonly spentMin: number;
}
const shortName = ({ methodId }: PracticeDrum): string => findMethod(methodId).shortName;
const toMorning = (hour: number): number => 24 - ((WEEK_STARTS_AT + hour) % 24) + WEEK_STARTS_AT;
/** Steps of time, the last one to the next morning. */
const STEPS = [3, 6, 12] as const;

/** Minutes that what was done last takes. */
function minutesOf(before: Play, after: Play): number {
  const done = after.deeds.slice(before.deeds.length);
  return done.reduce((sum, { kind }) => sum + TAKES_MIN[kind], 0);
}

/** One drum among the others: touched to go to it. */
const DrumCard = ({
  one,
  play,
  hour,
  isChosen,
  onChoose,
}: {
  readonly one: WeekDrum;
  readonly play: Play;
  readonly hour: number;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}) => {
  const { drum } = one;
  const sight = sightOf(drum, play);
  const ended = endedOf(drum, play);
  const isFilled = drumHour(one, hour) >= 0;
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className={`border-2 bg-chalk p-2 text-center text-ink ${isChosen ? "border-ink bg-marigold-wash" : "border-line"}`}
    >
      <DrumDrawing picture={pictureOf(drum.name, sight.seen, play.hour, sight.outside)} className="mx-auto w-20" />
      <span className="block font-semibold leading-tight">{shortName(drum)}</span>
      <span className="text-[0.88rem] text-soft">
        {ended ? OUTCOME_NAMES[ended.outcome] : isFilled ? "goes on" : `filled on day ${weekDay(-one.ageH)}`}
      </span>
    </button>
  );
};

/** What the week came to, drum by drum, beside a calm grower’s. */
const WeekTold = ({ week, plays }: { readonly week: Week; readonly plays: readonly Play[] }) => {
  const calm = useMemo(() => weekBy(week, "calm"), [week]);
  return (
    <section aria-label="The week once more" className="mt-4 grid gap-3">
      <h2 className="text-[1.35rem]">
        {sayCoins(purseOf(week, plays) - PURSE)} coins in this week; a calm grower:{" "}
        {sayCoins(purseOf(week, calm) - PURSE)}
      </h2>
      <p className="max-w-2xl text-soft">One week may be lucky. Over many drums judgement is what pays.</p>
      <ul className="divide-y divide-line border-y border-line">
        {week.drums.map(({ drum }, nth) => {
          const told = retell(drum, plays[nth]!);
          const other = endedOf(drum, calm[nth]!);
          return (
            <li key={drum.name} className="py-2">
              <strong>{shortName(drum)}</strong>:{" "}
              {told
                ? `${inText(OUTCOME_NAMES[told.ended.outcome])}, ${sayCoins(told.ended.net)} coins. ${BETTER[told.better]}`
                : "it still stands, nothing came of it yet."}{" "}
              <span className="text-soft">
                A calm grower:{" "}
                {other ? `${inText(OUTCOME_NAMES[other.outcome])}, ${sayCoins(other.net)}` : "left it for later"}.
              </span>
            </li>
          );
        })}
      </ul>
      <Link href="/practice" className={`${buttonClass("strong")} justify-self-start`}>
        Back to practice
      </Link>
    </section>
  );
};

const Wants = ({ week, plays }: { readonly week: Week; readonly plays: readonly Play[] }) => (
  <ul className="flex flex-wrap gap-x-5">
    {week.wants.map((want) => (
      <li key={want.name}>
        Day {want.day}: a bed wants{" "}
        {inText(findMethod(week.drums.find(({ drum }) => drum.name === want.name)!.drum.methodId).shortName)}
        {isWantMet(week, plays, want) ? `, got it: +${WANT_COINS}` : ` (+${WANT_COINS})`}
      </li>
    ))}
  </ul>
);

/** The drum that was gone to, with what can be done to it now. */
const Now = ({
  one,
  play,
  isFilled,
  leftMin,
  units,
  onPlay,
  children,
}: {
  readonly one: WeekDrum;
  readonly play: Play;
  readonly isFilled: boolean;
  readonly leftMin: number;
  readonly units: "metric" | "us";
  readonly onPlay: (next: Play) => void;
  /** How time is let pass. */
  readonly children: ReactNode;
}) => {
  const sight = sightOf(one.drum, play);
  return (
    <div className="mt-3 grid gap-4">
      {children}
      <p>
        <strong>{findMethod(one.drum.methodId).name}</strong>, {sayVolume(one.drum.volumeL, units)}{" "}
        {TRUE_PLACE_NAMES[one.drum.place]}
        {one.drum.fault ? `. ${FAULT_NOTES[one.drum.fault]}` : "."}
      </p>
      {isFilled && !sight.isOver && leftMin > 0 ? (
        <div className="grid gap-5 md:grid-cols-[14rem_1fr]">
          <DrumBefore drum={one.drum} play={play} sight={sight} said="" />
          <div className="grid content-start gap-4">
            <DrumDeeds drum={one.drum} play={play} onPlay={onPlay} />
            <SeenList drum={one.drum} seen={sight.seen} units={units} />
          </div>
        </div>
      ) : (
        <p className="text-soft">
          {sight.isOver
            ? "This drum is done."
            : leftMin > 0
              ? "It is not filled yet."
              : "No time left for the drums today. Let the night pass."}
        </p>
      )}
    </div>
  );
};

/** Some days on a small farm: several drums, so many minutes a day, beds that want, and a purse. */
export const WeekScreen = ({ seed, units }: { readonly seed: number; readonly units: "metric" | "us" }) => {
  const week = useMemo(() => setUpWeek(seed), [seed]);
  const { draft, keep, drop } = useDraft<WeekPlay>(`practice/week-${seed}`);
  const { hour, plays, spentMin } = draft?.value ?? { hour: 0, plays: weekBegun(week), spentMin: 0 };
  const [chosen, setChosen] = useState(1);
  const one = week.drums[chosen]!;
  const play = plays[chosen]!;
  const isOver = hour >= WEEK_H || plays.every((each, nth) => endedOf(week.drums[nth]!.drum, each) !== null);
  const leftMin = MINUTES_A_DAY - spentMin;
  const pass = (hours: number) => {
    const next = Math.min(WEEK_H, hour + hours);
    keep({
      hour: next,
      plays: weekPasses(week, plays, next),
      spentMin: weekDay(next) === weekDay(hour) ? spentMin : 0,
    });
  };
  const set = (next: Play) =>
    keep({
      hour,
      plays: plays.map((each, nth) => (nth === chosen ? next : each)),
      spentMin: spentMin + minutesOf(play, next),
    });
  return (
    <div className="max-w-5xl px-4 py-5 md:px-8">
      <PracticeHead
        title="A week on a small farm"
        of={
          <>
            week <strong className="reading">{seed}</strong>
          </>
        }
      />
      <p className="reading text-[1.2rem] font-semibold" aria-live="polite">
        Day {weekDay(hour)} of {WEEK_DAYS}, {String((WEEK_STARTS_AT + hour) % 24).padStart(2, "0")}:00 ·{" "}
        {Math.max(0, leftMin)} min left for the drums today · purse {purseOf(week, plays).toFixed(0)} coins
      </p>
      <Wants week={week} plays={plays} />
      <div className="mt-3 grid grid-cols-2 gap-2 sm:grid-cols-4">
        {week.drums.map((each, nth) => (
          <DrumCard
            key={each.drum.name}
            one={each}
            play={plays[nth]!}
            hour={hour}
            isChosen={nth === chosen}
            onChoose={() => setChosen(nth)}
          />
        ))}
      </div>
      {isOver ? (
        <WeekTold week={week} plays={plays} />
      ) : (
        <Now one={one} play={play} isFilled={drumHour(one, hour) >= 0} leftMin={leftMin} units={units} onPlay={set}>
          <Row title="Let time pass">
            {STEPS.map((hours) => (
              <Button key={hours} onClick={() => pass(hours)}>
                {sayStep(hours)}
              </Button>
            ))}
            <Button onClick={() => pass(toMorning(hour))}>to the next morning</Button>
          </Row>
        </Now>
      )}
      <Button variant="quiet" className="mt-4" onClick={drop}>
        Begin this week again
      </Button>
    </div>
  );
};
