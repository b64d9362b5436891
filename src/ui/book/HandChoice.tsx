"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { findIngredient } from "@/core/book/ingredients";
import { makeableFrom, possibilitiesOf, type HandAnswer, type Possibility } from "@/core/choose/atHand";
import { sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { readAtHand, type HandLine } from "@/formats/atHand";
import { sayLead } from "@/words/said";
import { measurableOf, OF_KILOGRAMS } from "@/formats/measured";
import type { BookView } from "@/services/book";
import { TextField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { AmountField, useReadAmount } from "../measures/AmountField";
import { RISK_WORDS } from "./MethodPlate";
import { shedMap } from "./shedMap";
import { afterColon, inText, listed } from "@/formats/grammar";

/** The largest vessel of the yard, or an ordinary drum where there is none yet. */
const largestL = (view: BookView) =>
  Math.max(...view.vessels.map(({ volumeL }) => volumeL), view.vessels.length === 0 ? 200 : 0);

const EXAMPLE = "30 kg of nettles and a crate of spoiled plums";

const Needs = ({ possibility, units }: { readonly possibility: Possibility; readonly units: UnitSystem }) => (
  <span className="block text-[0.9rem] text-soft">
    {possibility.needs.length === 0
      ? "Nothing else goes in."
      : possibility.needs.map(({ ingredient, unit, amount, enough, standIn }, index) => (
          <span key={ingredient}>
            {index > 0 ? "; " : "With "}
            {amount === null ? "" : `${sayStock(amount, unit, units)} of `}
            {inText(findIngredient(ingredient).name)}
            {enough ? " (there)" : standIn ? ` (${inText(findIngredient(standIn).name)} can replace it)` : ""}
            {!enough && !standIn ? <span className="font-semibold text-rust"> ■ missing</span> : null}
          </span>
        ))}
  </span>
);

const Answer = ({
  answer,
  lead,
  units,
}: {
  readonly answer: HandAnswer;
  readonly lead: BookView["lead"];
  readonly units: UnitSystem;
}) => (
  <ul className="divide-y divide-line border-y border-line">
    {answer.possibilities.map((possibility) => (
      <li key={possibility.recipe.id} className="py-2">
        <Link
          href={`/book/${possibility.recipe.id}?scale&${possibility.usedAmount === null ? "" : `limit=${possibility.slot}&amount=${possibility.usedAmount}`}`}
          className="font-semibold underline decoration-line decoration-2 underline-offset-4"
        >
          {possibility.recipe.name}
        </Link>
        {possibility.vesselL === null ? (
          ""
        ) : (
          <span className="reading">
            {" "}
            {sayStock(possibility.yieldAmount!, possibility.recipe.yieldUnit, units, 2)}, in{" "}
            {sayVolume(possibility.vesselL, units, 2)} of vessel
            {possibility.usedAmount! < answer.item.amount! * 0.99
              ? `; ${sayStock(possibility.usedAmount!, findIngredient(possibility.slot).stockUnit, units, 2)} of it fill the largest`
              : ""}
          </span>
        )}
        <span className="block">{possibility.why}</span>
        <span className="reading block text-[0.95rem]">
          {lead[possibility.recipe.id] ? `${sayLead(lead[possibility.recipe.id]!)} · ` : ""}
          {RISK_WORDS[possibility.recipe.risk.level]}: {possibility.recipe.risk.why}
        </span>
        <Needs possibility={possibility} units={units} />
      </li>
    ))}
    {answer.excluded.map(({ methodName, because }) => (
      <li key={methodName} className="py-2 text-soft">
        <span aria-hidden>✕ </span>Not {inText(methodName)}: {afterColon(because)}
      </li>
    ))}
  </ul>
);

const Line = ({
  line,
  weighed,
  view,
  onWeigh,
}: {
  readonly line: HandLine;
  readonly weighed: string;
  readonly view: BookView;
  readonly onWeigh: (typed: string) => void;
}) => {
  const known = line.plant !== null || line.ingredient !== null;
  const { read } = useReadAmount();
  const of = line.ingredient ? measurableOf(line.ingredient) : OF_KILOGRAMS;
  const { unit } = of;
  const typed = read(weighed, of);
  const amount = line.amount ?? (typed !== null && typed > 0 && typed < 1e6 ? typed : null);
  const answer = known && !line.mouldy ? possibilitiesOf({ ...line, amount }, shedMap(view), largestL(view)) : null;
  return (
    <section aria-label={line.text} className="mt-4">
      <h2 className="text-lg">
        {line.text}
        {line.amount === null && amount !== null ? `, ${sayStock(amount, unit, view.farm.units)}` : ""}
      </h2>
      {!known ? (
        <Notice tone="error" title="Unknown ingredient">
          Unknown plants can poison people. Use only plants you know. Try another name.
        </Notice>
      ) : null}
      {line.mouldy ? (
        <Notice tone="error" title="Not into anything for crops">
          Mould can be poisonous: hot-compost it, away from water.
        </Notice>
      ) : null}
      {answer?.refused ? (
        <Notice tone="error" title="Never">
          {answer.refused}
        </Notice>
      ) : null}
      {answer && !answer.refused ? (
        <>
          {line.amount === null ? (
            <div className="my-2 max-w-56">
              <AmountField
                label="What does it weigh?"
                of={of}
                typed={weighed}
                value={weighed}
                onChange={(event) => onWeigh(event.target.value)}
                error={weighed !== "" && amount === null ? "A number above 0." : undefined}
              />
            </div>
          ) : null}
          {answer.cautions.map((caution) => (
            <Notice key={caution} tone="caution">
              {caution}
            </Notice>
          ))}
          {answer.possibilities.length === 0 ? (
            <p className="text-soft">No method starts from it. Compost it.</p>
          ) : (
            <Answer answer={answer} lead={view.lead} units={view.farm.units} />
          )}
        </>
      ) : null}
    </section>
  );
};

const FIT_WORDS = {
  "now": "can be made today",
  "lacks-one": "one thing is missing",
  "lacks-more": "more is missing",
} as const;

/** What the shed would let be made now, or but for one thing. */
const FromShed = ({ view }: { readonly view: BookView }) => (
  <section aria-label="From the shed" className="mt-6">
    <h2 className="text-lg">From the shed as it is</h2>
    <ul className="divide-y divide-line border-y border-line">
      {makeableFrom(shedMap(view), new Set(view.shelf.flatMap((item) => (item.heldBecause ? [item.ingredientId] : []))))
        .filter(({ fit }) => fit !== "lacks-more")
        .map(({ recipe, fit, lacking, fresh }) => (
          <li key={recipe.id} className="flex flex-wrap justify-between gap-x-4 py-1.5">
            <Link
              href={`/book/${recipe.id}?scale`}
              className="underline decoration-line decoration-2 underline-offset-4"
            >
              {recipe.name}
            </Link>
            <span className="text-[0.9rem] text-soft">
              {FIT_WORDS[fit]}
              {lacking.map(({ ingredient, standIn, held }) => {
                const lies = view.shelf.find(({ ingredientId }) => ingredientId === held);
                return (
                  <span key={ingredient}>
                    : {inText(findIngredient(ingredient).name)}
                    {standIn ? `; ${inText(findIngredient(standIn).name)} can replace it` : ""}
                    {lies
                      ? `; ${lies.ingredientId === ingredient ? "what is there" : `${inText(lies.name)}, which can replace it,`} is on hold: ${lies.heldBecause}`
                      : ""}
                  </span>
                );
              })}
              {fresh.length > 0
                ? `, with ${listed(fresh.map((id) => inText(findIngredient(id).name)))} from outside`
                : ""}
            </span>
          </li>
        ))}
    </ul>
  </section>
);

/** What is there and wants using: what can be made of it, what else that takes, and what it must not go into. */
export const HandChoice = ({ view }: { readonly view: BookView }) => {
  const [text, setText] = useState("");
  const [weighed, setWeighed] = useState<Readonly<Record<string, string>>>({});
  const lines = readAtHand(text, view.farm.units);
  return (
    <>
      <TextField
        label="What is at hand"
        placeholder={EXAMPLE}
        hint="As you would say it, with “and” or commas between."
        value={text}
        onChange={(event) => setText(event.target.value)}
        maxLength={300}
      />
      {lines.map((line, index) => (
        <Line
          key={`${index} ${line.text}`}
          line={line}
          weighed={weighed[line.text] ?? ""}
          view={view}
          onWeigh={(typed) => setWeighed({ ...weighed, [line.text]: typed })}
        />
      ))}
      <FromShed view={view} />
    </>
  );
};
