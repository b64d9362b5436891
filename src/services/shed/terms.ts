import "server-only";
import { AMOUNT, ID, MONEY, NOTE, POSITIVE_AMOUNT, REQUEST_KEY, object, orNull, NAME } from "@/contracts/parts";
import { act } from "../act";
import type { Season } from "@/core/book/ingredientFacts";
import { findIngredient, INGREDIENTS, isWater } from "@/core/book/ingredients";
import { insertOwnIngredient, listOwnIngredients, insertSupplyTerms } from "@/data/shed";
import { atField, refuse } from "../refusal";
import { minorOf, withFreeName } from "../checks";

const plain = (name: string) => name.trim().toLowerCase();

const ADD_OWN_INGREDIENT = object(["requestKey", "name", "countsAs"], {
  requestKey: REQUEST_KEY,
  name: { ...NAME, maxLength: 60 },
  countsAs: ID,
  densityKgPerL: { type: ["number", "null"], minimum: 0.02, maximum: 5 },
  keepsD: { type: ["integer", "null"], minimum: 1, maximum: 10000 },
  season: { type: "array", uniqueItems: true, maxItems: 4, items: { enum: ["spring", "summer", "autumn", "winter"] } },
  caution: { type: "string", maxLength: 300 },
  keeping: NOTE,
});

/** An ingredient of the farm's own, as a kind of one that the book knows. @throws {Refusal} */
export const addOwnIngredient = act(
  { name: "addOwnIngredient", schema: ADD_OWN_INGREDIENT, may: "grower" },
  async (db, request, ctx): Promise<{ ownId: number }> => {
    const item = atField("/countsAs", () => findIngredient(request.countsAs));
    if (isWater(item.id)) throw refuse("water-is-no-lot", {}, "/countsAs");
    const name = request.name.trim();
    if (Object.values(INGREDIENTS).some((known) => plain(known.name) === plain(name)))
      throw refuse("name-of-book", { name }, "/name");
    return {
      ownId: await withFreeName(name, () =>
        insertOwnIngredient(db, {
          name,
          countsAs: item.id,
          densityKgPerL: request.densityKgPerL ?? null,
          keepsD: request.keepsD ?? null,
          season: (request.season ?? []) as Season[],
          caution: request.caution?.trim() ?? "",
          keeping: request.keeping?.trim() ?? "",
          actorId: ctx.actor.id,
          addedAt: ctx.now(),
        }),
      ),
    };
  },
);

const SET_SUPPLY = object(["requestKey", "itemId", "packName", "packAmount"], {
  requestKey: REQUEST_KEY,
  itemId: ID,
  packName: { ...NAME, maxLength: 30 },
  packAmount: POSITIVE_AMOUNT,
  packCost: orNull(MONEY),
  leadD: { type: "integer", minimum: 0, maximum: 365 },
  reorderAt: orNull(AMOUNT),
  target: orNull(POSITIVE_AMOUNT),
  note: NOTE,
});

/** How an ingredient is bought, and when to order again. @throws {Refusal} */
export const setSupply = act(
  { name: "setSupply", schema: SET_SUPPLY, may: "grower" },
  async (db, request, ctx): Promise<{ supplyId: number }> => {
    const own = /^own-(\d+)$/.exec(request.itemId);
    if (own) {
      const known = await listOwnIngredients(db);
      if (!known.some(({ id }) => id === Number(own[1])))
        throw refuse("not-found", { thing: "own-ingredient" }, "/itemId");
    } else atField("/itemId", () => findIngredient(request.itemId));
    return {
      supplyId: await insertSupplyTerms(db, {
        itemId: request.itemId,
        packName: request.packName.trim(),
        packAmount: request.packAmount,
        packCostMinor: request.packCost === null || request.packCost === undefined ? null : minorOf(request.packCost),
        leadD: request.leadD ?? 0,
        reorderAt: request.reorderAt ?? null,
        target: request.target ?? null,
        note: request.note ?? "",
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);
