import "server-only";
import { PASSPHRASE_MOST } from "@/core/people/roles";
import { NAME, object, REQUEST_KEY } from "@/contracts/parts";
import { errnoOf, inTransaction, SQL_ERROR } from "@/data/db";
import { insertActor, insertFarm } from "@/data/farm";
import { insertAccessEvent, setSecret } from "@/data/people";
import { bareAct } from "../act";
import { hashSecret, Opened, openSession, requirePassphrase, type Visitor } from "../people";
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
    "passphrase",
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
    /** Of the first of them, who is the steward. */
    passphrase: { type: "string", minLength: 1, maxLength: PASSPHRASE_MOST },
  },
);

/**
 * Makes the farm and its people, once. The only write without an actor: nobody is there yet.
 * @throws {Refusal} for fields that do not fit, and for a farm that is there already
 */
export const setUpFarm = bareAct(
  { name: "setUpFarm", schema: SET_UP_FARM, may: "founder" },
  async ({ pool, now, from }: Visitor, { passphrase, ...request }): Promise<Opened<{ name: string }>> => {
    if (!isTimeZone(request.timeZone)) throw refuse("no-time-zone", { zone: request.timeZone }, "/timeZone");
    requirePassphrase(passphrase, [request.name, request.people[0]!], "/passphrase");
    const hash = await hashSecret(passphrase);
    try {
      const token = await inTransaction(pool, async (db) => {
        await insertFarm(db, {
          ...request,
          labourMinorPerH: request.labourPerH * 100,
          powerMinorPerKWh: request.powerPerKWh * 100,
        });
        const [first, ...others] = new Set(request.people.map((person) => person.trim()));
        const steward = await insertActor(db, first!, "steward");
        for (const name of others) await insertActor(db, name, "helper");
        await setSecret(db, { actorId: steward, kind: "passphrase", hash, at: now() });
        await insertAccessEvent(db, { ...from, kind: "signed-in", actorId: steward, at: now() });
        return openSession(db, steward, from, now());
      });
      return new Opened(token, { name: request.name });
    } catch (error) {
      if (errnoOf(error) === SQL_ERROR.duplicate) throw refuse("farm-set-up", {});
      throw error;
    }
  },
);
