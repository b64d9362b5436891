"use client";
import { DomainError } from "@/core/errors";
import type { UnitSystem } from "@/formats/amounts";
import type { Figure, OwnMeasure } from "@/formats/figure/parts";
import { FIGURE_EXAMPLES, workOutFigure } from "@/formats/figure/workOut";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";

export interface FigureLineProps {
  readonly units: UnitSystem;
  readonly own: readonly OwnMeasure[];
  readonly text: string;
  readonly onType: (text: string) => void;
}

interface Worked {
  readonly figure: Figure | null;
  readonly hint: string | null;
}

function workOut(text: string, units: UnitSystem, own: readonly OwnMeasure[]): Worked {
  if (text.trim() === "") return { figure: null, hint: null };
  try {
    return { figure: workOutFigure(text, { units, measures: [], own }), hint: null };
  } catch (error) {
    if (error instanceof DomainError) return { figure: null, hint: sayDomain(error, speechOf(units)) };
    throw error;
  }
}

const Answers = ({ figure }: { readonly figure: Figure }) => (
  <>
    <dl className="divide-y divide-line border-y border-line">
      {figure.answers.map((answer) => (
        <div key={answer.label + answer.text} className="flex items-baseline justify-between gap-4 py-1.5">
          <dt className="text-soft">{answer.label}</dt>
          <dd className="reading text-right text-xl font-semibold">{answer.text}</dd>
        </div>
      ))}
    </dl>
    <p className="reading mt-2">{figure.working}</p>
    {figure.assumed.map((line) => (
      <p key={line} className="text-[0.88rem] text-soft">
        {line}
      </p>
    ))}
  </>
);

/** What is typed is worked out as it is typed, with the working shown. */
export const FigureLine = ({ units, own, text, onType }: FigureLineProps) => {
  const { figure, hint } = workOut(text, units, own);
  return (
    <>
      <input
        autoFocus
        aria-label="A figure to work out"
        placeholder={FIGURE_EXAMPLES[0]}
        autoComplete="off"
        value={text}
        onChange={(event) => onType(event.target.value)}
        className="reading mt-2 min-h-14 w-full rounded-[5px] border-2 border-ink bg-chalk px-3 text-2xl"
      />
      <div aria-live="polite" className="mt-3">
        {figure ? <Answers figure={figure} /> : null}
        {hint ? (
          <p className="border-l-4 border-marigold bg-marigold-wash px-3 py-2" role="status">
            {hint}
          </p>
        ) : null}
      </div>
      {figure || hint ? null : (
        <ul className="flex flex-wrap gap-2" aria-label="Such as">
          {FIGURE_EXAMPLES.map((example) => (
            <li key={example}>
              <button
                type="button"
                onClick={() => onType(example)}
                className="reading min-h-11 rounded-[5px] border-[1.5px] border-line px-3 hover:bg-marigold-wash"
              >
                {example}
              </button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
};
