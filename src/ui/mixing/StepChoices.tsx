import { clsx } from "clsx";
import type { StepAnswer } from "@/core/book/types";

const BIG = "flex min-h-14 w-full items-center gap-3 rounded-[5px] border-2 px-4 py-2 text-left text-lg font-semibold";
const look = (on: boolean) => clsx(BIG, on ? "border-ink bg-marigold-wash" : "border-line bg-chalk");

/** What is ticked before a step counts, each as large as a thumb. */
export const StepChecks = ({
  checks,
  ticked,
  onTick,
}: {
  readonly checks: readonly string[];
  readonly ticked: readonly string[];
  readonly onTick: (ticked: readonly string[]) => void;
}) =>
  checks.length === 0 ? null : (
    <ul className="mt-3 grid gap-2">
      {checks.map((check) => {
        const on = ticked.includes(check);
        return (
          <li key={check}>
            <button
              type="button"
              role="checkbox"
              aria-checked={on}
              onClick={() => onTick(on ? ticked.filter((one) => one !== check) : [...ticked, check])}
              className={look(on)}
            >
              <span
                aria-hidden
                className="grid size-7 shrink-0 place-items-center border-2 border-ink text-xl leading-none"
              >
                {on ? "✓" : ""}
              </span>
              {check}
            </button>
          </li>
        );
      })}
    </ul>
  );

/** What may be found at a step; what it means stands under the one chosen. */
export const StepAnswers = ({
  title,
  answers,
  chosen,
  onChoose,
}: {
  readonly title: string;
  readonly answers: readonly StepAnswer[];
  readonly chosen: StepAnswer | null;
  readonly onChoose: (word: string) => void;
}) =>
  answers.length === 0 ? null : (
    <div role="radiogroup" aria-label={title} className="mt-3 grid gap-2">
      {answers.map(({ word }) => (
        <button
          key={word}
          type="button"
          role="radio"
          aria-checked={chosen?.word === word}
          onClick={() => onChoose(word)}
          className={look(chosen?.word === word)}
        >
          {word}
        </button>
      ))}
      {chosen ? (
        <p role="status" className={`text-lg ${chosen.fits ? "" : "font-semibold text-rust"}`}>
          {chosen.fits ? "◆" : "■"} {chosen.then}
        </p>
      ) : null}
    </div>
  );
