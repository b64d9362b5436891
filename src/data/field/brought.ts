import "server-only";
import { NOTHING_BROUGHT, type BroughtAmounts } from "@/core/apply/brought";
import { places, select, type Queryable } from "../db";

/** The first day of the month of a day. */
const monthOf = (day: string): string => `${day.slice(0, 7)}-01`;

/** Puts what an application brought onto the sum of a plot; takes it off where the amounts are negative. @param day ISO date */
export async function addToBrought(
  db: Queryable,
  plotId: number,
  day: string,
  { n, k2o, salt, sugar, acid }: BroughtAmounts,
): Promise<void> {
  await db.execute(
    `insert into plot_brought (plot_id, month, n_g, k2o_g, salt_g, sugar_g, acid_g) values (?, ?, ?, ?, ?, ?, ?)
     on duplicate key update n_g = n_g + values(n_g), k2o_g = k2o_g + values(k2o_g), salt_g = salt_g + values(salt_g),
       sugar_g = sugar_g + values(sugar_g), acid_g = acid_g + values(acid_g)`,
    [plotId, monthOf(day), ...[n, k2o, salt, sugar, acid].map((grams) => grams.toFixed(3))],
  );
}

/** What each plot was brought since the month of a day, g; plots that got nothing are left out. @param plotIds of these alone; null for all */
export async function listBrought(
  db: Queryable,
  sinceDay: string,
  plotIds: readonly number[] | null = null,
): Promise<ReadonlyMap<number, BroughtAmounts>> {
  if (plotIds?.length === 0) return new Map();
  const rows = await select<{ plot_id: number; n: string; k2o: string; salt: string; sugar: string; acid: string }>(
    db,
    `select plot_id, sum(n_g) as n, sum(k2o_g) as k2o, sum(salt_g) as salt, sum(sugar_g) as sugar, sum(acid_g) as acid
     from plot_brought where month >= ? ${plotIds ? `and plot_id in (${places(plotIds)})` : ""} group by plot_id`,
    [monthOf(sinceDay), ...(plotIds ?? [])],
  );
  return new Map(
    rows.map((row) => [
      row.plot_id,
      {
        ...NOTHING_BROUGHT,
        n: Number(row.n),
        k2o: Number(row.k2o),
        salt: Number(row.salt),
        sugar: Number(row.sugar),
        acid: Number(row.acid),
      },
    ]),
  );
}
