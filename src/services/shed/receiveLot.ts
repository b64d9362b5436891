import "server-only";
import {
  DAY,
  ID,
  MONEY,
  NAME,
  NOTE,
  POSITIVE_AMOUNT,
  REASON,
  REQUEST_KEY,
  ROW_ID,
  SHORT,
  object,
  orNull,
} from "@/contracts/parts";
import {
  ANIMALS,
  CHAR_SOURCES,
  DUNG_AGES,
  URINE_DONORS,
  keepsOut,
  lotHazards,
  type Provenance,
} from "@/core/safety/provenance";
import { act, type Asked } from "../act";
import { minorOf } from "../checks";
import { addDays } from "@/core/calendar";
import { usualExpiry } from "@/core/book/ingredientFacts";
import { findIngredient, isWater } from "@/core/book/ingredients";
import { checkPlant } from "@/core/safety/checkPlant";
import { isPickedPlant } from "@/core/safety/pickedPlants";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import { insertLotEvent, listOwnIngredients } from "@/data/shed";
import { isoDay } from "@/formats/times";
import type { Context } from "../context";
import { atField, type Refusal, refuse } from "../refusal";
import { bookIn } from "./shedBook";

type LotRequest = Omit<Asked<typeof RECEIVE_LOT>, "requestKey">;

/** What is wrong with a lot as it is told, besides its form; the form and a file's rows are judged alike. Null where nothing is. */
export function lotFault(lot: Omit<LotRequest, "ingredientId">, today: string): Refusal | null {
  if (lot.receivedOn > today) return refuse("received-ahead", {}, "/receivedOn");
  if (lot.expiresOn && lot.expiresOn < lot.receivedOn) return refuse("expires-early", {}, "/expiresOn");
  if (lot.openedOn && lot.openedOn < lot.receivedOn) return refuse("opened-early", {}, "/openedOn");
  if (lot.openedOn && lot.openedOn > today) return refuse("day-ahead", {}, "/openedOn");
  const provenance = (lot.provenance ?? {}) as Provenance;
  const { urine } = provenance;
  if (urine && urine.collectedUntil < urine.collectedFrom)
    return refuse("collected-backwards", {}, "/provenance/urine/collectedUntil");
  if (urine && urine.collectedUntil > today) return refuse("day-ahead", {}, "/provenance/urine/collectedUntil");
  const barred = keepsOut(
    lotHazards(provenance, { sownOn: null, result: null }).filter(({ blocks }) => blocks),
    today,
  );
  return barred ? refuse("lot-barred", { hold: barred.because }, "/provenance") : null;
}

/** What is plants by another name says which: a poisonous one stops here, one that nobody can name wants a reason. @throws {Refusal} */
function requireNamedPlants(id: string, { provenance, note }: LotRequest, ownName: string | null): void {
  if (!isPickedPlant(id)) return;
  // One of the farm's own ingredients was named when it was set up.
  const species = provenance?.plant?.species?.trim() || ownName || "";
  if (species === "") throw refuse("which-plants", {}, "/provenance/plant");
  const check = checkPlant(`${species}, ${note ?? ""}`.replace(/, $/, ""), "", []);
  if (check.type === "refused") throw refuse("poisonous", { why: check.why }, "/provenance/plant");
  if (ownName !== null) return;
  const named = checkPlant(species, provenance?.plant?.place ?? "", []);
  if (named.type === "unknown" && !provenance?.overrideReason?.trim())
    throw refuse(
      "reason-needed",
      { because: { code: "unknown-plant", why: named.why } },
      "/provenance/plant",
      "/provenance/overrideReason",
    );
}

