import "server-only";
import { randomInt } from "node:crypto";
import { isOnPlan } from "@/core/apply/elsewhere";
import { drawLots as drawBySeed, trialUnits, type Joining, type TrialTerms, type TrialUnit } from "@/core/trial/farm";
import type { Placement } from "@/core/trial";
import type { Queryable } from "@/data/db";
import { listPlots } from "@/data/field";
import { atField, refuse } from "../refusal";

/** The units of these beds. @throws {Refusal} at `/plotIds` for a bed that is not there */
export async function joiningUnits(db: Queryable, joining: Joining, day: string): Promise<TrialUnit[]> {
  const plots = new Map((await listPlots(db, day, false, [...joining.plotIds])).map((plot) => [plot.id, plot]));
  const found = joining.plotIds.map((id) => {
    const plot = plots.get(id);
    if (!plot) throw refuse("not-found", { thing: "plot" }, "/plotIds");
    return { id, areaM2: plot.areaM2, ring: isOnPlan(plot) ? plot.ring : null };
  });
  return trialUnits(found, joining);
}

/** Lots drawn for units, by a seed that nobody chose. @throws {Refusal} at `/plotIds` for too few of them */
export const drawLots = (units: readonly TrialUnit[], joining: Joining, terms: TrialTerms): Placement =>
  atField("/plotIds", () => drawBySeed(units, joining, terms, randomInt(1, 2 ** 31 - 1)));
