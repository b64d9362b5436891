import "server-only";
import { DAY, ID, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { insertSeasonTerms } from "@/data/season";
import { act } from "../act";

const SET_TERMS = object(
  ["requestKey", "hoursAWeek", "canL", "cans", "weeks", "closedWeekdays", "hands", "forbidden"],
  {
    requestKey: REQUEST_KEY,
    hoursAWeek: { type: "number", minimum: 0, maximum: 1000 },
    canL: { type: "number", minimum: 0.1, maximum: 2000 },
    cans: { type: "integer", minimum: 0, maximum: 1000 },
    weeks: { type: "integer", minimum: 4, maximum: 40 },
    closedWeekdays: {
      type: "array",
      maxItems: 6,
      uniqueItems: true,
      items: { type: "integer", minimum: 0, maximum: 6 },
    },
    hands: {
      type: "array",
      maxItems: 200,
      items: object(["actorId", "hoursAWeek"], {
        actorId: ROW_ID,
        hoursAWeek: { type: "number", minimum: 0, maximum: 168 },
      }),
    },
    forbidden: {
      type: "array",
      maxItems: 500,
      items: object(["methodId", "vesselId", "fromOn", "toOn"], {
        methodId: ID,
        vesselId: orNull(ROW_ID),
        fromOn: orNull(DAY),
        toOn: orNull(DAY),
      }),
    },
  },
);

/** Says how many hours a week brewing and spreading may take, what brews are kept in, how far ahead to plan. */
export const setSeasonTerms = act(
  { name: "setSeasonTerms", schema: SET_TERMS, may: "grower" },
  async (db, { requestKey: _key, ...terms }, ctx): Promise<{ termsId: number }> => ({
    termsId: await insertSeasonTerms(db, { ...terms, actorId: ctx.actor.id, addedAt: ctx.now() }),
  }),
);
