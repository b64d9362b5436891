"use client";
import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import { findMethod } from "@/core/book";
import { readDrumCode } from "@/core/practice/drum/setup";
import { nextToPractise } from "@/core/practice/spacing";
import { YARD_METHODS } from "@/core/practice/yard/drums";
import { counted } from "@/formats/grammar";
import { sayDay } from "@/formats/times";
import type { Learner, PracticeView } from "@/services/practice";
import { JUDGEMENT_NAMES } from "@/words/said";
import { usePracticeAct } from "../acts/practice";
import { Button, buttonClass } from "../kit/Button";
import { TextField } from "../kit/fields";
import { Link } from "../kit/Link";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { anyDrum, anySeed, hrefFor, hrefOfDrum } from "./practiceLinks";

/** What comes next is chosen by what is weak. */
const Next = ({ me, today }: { readonly me: Learner; readonly today: string }) => {
  const router = useRouter();
  const next = nextToPractise(me.standings, today);
  const where = next ? hrefFor(next.judgement) : "drum";
  const go = () => router.push(where === "drum" ? anyDrum() : where);
  return (
    <section className="border-2 border-ink bg-chalk p-4">
      <h2 className="text-[1.2rem]">Next for you</h2>
      <p className="mt-1 max-w-xl">
        {next === null
          ? "Nothing is due today. One drum more does no harm."
          : next.box === 0
            ? `${JUDGEMENT_NAMES[next.judgement]}: you have not tried this yet.`
            : `${JUDGEMENT_NAMES[next.judgement]}: ${next.right} right, ${next.wrong} wrong so far.`}
      </p>
      <Button variant="strong" className="mt-3" onClick={go}>
        {where === "drum" ? "Start a drum" : where === "/practice/sums" ? "Do sums" : "Answer on safety"}
      </Button>
    </section>
  );
};

const CodeForm = () => {
  const router = useRouter();
  const [code, setCode] = useState("");
  const [error, setError] = useState<string>();
  const go = (event: FormEvent) => {
    event.preventDefault();
    const read = readDrumCode(code);
    if (read) router.push(hrefOfDrum(read.name, read.seed));
    else setError("No practice drum has this code. A code looks like “tea-12”.");
  };
  return (
    <form onSubmit={go} className="flex flex-wrap items-end gap-2">
      <TextField
        label="Play a drum by its code"
        hint="The same code is the same drum for all."
        value={code}
        error={error}
        onChange={({ target }) => {
          setCode(target.value);
          setError(undefined);
        }}
      />
      <Button type="submit">Open it</Button>
    </form>
  );
};

const Standings = ({ learner, today }: { readonly learner: Learner; readonly today: string }) => (
  <table className="w-full max-w-xl text-left">
    <thead>
      <tr className="border-b border-ink">
        <th scope="col" className="py-1 pr-3">
          Judgement
        </th>
        <th scope="col" className="py-1 pr-3 text-right">
          Right
        </th>
        <th scope="col" className="py-1 pr-3 text-right">
          Wrong
        </th>
        <th scope="col" className="py-1">
          Asked again
        </th>
      </tr>
    </thead>
    <tbody>
      {learner.standings.map(({ judgement, right, wrong, box, dueOn }) => (
        <tr key={judgement} className="border-b border-line">
          <th scope="row" className="py-1.5 pr-3 font-normal">
            {JUDGEMENT_NAMES[judgement]}
          </th>
          <td className="reading py-1.5 pr-3 text-right">{right}</td>
          <td className="reading py-1.5 pr-3 text-right">{wrong}</td>
          <td className="reading py-1.5">
            {box === 0 || dueOn === null ? "not tried" : dueOn <= today ? "today" : sayDay(dueOn)}
          </td>
        </tr>
      ))}
    </tbody>
  </table>
);

