import "server-only";
import { object } from "@/contracts/parts";
import { THING_KINDS } from "@/data/things";
import { readSettings } from "../farm";
import { readThings } from "../things";
import { NOTHING, view } from "../view";

export const FARM_VIEWS = {
  settings: view({ name: "settings", schema: NOTHING, may: "everybody" }, ({ farm }) => readSettings(farm)),
  things: view(
    { name: "things", schema: object(["kind"], { kind: { enum: THING_KINDS } }), may: "everybody" },
    ({ ctx, farm }, { kind }) => readThings(ctx, farm, kind),
  ),
} as const;
