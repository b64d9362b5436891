import "server-only";
import { LITRES, MOMENT, REQUEST_KEY, ROW_ID, object, NAME } from "@/contracts/parts";
import { WATER_SOURCES, WATER_TREATMENTS, treatWater, UNREAD_WATER_C, type WaterAnswer } from "@/core/water/chlorine";
import { act } from "../act";
import type { Queryable } from "@/data/db";
import {
  findWater,
  insertWaterLevel,
  insertWaterReading,
  insertWaterSource,
  insertWaterStart,
  insertWaterUse,
  lockWaterStart,
  type FarmWater,
  type WaterUse,
} from "@/data/water";
import { fits } from "@/core/quantity/fits";
import { atField, refuse } from "../refusal";
import { momentOf, withFreeName } from "../checks";

const HOUR_MS = 3_600_000;

const ADD_WATER_SOURCE = object(["requestKey", "name", "kind"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  kind: { enum: WATER_SOURCES },
});

/** A source of water. @throws {Refusal} */
export const addWaterSource = act(
  { name: "addWaterSource", schema: ADD_WATER_SOURCE, may: "grower" },
  async (db, request, ctx): Promise<{ sourceId: number }> => {
    const name = request.name.trim();
    const entered = { actorId: ctx.actor.id, addedAt: ctx.now() };
    return {
      sourceId: await withFreeName(name, () => insertWaterSource(db, { name, kind: request.kind, ...entered })),
    };
  },
);

async function requireWater(db: Queryable, id: number, path: string): Promise<FarmWater> {
  const water = await findWater(db, id);
  if (!water) throw refuse("not-found", { thing: "water" }, path);
  return water;
}

/** What a strip says of a source. @throws {Refusal} */
const READ_WATER_LEVEL = object(["requestKey", "sourceId", "volumeL"], {
  requestKey: REQUEST_KEY,
  sourceId: ROW_ID,
  volumeL: { type: "number", minimum: 0, maximum: 1000000 },
  at: MOMENT,
});

