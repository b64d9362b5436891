"use client";
import { useState, type FormEvent } from "react";
import { DRILL_KINDS, drawDrill, isRightAnswer, levelAfter, type DrillLevel } from "@/core/practice/drills";
import { parseNumber } from "@/formats/numbers";
import { askDrill, DRILL_NAMES, trickOf } from "@/words/said";
import { usePracticeAct } from "../acts/practice";
import { Button } from "../kit/Button";
import { NumberField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { PracticeHead } from "./PracticeHead";

/** Sums that growers do in the head: right and wrong told at once, with the trick; harder as they go right. */
export const SumsScreen = ({
  units,
  isKept,
  firstSeed,
}: {
  readonly units: "metric" | "us";
  readonly isKept: boolean;
  readonly firstSeed: number;
}) => {
  const [nth, setNth] = useState(0);
  const [level, setLevel] = useState<DrillLevel>(1);
  const [answers, setAnswers] = useState<readonly boolean[]>([]);
  const [typed, setTyped] = useState("");
  const [said, setSaid] = useState<number | null>(null);
  const [error, setError] = useState<string>();
  const log = usePracticeAct("logPracticeSum");
  const seed = firstSeed + nth;
  const drill = drawDrill(DRILL_KINDS[nth % DRILL_KINDS.length]!, level, units, seed);
  const isRight = said !== null && isRightAnswer(drill, said);

  const answer = (event: FormEvent) => {
    event.preventDefault();
    const figure = parseNumber(typed);
    if (figure === null || figure < 0) return setError("Enter a number.");
    setSaid(figure);
    setAnswers([...answers, isRightAnswer(drill, figure)]);
    if (isKept) void log.run({ kind: drill.kind, level, system: units, seed, said: Math.min(figure, 1_000_000) });
  };
  const next = () => {
    setLevel(levelAfter(level, answers));
    setNth(nth + 1);
    setTyped("");
    setSaid(null);
  };
  return (
    <div className="max-w-2xl px-4 py-5 md:px-8">
      <PracticeHead title="Sums in the head" />
      <p className="text-soft">
        {DRILL_NAMES[drill.kind]} · step {level} of 5 · {answers.filter(Boolean).length} of {answers.length} right
      </p>
      <form onSubmit={answer} className="mt-4 grid gap-3">
        <p className="text-[1.35rem] leading-snug">{askDrill(drill)}</p>
        <NumberField
          label="Your answer"
          unit={drill.unit}
          value={typed}
          error={error}
          disabled={said !== null}
          autoComplete="off"
          onChange={({ target }) => {
            setTyped(target.value);
            setError(undefined);
          }}
        />
        {said === null ? (
          <Button type="submit" variant="strong">
            Check it
          </Button>
        ) : null}
      </form>
      <div aria-live="polite" className="mt-3">
        {said !== null ? (
          <>
            <Notice tone={isRight ? "plain" : "caution"} title={isRight ? "Right" : "Not quite"}>
              <p>{trickOf(drill)}</p>
            </Notice>
            <Button variant="strong" className="mt-3" autoFocus onClick={next}>
              Next sum
            </Button>
          </>
        ) : null}
      </div>
    </div>
  );
};
