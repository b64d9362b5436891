import "server-only";
import { findIngredient, type IngredientId, isWater } from "@/core/book/ingredients";
import { usualExpiry } from "@/core/book/ingredientFacts";
import { insertLots, listOwnIngredients, type OwnIngredient, listAllLots, type Lot, type LotOrigin } from "@/data/shed";
import type { Queryable } from "@/data/db";
import type { FileFault, RowWould } from "@/formats/csv/fileFault";
import { ingredientOfName, isFault, readAmountCell, readDay, readNumberCell, sameName } from "@/formats/csv/tables";
import type { Context } from "../context";
import { lotFault } from "../shed";
import { wrongRow, type Faults, type RowOutcome } from "./rows";
import { minorOf } from "../checks";

const ORIGINS: readonly LotOrigin[] = ["bought", "foraged", "home-made", "given"];
const MOST = 100_000;

interface LotDraft {
  readonly ingredientId: IngredientId;
  readonly own: OwnIngredient | null;
  readonly amount: number;
  readonly origin: LotOrigin;
  readonly receivedOn: string;
  readonly costMinor: number;
  readonly expiresOn: string | null;
  readonly place: string;
  readonly note: string;
}

const keyOf = (
  lot: Pick<LotDraft, "ingredientId" | "receivedOn" | "amount" | "costMinor" | "origin" | "note"> & {
    ownId: number | null;
  },
) =>
  [
    lot.ingredientId,
    lot.ownId ?? "",
    lot.receivedOn,
    lot.amount.toFixed(3),
    lot.costMinor.toFixed(0),
    lot.origin,
    lot.note,
  ].join("|");
const keyOfLot = (lot: Lot) => keyOf({ ...lot, ingredientId: lot.ingredientId as IngredientId, amount: lot.received });

/** Reads one row as a lot, or all that is wrong with it. */
function readLot(
  cells: Readonly<Record<string, string>>,
  own: readonly OwnIngredient[],
  today: string,
  units: "metric" | "us",
): LotDraft | Faults {
  const faults: Record<string, FileFault> = {};
  const name = cells.ingredient ?? "";
  const ours = own.find((one) => sameName(one.name, name)) ?? null;
  const ingredientId = ours ? (ours.countsAs as IngredientId) : ingredientOfName(name);
  if (ingredientId === null || isWater(ingredientId))
    faults.ingredient = name === "" ? { code: "which-ingredient" } : { code: "not-known", name };
  const book = ingredientId ? findIngredient(ingredientId) : null;
  const of = book && {
    itemId: book.id,
    unit: book.stockUnit,
    densityKgPerL: ours?.densityKgPerL ?? book.densityKgPerL,
  };
  const amount = of ? readAmountCell(cells.amount ?? "", cells.unit ?? "", of, units) : null;
  if (amount && isFault(amount)) faults[amount.of ?? "amount"] = amount.fault;
  if (amount && !isFault(amount) && !(amount.value > 0)) faults.amount = { code: "not-above-zero" };
  if (amount && !isFault(amount) && amount.value > MOST) faults.amount = { code: "too-much", most: MOST };
  const received = readDay(cells.received_on ?? "");
  if (isFault(received)) faults.received_on = received.fault;
  const expires = cells.expires_on ? readDay(cells.expires_on) : null;
  if (expires && isFault(expires)) faults.expires_on = expires.fault;
  const cost = cells.cost ? readNumberCell(cells.cost) : { value: 0 };
  if (isFault(cost)) faults.cost = cost.fault;
  const origin = (cells.origin || "bought").toLowerCase() as LotOrigin;
  if (!ORIGINS.includes(origin)) faults.origin = { code: "none-of", allowed: ORIGINS };
  if ((cells.place ?? "").length > 80) faults.place = { code: "too-long", letters: 80 };
  if ((cells.note ?? "").length > 200) faults.note = { code: "too-long", letters: 200 };
  if (Object.keys(faults).length > 0 || !book || !amount || isFault(amount) || isFault(received) || isFault(cost))
    return faults;
  const expiresOn = expires && !isFault(expires) ? expires.value : null;
  const wrong = lotFault(
    { amount: amount.value, origin, receivedOn: received.value, cost: cost.value, expiresOn },
    today,
  );
  if (wrong)
    return wrong.code === "received-ahead"
      ? { received_on: { code: "received-ahead" } }
      : { expires_on: { code: "expires-early" } };
  return {
    ingredientId: book.id,
    own: ours,
    amount: amount.value,
    origin,
    receivedOn: received.value,
    costMinor: minorOf(cost.value),
    expiresOn,
    place: cells.place ?? "",
    note: cells.note ?? "",
  };
}