/** Who may judge what alone: what practice says, and what a steward said. */
const LeaveTable = ({ learners }: { readonly learners: readonly Learner[] }) => {
  const act = usePracticeAct("setPracticeLeave");
  const router = useRouter();
  const change = async (personId: number, methodId: string, isGiven: boolean) => {
    if (await act.run({ personId, methodId, isGiven })) {
      told(isGiven ? "May judge it alone." : "Asks first from now on.");
      router.refresh();
    }
  };
  return (
    <section>
      <h2 className="text-[1.2rem]">Who may judge alone</h2>
      <p className="max-w-2xl text-soft">
        Practice says “sure” after 4 of the last 5 drums went right and none did harm. You decide.
      </p>
      <Refusal error={act.error} />
      <ul className="mt-2 grid gap-4">
        {learners.map(({ personId, name, methods, lastOn }) => (
          <li key={personId} className="border-t border-line pt-2">
            <p>
              <strong>{name}</strong>{" "}
              <span className="text-soft">
                {lastOn ? `practised last on ${sayDay(lastOn)}` : "has not practised yet"}
              </span>
            </p>
            <ul className="mt-1 flex flex-wrap gap-2">
              {methods.map(({ methodId, drums, right, isSure, hasLeave }) => (
                <li key={methodId}>
                  <button
                    type="button"
                    aria-pressed={hasLeave}
                    disabled={act.busy}
                    onClick={() => void change(personId, methodId, !hasLeave)}
                    className={`min-h-11 rounded-[5px] border-[1.5px] px-3 py-1 text-left ${hasLeave ? "border-leaf bg-leaf-wash" : "border-line bg-chalk"}`}
                  >
                    <span className="block font-semibold">
                      {hasLeave ? "✓ " : ""}
                      {findMethod(methodId).shortName}
                    </span>
                    <span className="text-[0.88rem] text-soft">
                      {drums === 0
                        ? "no drum yet"
                        : `${right} of ${counted(drums, { one: "1 drum", other: "# drums" })} right`}
                      {isSure ? ", sure" : ""}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
};

const WAYS = [
  { href: "/practice/signs", name: "Signs in pictures", note: "What foam, film and solids look like" },
  { href: "/practice/growth", name: "Growth and crash", note: "Turn warmth, food and air" },
  { href: "/practice/mistakes", name: "What a mistake costs", note: "Cold, chlorine, tight lid, late use" },
  { href: "/practice/sums", name: "Sums in the head", note: "Cans, drums, 1 to 1 to 1 to 100" },
  { href: "/practice/safety", name: "Safety", note: "What can hurt someone here?" },
  { href: "/practice/answers", name: "Ask Ruchka", note: "Answers from this farm’s recipes and rules" },
] as const;

/** Where practice begins: what is next, all ways to practise, how it stands. */
export const PracticeScreen = ({ view }: { readonly view: PracticeView }) => {
  const router = useRouter();
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-6 px-4 py-5 md:px-8">
      <div>
        <h1 className="text-2xl">Practice</h1>
        <p className="max-w-2xl text-soft">Made-up drums to learn on. Nothing here touches the farm.</p>
      </div>
      <Next me={view.me} today={view.today} />
      <section>
        <h2 className="text-[1.2rem]">A drum in minutes</h2>
        <ul className="mt-2 grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
          {YARD_METHODS.map(({ name, method }) => (
            <li key={name} className="flex items-center justify-between gap-2 border border-line bg-chalk px-3 py-2">
              <span>
                <span className="block font-semibold">{findMethod(method).name}</span>
                <Link href={`/practice/lessons/${method}`} className="thumb underline">
                  Lesson
                </Link>
              </span>
              <Button
                onClick={() => router.push(hrefOfDrum(name))}
                aria-label={`Start a drum: ${findMethod(method).name}`}
              >
                Start
              </Button>
            </li>
          ))}
        </ul>
        <div className="mt-3">
          <CodeForm />
        </div>
      </section>
      <section>
        <h2 className="text-[1.2rem]">A week on a small farm</h2>
        <p className="max-w-2xl text-soft">Four drums at once, beds that want, and half an hour a day for the drums.</p>
        <Button className="mt-2" onClick={() => router.push(`/practice/week/${anySeed()}`)}>
          Start a week
        </Button>
      </section>
      <ul className="grid gap-2 sm:grid-cols-2 lg:grid-cols-3">
        {WAYS.map(({ href, name, note }) => (
          <li key={href}>
            <Link href={href} className={`${buttonClass("plain", true)} flex-col !items-start py-2`}>
              {name}
              <span className="font-normal text-soft">{note}</span>
            </Link>
          </li>
        ))}
      </ul>
      <section>
        <h2 className="text-[1.2rem]">How you judge</h2>
        <p className="max-w-2xl text-soft">
          What you get right is asked again after 1, 2, 4, 8 and 16 days; what you get wrong, the next day (Leitner
          1972).
        </p>
        <div className="mt-2 overflow-x-auto">
          <Standings learner={view.me} today={view.today} />
        </div>
        {view.me.methods.some(({ hasLeave }) => hasLeave) ? (
          <p className="mt-2">
            You may judge alone:{" "}
            {view.me.methods
              .filter(({ hasLeave }) => hasLeave)
              .map(({ methodId }) => findMethod(methodId).shortName)
              .join(", ")}
            .
          </p>
        ) : null}
      </section>
      {view.others.length > 0 ? <LeaveTable learners={view.others} /> : null}
    </div>
  );
};
