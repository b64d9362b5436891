import { addDays } from "@/core/calendar";
import type { Season, PlanBatch } from "@/core/plan/season";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { dayMonth, sayDuration } from "@/formats/times";
import type { SeasonNames } from "@/words/said";
import type { SeasonSpeech } from "@/words/said";

const UTC = { timeZone: "UTC" };
/** A day of the season as a date of its calendar. */
export const dateOf = ({ firstDay }: Pick<Season, "firstDay">, day: number): Date =>
  new Date(`${addDays(firstDay, day)}T00:00:00Z`);
export const sayDate = (season: Pick<Season, "firstDay">, day: number): string => dayMonth(dateOf(season, day), UTC);
export const sayMinutes = (minutes: number): string => sayDuration(minutes / 60);

/** How the things of a season are called on the screen. */
export function seasonSpeech(
  season: Season,
  names: SeasonNames,
  units: UnitSystem,
  batches: readonly PlanBatch[],
): SeasonSpeech {
  const byId = new Map(batches.map((batch) => [batch.id, batch]));
  const programmes = new Map(season.programmes.map((one) => [one.id, one]));
  const needs = new Map(season.needs.map((one) => [one.id, one]));
  return {
    day: (day) => sayDate(season, day),
    week: (week) => `in the week of ${sayDate(season, week * 7)}`,
    volume: (litres) => sayVolume(litres, units),
    minutes: sayMinutes,
    batch: (id) => {
      const batch = byId.get(id);
      return batch ? `${names.inputs[batch.input]} in ${names.vessels[batch.vessel]}` : id;
    },
    ingredient: (id) => names.ingredients[id] ?? id,
    need: (id) => {
      const need = needs.get(id);
      const programme = need && programmes.get(need.programme);
      return need && programme ? `${names.inputs[programme.input]} on ${names.plots[need.planting]}` : id;
    },
  };
}
