import "server-only";
import { readField } from "../field";
import { NOTHING, view } from "../view";

export const FIELD_VIEWS = {
  field: view({ name: "field", schema: NOTHING, may: "everybody" }, ({ ctx, farm }) => readField(ctx, farm)),
} as const;
