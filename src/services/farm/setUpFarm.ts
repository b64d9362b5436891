import "server-only";
import { NAME, object, REQUEST_KEY } from "@/contracts/parts";
import { errnoOf, inTransaction, SQL_ERROR } from "@/data/db";
import { insertActor, insertFarm } from "@/data/farm";
import { bareAct } from "../act";
import type { Context } from "../context";
import { refuse } from "../refusal";

/** Whether this machine knows a time zone of that name. */
export const isTimeZone = (name: string) => {
  try {
    new Intl.DateTimeFormat("en", { timeZone: name });
    return true;
  } catch {
    return false;
  }
};

/** All that is told of a farm as a whole. */
export const FARM_FACTS = {
  name: NAME,
  timeZone: { type: "string", minLength: 1, maxLength: 60 },
  latitudeDeg: { type: "number", minimum: -66, maximum: 66 },
  longitudeDeg: { type: "number", minimum: -180, maximum: 180 },
  units: { enum: ["metric", "us"] },
  currency: { type: "string", minLength: 1, maxLength: 16 },
  labourPerH: { type: "number", minimum: 0, maximum: 10000 },
  powerPerKWh: { type: "number", minimum: 0, maximum: 100 },
  climateMeanC: { type: "number", minimum: -10, maximum: 35 },
  climateSwingC: { type: "number", minimum: 0, maximum: 25 },
} as const;

const SET_UP_FARM = object(
  [
    "requestKey",
    "name",
    "people",
    "timeZone",
    "latitudeDeg",
    "longitudeDeg",
    "units",
    "currency",
    "labourPerH",
    "powerPerKWh",
    "climateMeanC",
    "climateSwingC",
  ],
  {
    requestKey: REQUEST_KEY,
    ...FARM_FACTS,
    people: { type: "array", minItems: 1, maxItems: 30, items: NAME },
  },
);

/**
 * Makes the farm and its people, once. The only write without an actor: nobody is there yet.
 * @throws {Refusal} for fields that do not fit, and for a farm that is there already
 */
export const setUpFarm = bareAct(
  { name: "setUpFarm", schema: SET_UP_FARM, may: "founder" },
  async ({ pool }: Pick<Context, "pool">, request): Promise<{ name: string }> => {
    if (!isTimeZone(request.timeZone)) throw refuse("no-time-zone", { zone: request.timeZone }, "/timeZone");
    try {
      await inTransaction(pool, async (db) => {
        await insertFarm(db, {
          ...request,
          labourMinorPerH: request.labourPerH * 100,
          powerMinorPerKWh: request.powerPerKWh * 100,
        });
        for (const name of new Set(request.people.map((person) => person.trim()))) await insertActor(db, name);
      });
      return { name: request.name };
    } catch (error) {
      if (errnoOf(error) === SQL_ERROR.duplicate) throw refuse("farm-set-up", {});
      throw error;
    }
  },
);
