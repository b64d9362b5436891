import { findMethod } from "@/core/book";
import { CLAIMS } from "@/core/book/claims";
import { GROWERS_NAMES } from "@/core/book/growersNames";
import type { Recipe } from "@/core/book/recipe";
import { YARD_METHODS } from "@/core/practice/yard/drums";
import { listed } from "@/formats/grammar";
import { MEANINGS, sayLookAlike, SIGN_NAMES } from "@/words/said";
import { Claims } from "../book/Claims";
import { BookText } from "../kit/BookText";
import { buttonClass } from "../kit/Button";
import { Cautions } from "../kit/Cautions";
import { Link } from "../kit/Link";
import { hrefOfDrum } from "./practiceLinks";
import { PracticeHead } from "./PracticeHead";

const Steps = ({ steps }: Pick<Recipe, "steps">) => (
  <section>
    <h2 className="text-[1.2rem]">Steps, and why</h2>
    <ol className="mt-2 grid gap-3">
      {steps.map(({ id: step, text, why }, nth) => (
        <li key={step} className="grid grid-cols-[2.2rem_1fr] gap-2 border-b border-line pb-3">
          <span aria-hidden className="reading text-[1.6rem] font-bold leading-none text-marigold">
            {nth + 1}
          </span>
          <span>
            <span className="block font-semibold">
              <BookText>{text}</BookText>
            </span>
            <span className="text-soft">
              <BookText>{why}</BookText>
            </span>
          </span>
        </li>
      ))}
    </ol>
  </section>
);

/** A method to learn: each step with its reason, what can hurt, what its signs mean, and which names are not it. */
export const LessonScreen = ({ recipe, seed }: { readonly recipe: Recipe; readonly seed: number }) => {
  const { id, name, purpose, steps, cues, cautions, lookAlike } = recipe;
  const names = GROWERS_NAMES.filter(({ methodIds }) => methodIds.includes(id));
  const others = [...new Set(names.flatMap(({ methodIds }) => methodIds))].filter((other) => other !== id);
  const claims = CLAIMS.filter(({ methodIds }) => methodIds.length === 0 || methodIds.includes(id));
  const drum = YARD_METHODS.find(({ method }) => method === id);
  return (
    <div className="grid max-w-3xl grid-cols-[minmax(0,1fr)] gap-6 px-4 py-5 text-[1.08rem] md:px-8">
      <div>
        <PracticeHead title={name} />
        <p className="text-soft">
          <BookText>{purpose}</BookText>
        </p>
      </div>
      <section>
        <h2 className="text-[1.2rem]">Mind this first</h2>
        <Cautions cautions={cautions} />
      </section>
      <Steps steps={steps} />
      <section>
        <h2 className="text-[1.2rem]">What its signs mean</h2>
        <ul className="mt-1 divide-y divide-line border-y border-line">
          {cues.map(({ kind, word, says, because }) => (
            <li key={`${kind} ${word}`} className="grid grid-cols-[9rem_7rem_1fr] gap-2 py-1.5 max-sm:grid-cols-2">
              <span className="font-semibold">
                {kind === "lens" ? "" : `${SIGN_NAMES[kind]}: `}
                {word}
              </span>
              <span className={says === "failed" ? "text-rust" : says === "ready" ? "text-leaf" : ""}>
                {MEANINGS[says]}
              </span>
              <span className="text-soft max-sm:col-span-2">{because}</span>
            </li>
          ))}
        </ul>
        <Link href="/practice/signs" className="thumb underline">
          See them in pictures
        </Link>
      </section>
      <section>
        <h2 className="text-[1.2rem]">Names, and what is not it</h2>
        <p>
          {names.length > 0 ? `Also called ${listed(names.map((one) => one.name))}.` : "It has no other name here."}
        </p>
        <ul className="mt-1 grid gap-1">
          {[id, ...others].map((other) => (
            <li key={other}>
              <strong>{findMethod(other).name}</strong>{" "}
              <span className="text-soft">
                <BookText>{sayLookAlike(other === id ? lookAlike : findMethod(other).lookAlike)}</BookText>
              </span>
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2 className="text-[1.2rem]">What people say of it</h2>
        <div className="mt-2">
          <Claims claims={claims} />
        </div>
      </section>
      {drum ? (
        <Link href={hrefOfDrum(drum.name, seed)} className={`${buttonClass("strong")} justify-self-start`}>
          Try a drum
        </Link>
      ) : null}
    </div>
  );
};
