import type { ReactNode } from "react";
import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { CueMeaning, MethodIngredient } from "@/core/book/types";
import { findUse } from "@/core/book/uses";
import { withoutEquipment } from "@/core/book/withoutEquipment";
import { makerOf } from "@/core/book";
import { sayDilution, sayStock, type UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";
import { Link } from "../kit/Link";
import { BookText } from "../kit/BookText";
import { toBase } from "@/core/quantity/units";
import { inText } from "@/formats/grammar";

export const Part = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section aria-label={title}>
    <h2 className="mb-2 text-xl">{title}</h2>
    {children}
  </section>
);

/** What a recipe's amounts are told to, in each system: a round amount of what the rest is counted by. */
const WHOLE = {
  L: {
    metric: { amount: 100, words: "100 L" },
    us: { amount: toBase({ value: 10, unit: "US gal" }).value, words: "10 US gal" },
  },
  kg: {
    metric: { amount: 1, words: "a kilogram" },
    us: { amount: toBase({ value: 1, unit: "lb" }).value, words: "a pound" },
  },
} as const;

/** An ingredient's amount as the recipe has it, told from doses that don't scale. */
export function sayRecipeAmount({ amount, ingredient }: MethodIngredient, recipe: Recipe, units: UnitSystem): string {
  const basis = findIngredient(recipe.basis);
  switch (amount.type) {
    case "per-basis": {
      if (ingredient === recipe.basis) return "what the rest is counted by";
      const { low, default: usual, high } = amount.perBasis;
      const whole = WHOLE[basis.stockUnit][units];
      const say = (value: number) => sayStock(value * whole.amount, amount.unit, units);
      const per = `to ${whole.words} of ${inText(basis.name)}`;
      return `${say(usual)} ${per}${low === high ? "" : `; ${say(low)} to ${say(high)} is usual`}`;
    }
    case "per-surface":
      return `${formatNumber(amount.thicknessM.default * 1000, 2)} mm over the whole width, whatever the batch`;
    case "fixed":
      return `${sayStock(amount.amount.default, amount.unit, units)} whatever the batch`;
    case "unknown":
      return amount.ask;
  }
}

const Ingredient = ({ line, recipe, units }: { line: MethodIngredient; recipe: Recipe; units: UnitSystem }) => {
  const maker = line.ingredient === recipe.makes ? null : makerOf(line.ingredient);
  return (
    <li className="border-t border-line/70 py-1 text-[0.95rem]">
      <span className="font-semibold">
        {maker && maker.id !== recipe.id ? (
          <Link href={`/book/${maker.id}`} className="thumb underline decoration-line decoration-2 underline-offset-4">
            {findIngredient(line.ingredient).name}
          </Link>
        ) : (
          findIngredient(line.ingredient).name
        )}
      </span>
      {line.optional ? <span className="text-soft"> (may go in)</span> : null}
      {line.onDay ? <span className="text-soft"> on day {line.onDay}</span> : null}, <BookText>{line.role}</BookText>.{" "}
      <span className="reading">{sayRecipeAmount(line, recipe, units)}</span>
    </li>
  );
};

/** The making in order, each step with what goes in at it and why. */
export const Steps = ({ recipe, units }: { readonly recipe: Recipe; readonly units: UnitSystem }) => {
  // An ingredient stands at the first step that adds it.
  const firstAt = (id: string) => recipe.steps.findIndex(({ adds }) => adds.some((added) => added === id));
  return (
    <Part title="Making it">
      <ol className="divide-y divide-line border-y border-line">
        {recipe.steps.map((step, position) => (
          <li key={step.id} className="grid grid-cols-[1.8rem_1fr] gap-x-2 py-2">
            <span className="font-display text-lg font-bold">{position + 1}</span>
            <div>
              <p className="leading-snug">
                <BookText>{step.text}</BookText>{" "}
                <span className="text-soft">
                  <BookText>{step.why}</BookText>
                </span>
                {step.onDay ? <span className="font-semibold"> On day {step.onDay}.</span> : null}
                {step.waitMin ? <span className="font-semibold"> Wait {sayDuration(step.waitMin / 60)}.</span> : null}
              </p>
              <ul className="mt-1">
                {recipe.ingredients
                  .filter((line) => step.adds.includes(line.ingredient) && firstAt(line.ingredient) === position)
                  .map((line) => (
                    <Ingredient
                      key={`${line.ingredient}-${line.amount.type}`}
                      line={line}
                      recipe={recipe}
                      units={units}
                    />
                  ))}
              </ul>
            </div>
          </li>
        ))}
      </ol>
      <p className="mt-2 text-[0.95rem]">
        {recipe.vesselNote} Fill to {Math.round(recipe.fillShare.default * 100)} %: room for {recipe.headspaceFor}.{" "}
        {recipe.vesselUse === "manure"
          ? "After this, use the vessel for dung only: germs stay in it."
          : "A food-safe vessel, never one that held dung."}
      </p>
    </Part>
  );
};

