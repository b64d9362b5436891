import "server-only";
import { DAY, object } from "@/contracts/parts";
import { HISTORY_PARTS } from "@/data/history";
import { THING_KINDS } from "@/data/things";
import { readSettings } from "../farm";
import { readFind } from "../find";
import { readHistory } from "../history";
import { ACTS } from "../acts";
import { readAccess, roleTable } from "../access";
import { readThings } from "../things";
import { ID, NOTHING, view } from "../view";

export const FARM_VIEWS = {
  find: view({ name: "find", schema: NOTHING, may: "viewer" }, ({ ctx }) => readFind(ctx)),
  settings: view({ name: "settings", schema: NOTHING, may: "grower" }, ({ farm }) => readSettings(farm)),
  things: view(
    { name: "things", schema: object(["kind"], { kind: { enum: THING_KINDS } }), may: "viewer" },
    ({ ctx, farm }, { kind }) => readThings(ctx, farm, kind),
  ),
  access: view({ name: "access", schema: NOTHING, may: "viewer", isFresh: true }, ({ ctx, farm }) =>
    readAccess(ctx, farm, roleTable(ACTS)),
  ),
  history: view(
    {
      name: "history",
      schema: object([], {
        part: { enum: HISTORY_PARTS },
        person: ID,
        day: DAY,
        before: { type: "integer", minimum: 0, maximum: 8_640_000_000_000_000 },
        skip: { type: "integer", minimum: 0, maximum: 10_000 },
      }),
      may: "viewer",
    },
    ({ ctx, farm }, asked) => readHistory(ctx, farm, asked),
  ),
} as const;
