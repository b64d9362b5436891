import "server-only";
import { object } from "@/contracts/parts";
import { readCount, readItem, readShed, readShopping } from "../shed";
import { NOTHING, view } from "../view";

const SHED = object([], { item: { type: "string", maxLength: 60 } });

export const SHED_VIEWS = {
  /** With an item: its lots and all that happened to them. */
  shed: view({ name: "shed", schema: SHED, may: "viewer" }, async ({ ctx, farm }, { item }) => {
    const shed = await readShed(ctx, farm);
    return { shed, item: item === undefined ? null : await readItem(ctx, item, shed.today) };
  }),
  count: view({ name: "count", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readCount(ctx, farm)),
  shopping: view({ name: "shopping", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) => readShopping(ctx, farm)),
} as const;
