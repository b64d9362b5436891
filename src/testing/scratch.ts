import { randomUUID } from "node:crypto";
import path from "node:path";
import type { Pool } from "mysql2/promise";
import { findRecipe } from "@/core/book";
import { scaleRecipe } from "@/core/recipe/scale";
import { openPool, select, type Queryable } from "@/data/db";
import { listActors } from "@/data/farm";
import { migrate } from "@/data/migrate";
import { addTool, addVessel, setUpFarm } from "@/services/farm";
import { addPlot } from "@/services/field";
import { closeBatch, logEntry } from "@/services/batch";
import { receiveLot } from "@/services/shed";
import type { Context } from "@/services/context";
import type { PlaceKind } from "@/core/ferment/temperature/places";
import { sayPlace } from "@/services/ferment";
import type { Role } from "@/core/people/roles";
import { onMachine } from "@/services/people";
import { fillVessel } from "@/services/fill";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { sayComplaints } from "@/contracts/fieldErrors";
import { Misfit, Refusal } from "@/services/refusal";
import { sayRefusal } from "@/words/refusals";
import { speechOf } from "@/words/speech";
import { copyOf, drop } from "./copyDatabase";
import { fillLines } from "./fillLines";
import { addWaterSource } from "@/services/water";

/** A day on which every test stands. */
export const NOW = new Date("2031-03-20T10:00:00Z");
const HOUR_MS = 3_600_000;
export const hoursAgo = (hours: number): Date => new Date(NOW.getTime() - hours * HOUR_MS);

const serverUrl = (): URL => {
  if (!process.env.DATABASE_URL) throw new Error("The database tests want DATABASE_URL; bin/test sets it.");
  return new URL(process.env.DATABASE_URL);
};

export interface Scratch {
  readonly url: string;
  readonly pool: Pool;
  readonly db: Queryable;
  readonly drop: () => Promise<void>;
}

/** Databases that this file's earlier tests are done with. */
const given: URL[] = [];

/**
 * Takes out whatever a test wrote, so that the next finds the database as it was made, the counts of its keys too;
 * a fifth of what making it anew takes.
 */
async function emptyAll(url: URL): Promise<void> {
  const pool = openPool(url.href, { connectionLimit: 1 });
  const names = async (sql: string): Promise<string[]> =>
    (await select<{ name: string }>(pool, sql)).map(({ name }) => name);
  const [counted, uncounted] = await Promise.all(
    ["auto_increment > 1", "auto_increment is null"].map((which) =>
      names(
        `select table_name as name from information_schema.tables
         where table_schema = database() and table_type = 'BASE TABLE' and table_name <> 'migration' and ${which}`,
      ),
    ),
  );
  const written = await names(
    uncounted!.map((name) => `select '${name}' as name where exists (select 1 from \`${name}\`)`).join(" union all "),
  );
  await pool.query("set foreign_key_checks = 0");
  for (const name of [...counted!, ...written]) await pool.query(`truncate table \`${name}\``);
  await pool.end();
}

async function migratedDatabase(): Promise<URL> {
  const before = given.pop();
  if (before) {
    await emptyAll(before);
    return before;
  }
  // bin/test has an empty farm as a dump, which is copied in a fraction of what its migrations take.
  const templates = process.env.RUCHKA_TEMPLATES;
  const url = await copyOf(templates ? path.join(templates, "new.sql") : null, serverUrl().href);
  if (!templates) await migrate(url.href);
  return url;
}

/** A database of the test's own on the test server, migrated or bare. */
export async function scratchDatabase(options: { migrated: boolean } = { migrated: true }): Promise<Scratch> {
  const url = options.migrated ? await migratedDatabase() : await copyOf(null, serverUrl().href);
  const pool = openPool(url.href);
  return {
    url: url.href,
    pool,
    db: pool,
    drop: async () => {
      await pool.end();
      // The last one of a file goes with the test server.
      if (options.migrated) given.push(url);
      else await drop(url);
    },
  };
}

/** The rain butt that every test farm has. */
export const RAIN_ID = 1;

/** Of the first person of every test farm. */
export const PASSPHRASE = "a dozen green pails";

export const key = (): string => randomUUID();

/** A small farm on a scratch database, and words for what its people do. */
export class TestFarm {
  private constructor(
    readonly scratch: Scratch,
    readonly actorIds: readonly number[],
  ) {}

  static async make(): Promise<TestFarm> {
    const scratch = await scratchDatabase();
    await setUpFarm(onMachine(scratch.pool), {
      requestKey: key(),
      name: "Test field",
      people: ["Ana", "Ben"],
      passphrase: PASSPHRASE,
      timeZone: "UTC",
      latitudeDeg: 45,
      // So far east that the sun is low at NOW: beds may be watered.
      longitudeDeg: 105,
      units: "metric",
      currency: "crowns",
      labourPerH: 12,
      powerPerKWh: 0.5,
      climateMeanC: 20,
      climateSwingC: 0,
    });
    const actors = await listActors(scratch.db);
    const farm = new TestFarm(
      scratch,
      actors.map(({ id }) => id),
    );
    await addWaterSource(farm.context(hoursAgo(5000)), { requestKey: key(), name: "Butt", kind: "rain" });
    return farm;
  }

