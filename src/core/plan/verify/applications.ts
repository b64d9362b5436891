import { isClosed } from "../notThen";
import type { Application, Need, Programme, Side } from "../season";
import { draw } from "./litres";
import { isDay, SLACK, type Reading } from "./reading";

export interface AppliedRead {
  readonly days: ReadonlyMap<string, number>;
  readonly lateD: number;
  readonly weakL: number;
  readonly weakCost: number;
}
interface OnPlot {
  readonly planting: string;
  readonly programme: Programme;
  readonly seq: number;
  readonly day: number;
  readonly name: string;
  readonly isPast: boolean;
}
function checkDay(reading: Reading, need: Need, day: number, at: string): void {
  const { nowDay, days } = reading.season;
  if (day < nowDay) reading.breaks("past", at, { day });
  if (day < need.earliestDay || day > need.latestDay)
    reading.breaks("window", at, { day, earliest: need.earliestDay, latest: need.latestDay });
  if (isClosed(reading.season, day)) reading.breaks("closed", at, { day });
  if (day >= days) reading.breaks("horizon", at, { day });
  const { beforeHarvestD } = reading.programmes.get(need.programme)!;
  const { harvest } = reading.plantings.get(need.planting)!;
  if (beforeHarvestD > 0 && harvest && day >= harvest.fromDay - beforeHarvestD && day <= harvest.toDay)
    reading.breaks("before-harvest", at, { day, before: beforeHarvestD, harvest: harvest.fromDay });
}
const is = (side: Side, { programme }: OnPlot): boolean =>
  side.input === programme.input && (side.use === undefined || side.use === programme.use);

function checkPair(reading: Reading, one: OnPlot, other: OnPlot): void {
  const apart = Math.abs(one.day - other.day);
  const at = `need ${one.isPast ? other.name : one.name}`;
  const beside = one.isPast ? one.name : other.name;
  if (
    one.programme === other.programme &&
    one.planting === other.planting &&
    one.seq !== other.seq &&
    apart < one.programme.minGapD
  )
    reading.breaks("gap", at, { apart, least: one.programme.minGapD, beside });
  for (const { a, b, apartD } of reading.season.separations)
    if (apart < apartD && ((is(a, one) && is(b, other)) || (is(a, other) && is(b, one))))
      reading.breaks("separation", at, { apart, least: apartD, beside });
}
function checkSpacing(reading: Reading, days: ReadonlyMap<string, number>): void {
  const plots = new Map<string, OnPlot[]>();
  const put = (one: Omit<OnPlot, "programme"> & { readonly programme: string }): void => {
    const programme = reading.programmes.get(one.programme);
    if (!programme) return;
    const plot = reading.plotOf(one.planting);
    const list = plots.get(plot);
    const item = { ...one, programme };
    if (list) list.push(item);
    else plots.set(plot, [item]);
  };
  for (const [id, day] of days) {
    const { planting, programme, seq } = reading.needs.get(id)!;
    put({ planting, programme, seq, day, name: id, isPast: false });
  }
  for (const { id, planting, programme, seq, day } of reading.season.applied)
    put({ planting, programme, seq, day, name: id, isPast: true });
  for (const list of plots.values())
    for (const [place, one] of list.entries())
      for (const other of list.slice(place + 1)) if (!(one.isPast && other.isPast)) checkPair(reading, one, other);
}

/** Applications: each need once at most, in its window, whole, apart from what else its plot gets. */
export function checkApplications(reading: Reading, applications: readonly Application[]): AppliedRead {
  const days = new Map<string, number>();
  let [lateD, weakL, weakCost] = [0, 0, 0];
  for (const { need: id, day, draws } of applications) {
    const at = `need ${id}`;
    const need = reading.needs.get(id);
    if (!need) reading.breaks("ref", at, { name: id });
    else if (days.has(id)) reading.breaks("twice", at, {});
    else if (!isDay(day)) reading.breaks("type", at, {});
    else {
      days.set(id, day);
      checkDay(reading, need, day, at);
      const input = reading.inputOf(id);
      let litres = 0;
      for (const { from, amountL } of draws) {
        litres += amountL;
        draw(reading, from, day, amountL, input, at);
      }
      if (!(litres >= need.leastL - SLACK && litres <= need.preferredL + SLACK))
        reading.breaks("dose", at, { litres, least: need.leastL, most: need.preferredL });
      reading.works(day, need.workMin);
      lateD += Math.max(0, day - need.preferredDay);
      const missing = Math.max(0, need.preferredL - litres);
      weakL += missing;
      weakCost += missing * reading.inputs.get(input)!.weakCostPerL;
    }
  }
  checkSpacing(reading, days);
  return { days, lateD, weakL, weakCost };
}
