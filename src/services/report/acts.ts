import "server-only";
import { ID, MONEY, NAME, REQUEST_KEY, object, orNull } from "@/contracts/parts";
import { findMethod } from "@/core/book";
import { insertBoughtInstead, insertBudget } from "@/data/report";
import { act } from "../act";
import { minorOf, writtenBy } from "../checks";
import { atField } from "../refusal";

const SET_INSTEAD = object(["requestKey", "methodId", "name", "price", "coversM2", "wouldBuy"], {
  requestKey: REQUEST_KEY,
  methodId: ID,
  name: NAME,
  /** Of a pack, in the farm's money. */
  price: MONEY,
  coversM2: { type: "number", minimum: 0.1, maximum: 1_000_000 },
  wouldBuy: { type: "boolean" },
  putAway: { type: "boolean" },
});

/** Says what the farm would else have bought in place of an input. @throws {Refusal} for a method that is none */
export const setInstead = act(
  { name: "setInstead", schema: SET_INSTEAD, may: "grower" },
  async (db, { methodId, name, price, coversM2, wouldBuy, putAway = false }, ctx): Promise<{ insteadId: number }> => {
    atField("/methodId", () => findMethod(methodId));
    return {
      insteadId: await insertBoughtInstead(db, {
        ...{ methodId, name: name.trim(), priceMinor: minorOf(price), coversM2, wouldBuy, isPutAway: putAway },
        ...writtenBy(ctx),
      }),
    };
  },
);

const SET_BUDGET = object(["requestKey", "year", "bought", "hours", "loss"], {
  requestKey: REQUEST_KEY,
  year: { type: "integer", minimum: 1900, maximum: 2199 },
  bought: orNull(MONEY),
  hours: orNull({ type: "number", minimum: 0, maximum: 100_000 } as const),
  loss: orNull(MONEY),
});

/** Says what a season may cost: bought, hours, loss; what is left empty has no limit. */
export const setBudget = act(
  { name: "setBudget", schema: SET_BUDGET, may: "grower" },
  async (db, { year, bought, hours, loss }, ctx): Promise<{ budgetId: number }> => ({
    budgetId: await insertBudget(db, {
      ...{ year, hours, boughtMinor: bought === null ? null : minorOf(bought) },
      ...{ lossMinor: loss === null ? null : minorOf(loss), ...writtenBy(ctx) },
    }),
  }),
);
