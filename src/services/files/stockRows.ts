import "server-only";
import { findIngredient } from "@/core/book/ingredients";
import { toMilli } from "@/core/stock/drawOldest";
import { insertMovements, listAllLots, lockAllBalances } from "@/data/shed";
import type { Queryable } from "@/data/db";
import { ingredientOfName, isFault, readAmountCell } from "@/formats/csv/tables";
import type { LotRows } from "./lotRows";
import { wrongRow, type RowOutcome } from "./rows";
import { inText } from "@/formats/grammar";

/** What a file of stock would set right: each row is a count of a lot. With `lock` nobody moves anything until it is written. */
export async function stockRows(
  db: Queryable,
  cellRows: readonly Readonly<Record<string, string>>[],
  lock: boolean,
  units: "metric" | "us" = "metric",
): Promise<LotRows> {
  if (lock) await lockAllBalances(db);
  const byId = new Map((await listAllLots(db)).map((lot) => [lot.id, lot]));
  const seen = new Map<number, number>();
  const changes: { readonly lotId: number; readonly changeMilli: number }[] = [];
  const outcomes = cellRows.map((cells, index): RowOutcome => {
    const line = index + 2;
    const lot = /^\d+$/.test(cells.lot ?? "") ? byId.get(Number(cells.lot)) : undefined;
    if (!lot)
      return wrongRow(line, {
        lot: cells.lot ? { code: "no-lot", lot: cells.lot, mayBeNew: false } : { code: "which-lot" },
      });
    const twin = seen.get(lot.id);
    if (twin !== undefined) return wrongRow(line, { lot: { code: "again", line: twin, of: "count" } });
    seen.set(lot.id, line);
    const book = findIngredient(lot.ingredientId);
    const named = cells.ingredient ? ingredientOfName(cells.ingredient) : null;
    if (named !== null && named !== lot.ingredientId && lot.ownId === null)
      return wrongRow(line, { ingredient: { code: "lot-is-other", lot: lot.id, name: inText(book.name) } });
    const counted = readAmountCell(
      cells.on_hand ?? "",
      cells.unit ?? "",
      {
        itemId: book.id,
        unit: book.stockUnit,
        densityKgPerL: book.densityKgPerL,
      },
      units,
    );
    if (isFault(counted)) return wrongRow(line, { [counted.of ?? "on_hand"]: counted.fault });
    const changeMilli = toMilli(counted.value) - toMilli(lot.onHand);
    if (changeMilli === 0)
      return {
        line,
        what: "same",
        would: { code: "counted-same", lot: lot.id, amount: lot.onHand, unit: lot.unit },
        faults: {},
      };
    changes.push({ lotId: lot.id, changeMilli });
    return {
      line,
      what: "changed",
      would: {
        code: "counted",
        lot: lot.id,
        ingredient: inText(book.name),
        before: lot.onHand,
        after: counted.value,
        unit: lot.unit,
      },
      faults: {},
    };
  });
  return {
    outcomes,
    write: (write, ctx, onProgress) =>
      insertMovements(
        write,
        changes.map(({ lotId, changeMilli }) => ({
          lotId,
          changeBy: changeMilli / 1000,
          kind: "counted",
          batchId: null,
          at: ctx.now(),
          actorId: ctx.actor.id,
          note: "from a file",
        })),
        onProgress,
      ),
  };
}