export async function bookLot(db: Queryable, ctx: Context, request: LotRequest): Promise<number> {
  const item = atField("/ingredientId", () => findIngredient(request.ingredientId));
  if (isWater(item.id)) throw refuse("water-is-no-lot", {}, "/ingredientId");
  const farm = await findFarm(db);
  const clock = { timeZone: farm?.timeZone ?? "UTC" };
  const wrong = lotFault(request, isoDay(ctx.now(), clock));
  if (wrong) throw wrong;
  const own = request.ownId ? (await listOwnIngredients(db)).find(({ id }) => id === request.ownId) : undefined;
  if (request.ownId && own?.countsAs !== item.id)
    throw own
      ? refuse("counts-otherwise", { name: own.name }, "/ingredientId")
      : refuse("not-found", { thing: "own-ingredient" }, "/ingredientId");
  requireNamedPlants(item.id, request, own?.name ?? null);
  const lotId = await bookIn(
    db,
    ctx,
    {
      ingredientId: item.id,
      ownId: request.ownId ?? null,
      origin: request.origin,
      receivedOn: request.receivedOn,
      received: request.amount,
      costMinor: minorOf(request.cost),
      // What has no day written on it keeps as such things do; the shed warns, and nobody is bound by it.
      expiresOn: request.expiresOn ?? expiryOf(item.id, own?.keepsD ?? null, request.receivedOn),
      note: request.note ?? "",
      place: request.place?.trim() ?? "",
      provenance: (request.provenance ?? {}) as Provenance,
      fromBatchId: null,
    },
    ctx.now(),
  );
  if (request.openedOn)
    await insertLotEvent(db, {
      lotId,
      kind: "opened",
      word: "",
      onDay: request.openedOn,
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    });
  return lotId;
}

function expiryOf(id: Parameters<typeof usualExpiry>[0], ownKeepsD: number | null, receivedOn: string): string | null {
  if (ownKeepsD === null) return usualExpiry(id, receivedOn, null);
  return addDays(receivedOn, ownKeepsD);
}

/** Where a lot came from, as far as it matters to who eats what it feeds. */
const PROVENANCE = object([], {
  dung: orNull(
    object(["animal", "age", "heapedOn"], {
      animal: { enum: ANIMALS },
      age: { enum: DUNG_AGES },
      heapedOn: orNull(DAY),
    }),
  ),
  urine: orNull(
    object(["donor", "collectedFrom", "collectedUntil", "medicine"], {
      donor: { enum: URINE_DONORS },
      collectedFrom: DAY,
      collectedUntil: DAY,
      medicine: { type: "boolean" },
    }),
  ),
  charSource: orNull({ enum: CHAR_SOURCES }),
  plant: orNull(
    object(["species", "part", "place"], { species: { ...NAME, maxLength: 60 }, part: SHORT, place: SHORT }),
  ),
  herbicideSuspected: { type: "boolean" },
  storedHot: { type: "boolean" },
  firstRinse: orNull(object(["riceKg", "rinseL"], { riceKg: POSITIVE_AMOUNT, rinseL: POSITIVE_AMOUNT })),
  overrideReason: orNull(REASON),
});

const RECEIVE_LOT = object(["requestKey", "ingredientId", "amount", "origin", "receivedOn", "cost"], {
  requestKey: REQUEST_KEY,
  ingredientId: ID,
  /** One of the farm's own ingredients, a kind of the one above. */
  ownId: orNull(ROW_ID),
  amount: POSITIVE_AMOUNT,
  origin: { enum: ["bought", "foraged", "home-made", "given"] },
  receivedOn: DAY,
  cost: MONEY,
  expiresOn: orNull(DAY),
  openedOn: orNull(DAY),
  place: SHORT,
  note: NOTE,
  provenance: PROVENANCE,
});

/** A lot comes into the shed, with what the whole of it cost and where it came from. @throws {Refusal} */
export const receiveLot = act(
  { name: "receiveLot", schema: RECEIVE_LOT, may: "helper" },
  async (db, { requestKey: _key, ...request }, ctx): Promise<{ lotId: number }> => ({
    lotId: await bookLot(db, ctx, request),
  }),
);
