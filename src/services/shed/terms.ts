import "server-only";
import type { Season } from "@/core/book/ingredientFacts";
import { findIngredient, INGREDIENTS, isWater } from "@/core/book/ingredients";
import { insertOwnIngredient, listOwnIngredients } from "@/data/ownIngredients";
import { insertSupplyTerms } from "@/data/supply";
import type { Context } from "../context";
import { atField, refuseAt } from "../refusal";
import { withFreeName, write } from "../write";

const plain = (name: string) => name.trim().toLowerCase();

/** An ingredient of the farm's own, as a kind of one that the book knows. @throws {Refusal} */
export const addOwnIngredient = (ctx: Context, input: unknown): Promise<{ ownId: number }> =>
  write(ctx, "addOwnIngredient", input, async (db, request) => {
    const item = atField("/countsAs", () => findIngredient(request.countsAs));
    if (isWater(item.id)) throw refuseAt("unfit", "/countsAs", "Water is booked as a source.");
    const name = request.name.trim();
    if (Object.values(INGREDIENTS).some((known) => plain(known.name) === plain(name)))
      throw refuseAt("name-taken", "/name", `The book has ${name.toLowerCase()} already: receive a lot of it.`);
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
  });

/** How an ingredient is bought, and when to order again. @throws {Refusal} */
export const setSupply = (ctx: Context, input: unknown): Promise<{ supplyId: number }> =>
  write(ctx, "setSupply", input, async (db, request) => {
    const own = /^own-(\d+)$/.exec(request.itemId);
    if (own) {
      const known = await listOwnIngredients(db);
      if (!known.some(({ id }) => id === Number(own[1])))
        throw refuseAt("not-found", "/itemId", "There is no such ingredient of our own.");
    } else atField("/itemId", () => findIngredient(request.itemId));
    return {
      supplyId: await insertSupplyTerms(db, {
        itemId: request.itemId,
        packName: request.packName.trim(),
        packAmount: request.packAmount,
        packCostMinor:
          request.packCost === null || request.packCost === undefined ? null : Math.round(request.packCost * 100),
        leadD: request.leadD ?? 0,
        reorderAt: request.reorderAt ?? null,
        target: request.target ?? null,
        note: request.note ?? "",
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  });
