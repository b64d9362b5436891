"use client";
import { Calculator } from "lucide-react";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { DomainError } from "@/core/errors";
import type { UnitSystem } from "@/formats/amounts";
import type { Figure, OwnMeasure } from "@/formats/figure/parts";
import { FIGURE_EXAMPLES, workOutFigure } from "@/formats/figure/workOut";
import { useKey } from "./keys";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";

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

/** A line for a figure, opened from anywhere by its key: what is typed is worked out as it is typed, with the working shown. */
export const QuickFigure = ({
  units,
  own = [],
}: {
  readonly units: UnitSystem;
  readonly own?: readonly OwnMeasure[];
}) => {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const { figure, hint } = workOut(text, units, own);

  useKey("w", () => setOpen(true));

  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="flex min-h-11 items-center gap-2 rounded-[5px] px-2 hover:bg-board-ink/15">
        <Calculator aria-hidden className="size-5" />
        <span className="max-sm:sr-only">Work out</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-board/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-0 top-0 z-50 max-h-dvh overflow-y-auto border-b-[3px] border-ink bg-chalk p-4 text-ink outline-none md:left-1/2 md:w-[640px] md:-translate-x-1/2 md:border-x-[3px] md:p-6"
        >
          <Dialog.Title className="text-xl">Work out</Dialog.Title>
          <input
            autoFocus
            aria-label="A figure to work out"
            placeholder={FIGURE_EXAMPLES[0]}
            autoComplete="off"
            value={text}
            onChange={(event) => setText(event.target.value)}
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
                    onClick={() => setText(example)}
                    className="reading min-h-11 rounded-[5px] border-[1.5px] border-line px-3 hover:bg-marigold-wash"
                  >
                    {example}
                  </button>
                </li>
              ))}
            </ul>
          )}
          <Dialog.Close className="mt-4 min-h-11 rounded-[5px] border-[1.5px] border-ink px-4 font-semibold hover:bg-marigold-wash">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
};
