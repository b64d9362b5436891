import "server-only";
import type { RecipeDocument } from "@/core/recipe/document";
import type { RecipeFlag } from "@/core/recipe/recipeFlag";
import { insert, select, type Queryable } from "../db";

/** One of the farm's own versions of a school's recipe. */
export interface RecipeVersion {
  readonly methodId: string;
  readonly schoolId: string;
  readonly versionNo: number;
  readonly document: RecipeDocument;
  readonly unconfirmed: readonly RecipeFlag[];
  readonly actorName: string;
  readonly addedAt: Date;
}

/** What the farm makes a method by. */
export interface RecipeChoice {
  readonly methodId: string;
  readonly schoolId: string;
  readonly versionNo: number | null;
}

interface VersionRow {
  method_id: string;
  school_id: string;
  version_no: number;
  document: RecipeDocument;
  unconfirmed: RecipeFlag[];
  actor_name: string;
  added_at: Date;
}

const SELECT_VERSIONS = `
  select version.method_id, version.school_id, version.version_no, version.document, version.unconfirmed, actor.name as actor_name, version.added_at
  from standing_recipe_version version join actor on actor.id = version.actor_id`;
const SELECT_ALL = `${SELECT_VERSIONS} order by version.method_id, version.school_id, version.version_no`;
const SELECT_ONE = `${SELECT_VERSIONS} where version.method_id = ? and version.school_id = ? and version.version_no = ?`;
const LOCK_NUMBERS =
  "select coalesce(max(version_no), 0) as last_no from recipe_version where method_id = ? and school_id = ? for update";
const LAST_STANDING =
  "select coalesce(max(version_no), 0) as last_no from standing_recipe_version where method_id = ? and school_id = ?";
const INSERT_VERSION = `
  insert into recipe_version (method_id, school_id, version_no, document, unconfirmed, actor_id, added_at)
  values (?, ?, ?, ?, ?, ?, ?)`;
const SELECT_CHOICES = `
  select choice.method_id, choice.school_id, choice.version_no from recipe_choice choice
  join (select method_id, max(id) as id from recipe_choice group by method_id) latest on latest.id = choice.id`;
const INSERT_CHOICE =
  "insert into recipe_choice (method_id, school_id, version_no, actor_id, added_at) values (?, ?, ?, ?, ?)";

const toVersion = (row: VersionRow): RecipeVersion => ({
  methodId: row.method_id,
  schoolId: row.school_id,
  versionNo: row.version_no,
  document: row.document,
  unconfirmed: row.unconfirmed,
  actorName: row.actor_name,
  addedAt: row.added_at,
});

export const listRecipeVersions = async (db: Queryable): Promise<RecipeVersion[]> =>
  (await select<VersionRow>(db, SELECT_ALL)).map(toVersion);

export async function findRecipeVersion(
  db: Queryable,
  methodId: string,
  schoolId: string,
  versionNo: number,
): Promise<RecipeVersion | null> {
  const [row] = await select<VersionRow>(db, SELECT_ONE, [methodId, schoolId, versionNo]);
  return row ? toVersion(row) : null;
}

/**
 * The number of the newest version that stands, 0 for none, and the next one that is free: a number that was once given is never given again. The school's
 * versions stay locked until the transaction ends.
 */
export async function lockVersionNos(
  db: Queryable,
  methodId: string,
  schoolId: string,
): Promise<{ readonly lastNo: number; readonly nextNo: number }> {
  const [given] = await select<{ last_no: number }>(db, LOCK_NUMBERS, [methodId, schoolId]);
  const [standing] = await select<{ last_no: number }>(db, LAST_STANDING, [methodId, schoolId]);
  return { lastNo: Number(standing?.last_no ?? 0), nextNo: Number(given?.last_no ?? 0) + 1 };
}

/** Appends a version; a number that is taken fails as a duplicate. */
export const insertRecipeVersion = (
  db: Queryable,
  version: Omit<RecipeVersion, "actorName"> & { readonly actorId: number },
): Promise<number> =>
  insert(db, INSERT_VERSION, [
    version.methodId,
    version.schoolId,
    version.versionNo,
    JSON.stringify(version.document),
    JSON.stringify(version.unconfirmed),
    version.actorId,
    version.addedAt,
  ]);

export const listRecipeChoices = async (db: Queryable): Promise<RecipeChoice[]> =>
  (await select<{ method_id: string; school_id: string; version_no: number | null }>(db, SELECT_CHOICES)).map(
    (row) => ({
      methodId: row.method_id,
      schoolId: row.school_id,
      versionNo: row.version_no,
    }),
  );

export const insertRecipeChoice = (
  db: Queryable,
  choice: RecipeChoice & { readonly actorId: number; readonly addedAt: Date },
): Promise<number> =>
  insert(db, INSERT_CHOICE, [choice.methodId, choice.schoolId, choice.versionNo, choice.actorId, choice.addedAt]);