/** Stretches of the making, each with its lid. */
export const Stages = ({ recipe }: { readonly recipe: Recipe }) =>
  recipe.stages.length === 0 ? null : (
    <Part title="Stages">
      <ul className="divide-y divide-line border-y border-line">
        {recipe.stages.map(({ id, name, fromD, untilD, lid, note }) => (
          <li key={id} className="py-1.5">
            <span className="font-semibold">{name}</span>{" "}
            <span className="reading">
              {untilD === null
                ? `from day ${formatNumber(fromD)}`
                : `day ${formatNumber(fromD)} to ${formatNumber(untilD)}`}
              , lid {lid}
            </span>
            <span className="block text-[0.95rem] text-soft">
              <BookText>{note}</BookText>
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );

/** What it wants while it stands, and what a miss means. */
export const Tending = ({ recipe }: { readonly recipe: Recipe }) =>
  recipe.tending.length === 0 ? null : (
    <Part title="Care">
      <ul className="divide-y divide-line border-y border-line">
        {recipe.tending.map((task) => (
          <li key={`${task.act} ${task.fromH}`} className="py-1.5">
            <span className="font-semibold">
              <BookText>{task.text}</BookText>
            </span>{" "}
            <span className="reading">
              {task.once
                ? `once, on day ${Math.round(task.fromH / 24)}${task.untilH === undefined ? "" : `, by day ${Math.round(task.untilH / 24)} at the latest`}`
                : `every ${sayDuration(task.everyH)}, from ${sayDuration(Math.max(task.fromH, 1 / 60))}${task.untilH === undefined ? "" : ` to ${sayDuration(task.untilH)}`}`}
            </span>
            <span className="block text-[0.95rem] text-soft">
              Missed: <BookText>{task.ifMissed}</BookText>
            </span>
          </li>
        ))}
      </ul>
    </Part>
  );

const MEANINGS: readonly { readonly says: CueMeaning; readonly title: string; readonly mark: string }[] = [
  { says: "not-yet", title: "Not yet", mark: "○" },
  { says: "ready", title: "Ready", mark: "●" },
  { says: "past", title: "Past its best", mark: "◐" },
  { says: "failed", title: "Failed", mark: "■" },
];

/** The words to look and smell for, by what they say. */
export const Cues = ({ recipe }: { readonly recipe: Recipe }) => (
  <Part title="How to judge it">
    {MEANINGS.filter(({ says }) => recipe.cues.some((cue) => cue.says === says)).map(({ says, title, mark }) => (
      <div key={says} className="mb-3">
        <h3 className={says === "failed" ? "text-[1.02rem] text-rust" : "text-[1.02rem]"}>
          <span aria-hidden>{mark} </span>
          {title}
        </h3>
        <ul className="text-[0.95rem]">
          {recipe.cues
            .filter((cue) => cue.says === says)
            .map(({ kind, word, because }) => (
              <li key={kind + word} className="border-t border-line/70 py-1">
                <span className="font-semibold">{word}</span> <span className="text-soft">({kind})</span>:{" "}
                <BookText>{because}</BookText>
              </li>
            ))}
        </ul>
      </div>
    ))}
  </Part>
);

/** How strong, how often, for what. */
export const Uses = ({ recipe }: { readonly recipe: Recipe }) =>
  recipe.uses.length === 0 ? null : (
    <Part title="How to use it">
      <ul className="divide-y divide-line border-y border-line">
        {recipe.uses.map(({ use, partsWater, everyD, note }) => (
          <li key={use} className="py-1.5">
            <span className="flex justify-between gap-3">
              <span className="font-semibold">{findUse(use).name}</span>
              <span className="reading">
                {sayDilution(partsWater.default)}
                {partsWater.strongest === partsWater.weakest
                  ? ""
                  : `, ${sayDilution(partsWater.strongest)} to ${sayDilution(partsWater.weakest)}`}
                {everyD === null ? "" : `, every ${formatNumber(everyD)} d`}
              </span>
            </span>
            <span className="block text-[0.95rem] text-soft">
              <BookText>{note}</BookText>
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[0.88rem] text-soft">1:20 is one part of it to twenty parts of water.</p>
    </Part>
  );

/** How it is made where equipment is missing. */
export const WithoutEquipment = ({ recipe }: { readonly recipe: Recipe }) => (
  <Part title="Without the equipment">
    <ul className="divide-y divide-line border-y border-line text-[0.95rem]">
      {withoutEquipment(recipe).map(({ missing, instead, costs }) => (
        <li key={missing} className="py-1.5">
          <span className="font-semibold">{missing}</span>: {instead}.{" "}
          <span className="text-soft">Drawback: {costs}.</span>
        </li>
      ))}
    </ul>
  </Part>
);

const KEEPING_WORDS = {
  "air-off": "the air stops",
  "ready": "it is ready",
  "strained": "it is strained",
  "closed": "it is closed",
  "made": "it is made",
} as const;

/** How long it keeps, from when, in what; and what becomes of what is left. */
export const Keeping = ({ recipe: { keeping, residues } }: { readonly recipe: Recipe }) => (
  <Part title="Storage">
    <p>
      {sayDuration(keeping.shelfH)} from when {KEEPING_WORDS[keeping.from]}: {keeping.container}; {keeping.place}.
      {keeping.living ? " Living: it cannot be stored." : ""}
      {keeping.afterH
        ? ` On leaves within ${sayDuration(keeping.afterH.leaves)}, on soil within ${sayDuration(keeping.afterH.soil)}, never after ${sayDuration(keeping.afterH.hardEnd)}.`
        : ""}
    </p>
    <p className="mt-1 text-[0.95rem] text-soft">What is left: {residues.join("; ")}.</p>
  </Part>
);
