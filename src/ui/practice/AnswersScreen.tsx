"use client";
import { useId, useState } from "react";
import { METHODS } from "@/core/book";
import { SMELLS } from "@/core/book/words";
import { UNITS } from "@/core/quantity/units";
import { answerOf, type Question, type QuestionKind } from "@/core/practice/answers";
import { GROWERS_NAMES } from "@/core/book/growersNames";
import { listed } from "@/formats/grammar";
import { parseNumber } from "@/formats/numbers";
import type { AnswerFactsView } from "@/services/practice";
import { QUESTION_NAMES, readAsked, sayAnswer, SOURCE_NAMES } from "@/words/said";
import { BookText } from "../kit/BookText";
import { Cautions } from "../kit/Cautions";
import { Choices } from "../kit/Choices";
import { NumberField, SelectField, TextField } from "../kit/fields";
import { PracticeHead } from "./PracticeHead";

const INPUTS = METHODS.filter(({ family }) => family !== "preparation");

/** Methods that a typed question names, by their own names and by growers’ names. */
function methodIn(text: string): string | null {
  const low = text.toLowerCase();
  const own = INPUTS.find(
    ({ name, shortName }) => low.includes(name.toLowerCase()) || low.includes(shortName.toLowerCase()),
  );
  const called = GROWERS_NAMES.filter(({ name }) => low.includes(name)).toSorted(
    (a, b) => b.name.length - a.name.length,
  )[0];
  return own?.id ?? called?.methodIds[0] ?? null;
}

/** A question as it stands on the screen. */
interface Asked {
  readonly text: string;
  readonly kind: QuestionKind;
  readonly methodId: string;
  readonly crop: string;
  readonly on: "leaves" | "soil";
  readonly smell: (typeof SMELLS)[number];
  readonly can: string;
}
const EATEN = /\b(lettuce|salad|tomato|carrot|cabbage|bean|potato|strawberr|chard|spinach)\w*/i;

/** What the typed words change in the question; what they don’t name stays as it was chosen. */
function readTyped(text: string, asked: Asked, { crops }: AnswerFactsView): Asked {
  const { kind, smell } = readAsked(text);
  const named = crops.find((crop) => text.toLowerCase().includes(crop.toLowerCase().split(" ")[0]!));
  return {
    ...asked,
    text,
    kind: kind ?? asked.kind,
    smell: smell ?? asked.smell,
    methodId: methodIn(text) ?? asked.methodId,
    crop: named ?? EATEN.exec(text)?.[0] ?? asked.crop,
    on: /\b(leaf|leaves|spray)\b/i.test(text) ? "leaves" : asked.on,
  };
}

function questionOf({ kind, methodId, crop, on, smell, can }: Asked, { system }: AnswerFactsView): Question {
  const canL = (parseNumber(can) ?? 0) * (system === "us" ? UNITS["US gal"].inBase : 1);
  const questions: Readonly<Record<QuestionKind, Question>> = {
    "may-use": { kind: "may-use", methodId, crop, on },
    "smells": { kind: "smells", methodId, word: smell },
    "how-much": { kind: "how-much", methodId, canL },
    "how-long": { kind: "how-long", methodId },
    "what-goes-in": { kind: "what-goes-in", methodId },
  };
  return questions[kind];
}

/** What else a question needs to know. */
const More = ({
  asked,
  onAsked,
  facts,
}: {
  readonly asked: Asked;
  readonly onAsked: (next: Asked) => void;
  readonly facts: AnswerFactsView;
}) => {
  const cropsId = useId();
  const { kind, crop, on, smell, can } = asked;
  return (
    <>
      {kind === "may-use" ? (
        <>
          <TextField
            label="Crop"
            value={crop}
            list={cropsId}
            onChange={({ target }) => onAsked({ ...asked, crop: target.value })}
          />
          <datalist id={cropsId}>
            {facts.crops.map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
          <Choices
            label="Where"
            value={on}
            options={[
              { value: "soil", label: "on the soil" },
              { value: "leaves", label: "on the leaves" },
            ]}
            onChange={(on) => onAsked({ ...asked, on })}
          />
        </>
      ) : null}
      {kind === "smells" ? (
        <SelectField
          label="Smell"
          value={smell}
          onChange={({ target }) => onAsked({ ...asked, smell: target.value as (typeof SMELLS)[number] })}
        >
          {SMELLS.map((word) => (
            <option key={word} value={word}>
              {word}
            </option>
          ))}
        </SelectField>
      ) : null}
      {kind === "how-much" ? (
        <NumberField
          label="Your can holds"
          unit={facts.system === "us" ? "gal" : "L"}
          value={can}
          onChange={({ target }) => onAsked({ ...asked, can: target.value })}
        />
      ) : null}
    </>
  );
};

/** A helper’s question, answered from the farm’s own recipe and rules, without a signal too; each answer says where it is from. */
export const AnswersScreen = ({ facts }: { readonly facts: AnswerFactsView }) => {
  const [asked, setAsked] = useState<Asked>({
    text: "",
    kind: "may-use",
    methodId: INPUTS[0]!.id,
    crop: facts.crops[0] ?? "",
    on: "soil",
    smell: "sulphur",
    can: facts.system === "us" ? "2" : "10",
  });
  const { text, kind, methodId } = asked;
  const question = questionOf(asked, facts);
  const answer = answerOf(question, facts);
  return (
    <div className="max-w-2xl px-4 py-5 text-[1.05rem] md:px-8">
      <PracticeHead title="Ask Ruchka" />
      <div className="mt-3 grid gap-3">
        <TextField
          label="Type a question, or choose below"
          hint="For example: it smells of eggs, what now?"
          value={text}
          onChange={({ target }) => setAsked(readTyped(target.value, asked, facts))}
        />
        <SelectField
          label="Question"
          value={kind}
          onChange={({ target }) => setAsked({ ...asked, kind: target.value as QuestionKind })}
        >
          {(Object.keys(QUESTION_NAMES) as QuestionKind[]).map((one) => (
            <option key={one} value={one}>
              {QUESTION_NAMES[one]}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Of what"
          value={methodId}
          onChange={({ target }) => setAsked({ ...asked, methodId: target.value })}
        >
          {INPUTS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <More asked={asked} onAsked={setAsked} facts={facts} />
      </div>
      <section aria-live="polite" aria-label="Answer" className="mt-5 border-2 border-ink bg-chalk p-4">
        <p className="text-[1.25rem] font-semibold leading-snug">
          <BookText>{sayAnswer(answer, question, facts.system)}</BookText>
        </p>
        {answer.sources.length > 0 ? (
          <p className="mt-2 text-soft">From {listed(answer.sources.map((source) => SOURCE_NAMES[source]))}.</p>
        ) : null}
        <div className="mt-2">
          <Cautions cautions={answer.cautions} />
        </div>
      </section>
      <p className="mt-2 text-soft">
        Local law and your certifier stand above this. Nothing here is for people’s or animals’ health.
      </p>
    </div>
  );
};