/** How much stands in a butt or tank as somebody looks. @throws {Refusal} */
export const readWaterLevel = act(
  { name: "readWaterLevel", schema: READ_WATER_LEVEL, may: "helper" },
  async (db, request, ctx): Promise<{ levelId: number }> => {
    const water = await requireWater(db, request.sourceId, "/sourceId");
    return {
      levelId: await insertWaterLevel(db, {
        sourceId: water.id,
        volumeL: request.volumeL,
        at: momentOf(ctx, request.at),
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);

const CHLORINE = { anyOf: [{ type: "number", minimum: 0, maximum: 20 }, { type: "null" }] } as const;

const READ_WATER = object(["requestKey", "sourceId"], {
  requestKey: REQUEST_KEY,
  sourceId: ROW_ID,
  freeMgPerL: CHLORINE,
  totalMgPerL: CHLORINE,
  at: MOMENT,
});

export const readWater = act(
  { name: "readWater", schema: READ_WATER, may: "helper" },
  async (db, request, ctx): Promise<{ readingId: number }> => {
    const water = await requireWater(db, request.sourceId, "/sourceId");
    const [freeMgPerL, totalMgPerL] = [request.freeMgPerL ?? null, request.totalMgPerL ?? null];
    if (freeMgPerL === null && totalMgPerL === null) throw refuse("one-strip-field", {}, "/totalMgPerL");
    // The core checks that free chlorine is not above the total.
    atField("/freeMgPerL", () =>
      treatWater({
        source: water.kind,
        freeMgPerL,
        totalMgPerL,
        volumeL: 1,
        treatment: "none",
        temperatureC: 20,
      }),
    );
    return {
      readingId: await insertWaterReading(db, {
        sourceId: water.id,
        freeMgPerL,
        totalMgPerL,
        at: momentOf(ctx, request.at),
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);

const answerFor = (
  water: FarmWater,
  request: {
    volumeL: number;
    treatment: "none" | "stand" | "bubble" | "ascorbic" | "carbon";
    celsius?: number | null;
    covered?: boolean;
  },
): WaterAnswer =>
  treatWater({
    source: water.kind,
    freeMgPerL: water.freeMgPerL,
    totalMgPerL: water.totalMgPerL,
    volumeL: request.volumeL,
    treatment: request.treatment,
    temperatureC: request.celsius ?? UNREAD_WATER_C,
    covered: request.covered ?? false,
  });

const START_WATER = object(["requestKey", "sourceId", "purpose", "volumeL", "treatment"], {
  requestKey: REQUEST_KEY,
  sourceId: ROW_ID,
  purpose: { enum: ["brew", "dilution"] },
  volumeL: LITRES,
  treatment: { enum: WATER_TREATMENTS },
  /** As read; nothing where nobody read it. */
  celsius: { type: ["number", "null"], minimum: 0, maximum: 60 },
  covered: { type: "boolean" },
  place: { type: "string", maxLength: 80 },
  at: MOMENT,
});

/** Sets water to stand, to bubble, or doses it: its clock starts. @throws {Refusal} for a treatment that does not clear it */
export const startWater = act(
  { name: "startWater", schema: START_WATER, may: "helper" },
  async (db, request, ctx): Promise<{ startId: number }> => {
    const water = await requireWater(db, request.sourceId, "/sourceId");
    const answer = atField("/volumeL", () => answerFor(water, request));
    if (!answer.safe) throw refuse("treatment-fails", { reasons: answer.reasons }, "/treatment");
    const startedAt = momentOf(ctx, request.at);
    return {
      startId: await insertWaterStart(db, {
        sourceId: water.id,
        purpose: request.purpose,
        volumeL: request.volumeL,
        treatment: request.treatment,
        celsius: request.celsius ?? null,
        covered: request.covered ?? false,
        place: request.place?.trim() ?? "",
        ascorbicG: answer.ascorbicG,
        startedAt,
        readyAt: new Date(startedAt.getTime() + (answer.hours ?? 0) * HOUR_MS),
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);

interface WaterAsked {
  readonly sourceId: number;
  readonly startId?: number | null;
  readonly overrideReason?: string;
}

/**
 * Sees that the water of a batch or an application is fit for living things: by its source, by its strip, or because it stood long enough.
 * @throws {Refusal} at `/water…` where it is not and no reason is given, or where the prepared water does not suffice
 */
export async function requireFitWater(
  db: Queryable,
  asked: WaterAsked,
  use: Pick<WaterUse, "volumeL" | "at">,
): Promise<Pick<WaterUse, "sourceId" | "startId" | "overrideReason">> {
  const water = await requireWater(db, asked.sourceId, "/water/sourceId");
  const reason = asked.overrideReason?.trim() || null;
  const startId = asked.startId ?? null;
  if (startId === null) {
    const answer = answerFor(water, { volumeL: Math.max(1, use.volumeL), treatment: "none" });
    if (!answer.safe && reason === null)
      throw refuse(
        "reason-needed",
        { because: { code: "water-unfit", water: water.name, reasons: answer.reasons } },
        "/water/overrideReason",
      );
  } else {
    const start = await lockWaterStart(db, startId);
    if (!start || start.sourceId !== water.id) throw refuse("not-found", { thing: "prepared-water" }, "/water/startId");
    const leftH = (start.readyAt.getTime() - use.at.getTime()) / HOUR_MS;
    if (leftH > 0 && reason === null)
      throw refuse("reason-needed", { because: { code: "water-not-yet", leftH } }, "/water/overrideReason");
    if (!fits(use.volumeL, start.leftL)) {
      throw refuse("short-of-water", { leftL: start.leftL, wantedL: use.volumeL }, "/water/startId");
    }
  }
  return { sourceId: water.id, startId, overrideReason: reason };
}

/** Books the water of a batch or an application. @throws {Refusal} as `requireFitWater` */
export const bookWater = async (
  db: Queryable,
  asked: WaterAsked,
  use: Omit<WaterUse, "sourceId" | "startId" | "overrideReason">,
): Promise<void> => void (await insertWaterUse(db, { ...use, ...(await requireFitWater(db, asked, use)) }));
