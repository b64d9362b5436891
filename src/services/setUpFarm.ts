import "server-only";
import type { Database } from "@/data/db";
import { checkRequest, type ActionRequest } from "@/contracts/actions/requests";
import { errnoOf, inTransaction, SQL_ERROR } from "@/data/db";
import { insertActor, insertFarm } from "@/data/farm";
import { Refusal, refuseAt } from "./refusal";

const isTimeZone = (name: string) => {
  try {
    new Intl.DateTimeFormat("en", { timeZone: name });
    return true;
  } catch {
    return false;
  }
};

/**
 * Makes the farm and its people, once. The only write without an actor: nobody is there yet.
 * @throws {Refusal} for fields that do not fit, and for a farm that is there already
 */
export async function setUpFarm(pool: Database, input: unknown): Promise<void> {
  const fields = checkRequest("setUpFarm", input);
  if (fields) throw new Refusal("bad-request", "Some of this does not fit. See the marked fields.", fields);
  const request = input as ActionRequest<"setUpFarm">;
  if (!isTimeZone(request.timeZone))
    throw refuseAt("bad-request", "/timeZone", `"${request.timeZone}" is not a time zone.`);
  try {
    await inTransaction(pool, async (db) => {
      await insertFarm(db, {
        ...request,
        labourMinorPerH: request.labourPerH * 100,
        powerMinorPerKWh: request.powerPerKWh * 100,
      });
      for (const name of new Set(request.people.map((person) => person.trim()))) await insertActor(db, name);
    });
  } catch (error) {
    if (errnoOf(error) === SQL_ERROR.duplicate)
      throw new Refusal("name-taken", "This farm is set up already. Reload the page.");
    throw error;
  }
}
