"use client";
import { useEffect, useState } from "react";
import { findMethod } from "@/core/book";
import type { Outcome } from "@/core/practice/drum/ending";
import { mistakesOf, tryMistake, type Mistake, type Tried } from "@/core/practice/mistakes";
import { YARD_METHODS, type DrumName } from "@/core/practice/yard/drums";
import { CAUTIONS } from "@/core/book/cautions";
import { MISTAKE_NAMES, MISTAKE_TEACHES, OUTCOME_NAMES } from "@/words/said";
import { BookText } from "../kit/BookText";
import { Choices } from "../kit/Choices";
import { Notice } from "../kit/Notice";
import { RowsTable } from "../kit/RowsTable";
import { sayCoins } from "./sayHour";
import { PracticeHead } from "./PracticeHead";

/** So many drums tell it; the same ones with the mistake and without. */
const DRUMS = 40;
const GROUPS: readonly { readonly name: string; readonly look: string; readonly has: readonly Outcome[] }[] = [
  { name: "used in time", look: "bg-leaf-wash", has: ["used-in-time"] },
  {
    name: "thrown away",
    look: "bg-galvanised",
    has: ["thrown-out-rightly", "thrown-out-past", "thrown-out-sound", "left-standing"],
  },
  { name: "early or late", look: "bg-marigold-wash", has: ["used-too-soon", "used-too-late"] },
  { name: "bad on the bed, or burst", look: "bg-rust-wash", has: ["used-spoilt", "burst"] },
];

const Bar = ({ title, tried }: { readonly title: string; readonly tried: readonly Tried[] }) => {
  const of = (group: (typeof GROUPS)[number]) => tried.filter(({ outcome }) => group.has.includes(outcome)).length;
  const mean = tried.reduce((sum, { net }) => sum + net, 0) / Math.max(1, tried.length);
  return (
    <div>
      <p className="flex justify-between">
        <span className="font-semibold">{title}</span>
        <span className="reading">
          {tried.length < DRUMS ? `${tried.length} of ${DRUMS} drums …` : `${sayCoins(mean)} coins a drum`}
        </span>
      </p>
      <div
        role="img"
        aria-label={`${title}: ${GROUPS.map((group) => `${of(group)} ${group.name}`).join(", ")}`}
        className="flex h-12 border-2 border-ink"
      >
        {GROUPS.map((group) =>
          of(group) === 0 ? null : (
            <span
              key={group.name}
              className={`overflow-hidden px-1.5 py-1 text-[0.88rem] leading-tight ${group.look}`}
              style={{ width: `${(100 * of(group)) / DRUMS}%` }}
            >
              {of(group)} {of(group) > 4 ? group.name : ""}
            </span>
          ),
        )}
      </div>
    </div>
  );
};

/** Tries so many drums one after the other, giving the page its turn between. */
function useTried(name: DrumName, mistake: Mistake | null): readonly Tried[] {
  const [all, setAll] = useState<{ readonly of: string; readonly tried: readonly Tried[] }>({ of: "", tried: [] });
  const of = `${name}|${mistake ?? ""}`;
  useEffect(() => {
    let [tried, timer]: [readonly Tried[], ReturnType<typeof setTimeout> | undefined] = [[], undefined];
    const next = () => {
      tried = [...tried, tryMistake(name, mistake, tried.length + 1)];
      setAll({ of, tried });
      if (tried.length < DRUMS) timer = setTimeout(next);
    };
    timer = setTimeout(next);
    return () => clearTimeout(timer);
  }, [of, name, mistake]);
  return all.of === of ? all.tried : [];
}

/** One thing done wrong, all else as a calm grower does it: the same drums side by side. */
export const MistakesScreen = () => {
  const [name, setName] = useState<DrumName>("extract");
  const [chosen, setMistake] = useState<Mistake>("dirty-vessel");
  const mistakes = mistakesOf(name);
  const mistake = mistakes.includes(chosen) ? chosen : mistakes[0]!;
  const [plain, wrong] = [useTried(name, null), useTried(name, mistake)];
  return (
    <div className="max-w-3xl px-4 py-5 md:px-8">
      <PracticeHead title="What a mistake costs" />
      <p className="text-soft">
        One thing is done wrong, all else as a calm grower does it. Both bars are the same {DRUMS} made-up drums.
      </p>
      <div className="mt-3 grid gap-4">
        <Choices
          label="Brew"
          value={name}
          options={YARD_METHODS.map((one) => ({ value: one.name, label: findMethod(one.method).shortName }))}
          onChange={setName}
        />
        <Choices
          label="Mistake"
          value={mistake}
          options={mistakes.map((value) => ({ value, label: MISTAKE_NAMES[value] }))}
          onChange={setMistake}
        />
        <Bar title="By the recipe" tried={plain} />
        <Bar title={MISTAKE_NAMES[mistake]} tried={wrong} />
        <p className="text-[1.15rem]">{MISTAKE_TEACHES[mistake]}</p>
        {mistake === "tight-lid" ? (
          <Notice tone="caution" title="This one hurts people">
            <BookText>{CAUTIONS["gas-pressure"]}</BookText>
          </Notice>
        ) : null}
        <RowsTable
          name="mistake"
          heads={["What became of it", "By the recipe", MISTAKE_NAMES[mistake]]}
          rows={(Object.keys(OUTCOME_NAMES) as Outcome[]).map((outcome) => [
            OUTCOME_NAMES[outcome],
            ...[plain, wrong].map((tried) => String(tried.filter((one) => one.outcome === outcome).length)),
          ])}
        />
      </div>
    </div>
  );
};