export interface LotRows {
  readonly outcomes: readonly RowOutcome[];
  readonly write: (db: Queryable, ctx: Context, onProgress: (done: number) => void) => Promise<void>;
}

const wouldBe = ({ own, ingredientId, amount, receivedOn }: LotDraft): RowWould => {
  const { name, stockUnit } = findIngredient(ingredientId);
  return { code: "lot", ingredient: (own?.name ?? name).toLowerCase(), amount, unit: stockUnit, receivedOn };
};

/** What a file of lots would bring: those that are there already are left alone, two alike in one file are wrong. */
export async function lotRows(
  db: Queryable,
  cellRows: readonly Readonly<Record<string, string>>[],
  today: string,
  units: "metric" | "us" = "metric",
): Promise<LotRows> {
  const [own, known] = await Promise.all([listOwnIngredients(db), listAllLots(db)]);
  const byId = new Map(known.map((lot) => [lot.id, lot]));
  const byKey = new Map(known.map((lot) => [keyOfLot(lot), lot.id]));
  const seen = new Map<string, number>();
  const drafts: LotDraft[] = [];
  const outcomes = cellRows.map((cells, index): RowOutcome => {
    const line = index + 2;
    const draft = readLot(cells, own, today, units);
    if (!("ingredientId" in draft && typeof draft.amount === "number")) return wrongRow(line, draft as Faults);
    const lot = draft as LotDraft;
    const key = keyOf({ ...lot, ownId: lot.own?.id ?? null });
    if (cells.lot) {
      const there = byId.get(Number(cells.lot));
      if (!there) return wrongRow(line, { lot: { code: "no-lot", lot: cells.lot, mayBeNew: true } });
      return keyOfLot(there) === key
        ? { line, what: "same", would: { code: "lot-there", lot: there.id }, faults: {} }
        : wrongRow(line, { lot: { code: "lot-differs", lot: there.id } });
    }
    const twin = seen.get(key);
    if (twin !== undefined) return wrongRow(line, { ingredient: { code: "again", line: twin, of: "lot" } });
    seen.set(key, line);
    const there = byKey.get(key);
    if (there !== undefined) return { line, what: "same", would: { code: "lot-there", lot: there }, faults: {} };
    drafts.push(lot);
    return { line, what: "new", would: wouldBe(lot), faults: {} };
  });
  return {
    outcomes,
    write: (write, ctx, onProgress) =>
      insertLots(
        write,
        drafts.map((lot) => ({
          ingredientId: lot.ingredientId,
          ownId: lot.own?.id ?? null,
          unit: findIngredient(lot.ingredientId).stockUnit,
          origin: lot.origin,
          receivedOn: lot.receivedOn,
          received: lot.amount,
          costMinor: lot.costMinor,
          expiresOn: lot.expiresOn ?? usualExpiry(lot.ingredientId, lot.receivedOn, null),
          note: lot.note,
          place: lot.place,
          provenance: {},
          fromBatchId: null,
          cameWithBatchId: null,
          actorId: ctx.actor.id,
          addedAt: ctx.now(),
        })),
        onProgress,
      ),
  };
}
