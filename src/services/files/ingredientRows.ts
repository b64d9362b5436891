import "server-only";
import { INGREDIENTS, isWater } from "@/core/book/ingredients";
import type { Season } from "@/core/book/ingredientFacts";
import type { Queryable } from "@/data/db";
import { insertOwnIngredient, listOwnIngredients, type OwnIngredient } from "@/data/shed";
import type { FileFault } from "@/formats/csv/fileFault";
import { ingredientOfName, readNumberCell, sameName } from "@/formats/csv/tables";
import type { LotRows } from "./lotRows";
import { wrongRow, type Faults, type RowOutcome } from "./rows";

const SEASONS: readonly Season[] = ["spring", "summer", "autumn", "winter"];
type Draft = Omit<OwnIngredient, "id" | "retired">;

function readOwn(cells: Readonly<Record<string, string>>): Draft | Faults {
  const faults: Record<string, FileFault> = {};
  const name = cells.name ?? "";
  if (name === "") faults.name = { code: "no-name" };
  else if (name.length > 60) faults.name = { code: "too-long", letters: 60 };
  else if (Object.values(INGREDIENTS).some((known) => sameName(known.name, name)))
    faults.name = { code: "name-in-book" };
  const countsAs = ingredientOfName(cells.counts_as ?? "");
  if (countsAs === null || isWater(countsAs))
    faults.counts_as = cells.counts_as ? { code: "not-in-book", name: cells.counts_as } : { code: "counts-as-what" };
  const density = cells.density_kg_per_l ? readNumberCell(cells.density_kg_per_l) : { value: null };
  if ("fault" in density) faults.density_kg_per_l = density.fault;
  else if (density.value !== null && (density.value < 0.02 || density.value > 5))
    faults.density_kg_per_l = { code: "not-between", least: 0.02, most: 5, unit: "kg/L" };
  const keeps = cells.keeps_days ? readNumberCell(cells.keeps_days) : { value: null };
  if ("fault" in keeps) faults.keeps_days = keeps.fault;
  else if (keeps.value !== null && (!Number.isInteger(keeps.value) || keeps.value < 1 || keeps.value > 10_000))
    faults.keeps_days = { code: "no-whole-days", most: 10_000 };
  const season = (cells.season ?? "")
    .toLowerCase()
    .split(/[\s;,/]+/)
    .filter(Boolean) as Season[];
  if (season.some((one) => !SEASONS.includes(one))) faults.season = { code: "none-of", allowed: SEASONS };
  if ((cells.caution ?? "").length > 300) faults.caution = { code: "too-long", letters: 300 };
  if ((cells.keeping ?? "").length > 200) faults.keeping = { code: "too-long", letters: 200 };
  if (Object.keys(faults).length > 0 || "fault" in density || "fault" in keeps) return faults;
  return {
    name,
    countsAs: countsAs!,
    densityKgPerL: density.value,
    keepsD: keeps.value,
    season: SEASONS.filter((one) => season.includes(one)),
    caution: cells.caution ?? "",
    keeping: cells.keeping ?? "",
  };
}

const facts = ({ countsAs, densityKgPerL, keepsD, season, caution, keeping }: Draft) =>
  [countsAs, densityKgPerL, keepsD, season.toSorted().join(" "), caution, keeping].join("|");

/** What a file of the farm's own ingredients would add. */
export async function ingredientRows(
  db: Queryable,
  cellRows: readonly Readonly<Record<string, string>>[],
): Promise<LotRows> {
  const known = await listOwnIngredients(db);
  const drafts: Draft[] = [];
  const seen: { readonly name: string; readonly line: number }[] = [];
  const outcomes = cellRows.map((cells, index): RowOutcome => {
    const line = index + 2;
    const draft = readOwn(cells);
    if (!("countsAs" in draft)) return wrongRow(line, draft);
    const own = draft as Draft;
    const twin = seen.find(({ name }) => sameName(name, own.name));
    if (twin) return wrongRow(line, { name: { code: "again", line: twin.line, of: "name" } });
    seen.push({ name: own.name, line });
    const there = known.find(({ name }) => sameName(name, own.name));
    if (there)
      return facts(there) === facts(own)
        ? { line, what: "same", would: { code: "ingredient-there", name: there.name }, faults: {} }
        : wrongRow(line, { name: { code: "known-otherwise", name: there.name } });
    drafts.push(own);
    return {
      line,
      what: "new",
      would: {
        code: "ingredient",
        name: own.name,
        countsAs: INGREDIENTS[own.countsAs as keyof typeof INGREDIENTS].name.toLowerCase(),
      },
      faults: {},
    };
  });
  return {
    outcomes,
    write: async (write, ctx, onProgress) => {
      for (const [index, own] of drafts.entries()) {
        await insertOwnIngredient(write, { ...own, actorId: ctx.actor.id, addedAt: ctx.now() });
        if (index % 100 === 99 || index === drafts.length - 1) onProgress(index + 1);
      }
    },
  };
}
