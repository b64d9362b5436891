import "server-only";
/** Rows of what the season's report stands beside: what would else have been bought, budgets; what was bought in a span. */
import { insert, select, type Queryable } from "../db";

interface Written {
  readonly actorId: number;
  readonly addedAt: Date;
}
/** A thing from the shop in place of an input. */
export interface BoughtInstead {
  readonly methodId: string;
  readonly name: string;
  readonly priceMinor: number;
  /** Square metres that a pack is for, once. */
  readonly coversM2: number;
  readonly wouldBuy: boolean;
}
interface InsteadRow {
  method_id: string;
  name: string;
  price_minor: string;
  covers_m2: string;
  would_buy: number;
}

/** What stands in place of each input, as it was said last. */
export async function listBoughtInstead(db: Queryable): Promise<BoughtInstead[]> {
  const rows = await select<InsteadRow>(
    db,
    `select one.method_id, one.name, one.price_minor, one.covers_m2, one.would_buy from bought_instead one
     join (select max(id) as id from bought_instead group by method_id) newest on newest.id = one.id where one.put_away = 0`,
  );
  return rows.map((row) => ({
    ...{ methodId: row.method_id, name: row.name, wouldBuy: row.would_buy === 1 },
    ...{ priceMinor: Number(row.price_minor), coversM2: Number(row.covers_m2) },
  }));
}
export const insertBoughtInstead = (
  db: Queryable,
  row: BoughtInstead & Written & { readonly isPutAway: boolean },
): Promise<number> =>
  insert(
    db,
    "insert into bought_instead (method_id, name, price_minor, covers_m2, would_buy, put_away, actor_id, added_at) values (?, ?, ?, ?, ?, ?, ?, ?)",
    [
      ...[row.methodId, row.name, row.priceMinor, row.coversM2, row.wouldBuy, row.isPutAway],
      ...[row.actorId, row.addedAt],
    ],
  );

/** What a season may cost; null for what nobody limits. */
export interface Budget {
  readonly boughtMinor: number | null;
  readonly hours: number | null;
  readonly lossMinor: number | null;
}
export async function findBudget(db: Queryable, year: number): Promise<Budget | null> {
  const [row] = await select<{ bought_minor: string | null; hours: string | null; loss_minor: string | null }>(
    db,
    "select bought_minor, hours, loss_minor from season_budget where season_year = ? order by id desc limit 1",
    [year],
  );
  const number = (value: string | null): number | null => (value === null ? null : Number(value));
  return row
    ? { boughtMinor: number(row.bought_minor), hours: number(row.hours), lossMinor: number(row.loss_minor) }
    : null;
}
export const insertBudget = (db: Queryable, row: Budget & Written & { readonly year: number }): Promise<number> =>
  insert(
    db,
    "insert into season_budget (season_year, bought_minor, hours, loss_minor, actor_id, added_at) values (?, ?, ?, ?, ?, ?)",
    [row.year, row.boughtMinor, row.hours, row.lossMinor, row.actorId, row.addedAt],
  );

/** What a unit of each ingredient cost when it was bought last, minor units; of what was never bought nothing. */
export async function listLastPrices(db: Queryable): Promise<ReadonlyMap<string, number>> {
  const rows = await select<{ ingredient_id: string; unit_minor: string }>(
    db,
    `select lot.ingredient_id, lot.cost_minor / lot.received as unit_minor from lot
     join (select max(bought.id) as id from lot bought left join taken_back slip on slip.kind = 'lot' and slip.row_id = bought.id
           where bought.origin = 'bought' and bought.own_ingredient_id is null and bought.received > 0 and slip.row_id is null
           group by bought.ingredient_id) newest on newest.id = lot.id`,
  );
  return new Map(rows.map((row) => [row.ingredient_id, Number(row.unit_minor)]));
}

/** What lots cost that came in from one day to another, both in it; slips are left out. */
export async function sumBought(db: Queryable, from: string, to: string): Promise<number> {
  const [row] = await select<{ minor: string | null }>(
    db,
    `select sum(lot.cost_minor) as minor from lot left join taken_back slip on slip.kind = 'lot' and slip.row_id = lot.id
     where lot.origin = 'bought' and lot.received_on between ? and ? and slip.row_id is null`,
    [from, to],
  );
  return Number(row?.minor ?? 0);
}
