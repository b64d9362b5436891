"use client";
import { clsx } from "clsx";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { scoringOrder, type ScoringTurn } from "@/core/trial/farm";
import { counted } from "@/formats/grammar";
import { formatNumber, parseNumber } from "@/formats/numbers";
import type { ScoringView } from "@/services/trials";
import { cardOf, READING_HOW, READING_NAMES } from "@/words/said";
import { useTrialsAct } from "../acts/trials";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/fields";
import { Link } from "../kit/Link";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { useDraft } from "../kit/useDraft";
import { unitName } from "./unitName";

/** A scoring as far as it has come, kept on this device. */
interface Scoring {
  readonly order: readonly ScoringTurn[];
  readonly readings: readonly { readonly code: string; readonly parts: readonly number[]; readonly isAgain: boolean }[];
  readonly guesses: Readonly<Record<string, "with" | "without">>;
}
/** Shades of a step, for who does not read the language; the words stand beside. */
const SHADES: Partial<Readonly<Record<ScoringView["kind"], readonly string[]>>> = {
  colour: ["#d9c64a", "#b5c35a", "#7da540", "#4c8336", "#2c5a2c"],
};

const StepButtons = ({
  view,
  value,
  onPick,
}: {
  readonly view: ScoringView;
  readonly value: number | null;
  readonly onPick: (step: number) => void;
}) => (
  <div role="radiogroup" aria-label={READING_NAMES[view.kind]} className="grid gap-2">
    {cardOf(view).map((word, nth) => (
      <button
        key={nth}
        type="button"
        role="radio"
        aria-checked={value === nth + 1}
        onClick={() => onPick(nth + 1)}
        className={clsx(
          "flex min-h-14 items-center gap-4 rounded-[5px] border-2 px-3 text-left text-[1.1rem]",
          value === nth + 1 ? "border-ink bg-marigold-wash font-semibold" : "border-line bg-chalk",
        )}
      >
        <span className="reading w-6 text-xl font-semibold">{nth + 1}</span>
        {SHADES[view.kind] ? (
          <span aria-hidden className="h-9 w-16 border-2 border-ink" style={{ background: SHADES[view.kind]![nth] }} />
        ) : null}
        {word}
      </button>
    ))}
  </div>
);

/** One strip after the other, by its stake's code, in an order that was drawn; what was said of one before is not shown, and there is no way back. */
const Turn = ({
  view,
  turn,
  nth,
  count,
  onNext,
}: {
  readonly view: ScoringView;
  readonly turn: ScoringTurn;
  readonly nth: number;
  readonly count: number;
  readonly onNext: (parts: readonly number[]) => void;
}) => {
  const [parts, setParts] = useState<readonly number[]>([]);
  const [typed, setTyped] = useState("");
  const unit = view.units.find(({ code }) => code === turn.code)!;
  const isScore = view.scale === "ordinal";
  const isPercent = view.kind === "disease-share";
  const value = parseNumber(typed);
  const all = value === null ? parts : [...parts, isPercent ? value / 100 : value];
  return (
    <div className="grid gap-4">
      <p className="text-soft" aria-live="polite">
        Strip {nth + 1} of {count}
        {turn.isAgain ? ", once more" : ""}
      </p>
      <p>
        <span className="reading mr-3 inline-block border-2 border-ink bg-chalk px-4 py-2 text-4xl font-semibold">
          {turn.code}
        </span>
        <span className="text-[1.05rem]">{unitName(unit)}</span>
      </p>
      <p className="text-soft">{READING_HOW[view.kind]}</p>
      {isScore ? (
        <StepButtons view={view} value={parts[0] ?? null} onPick={(step) => setParts([step])} />
      ) : (
        <>
          <NumberField
            label={parts.length > 0 ? `${READING_NAMES[view.kind]}, the next plant` : READING_NAMES[view.kind]}
            unit={view.unit || undefined}
            value={typed}
            className="min-h-14 text-2xl"
            onChange={({ target }) => setTyped(target.value)}
          />
          {parts.length > 0 ? (
            <p className="reading">
              {counted(parts.length, { one: "One so far", other: "# so far" })}:{" "}
              {parts.map((one) => formatNumber(isPercent ? 100 * one : one)).join(", ")}{" "}
              <Button variant="quiet" onClick={() => setParts(parts.slice(0, -1))}>
                take the last out
              </Button>
            </p>
          ) : null}
          <Button
            disabled={value === null}
            onClick={() => {
              setParts(all);
              setTyped("");
            }}
          >
            And another plant of this strip
          </Button>
        </>
      )}
      <Button
        variant="strong"
        className="min-h-14 text-[1.1rem]"
        disabled={(isScore ? parts : all).length === 0}
        onClick={() => onNext(isScore ? parts : all)}
      >
        Next strip
      </Button>
    </div>
  );
};

