import { clsx } from "clsx";
import { findIngredient, isWater } from "@/core/book/ingredients";
import type { Recipe } from "@/core/book/recipe";
import { differencesOf } from "@/core/book/differences";
import { findUse, USE_IDS } from "@/core/book/uses";
import { leadTime } from "@/core/choose/leadTime";
import { scaleRecipe } from "@/core/recipe/scale";
import { sayDilution } from "@/formats/amounts";
import { KEEPS_FROM_WORDS, sayLead } from "@/words/said";
import { formatNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";
import { BookText } from "../kit/BookText";

export interface SchoolColumn {
  readonly key: string;
  readonly title: string;
  readonly recipe: Recipe;
  readonly cautious: boolean;
  readonly ours: boolean;
}

interface TableRow {
  readonly head: string;
  readonly cells: readonly string[];
  /** How many times the boldest is the mildest, where that can be counted. */
  readonly apart: number | null;
  readonly differs: boolean;
}

/** Doses are compared at one vessel's size, so that what doesn't scale stands fairly beside what does. */
const COMPARED_L = 200;
/** Schools are compared in the warmth that growers' days are told for. */
const COMPARED_C = 22;

const apartOf = (values: readonly (number | null)[]): number | null => {
  const known = values.filter((value): value is number => value !== null && value > 0);
  const most = Math.max(...known);
  const least = Math.min(...known);
  return known.length > 1 && most > least * 1.02 ? most / least : null;
};

function doseRows(columns: readonly SchoolColumn[]): TableRow[] {
  const scaled = columns.map(({ recipe }) =>
    scaleRecipe({
      recipe,
      vesselL: COMPARED_L,
      include: recipe.ingredients
        .filter(({ optional, amount }) => optional && amount.type !== "unknown")
        .map(({ ingredient }) => ingredient),
    }),
  );
  const ids = [...new Set(columns.flatMap(({ recipe }) => recipe.ingredients.map(({ ingredient }) => ingredient)))];
  return ids
    .filter((id) => !isWater(id))
    .map((id): TableRow => {
      const { name, stockUnit } = findIngredient(id);
      const doses = scaled.map(({ lines }) => {
        const own = lines.filter(({ ingredient }) => ingredient === id);
        return own.length === 0 ? null : own.reduce((sum, { dosePerL }) => sum + dosePerL, 0);
      });
      const cells = columns.map(({ recipe }, index) => {
        const line = recipe.ingredients.find(({ ingredient }) => ingredient === id);
        const dose = doses[index] ?? null;
        if (line?.amount.type === "unknown") return "asked: nobody states it";
        if (dose === null) return "none";
        const per = findIngredient(recipe.basis).stockUnit;
        return `${formatNumber(dose, 3)} ${stockUnit === "L" ? "mL" : "g"}/${per}${line?.optional ? ", may" : ""}${line?.onDay ? `, day ${line.onDay}` : ""}`;
      });
      const apart = apartOf(doses);
      // A tenth of a gram by the fill is no difference; whether it goes in, must go in, or when, is.
      const ways = columns.map(({ recipe }) => {
        const line = recipe.ingredients.find(({ ingredient }) => ingredient === id);
        return JSON.stringify([line?.amount.type, line?.optional ?? false, line?.onDay ?? 0]);
      });
      return { head: name, cells, apart, differs: apart !== null || new Set(ways).size > 1 };
    });
}

/** Rows whose cells tell all: they differ where their words do. */
const plain = (row: Omit<TableRow, "differs">): TableRow => ({ ...row, differs: new Set(row.cells).size > 1 });

function useRows(columns: readonly SchoolColumn[]): TableRow[] {
  return USE_IDS.filter((id) => columns.some(({ recipe }) => recipe.uses.some(({ use }) => use === id))).map(
    (id): TableRow => {
      const rates = columns.map(({ recipe }) => recipe.uses.find(({ use }) => use === id) ?? null);
      return plain({
        head: findUse(id).name,
        cells: rates.map((rate) =>
          rate
            ? `${sayDilution(rate.partsWater.default)}${rate.partsWater.strongest === rate.partsWater.weakest ? "" : ` (${sayDilution(rate.partsWater.strongest)} to ${sayDilution(rate.partsWater.weakest)})`}`
            : "–",
        ),
        apart: apartOf(rates.map((rate) => (rate ? rate.partsWater.default + 1 : null))),
      });
    },
  );
}

function makingRows(columns: readonly SchoolColumn[]): TableRow[] {
  const recipes = columns.map(({ recipe }) => recipe);
  const leads = recipes.map((recipe) => leadTime(recipe, COMPARED_C));
  const rows: Omit<TableRow, "differs">[] = [
    {
      head: `Ready at ${COMPARED_C} °C`,
      cells: leads.map(sayLead),
      apart: apartOf(leads.map(({ likelyH }) => likelyH)),
    },
    {
      head: "Filled to",
      cells: recipes.map(({ fillShare }) => `${Math.round(fillShare.default * 100)} %`),
      apart: apartOf(recipes.map(({ fillShare }) => fillShare.default)),
    },
    { head: "Lid", cells: recipes.map(({ lid }) => lid), apart: null },
    {
      head: "Keeps",
      cells: recipes.map(({ keeping }) => `${sayDuration(keeping.shelfH)} from ${KEEPS_FROM_WORDS[keeping.from]}`),
      apart: apartOf(recipes.map(({ keeping }) => keeping.shelfH)),
    },
  ];
  return rows.map(plain);
}

const Rows = ({
  title,
  rows,
  columns,
}: {
  title: string;
  rows: readonly TableRow[];
  columns: readonly SchoolColumn[];
}) => (
  <tbody>
    <tr>
      <th colSpan={columns.length + 2} className="pt-4 text-left font-display text-[1.02rem]">
        {title}
      </th>
    </tr>
    {rows.map(({ head, cells, apart, differs }) => {
      return (
        <tr key={head} className="border-t border-line align-top">
          <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
            <BookText>{head}</BookText>
          </th>
          {cells.map((cell, index) => (
            <td
              key={columns[index]!.key}
              className={clsx(
                "reading py-1.5 pr-3",
                differs && "font-semibold",
                columns[index]!.cautious && "bg-leaf-wash/60",
              )}
            >
              <BookText>{cell}</BookText>
            </td>
          ))}
          <td className="reading whitespace-nowrap py-1.5 text-right text-[0.95rem]">
            {differs ? (apart === null ? "≠ differs" : `× ${formatNumber(apart, 2)} apart`) : ""}
          </td>
        </tr>
      );
    })}
  </tbody>
);

/** Schools side by side: every dose to the litre, every use, the days; where they differ, by how much, and which is the cautious one. */
export const SchoolsTable = ({ columns }: { readonly columns: readonly SchoolColumn[] }) => (
  <div role="region" aria-label="Recipes side by side" tabIndex={0} className="relative overflow-x-auto">
    <table className="w-full min-w-[560px]">
      <thead>
        <tr className="border-b-2 border-ink align-bottom">
          <th className="text-left">
            <span className="sr-only">Point</span>
          </th>
          {columns.map(({ key, title, cautious, ours, recipe }) => (
            <th
              key={key}
              scope="col"
              className={clsx("pb-1 pr-3 text-left align-bottom", cautious && "bg-leaf-wash/60")}
            >
              <span className="block font-display text-[1.02rem]">{title}</span>
              <span className="block text-[0.86rem] font-normal leading-tight text-soft">{recipe.school.stance}</span>
              <span className="block text-[0.86rem] font-normal">
                {cautious ? "◆ cautious" : ""}
                {cautious && ours ? ", " : ""}
                {ours ? "● our choice" : ""}
              </span>
            </th>
          ))}
          <th className="whitespace-nowrap pb-1 text-right text-[0.86rem] font-normal text-soft">differ by</th>
        </tr>
      </thead>
      <Rows
        title={`What goes in, by ${findIngredient(columns[0]!.recipe.basis).stockUnit === "L" ? "liquid" : "weight"}`}
        rows={doseRows(columns)}
        columns={columns}
      />
      <Rows title="How it goes on" rows={useRows(columns)} columns={columns} />
      <Rows title="Making and keeping" rows={makingRows(columns)} columns={columns} />
    </table>
  </div>
);

/** Where growers at large differ on a method, what the book goes by, and why. */
export const Differences = ({ methodId }: { readonly methodId: string }) => (
  <ul className="grid gap-x-10 lg:grid-cols-2">
    {differencesOf(methodId).map(({ point, sides, apart, bookGoesBy, why }) => (
      <li key={point} className="border-t border-line py-2">
        <h3 className="flex justify-between gap-3 text-[1.02rem]">
          {point}
          {apart ? <span className="reading text-[0.95rem] font-normal">× {formatNumber(apart, 2)} apart</span> : null}
        </h3>
        <p className="text-[0.95rem]">
          {sides.map(({ says, cautious }, index) => (
            <span key={says}>
              {index > 0 ? " · " : ""}
              <span className={cautious ? "bg-leaf-wash/60 font-semibold" : ""}>
                {cautious ? "◆ " : ""}
                <BookText>{says}</BookText>
              </span>
            </span>
          ))}
        </p>
        <p className="text-[0.92rem] text-soft">
          Ruchka uses: <BookText>{`${bookGoesBy}. ${why}`}</BookText>
        </p>
      </li>
    ))}
  </ul>
);
