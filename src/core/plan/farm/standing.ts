import type { Recipe } from "../../book/recipe";
import { addDays } from "../../calendar";
import type { Season, SeasonVessel } from "../season";
import { durationsOf } from "./durations";
import { KEEPS_LONG_D, type FarmFacts } from "./facts";

function vesselOf(
  { id, volumeL, heldManure, hasAir, freeFrom }: FarmFacts["vessels"][number],
  day: (iso: string) => number,
): SeasonVessel {
  return {
    id: String(id),
    volumeL,
    holds: heldManure ? ["manure"] : ["food-safe"],
    air: hasAir ? "own" : "none",
    cleanD: 1,
    fromDay: freeFrom === null ? 0 : Math.max(0, day(freeFrom)),
    toDay: KEEPS_LONG_D * 2,
  };
}
/** Vessels as they are free: what runs there that no schedule asks for holds its vessel all the same. */
export function vesselsOf(
  facts: FarmFacts,
  made: ReadonlyMap<string, Recipe>,
  day: (iso: string) => number,
): SeasonVessel[] {
  const elsewhere = new Map(
    facts.running
      .filter(({ methodId }) => !made.has(methodId))
      .map(({ vesselId, readyOn }) => [vesselId, addDays(readyOn < facts.today ? facts.today : readyOn, 2)]),
  );
  return facts.vessels.map((vessel) =>
    vesselOf({ ...vessel, freeFrom: elsewhere.get(vessel.id) ?? vessel.freeFrom }, day),
  );
}
/** A row of durations for each input in each kind of place. */
export function durationRows(facts: FarmFacts, made: ReadonlyMap<string, Recipe>): Season["durations"] {
  const places = new Map<string, FarmFacts["vessels"][number][]>();
  for (const vessel of facts.vessels) {
    const key = JSON.stringify(vessel.place);
    places.set(key, [...(places.get(key) ?? []), vessel]);
  }
  return [...made].flatMap(([input, recipe]) =>
    [...places.values()].map((alike) => ({
      input,
      vessels: alike.map(({ id }) => String(id)),
      daysByStart: durationsOf(recipe, alike[0]!.place, facts.dailyC, facts.days),
    })),
  );
}
/** What is kept already, and what runs. */
export function underWay(
  facts: FarmFacts,
  made: ReadonlyMap<string, Recipe>,
  day: (iso: string) => number,
): Pick<Season, "stores" | "running"> {
  return {
    stores: facts.stores
      .filter(({ methodId }) => made.has(methodId) && !made.get(methodId)!.keeping.living)
      .map(({ id, methodId, onHandL, fromOn, expiresOn }) => ({
        id: `store-${id}`,
        input: methodId,
        onHandL,
        fromDay: day(fromOn),
        expiresDay: Math.max(day(expiresOn), day(fromOn)),
      })),
    running: facts.running
      .filter(({ methodId }) => made.has(methodId))
      .map(({ batchId, methodId, vesselId, startedOn, readyOn, filledL }) => ({
        id: `batch-${batchId}`,
        input: methodId,
        vessel: String(vesselId),
        startDay: day(startedOn),
        readyDay: Math.max(day(readyOn), day(startedOn)),
        fillL: filledL,
      })),
  };
}
