"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { findMethod } from "@/core/book";
import * as drumPlay from "@/core/practice/drum/play";
import { retell } from "@/core/practice/drum/retold";
import { codeOf, setUpDrum, stepsOf, type PracticeDrum } from "@/core/practice/drum/setup";
import type { DrumName } from "@/core/practice/yard/drums";
import type { ActError } from "@/contracts/answer";
import { sayVolume } from "@/formats/amounts";
import { FAULT_NOTES, TRUE_PLACE_NAMES } from "@/words/said";
import { usePracticeAct } from "../acts/practice";
import { Button, buttonClass } from "../kit/Button";
import { Link } from "../kit/Link";
import { Refusal } from "../kit/Refusal";
import { useDraft } from "../kit/useDraft";
import { DaysStrip } from "./DaysStrip";
import { DrumBefore, DrumDeeds, Row } from "./DrumParts";
import { Retold } from "./Retold";
import { SeenList } from "./SeenList";
import { sayStep } from "./sayHour";
import { PracticeHead } from "./PracticeHead";

interface Kept {
  readonly play: drumPlay.Play;
  readonly isLogged: boolean;
}
const FRESH: Kept = { play: drumPlay.BEGUN, isLogged: false };

const Head = ({
  drum,
  code,
  units,
}: {
  readonly drum: PracticeDrum;
  readonly code: string;
  readonly units: "metric" | "us";
}) => (
  <>
    <PracticeHead
      title={findMethod(drum.methodId).name}
      of={
        <>
          drum <strong className="reading">{code}</strong>
        </>
      }
    />
    <p className="max-w-2xl text-soft">
      {sayVolume(drum.volumeL, units)} {TRUE_PLACE_NAMES[drum.place]}.{" "}
      {drum.fault ? <strong className="text-ink">{FAULT_NOTES[drum.fault]}</strong> : "Filled by the recipe."} Nothing
      here touches the farm.
    </p>
  </>
);

/** What may be done once a drum is over. */
const Afterwards = ({
  said,
  error,
  onAgain,
}: {
  readonly said: string;
  readonly error: ActError | null;
  readonly onAgain: () => void;
}) => (
  <>
    <div className="mt-4 flex flex-wrap gap-2">
      <Link href="/practice" className={buttonClass("strong")}>
        What comes next
      </Link>
      <Button onClick={onAgain}>The same drum again</Button>
    </div>
    <p className="mt-2 text-soft">{said}</p>
    <Refusal error={error} />
  </>
);

/** A drum in hours: the learner looks, cares, waits, and ends it; then it is told once more. */
export const DrumScreen = ({
  name,
  seed,
  units,
  isKept,
}: {
  readonly name: DrumName;
  readonly seed: number;
  readonly units: "metric" | "us";
  /** Whether what comes of it is written down for the learner. */
  readonly isKept: boolean;
}) => {
  const drum = useMemo(() => setUpDrum(name, seed), [name, seed]);
  const code = codeOf(name, seed);
  const { draft, keep, drop } = useDraft<Kept>(`practice/${code}`);
  const { play, isLogged } = draft?.value ?? FRESH;
  const [lastDone, setLastDone] = useState("");
  const log = usePracticeAct("logPracticeDrum");
  const course = useMemo(() => drumPlay.coursePlayed(drum, play), [drum, play]);
  const sight = drumPlay.sightOf(drum, play, course);
  const told = useMemo(() => (sight.isOver ? retell(drum, play) : null), [drum, play, sight.isOver]);
  const end = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (sight.isOver) end.current?.querySelector("h2")?.focus();
  }, [sight.isOver]);

  const set = (next: drumPlay.Play, said: string) => {
    setLastDone(said);
    keep({ play: next, isLogged: false });
    const isOver = drumPlay.sightOf(drum, next).isOver;
    if (isOver && isKept)
      void log.run({ code, hour: next.hour, deeds: [...next.deeds] }).then((answer) => {
        if (answer) keep({ play: next, isLogged: true });
      });
  };
  return (
    <div className="max-w-5xl px-4 py-5 md:px-8">
      <Head drum={drum} code={code} units={units} />
      <div className="mt-3">
        <DaysStrip drum={drum} hour={play.hour} />
      </div>
      <div className="mt-3 grid gap-5 md:grid-cols-[18rem_1fr]">
        <DrumBefore drum={drum} play={play} sight={sight} said={lastDone} />
        <div className="grid content-start gap-4">
          {told ? (
            <div ref={end}>
              <Retold drum={drum} told={told} />
              <Afterwards
                said={
                  isKept
                    ? isLogged
                      ? "This drum counts on your practice page."
                      : ""
                    : "You may look only, so nothing is kept."
                }
                error={log.error}
                onAgain={() => {
                  drop();
                  setLastDone("");
                }}
              />
            </div>
          ) : (
            <DrumDeeds play={play} onPlay={set} drum={drum}>
              <Row title="Wait">
                {stepsOf(name).map((hours) => (
                  <Button key={hours} onClick={() => set(drumPlay.wait(drum, play, hours), "")}>
                    {sayStep(hours)}
                  </Button>
                ))}
              </Row>
            </DrumDeeds>
          )}
          <section>
            <h2 className="text-[1.15rem]">What you saw</h2>
            <SeenList drum={drum} seen={sight.seen} units={units} />
          </section>
        </div>
      </div>
    </div>
  );
};
