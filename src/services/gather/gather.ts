import "server-only";
import { DAY, ID, MOMENT, NOTE, POSITIVE_AMOUNT, REASON, REQUEST_KEY, ROW_ID, object, NAME } from "@/contracts/parts";
import { act } from "../act";
import { BALL_TEST, type BallWord, BALL_WORDS } from "@/core/gather/wormBin";
import { restsUntil } from "@/core/gather/resting";
import { checkPlant } from "@/core/safety/checkPlant";
import type { IngredientId } from "@/core/book/ingredients";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import {
  insertForagePlace,
  insertForageVisit,
  lockForagePlace,
  insertWormBin,
  insertWormBinEntry,
  lockWormBin,
} from "@/data/gather";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { bookLot } from "../shed";
import { momentOf, withFreeName } from "../checks";

const reasonOf = (text: string | null | undefined): string => text?.trim() ?? "";
const todayOf = async (db: Queryable, ctx: Context): Promise<string> =>
  isoDay(ctx.now(), { timeZone: (await findFarm(db))?.timeZone ?? "UTC" });

const RECORD_PICK = object(["requestKey", "species", "part", "ingredientId", "amount", "place", "pickedOn"], {
  requestKey: REQUEST_KEY,
  species: { ...NAME, maxLength: 60 },
  part: { enum: ["growing tips", "leaves", "flowers", "fruit", "roots", "whole plant", "stems"] },
  ingredientId: ID,
  amount: POSITIVE_AMOUNT,
  place: { ...NAME, maxLength: 80 },
  /** Crops that it is meant for, so that none gets its own kin. */
  crops: { type: "array", maxItems: 40, items: { type: "string", maxLength: 60 } },
  pickedOn: DAY,
  herbicideSuspected: { type: "boolean" },
  overrideReason: REASON,
  note: NOTE,
});

/**
 * A picking goes into the shed as a lot that knows what, which part, where, when and by whom. A poisonous plant is refused for good;
 * an unknown or cautioned one wants a reason, which is kept with the lot.
 * @throws {Refusal}
 */
export const recordPick = act(
  { name: "recordPick", schema: RECORD_PICK, may: "helper" },
  async (db, request, ctx): Promise<{ lotId: number }> => {
    const check = checkPlant(request.species, request.place, request.crops ?? []);
    if (check.type === "refused") throw refuse("poisonous", { why: check.why }, "/species");
    const reason = reasonOf(request.overrideReason);
    if (check.type !== "good" && reason === "")
      throw refuse(
        "reason-needed",
        { because: { code: "unknown-plant", why: check.why } },
        "/species",
        "/overrideReason",
      );
    const lotId = await bookLot(db, ctx, {
      ingredientId: request.ingredientId,
      amount: request.amount,
      origin: "foraged",
      receivedOn: request.pickedOn,
      cost: 0,
      place: "",
      note: request.note ?? `${request.part} of ${request.species.trim()}`,
      provenance: {
        plant: { species: request.species.trim(), part: request.part, place: request.place.trim() },
        herbicideSuspected: request.herbicideSuspected ?? false,
        overrideReason: reason === "" ? null : reason,
      },
    });
    return { lotId };
  },
);

const ADD_FORAGE_PLACE = object(["requestKey", "name", "kind", "restD"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  kind: { enum: ["leaf-mould", "plants", "seaweed"] },
  ground: NOTE,
  permission: { type: "string", maxLength: 120 },
  restD: { type: "integer", minimum: 0, maximum: 3650 },
});

/** A place that the farm gathers from. @throws {Refusal} */
export const addForagePlace = act(
  { name: "addForagePlace", schema: ADD_FORAGE_PLACE, may: "grower" },
  async (db, request, ctx): Promise<{ placeId: number }> => {
    const name = request.name.trim();
    return {
      placeId: await withFreeName(name, () =>
        insertForagePlace(db, {
          name,
          kind: request.kind,
          ground: request.ground?.trim() ?? "",
          permission: request.permission?.trim() ?? "",
          restD: request.restD,
          actorId: ctx.actor.id,
          addedAt: ctx.now(),
        }),
      ),
    };
  },
);

const TAKEN_AS: Readonly<Record<string, IngredientId>> = {
  "leaf-mould": "leaf-mould",
  "plants": "plant",
  "seaweed": "seaweed-fresh",
};

const VISIT_FORAGE = object(["requestKey", "placeId", "vigour", "onDay"], {
  requestKey: REQUEST_KEY,
  placeId: ROW_ID,
  vigour: { enum: ["strong", "weak", "none"] },
  onDay: DAY,
  /** What was taken; nothing for a look. */
  takenKg: { type: ["number", "null"], minimum: 0.001, maximum: 500 },
  note: NOTE,
  overrideReason: REASON,
});