  context(at: Date = NOW, person = 0, role: Role = "steward"): Context {
    return {
      pool: this.scratch.pool,
      now: () => at,
      actor: { id: this.actorIds[person]!, name: ["Ana", "Ben"][person]!, role },
    };
  }

  /** Says where a vessel stands. */
  place = async (vesselId: number, kind: PlaceKind, warmth: { lowC?: number; highC?: number } = {}): Promise<unknown> =>
    sayPlace(this.context(), { requestKey: key(), vesselId, kind, ...warmth });

  vessel = async (name: string, volumeL = 100, airW = 0): Promise<number> =>
    (await addVessel(this.context(hoursAgo(5000)), { requestKey: key(), name, kind: "drum", volumeL, airW })).vesselId;
  lot = async (ingredientId: string, amount: number, cost: number, receivedOn = "2030-11-01"): Promise<number> =>
    (
      await receiveLot(this.context(), {
        requestKey: key(),
        ingredientId,
        amount,
        origin: "bought",
        receivedOn,
        // Sound on every day of a test, whatever such things usually keep.
        expiresOn: "2034-01-01",
        cost,
        ...(isPickedPlant(ingredientId)
          ? { provenance: { plant: { species: "comfrey", part: "tips", place: "" } } }
          : {}),
      })
    ).lotId;
  plot = async (name: string, extra: object = {}): Promise<number> =>
    (await addPlot(this.context(), { requestKey: key(), name, stage: "growing", widthM: 1, lengthM: 10, ...extra }))
      .plotId;
  can = async (name = "Can"): Promise<number> =>
    (await addTool(this.context(), { requestKey: key(), name, kind: "can", volumeL: 10, stepMl: 10 })).toolId;

  /** The request that the fill panel would send. */
  fillRequest(vesselId: number, methodId: string, basisAmount: number, extra: object = {}) {
    const book = findRecipe(methodId);
    const recipe = scaleRecipe({
      recipe: book,
      vesselL: 20_000,
      targetBasis: basisAmount,
    });
    return {
      requestKey: key(),
      vesselId,
      methodId,
      schoolId: book.school.id,
      basisAmount,
      lines: fillLines(recipe),
      statedC: 22,
      labourMin: 30,
      water: { sourceId: RAIN_ID },
      ...extra,
    };
  }
  fill = async (
    vesselId: number,
    methodId: string,
    basisAmount: number,
    at = NOW,
    extra: object = {},
  ): Promise<number> =>
    (
      await fillVessel(
        this.context(at),
        this.fillRequest(vesselId, methodId, basisAmount, { startedAt: at.toISOString(), ...extra }),
      )
    ).batchId;
  log = async (batchId: number, at: Date, entry: object, extra: object = {}): Promise<number> =>
    (await logEntry(this.context(at), { requestKey: key(), batchId, at: at.toISOString(), entry, ...extra })).entryId;

  /** A cultured extract of 80 L that is ready to strain now. */
  readyExtract = async (vesselId: number, extra: object = {}): Promise<number> => {
    await this.lot("molasses", 5, 20);
    await this.lot("lactic-culture", 5, 10);
    const batchId = await this.fill(vesselId, "cultured-extract", 80, hoursAgo(20 * 24), extra);
    for (const days of [12, 6, 1]) await this.log(batchId, hoursAgo(days * 24), { kind: "temperature", celsius: 23 });
    await this.log(batchId, hoursAgo(6), { kind: "ph", value: 3.7, instrument: "meter", spot: "mid-depth" });
    await this.log(batchId, hoursAgo(6), { kind: "smell", word: "cidery" });
    return batchId;
  };

  /** That extract strained into a store of 60 L, now. */
  strained = async (change: object = {}): Promise<number> => {
    const { storeId } = await closeBatch(this.context(), {
      requestKey: key(),
      batchId: await this.readyExtract(await this.vessel("Drum")),
      kind: "strained",
      yieldL: 60,
      residue: "compost",
      labourMin: 5,
      label: "Extract",
      ...change,
    });
    return storeId!;
  };
}

/** The refusal that work ends in, as `code at fields`; fails where it goes through. */
export async function refusalOf(
  work: Promise<unknown>,
): Promise<{ code: string; fields: Readonly<Record<string, string>>; message: string }> {
  try {
    await work;
  } catch (error) {
    if (error instanceof Refusal) return { code: error.code, ...sayRefusal(error as Refusal, speechOf("metric")) };
    if (error instanceof Misfit)
      return { code: error.code, fields: sayComplaints(error.complaints, speechOf("metric")), message: error.code };
    throw error;
  }
  throw new Error("It was not refused.");
}
