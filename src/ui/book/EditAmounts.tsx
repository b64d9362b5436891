import { findIngredient } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import type { AmountDraft } from "./editDraft";

interface EditAmountsProps {
  readonly recipe: Recipe;
  readonly amounts: readonly (AmountDraft | null)[];
  readonly fieldError: (path: string) => string | undefined;
  readonly onChange: (amounts: readonly (AmountDraft | null)[]) => void;
}

const UNIT_WORDS = {
  "per-basis": "to one of the basis",
  "fixed": "whatever the batch",
  "per-surface": "m thick on top",
  "unknown": "",
} as const;
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
export const EditAmounts = ({ recipe, amounts, fieldError, onChange }: EditAmountsProps) => (
  <section aria-label="Amounts">
    <h3 className="text-lg">Amounts</h3>
    <p className="text-[0.9rem] text-soft">
      Counted against {findIngredient(recipe.basis).name.toLowerCase()}: 0.01 L to one is 10 mL to the{" "}
      {findIngredient(recipe.basis).stockUnit === "L" ? "litre" : "kilogram"}.
    </p>
    <ul className="divide-y divide-line border-y border-line">
      {recipe.ingredients.map((line, index) => {
        const { name, stockUnit } = findIngredient(line.ingredient);
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
              <span className="text-[0.9rem] text-soft">
                {line.amount.type === "per-surface"
                  ? UNIT_WORDS["per-surface"]
                  : `${stockUnit} ${UNIT_WORDS[line.amount.type]}`}
              </span>
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
