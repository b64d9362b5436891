import "server-only";
import { object, REQUEST_KEY } from "@/contracts/parts";
import { findFarm, updateFarm } from "@/data/farm";
import { insertThingChange } from "@/data/things";
import { act } from "../act";
import { refuse } from "../refusal";
import { FARM_FACTS, isTimeZone } from "./setUpFarm";

const CHANGE_FARM = object(["requestKey"], { requestKey: REQUEST_KEY, ...FARM_FACTS });

const MINOR = 100;

/**
 * The farm's settings, any of them. What was written keeps its moment: a new time zone shows past days by its own clock from now on; new prices
 * count from now on.
 * @throws {Refusal} for a time zone that is none
 */
export const changeFarm = act(
  { name: "changeFarm", schema: CHANGE_FARM, may: "steward" },
  async (db, { requestKey: _key, labourPerH, powerPerKWh, ...asked }, ctx): Promise<{ changed: string[] }> => {
    const farm = await findFarm(db);
    if (!farm) throw refuse("farm-not-set-up", {});
    if (asked.timeZone !== undefined && !isTimeZone(asked.timeZone))
      throw refuse("no-time-zone", { zone: asked.timeZone }, "/timeZone");
    const next = {
      ...farm,
      ...Object.fromEntries(Object.entries(asked).filter(([, value]) => value !== undefined)),
      ...(asked.name === undefined ? {} : { name: asked.name.trim() }),
      ...(labourPerH === undefined ? {} : { labourMinorPerH: Math.round(labourPerH * MINOR) }),
      ...(powerPerKWh === undefined ? {} : { powerMinorPerKWh: Math.round(powerPerKWh * MINOR) }),
    };
    const changed = (Object.keys(next) as (keyof typeof farm)[]).filter((fact) => next[fact] !== farm[fact]);
    if (changed.length === 0) return { changed };
    await updateFarm(db, next);
    await insertThingChange(db, {
      kind: "farm",
      thingId: 1,
      was: Object.fromEntries(changed.map((fact) => [fact, farm[fact]])),
      became: Object.fromEntries(changed.map((fact) => [fact, next[fact]])),
      note: "",
      at: ctx.now(),
      actorId: ctx.actor.id,
    });
    return { changed };
  },
);
