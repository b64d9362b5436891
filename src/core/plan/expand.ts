import { mayHold } from "./mayHold";
import type { Need, Planting, Programme, Season } from "./season";

type Anchored = { readonly from: number | string; readonly until: number | string };
/** A day that a programme names: by number from planting, the beginning of a stage, or of or after the harvest. */
function dayOf(planting: Planting, named: number | string): number | null {
  if (typeof named === "number") return planting.plantDay + named;
  if (named === "harvest") return planting.harvest?.fromDay ?? null;
  if (named === "harvest-end") return planting.harvest?.toDay ?? null;
  return planting.stages.find(({ stage }) => stage === named)?.fromDay ?? null;
}
function every(first: number, last: number, everyD: number): number[] {
  const days: number[] = [];
  for (let day = first; day <= last; day += everyD) days.push(day);
  return days;
}
/** The days that a programme would have its applications on, did nothing stand in the way. */
function nominalDays(season: Pick<Season, "days">, planting: Planting, { timing }: Programme): number[] {
  switch (timing.kind) {
    case "series-before":
      return Array.from(
        { length: timing.count },
        (_, k) => planting.plantDay - timing.endBeforeD - timing.everyD * (timing.count - 1 - k),
      );
    case "once":
      return [planting.plantDay + timing.atD];
    case "calendar":
      return every(timing.fromDay, season.days - 1, timing.everyD);
    case "every": {
      const { from, until }: Anchored = timing;
      const [first, last] = [dayOf(planting, from), dayOf(planting, until)];
      return first === null || last === null ? [] : every(first, last, timing.everyD);
    }
  }
}
function sizeOf(planting: Planting, { mixRate: { per } }: Programme): number {
  return per === "m2" ? planting.areaM2 : per === "plant" ? planting.plants : 1;
}
/** Minutes of one application, by its size. */
function workOf(planting: Planting, { mixRate: { per }, work }: Programme): number {
  const size = per === "m2" ? planting.areaM2 : per === "plant" ? planting.plants / 8 : 0;
  return work.fixedMin + (work.per100Min * size) / 100;
}
/** Litres that the largest vessel which may hold an input gives of it. */
export function mostL(season: Pick<Season, "vessels" | "inputs">, inputId: string): number {
  const input = season.inputs.find(({ id }) => id === inputId)!;
  const volumes = season.vessels.filter((vessel) => mayHold(input, vessel)).map(({ volumeL }) => volumeL);
  return Math.max(0, ...volumes) * input.fillShare.high * input.yieldLPerL;
}

export interface Expanded {
  readonly needs: readonly Need[];
  /** What falls wholly into the days before picking: the grower is told. */
  readonly tooClose: readonly { readonly planting: string; readonly programme: string; readonly day: number }[];
}
type Ground = Pick<Season, "days" | "vessels" | "inputs" | "plantings" | "programmes">;

function ofOne(
  season: Ground,
  planting: Planting,
  programme: Programme,
  found: { needs: Need[]; tooClose: { planting: string; programme: string; day: number }[] },
): void {
  const most = mostL(season, programme.input);
  for (const [k, day] of nominalDays(season, planting, programme).entries()) {
    const earliestDay = day - programme.timing.tolD;
    let latestDay = day + programme.timing.tolD;
    if (programme.beforeHarvestD > 0 && planting.harvest && earliestDay <= planting.harvest.toDay)
      latestDay = Math.min(latestDay, planting.harvest.fromDay - programme.beforeHarvestD - 1);
    if (latestDay < earliestDay) {
      found.tooClose.push({ planting: planting.id, programme: programme.id, day });
      continue;
    }
    if (latestDay >= season.days || latestDay < 0) continue;
    const mixL = sizeOf(planting, programme) * programme.mixRate.amountL;
    const preferredL = mixL / (1 + programme.partsWater.default);
    const parts = most > 0 && preferredL > most ? Math.ceil(preferredL / most) : 1;
    for (let part = 0; part < parts; part += 1)
      found.needs.push({
        id: `${planting.id}.${programme.id}.${k + 1}${parts > 1 ? `#${part + 1}` : ""}`,
        planting: planting.id,
        programme: programme.id,
        seq: k,
        part,
        earliestDay,
        latestDay,
        preferredDay: Math.min(day, latestDay),
        preferredL: preferredL / parts,
        leastL: mixL / (1 + programme.partsWater.weakest) / parts,
        priority: programme.priority,
        workMin: workOf(planting, programme) / parts,
      });
  }
}
/** What the plantings of a season want by their programmes: one need an application. Nothing drifts: windows lie round fixed days. */
export function expandNeeds(season: Ground): Expanded {
  const found: { needs: Need[]; tooClose: { planting: string; programme: string; day: number }[] } = {
    needs: [],
    tooClose: [],
  };
  for (const planting of season.plantings)
    for (const programme of season.programmes)
      if (programme.crops.includes(planting.crop)) ofOne(season, planting, programme, found);
  return found;
}
