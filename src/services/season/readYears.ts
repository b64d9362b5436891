import "server-only";
import { durationsIn, mondayOf } from "@/core/plan/farm";
import type { DurationRow } from "@/core/plan/season";
import { simulatedAir, spreadOf, USUAL_SPREAD } from "@/core/plan/years/air";
import { daysBetween } from "@/core/calendar";
import type { Farm } from "@/data/farm";
import type { Context } from "../context";
import { apartFromUsual } from "../weather";
import { readFacts } from "./readFacts";

/** Half of them a sturdier plan is made for, the other half all plans are judged by. */
const YEARS = 20;
/** Looked back to learn how the farm's days differ from the usual. */
const BACK_D = 365;

export interface SeasonYearsView {
  /** Days until ready in each of the years, rows as in the season. */
  readonly years: readonly (readonly DurationRow[])[];
  /** Whether the farm's own station told how days differ, or it is judged. */
  readonly spread: "station" | "judged";
}

/** Years of weather that might be at this farm, as what they make of each batch's days. The same until the day is over. */
export async function readYears(ctx: Context, farm: Farm): Promise<SeasonYearsView> {
  const [{ facts }, apartC] = await Promise.all([
    readFacts(ctx, farm),
    apartFromUsual(ctx.pool, farm, ctx.now(), BACK_D),
  ]);
  const measured = spreadOf(apartC);
  const nowDay = daysBetween(mondayOf(facts.today), facts.today);
  const air = Array.from({ length: YEARS }, (_, year) =>
    simulatedAir(facts.dailyC, nowDay, measured ?? USUAL_SPREAD, year + 1),
  );
  return { years: durationsIn(facts, air), spread: measured ? "station" : "judged" };
}
