import "server-only";
import { readEquipmentPage } from "../equipment";
import { NOTHING, view } from "../view";

export const EQUIPMENT_VIEWS = {
  equipment: view({ name: "equipment", schema: NOTHING, may: "viewer" }, ({ ctx, farm }) =>
    readEquipmentPage(ctx, farm),
  ),
} as const;