/** A visit to a place: looked at, or taken from. Taking during its rest wants a reason. @throws {Refusal} */
export const visitForage = act(
  { name: "visitForage", schema: VISIT_FORAGE, may: "helper" },
  async (db, request, ctx): Promise<{ visitId: number }> => {
    const place = await lockForagePlace(db, request.placeId);
    if (!place) throw refuse("not-found", { thing: "place" }, "/placeId");
    if (request.onDay > (await todayOf(db, ctx))) throw refuse("day-ahead", {}, "/onDay");
    const takenKg = request.takenKg ?? null;
    const reason = reasonOf(request.overrideReason);
    if (takenKg !== null && place.kind === "plants") throw refuse("plants-are-picked", {}, "/takenKg");
    const rests = takenKg === null ? null : restsUntil(place, request.onDay);
    if (rests !== null && reason === "")
      throw refuse(
        "reason-needed",
        { because: { code: "resting-place", place: place.name, until: rests } },
        "/overrideReason",
      );
    const lotId =
      takenKg === null
        ? null
        : await bookLot(db, ctx, {
            ingredientId: TAKEN_AS[place.kind]!,
            amount: takenKg,
            origin: "foraged",
            receivedOn: request.onDay,
            cost: 0,
            note: `from ${place.name}`,
            provenance: {
              plant: {
                species: place.kind === "seaweed" ? "seaweed" : "leaf mould",
                part: "litter",
                place: place.name,
              },
              overrideReason: reason === "" ? null : reason,
            },
          });
    return {
      visitId: await insertForageVisit(db, {
        placeId: request.placeId,
        lotId,
        vigour: request.vigour,
        note: [request.note ?? "", rests === null ? "" : `taken while resting: ${reason}`]
          .filter(Boolean)
          .join("; ")
          .slice(0, 200),
        onDay: request.onDay,
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);

const ADD_WORM_BIN = object(["requestKey", "name", "wormsKg"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  wormsKg: { type: "number", minimum: 0.001, maximum: 500 },
});

/** A worm bin with the worms it begins with. @throws {Refusal} */
export const addWormBin = act(
  { name: "addWormBin", schema: ADD_WORM_BIN, may: "grower" },
  async (db, request, ctx): Promise<{ binId: number }> => {
    const name = request.name.trim();
    return {
      binId: await withFreeName(name, () =>
        insertWormBin(db, { name, wormsKg: request.wormsKg, actorId: ctx.actor.id, addedAt: ctx.now() }),
      ),
    };
  },
);

const KG = { type: "number", minimum: 0, maximum: 5000 } as const;

const NOTE_WORM_BIN = object(["requestKey", "binId", "kind", "kg"], {
  requestKey: REQUEST_KEY,
  binId: ROW_ID,
  kind: { enum: ["fed", "harvested", "weighed", "note"] },
  kg: KG,
  what: { type: "string", maxLength: 120 },
  /** How a handful of what was taken held. */
  ball: { enum: [...BALL_WORDS, null] },
  plasticPicked: { type: "boolean" },
  overrideReason: REASON,
  at: MOMENT,
});

/** A bin was fed, weighed, or its castings taken; castings go into the shed once a ball of them held. @throws {Refusal} */
export const noteWormBin = act(
  { name: "noteWormBin", schema: NOTE_WORM_BIN, may: "helper" },
  async (db, request, ctx): Promise<{ lotId: number | null; entryId: number }> => {
    const bin = await lockWormBin(db, request.binId);
    if (!bin) throw refuse("not-found", { thing: "bin" }, "/binId");
    if (request.kind !== "note" && !(request.kg > 0)) throw refuse("how-many-kg", {}, "/kg");
    const at = momentOf(ctx, request.at);
    let lotId: number | null = null;
    let what = request.what?.trim() ?? "";
    if (request.kind === "harvested") {
      const ball = (request.ball ?? null) as BallWord | null;
      if (ball === null) throw refuse("how-the-ball-holds", {}, "/ball");
      const reason = reasonOf(request.overrideReason);
      if (ball === "sticky, rancid") throw refuse("castings-unfit", { why: BALL_TEST[ball].say }, "/ball");
      if (!BALL_TEST[ball].fit && reason === "")
        throw refuse(
          "reason-needed",
          { because: { code: "worms-unfit", why: BALL_TEST[ball].say } },
          "/overrideReason",
        );
      if (request.plasticPicked !== true)
        throw refuse("reason-needed", { because: { code: "plastic-not-picked" } }, "/plasticPicked");
      what = ball;
      lotId = await bookLot(db, ctx, {
        ingredientId: "castings",
        amount: request.kg,
        origin: "home-made",
        receivedOn: isoDay(at, { timeZone: (await findFarm(db))?.timeZone ?? "UTC" }),
        cost: 0,
        note: `${bin.name}: ${ball}`,
        provenance: { overrideReason: reason === "" ? null : reason },
      });
    }
    const entryId = await insertWormBinEntry(db, {
      binId: request.binId,
      kind: request.kind,
      kg: request.kg,
      what,
      lotId,
      at,
      actorId: ctx.actor.id,
    });
    return { lotId, entryId };
  },
);
