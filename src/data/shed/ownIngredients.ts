import "server-only";
import { insert, select, type Queryable } from "../db";

/** An ingredient of the farm's own: a kind of one that the book knows. */
export interface OwnIngredient {
  readonly id: number;
  readonly name: string;
  readonly countsAs: string;
  readonly densityKgPerL: number | null;
  readonly keepsD: number | null;
  readonly season: readonly string[];
  readonly caution: string;
  readonly keeping: string;
  /** Put away: its lots keep their name, and it is offered no more. */
  readonly retired: boolean;
}

export type NewOwnIngredient = Omit<OwnIngredient, "id" | "retired"> & {
  readonly actorId: number;
  readonly addedAt: Date;
};

interface OwnRow {
  id: number;
  name: string;
  counts_as: string;
  density_kg_per_l: string | null;
  keeps_d: number | null;
  season: string;
  caution: string;
  keeping: string;
  state: string;
}

const SELECT =
  "select id, name, counts_as, density_kg_per_l, keeps_d, season, caution, keeping, state from own_ingredient";
const INSERT = `
  insert into own_ingredient (name, counts_as, density_kg_per_l, keeps_d, season, caution, keeping, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?, ?, ?)`;

export const listOwnIngredients = async (db: Queryable): Promise<OwnIngredient[]> =>
  (await select<OwnRow>(db, `${SELECT} order by name`)).map((row) => ({
    id: row.id,
    name: row.name,
    countsAs: row.counts_as,
    densityKgPerL: row.density_kg_per_l === null ? null : Number(row.density_kg_per_l),
    keepsD: row.keeps_d,
    season: row.season.split(" ").filter(Boolean),
    caution: row.caution,
    keeping: row.keeping,
    retired: row.state === "retired",
  }));

export const insertOwnIngredient = (db: Queryable, own: NewOwnIngredient): Promise<number> =>
  insert(db, INSERT, [
    own.name,
    own.countsAs,
    own.densityKgPerL,
    own.keepsD,
    own.season.join(" "),
    own.caution,
    own.keeping,
    own.actorId,
    own.addedAt,
  ]);
