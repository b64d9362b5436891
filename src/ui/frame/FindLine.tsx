"use client";
import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { DomainError } from "@/core/errors";
import type { UnitSystem } from "@/formats/amounts";
import type { Figure, OwnMeasure } from "@/formats/figure/parts";
import { FIGURE_EXAMPLES, workOutFigure } from "@/formats/figure/workOut";
import type { FindType, FoundThing } from "@/services/find";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";
import { useDoor } from "../acts/act";
import { PAGES_FOUND } from "./pagesFound";

export interface FindLineProps {
  readonly units: UnitSystem;
  readonly own: readonly OwnMeasure[];
  readonly text: string;
  readonly onType: (text: string) => void;
  readonly onGone: () => void;
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

const TYPE_WORDS: Readonly<Record<FindType | "page", string>> = {
  vessel: "vessel",
  batch: "batch",
  container: "container",
  bed: "bed",
  method: "method",
  ingredient: "ingredient",
  person: "person",
  water: "water",
  page: "page",
};

/** What has a name on this farm; asked for once the line is open. */
function useThings(): readonly FoundThing[] {
  const door = useDoor();
  const [things, setThings] = useState<readonly FoundThing[]>([]);
  useEffect(() => {
    const asking = new AbortController();
    // Without an answer pages and figures are found all the same.
    void door.read("find", {}, asking.signal).then(
      (answer) => answer.ok && setThings((answer.value as { readonly things: readonly FoundThing[] }).things),
      () => undefined,
    );
    return () => asking.abort();
  }, [door]);
  return things;
}

/** Words that each stand somewhere in a name or its note, the shorter name first. */
function matching(text: string, things: readonly FoundThing[]) {
  const wanted = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return [];
  const pages = PAGES_FOUND.map(({ href, name, words }) => ({
    type: "page" as const,
    id: href,
    name,
    note: "",
    href,
    words: words.join(" "),
  }));
  return [...pages, ...things.map((thing) => ({ ...thing, words: "" }))]
    .filter(({ name, note, words, type }) => {
      const all = `${name} ${note} ${words} ${TYPE_WORDS[type]}`.toLowerCase();
      return wanted.every((word) => all.includes(word));
    })
    .toSorted(
      (a, b) =>
        Number(b.name.toLowerCase().startsWith(wanted[0]!)) - Number(a.name.toLowerCase().startsWith(wanted[0]!)) ||
        a.name.length - b.name.length,
    )
    .slice(0, SHOWN);
}
const SHOWN = 12;

const ROW =
  "flex min-h-11 cursor-pointer items-center justify-between gap-4 px-3 data-[selected=true]:bg-marigold-wash";

/** One line: a figure is worked out as it is typed, with the working shown; a name leads to its page. */
export const FindLine = ({ units, own, text, onType, onGone }: FindLineProps) => {
  const router = useRouter();
  const { figure, hint } = workOut(text, units, own);
  const found = matching(text, useThings());
  const go = (href: string) => {
    onGone();
    router.push(href);
  };
  return (
    <Command label="Find or calculate" shouldFilter={false} loop>
      <Command.Input
        autoFocus
        placeholder={`A name, or ${FIGURE_EXAMPLES[0]}`}
        value={text}
        onValueChange={onType}
        className="reading mt-2 min-h-14 w-full rounded-[5px] border-2 border-ink bg-chalk px-3 text-2xl"
      />
      <div aria-live="polite" className="mt-3">
        {figure ? <Answers figure={figure} /> : null}
        {hint && found.length === 0 ? (
          <p className="border-l-4 border-marigold bg-marigold-wash px-3 py-2" role="status">
            {hint}
          </p>
        ) : null}
      </div>
      <Command.List className="mt-2 max-h-[50dvh] overflow-y-auto empty:hidden">
        {found.map(({ type, id, name, note, href }) => (
          <Command.Item key={`${type}/${id}`} value={`${type}/${id}`} onSelect={() => go(href)} className={ROW}>
            <span className="min-w-0 truncate font-semibold">{name}</span>
            <span className="shrink-0 text-[0.9rem] text-soft">
              {TYPE_WORDS[type]}
              {note ? `, ${note}` : ""}
            </span>
          </Command.Item>
        ))}
      </Command.List>
      {figure || hint || found.length > 0 ? null : (
        <ul className="flex flex-wrap gap-2" aria-label="Examples">
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
    </Command>
  );
};