/** Which got it? Asked at the end: whoever could tell was not blind. */
const Guesses = ({
  view,
  guesses,
  onGuess,
}: {
  readonly view: ScoringView;
  readonly guesses: Scoring["guesses"];
  readonly onGuess: (code: string, guess: "with" | "without" | null) => void;
}) => (
  <section aria-labelledby="guesses">
    <h2 id="guesses" className="text-xl">
      Which got it, do you think?
    </h2>
    <p className="text-soft">Only where you believe you know. It shows whether your readings may lean.</p>
    <ul className="mt-2 divide-y divide-line border-y border-line">
      {view.units.map(({ code }) => (
        <li key={code} className="flex items-center justify-between gap-2 py-1">
          <span className="reading text-lg font-semibold">{code}</span>
          <span className="flex gap-1" role="group" aria-label={code}>
            {(["with", "without"] as const).map((guess) => (
              <Button
                key={guess}
                aria-pressed={guesses[code] === guess}
                className={guesses[code] === guess ? "bg-marigold-wash" : ""}
                onClick={() => onGuess(code, guesses[code] === guess ? null : guess)}
              >
                {guess}
              </Button>
            ))}
          </span>
        </li>
      ))}
    </ul>
  </section>
);

/** What is about to be done, before the first strip. */
const Before = ({ view, onBegin }: { readonly view: ScoringView; readonly onBegin: () => void }) => (
  <div className="mt-3 grid gap-4">
    <p>
      {counted(view.units.length, { one: "One strip", other: "# strips" })}, one after the other, in a drawn order. You
      see codes, not what they got. Some come up twice. There is no going back to one that is read.
    </p>
    {view.isBlind ? null : (
      <p className="border-l-4 border-marigold bg-marigold-wash px-3 py-2">
        You know which strip gets what. Your readings count, but the trial will say so. Better let somebody else read.
      </p>
    )}
    <Button variant="strong" className="min-h-14 text-[1.1rem]" onClick={onBegin}>
      Begin
    </Button>
  </div>
);

/** All strips are read: a guess at each, and it is written down. */
const After = ({
  view,
  scoring,
  keep,
  drop,
}: {
  readonly view: ScoringView;
  readonly scoring: Scoring;
  readonly keep: (scoring: Scoring) => void;
  readonly drop: () => void;
}) => {
  const router = useRouter();
  const act = useTrialsAct("scoreTrial");
  const send = async () => {
    const answer = await act.run({
      trialId: view.id,
      readings: scoring.readings.map((one) => ({ ...one, parts: [...one.parts] })),
      guesses: Object.entries(scoring.guesses).map(([code, guess]) => ({ code, guess })),
    });
    if (!answer) return;
    drop();
    told(
      answer.isHard
        ? "Written down. What came up twice was scored two steps apart: the card is hard to read here."
        : "Written down.",
    );
    router.push(`/field/trials/${view.id}`);
  };
  return (
    <div className="mt-3 grid gap-4">
      <Guesses
        view={view}
        guesses={scoring.guesses}
        onGuess={(code, guess) => {
          const { [code]: _before, ...rest } = scoring.guesses;
          keep({ ...scoring, guesses: guess === null ? rest : { ...rest, [code]: guess } });
        }}
      />
      <div>
        <Refusal error={act.error} />
        <div className="flex gap-2">
          <Button
            variant="strong"
            wide
            className="min-h-14 text-[1.1rem]"
            disabled={act.busy}
            onClick={() => void send()}
          >
            Done, write it down
          </Button>
          <Button variant="quiet" onClick={drop}>
            Begin again
          </Button>
        </div>
      </div>
    </div>
  );
};

/** Reads the strips of a trial by phone, in the row. It is kept on the device until it is sent, and goes without a signal. */
export const ScoreScreen = ({ view }: { readonly view: ScoringView }) => {
  const { draft, keep, drop } = useDraft<Scoring>(`score/${view.id}`);
  const scoring = draft?.value ?? null;
  const codes = view.units.map(({ code }) => code);
  // Lots drawn anew or strips that joined since: what was begun is of other stakes.
  const isOf = scoring !== null && scoring.order.every(({ code }) => codes.includes(code));
  const done = scoring?.readings.length ?? 0;
  const turn = isOf ? scoring.order[done] : undefined;
  const begin = () =>
    keep({ order: scoringOrder(codes, Math.floor(Math.random() * 2 ** 31)), readings: [], guesses: {} });
  return (
    <div className="mx-auto max-w-lg px-4 py-5">
      <p className="text-soft">
        <Link href={`/field/trials/${view.id}`} className="underline">
          {view.question}
        </Link>
      </p>
      <h1 className="text-2xl">Read the strips</h1>
      {!isOf ? <Before view={view} onBegin={begin} /> : null}
      {isOf && turn ? (
        <div className="mt-3">
          <Turn
            key={done}
            view={view}
            turn={turn}
            nth={done}
            count={scoring.order.length}
            onNext={(parts) => keep({ ...scoring, readings: [...scoring.readings, { ...turn, parts }] })}
          />
          <p className="mt-6">
            <Button variant="quiet" onClick={drop}>
              Begin again from the first
            </Button>
          </p>
        </div>
      ) : null}
      {isOf && !turn ? <After view={view} scoring={scoring} keep={keep} drop={drop} /> : null}
    </div>
  );
};
