"use client";
import { useState } from "react";
import { findRecipe } from "@/core/book";
import { GOALS, type GoalId } from "@/core/book/goals";
import { USES } from "@/core/book/uses";
import { methodsFor } from "@/core/choose/byGoal";
import { SYMPTOM_IDS, SYMPTOMS, type SymptomId } from "@/core/programme/symptoms";
import { suggestionsFor } from "@/core/programme/wants";
import { sayDilution } from "@/formats/amounts";
import { sayDay } from "@/formats/times";
import type { PlotPage } from "@/services/field";
import { CAUSE_WORDS, NOT_PROVEN, SYMPTOM_WORDS, WANT_WORDS } from "@/words/said";
import { SelectField } from "../kit/fields";
import { Link } from "../kit/Link";
import { counted, inText } from "@/formats/grammar";

const SHOWN = 3;

/** By the farm's own programmes: what is due on this plot, and what is late. */
const ByProgramme = ({ page }: { readonly page: PlotPage }) =>
  page.due.length === 0 ? null : (
    <ul aria-label="By your schedules">
      {page.due.slice(0, SHOWN).map(({ methodId, use, day, programmeId, step }) => (
        <li key={`${programmeId} ${step} ${day}`} className="border-b border-line py-1">
          <b>{findRecipe(methodId).name}</b>, {inText(USES[use].name)}:{" "}
          <span className={day < page.today ? "font-semibold text-rust" : ""}>
            {day < page.today ? `late since ${sayDay(day)}` : day === page.today ? "today" : sayDay(day)}
          </span>
        </li>
      ))}
    </ul>
  );

/** By the book: what growers give at this stage, and why. */
const ByTheBook = ({ page }: { readonly page: PlotPage }) => {
  const found = suggestionsFor({
    stage: page.growth,
    perennial: page.isPerennial,
    isToBePlanted: page.plot.next !== null,
    lastByMethod: page.lastByMethod,
  });
  if (found.length === 0) return <p className="text-soft">Nothing: it had it all of late.</p>;
  const reasons = [...new Set(found.map(({ because }) => because))];
  return (
    <>
      {reasons.map((because) => (
        <div key={because} className="py-1">
          <p>{WANT_WORDS[because]}</p>
          <ul>
            {found
              .filter((one) => one.because === because)
              .map(({ methodId, use, partsWater, lastD }) => (
                <li key={methodId} className="border-b border-line py-1">
                  <Link href={`/book/${methodId}`} className="font-semibold underline">
                    {findRecipe(methodId).name}
                  </Link>
                  , {inText(USES[use].name)} at {sayDilution(partsWater)}
                  {lastD === null
                    ? ""
                    : counted(lastD, { zero: "; last today", one: "; last a day ago", other: "; last # days ago" })}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </>
  );
};

const Helps = ({ goal }: { readonly goal: GoalId }) => (
  <li>
    {GOALS[goal]}:{" "}
    {methodsFor(goal)
      .slice(0, SHOWN)
      .map(({ method: { id, name } }, index) => (
        <span key={id}>
          {index > 0 ? ", " : ""}
          <Link href={`/book/${id}`} className="underline">
            {name}
          </Link>
        </span>
      ))}
  </li>
);

/** What is seen, what to rule out first, and what may help where it is none of those. */
const Symptoms = () => {
  const [seen, setSeen] = useState<SymptomId | "">("");
  return (
    <div className="mt-3">
      <SelectField
        label="Something is wrong with it"
        value={seen}
        onChange={(event) => setSeen(event.target.value as SymptomId | "")}
      >
        <option value="">nothing seen</option>
        {SYMPTOM_IDS.map((id) => (
          <option key={id} value={id}>
            {SYMPTOM_WORDS[id]}
          </option>
        ))}
      </SelectField>
      {seen === "" ? null : (
        <div className="mt-2 border-l-4 border-marigold pl-3">
          <p className="font-semibold">Rule out first; nothing brewed helps against these:</p>
          <ol className="list-decimal pl-5">
            {SYMPTOMS[seen].ruleOut.map((cause) => (
              <li key={cause}>{CAUSE_WORDS[cause]}</li>
            ))}
          </ol>
          {SYMPTOMS[seen].goals.length === 0 ? (
            <p className="mt-1">
              Where it is none of those, growers give nothing either: wait, water evenly, look again.
            </p>
          ) : (
            <>
              <p className="mt-1 font-semibold">Where it is none of those, growers try:</p>
              <ul className="list-disc pl-5">
                {SYMPTOMS[seen].goals.map((goal) => (
                  <Helps key={goal} goal={goal} />
                ))}
              </ul>
            </>
          )}
        </div>
      )}
    </div>
  );
};

/** What a plot wants now: by the farm's programmes, by the book for its stage, and against what is seen. */
export const Wants = ({ page }: { readonly page: PlotPage }) => (
  <section aria-labelledby="wants" className="mb-6">
    <h2 id="wants" className="text-xl">
      What it wants now
    </h2>
    <ByProgramme page={page} />
    <ByTheBook page={page} />
    <p className="text-[0.9rem] text-soft">{NOT_PROVEN}</p>
    <Symptoms />
  </section>
);
