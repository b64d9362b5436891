import "server-only";
import { CHOSEN_FILL, FILL_LINES } from "@/contracts/fill";
import { DAY, ID, MINUTES, MONEY, NAME, object, orNull, POSITIVE_AMOUNT, REASON, REQUEST_KEY } from "@/contracts/parts";
import { INGREDIENT_FACTS, type UsualSource } from "@/core/book/ingredientFacts";
import { findIngredient, isWater } from "@/core/book/ingredients";
import { HELD_BEFORE } from "@/core/choose/firstDrum";
import { PLACE_KINDS } from "@/core/ferment/temperature/places";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import { WATER_SOURCES, type WaterSource } from "@/core/water/chlorine";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import type { LotOrigin } from "@/data/shed";
import { insertPlaceAtSite, insertVessel, listVesselStates } from "@/data/vessels";
import { insertWaterSource, insertWaterStart, listWaters } from "@/data/water";
import { isoDay } from "@/formats/times";
import { sayWaterSource } from "@/words/said";
import { act, type Asked } from "../act";
import { freeName } from "../checks";
import type { Context } from "../context";
import { atField, Refusal } from "../refusal";
import { bookLot, planWith } from "../shed";
import { fillWith } from "./fillVessel";

const { vesselId: _vessel, water: _water, planId: _plan, equipmentIds: _tools, note: _note, ...CHOSEN } = CHOSEN_FILL;

const START_FIRST_DRUM = object(["requestKey", "vessel", "lots", "fill"], {
  requestKey: REQUEST_KEY,
  vessel: object(["name", "kind", "volumeL", "heldBefore", "airW"], {
    name: { ...NAME, maxLength: 32 },
    kind: { enum: ["drum", "tote", "pail", "jar"] },
    volumeL: { type: "number", minimum: 0.1, maximum: 20000 },
    heldBefore: { enum: HELD_BEFORE },
    airW: { type: "number", minimum: 0, maximum: 10000 },
    /** Where it will stand. */
    place: { enum: PLACE_KINDS },
  }),
  /** What somebody said to have: it comes into stock with the drum that it goes into. */
  lots: {
    type: "array",
    maxItems: 40,
    items: object(["ingredientId", "amount", "cost"], {
      ingredientId: ID,
      amount: POSITIVE_AMOUNT,
      cost: MONEY,
      /** Which plants they are, where plants were picked. */
      species: { type: "string", maxLength: 60 },
    }),
  },
  water: orNull(
    object(["kind", "carbon"], {
      kind: { enum: WATER_SOURCES },
      /** Ran through a carbon filter. */
      carbon: { type: "boolean" },
      overrideReason: orNull(REASON),
    }),
  ),
  fill: object(["methodId", "schoolId", "basisAmount", "lines", "labourMin"], {
    ...CHOSEN,
    lines: FILL_LINES,
    labourMin: MINUTES,
  }),
  /** Not started today but meant for a day. */
  forDay: orNull(DAY),
});
type FirstDrum = Asked<typeof START_FIRST_DRUM>;

const ORIGIN: Readonly<Record<UsualSource, LotOrigin>> = {
  bought: "bought",
  foraged: "foraged",
  saved: "home-made",
  made: "home-made",
};

/** What is refused of the fill stands at the fill's own field of this request. */
async function withinFill<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (error) {
    if (error instanceof Refusal)
      throw new Refusal(
        error.code,
        error.params,
        error.paths.map((path) => `/fill${path}`),
      );
    throw error;
  }
}

async function bookLots(db: Queryable, ctx: Context, { lots }: FirstDrum): Promise<void> {
  const farm = await findFarm(db);
  const receivedOn = isoDay(ctx.now(), { timeZone: farm?.timeZone ?? "UTC" });
  for (const [index, lot] of lots.entries()) {
    const item = atField(`/lots/${index}/ingredientId`, () => findIngredient(lot.ingredientId));
    if (isWater(item.id)) continue;
    const species = lot.species?.trim() ?? "";
    await bookLot(db, ctx, {
      ingredientId: item.id,
      amount: lot.amount,
      cost: lot.cost,
      origin: lot.cost > 0 ? "bought" : ORIGIN[INGREDIENT_FACTS[item.id].source],
      receivedOn,
      ...(isPickedPlant(item.id) ? { provenance: { plant: { species, part: "", place: "" } } } : {}),
    });
  }
}

/** The source of this kind, and what was run through carbon as water that is fit. */
async function bookSource(
  db: Queryable,
  ctx: Context,
  { kind, carbon }: { readonly kind: WaterSource; readonly carbon: boolean },
  volumeL: number,
): Promise<{ readonly sourceId: number; readonly startId: number | null }> {
  const waters = await listWaters(db);
  const entered = { actorId: ctx.actor.id, addedAt: ctx.now() };
  const known = waters.find((water) => water.kind === kind);
  const name = freeName(
    sayWaterSource(kind),
    waters.map((water) => water.name),
  );
  const sourceId = known?.id ?? (await insertWaterSource(db, { name, kind, ...entered }));
  if (!carbon || volumeL <= 0) return { sourceId, startId: null };
  const startId = await insertWaterStart(db, {
    sourceId,
    purpose: "brew",
    volumeL,
    treatment: "carbon",
    celsius: null,
    covered: false,
    place: "",
    ascorbicG: null,
    startedAt: ctx.now(),
    readyAt: ctx.now(),
    ...entered,
  });
  return { sourceId, startId };
}

/** Of a fill what a plan keeps. */
const planned = ({ methodId, schoolId, basisAmount, include, stated, substitutes }: FirstDrum["fill"]) => ({
  methodId,
  schoolId,
  basisAmount,
  versionNo: null,
  ...(include ? { include } : {}),
  ...(stated ? { stated } : {}),
  ...(substitutes ? { substitutes } : {}),
});

const waterL = ({ fill }: FirstDrum): number =>
  fill.lines.reduce((sum, { ingredientId, used }) => sum + (isWater(ingredientId) ? used : 0), 0);

/**
 * A first drum in one go: the vessel stands, what is at hand is in stock, the water has its source, and the batch runs (or is planned for a day).
 * @throws {Refusal} as each of these does alone, at its own field
 */
export const startFirstDrum = act(
  { name: "startFirstDrum", schema: START_FIRST_DRUM, may: "grower" },
  async (db, request, ctx): Promise<{ vesselId: number; batchId: number | null; planId: number | null }> => {
    const { water, fill } = request;
    const { place = "unsaid", ...vessel } = request.vessel;
    const taken = (await listVesselStates(db)).map(({ name }) => name);
    const vesselId = await insertVessel(db, {
      ...vessel,
      name: freeName(vessel.name.trim(), taken),
      diameterM: null,
      site: "",
      addedAt: ctx.now(),
      actorId: ctx.actor.id,
    });
    if (place !== "unsaid") await insertPlaceAtSite(db, vesselId, { kind: place }, ctx.actor.id, ctx.now());
    await bookLots(db, ctx, request);
    const source = water ? await bookSource(db, ctx, water, waterL(request)) : null;
    if (request.forDay) {
      const { planId } = await withinFill(planWith(db, ctx, { ...planned(fill), vesselId, forDay: request.forDay }));
      return { vesselId, batchId: null, planId };
    }
    const { batchId } = await withinFill(
      fillWith(
        db,
        ctx,
        { ...fill, vesselId, water: source ? { ...source, overrideReason: water?.overrideReason ?? "" } : null },
        { mixingId: null },
      ),
    );
    return { vesselId, batchId, planId: null };
  },
);
