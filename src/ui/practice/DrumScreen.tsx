"use client";
import {
  Activity,
  Droplets,
  Eye,
  Fan,
  Flame,
  Hand,
  Leaf,
  RotateCw,
  TestTube,
  Thermometer,
  Wind,
  type LucideIcon,
} from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { findMethod } from "@/core/book";
import type { Care, Look } from "@/core/practice/drum/deeds";
import * as drumPlay from "@/core/practice/drum/play";
import { retell } from "@/core/practice/drum/retold";
import { caresOf, codeOf, looksOf, setUpDrum, stepsOf, type PracticeDrum } from "@/core/practice/drum/setup";
import type { DrumName } from "@/core/practice/yard/drums";
import type { ActError } from "@/contracts/answer";
import { sayVolume } from "@/formats/amounts";
import { inText } from "@/formats/grammar";
import { CARE_NAMES, FAULT_NOTES, LOOK_NAMES, TRUE_PLACE_NAMES } from "@/words/said";
import { usePracticeAct } from "../acts/practice";
import { Button, buttonClass } from "../kit/Button";
import { Link } from "../kit/Link";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { useDraft } from "../kit/useDraft";
import { DaysStrip } from "./DaysStrip";
import { DrumDrawing } from "./DrumDrawing";
import { pictureOf } from "./drumLook";
import { Retold } from "./Retold";
import { SeenList } from "./SeenList";
import { sayHour, sayStep } from "./sayHour";

const LOOK_ICONS: Readonly<Record<Look, LucideIcon>> = {
  "lid": Eye,
  "smell": Wind,
  "solids": Leaf,
  "ph-strip": TestTube,
  "ph-meter": Activity,
  "dip": Thermometer,
};
const CARE_ICONS: Readonly<Record<Care, LucideIcon>> = {
  "stir": RotateCw,
  "vent": Hand,
  "warm": Flame,
  "feed": Droplets,
  "air-on": Fan,
};

interface Kept {
  readonly play: drumPlay.Play;
  readonly isLogged: boolean;
}
const FRESH: Kept = { play: drumPlay.BEGUN, isLogged: false };

/** The buttons of one kind, with what stands before them. */
const Row = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <div role="group" aria-label={title}>
    <p className="mb-1 font-semibold">{title}</p>
    <div className="flex flex-wrap gap-2">{children}</div>
  </div>
);

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
    <p className="text-soft">
      <Link href="/practice" className="thumb underline">
        Practice
      </Link>{" "}
      · drum <strong className="reading">{code}</strong>
    </p>
    <h1 className="text-2xl">{findMethod(drum.methodId).name}</h1>
    <p className="max-w-2xl text-soft">
      {sayVolume(drum.volumeL, units)} {TRUE_PLACE_NAMES[drum.place]}.{" "}
      {drum.fault ? <strong className="text-ink">{FAULT_NOTES[drum.fault]}</strong> : "Filled by the recipe."} Nothing
      here touches the farm.
    </p>
  </>
);

/** The drum as it stands there, with what is seen of it this hour; on a phone it stays in sight while the thumb is at the buttons below. */
const Before = ({
  drum,
  play,
  sight,
  said,
}: {
  readonly drum: PracticeDrum;
  readonly play: drumPlay.Play;
  readonly sight: drumPlay.Sight;
  readonly said: string;
}) => (
  <div className="max-md:sticky max-md:top-0 max-md:z-10 max-md:grid max-md:grid-cols-[7rem_1fr] max-md:items-center max-md:gap-x-3 max-md:border-b max-md:border-line max-md:bg-limewash max-md:pb-1">
    <p className="reading text-[1.2rem] font-semibold max-md:col-start-2">{sayHour(drum, play.hour)}</p>
    <DrumDrawing
      picture={pictureOf(drum.name, sight.seen, play.hour, sight.outside)}
      className="mx-auto w-full max-w-[17rem] max-md:col-start-1 max-md:row-span-4 max-md:row-start-1"
    />
    {sight.outside.isBulging && !sight.isOver ? (
      <Notice tone="caution" title="The lid is swollen">
        Gas can throw it in your face. Stand to the side and open it slowly.
      </Notice>
    ) : null}
    {sight.outside.isPumpSilent && !sight.isOver ? (
      <Notice tone="caution" title="The pump is silent">
        No air goes in.
      </Notice>
    ) : null}
    <p aria-live="polite" className="mt-1 min-h-6 md:text-center">
      {said}
    </p>
  </div>
);

/** All that can be done now: look, care, wait, end. */
const Deeds = ({
  name,
  drum,
  play,
  onPlay,
}: {
  readonly name: DrumName;
  readonly drum: PracticeDrum;
  readonly play: drumPlay.Play;
  readonly onPlay: (next: drumPlay.Play, said: string) => void;
}) => (
  <>
    <Row title="Look">
      {looksOf(name).map((what) => {
        const Icon = LOOK_ICONS[what];
        const isLooked = play.deeds.some(
          (deed) => deed.kind === "look" && deed.look === what && deed.hour === play.hour,
        );
        return (
          <Button key={what} disabled={isLooked} onClick={() => onPlay(drumPlay.look(play, what), "")}>
            <Icon aria-hidden className="size-5" />
            {LOOK_NAMES[what]}
          </Button>
        );
      })}
    </Row>
    <Row title="Do">
      {caresOf(name).map((what) => {
        const Icon = CARE_ICONS[what];
        return (
          <Button key={what} onClick={() => onPlay(drumPlay.careFor(play, what), `Done: ${inText(CARE_NAMES[what])}`)}>
            <Icon aria-hidden className="size-5" />
            {CARE_NAMES[what]}
          </Button>
        );
      })}
    </Row>
    <Row title="Wait">
      {stepsOf(name).map((hours) => (
        <Button key={hours} onClick={() => onPlay(drumPlay.wait(drum, play, hours), "")}>
          {sayStep(hours)}
        </Button>
      ))}
    </Row>
    <Row title="End it">
      <Button variant="strong" onClick={() => onPlay(drumPlay.end(play, "use"), "")}>
        Strain and use it
      </Button>
      <Button variant="danger" onClick={() => onPlay(drumPlay.end(play, "throw-out"), "")}>
        Throw it away
      </Button>
    </Row>
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
        <Before drum={drum} play={play} sight={sight} said={lastDone} />
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
            <Deeds name={name} play={play} onPlay={set} drum={drum} />
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
