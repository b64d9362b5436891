import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { MethodIngredient } from "@/core/book/types";
import type { UnitSystem } from "@/formats/amounts";
import { fieldUnit } from "@/formats/measured";
import type { AmountDraft } from "./editDraft";
import { inText } from "@/formats/grammar";

interface EditAmountsProps {
  readonly recipe: Recipe;
  readonly units: UnitSystem;
  readonly amounts: readonly (AmountDraft | null)[];
  readonly fieldError: (path: string) => string | undefined;
  readonly onChange: (amounts: readonly (AmountDraft | null)[]) => void;
}

const UNIT_WORDS = {
  "per-basis": "to one of the basis",
  "fixed": "whatever the batch",
  "per-surface": "thick on top",
  "unknown": "",
} as const;

/** The unit of a line's figures, and what they are counted against. */
function sayUnit({ amount, ingredient }: MethodIngredient, units: UnitSystem): string {
  const unit =
    amount.type === "per-surface"
      ? units === "us"
        ? "in"
        : "m"
      : fieldUnit(findIngredient(ingredient).stockUnit, units);
  return `${unit} ${UNIT_WORDS[amount.type]}`;
}
const RANGE_FIELD = { "per-basis": "perBasis", "fixed": "amount", "per-surface": "thicknessM", "unknown": "" } as const;
/** A figure without a span moves as one. */
const moved = (draft: AmountDraft, key: keyof AmountDraft, typed: string): AmountDraft =>
  key === "usual" && draft.low === draft.usual && draft.high === draft.usual
    ? { low: typed, usual: typed, high: typed }
    : { ...draft, [key]: typed };

const SPAN = [
  ["low", "lowest", "low"],
  ["usual", "usual", "default"],
  ["high", "highest", "high"],
] as const;

/** Each ingredient's span, as figures; what the rest is counted by stays at one. */
export const EditAmounts = ({ recipe, units, amounts, fieldError, onChange }: EditAmountsProps) => (
  <section aria-label="Amounts">
    <h3 className="text-lg">Amounts</h3>
    <p className="text-[0.9rem] text-soft">
      Counted against {inText(findIngredient(recipe.basis).name)}, by the{" "}
      {fieldUnit(findIngredient(recipe.basis).stockUnit, units)}: 0.01 of a liquid is one part in a hundred.
    </p>
    <ul className="divide-y divide-line border-y border-line">
      {recipe.ingredients.map((line, index) => {
        const { name } = findIngredient(line.ingredient);
        const draft = amounts[index];
        const path = `/ingredients/${index}/amount/${RANGE_FIELD[line.amount.type]}`;
        const error = SPAN.map(([, , key]) => fieldError(`${path}/${key}`)).find(Boolean) ?? fieldError(path);
        const isBasis = line.ingredient === recipe.basis && line.amount.type === "per-basis";
        return (
          <li
            key={`${line.ingredient} ${line.amount.type}`}
            className="grid items-center gap-x-3 gap-y-1 py-2 sm:grid-cols-[1fr_auto]"
          >
            <span>
              <span className="font-semibold">{name}</span>{" "}
              <span className="text-[0.9rem] text-soft">{sayUnit(line, units)}</span>
            </span>
            {draft && !isBasis ? (
              <span className="flex gap-2">
                {SPAN.map(([key, word]) => (
                  <label key={key} className="text-[0.82rem] text-soft">
                    {word}
                    <input
                      aria-label={`${name}, ${word}`}
                      inputMode="decimal"
                      value={draft[key]}
                      onChange={(event) =>
                        onChange(
                          amounts.map((other, at) => (at === index ? moved(draft, key, event.target.value) : other)),
                        )
                      }
                      className="reading block min-h-11 w-24 rounded-[5px] border-[1.5px] border-line bg-chalk px-2 text-right text-lg text-ink focus:border-ink"
                    />
                  </label>
                ))}
              </span>
            ) : (
              <span className="text-soft">
                {isBasis ? "1" : line.amount.type === "unknown" ? "asked at each batch" : ""}
              </span>
            )}
            {error ? (
              <p role="alert" className="text-[0.92rem] font-semibold text-rust sm:col-span-2">
                {error}
              </p>
            ) : null}
          </li>
        );
      })}
    </ul>
  </section>
);
