import "server-only";
import ical from "ical-generator";
import { addDays } from "@/core/calendar";
import { deedsOf, type SeasonDeed } from "@/core/plan/hand/deeds";
import { handsNamed, handsOf } from "@/core/plan/hand/people";
import { writeCsv } from "@/formats/csv/decode";
import type { Farm } from "@/data/farm";
import type { Context } from "../context";
import { sayDeed, type DeedSaid } from "@/words/said";
import { readSeason, type SeasonView } from "./readSeason";

export const DEED_KINDS = [
  "order",
  "gather",
  "start",
  "strain",
  "apply",
] as const satisfies readonly SeasonDeed["kind"][];
/** What somebody wants of the calendar. */
export interface CalendarWish {
  /** Only what this person does; everybody's where left out. */
  readonly personId?: number;
  /** Kinds of work that ring on their morning. */
  readonly alarms?: readonly SeasonDeed["kind"][];
}
/** What rings where nobody said. */
const USUAL_ALARMS: readonly SeasonDeed["kind"][] = ["start", "apply"];
/** At seven in the morning of its day, s after its midnight. */
const ALARM_S = 7 * 3600;

interface SeasonLine extends DeedSaid {
  readonly id: string;
  readonly day: string;
  readonly what: SeasonDeed["kind"];
  readonly minutes: number;
  /** Who does it, where hours are said by person. */
  readonly who: { readonly id: number; readonly name: string } | null;
}
/** What the plan in use has people do, day by day, in words; nothing where none is in use. */
function linesOf(view: SeasonView): SeasonLine[] {
  const { season, plan, names, farm, people } = view;
  if (!plan) return [];
  const { whose } = handsOf(season, plan, handsNamed(view.terms.hands));
  return deedsOf(season, plan).map((deed) => ({
    id: deed.id,
    day: addDays(season.firstDay, deed.day),
    what: deed.kind,
    minutes: Math.round(deed.minutes),
    who: people.find(({ id }) => String(id) === whose.get(deed.id)) ?? null,
    ...sayDeed(deed, names, farm.units),
  }));
}

/** The plan in use as a calendar (RFC 5545): a whole day each, with an alarm on its morning for what was asked to ring. */
export async function seasonCalendar(ctx: Context, farm: Farm, wish: CalendarWish = {}): Promise<string> {
  const view = await readSeason(ctx, farm);
  const whose = view.people.find(({ id }) => id === wish.personId);
  const calendar = ical({
    name: whose ? `${farm.name}: season, ${whose.name}` : `${farm.name}: season`,
    prodId: { company: "Ruchka", product: "Season" },
  });
  const now = ctx.now();
  const alarms = wish.alarms ?? USUAL_ALARMS;
  for (const { id, day, what, title, amount, where, who } of linesOf(view)) {
    if (wish.personId !== undefined && who?.id !== wish.personId) continue;
    const event = calendar.createEvent({
      id: `${id}@ruchka`,
      start: new Date(`${day}T00:00:00Z`),
      allDay: true,
      timezone: "UTC",
      stamp: now,
      summary: `${title}, ${amount}${who && !whose ? ` (${who.name})` : ""}`,
      ...(where === "" ? {} : { location: where }),
    });
    if (alarms.includes(what)) event.createAlarm({ type: "display" as never, trigger: -ALARM_S });
  }
  return calendar.toString();
}
/** The same as a table. */
export async function seasonCsv(ctx: Context, farm: Farm): Promise<string> {
  const lines = linesOf(await readSeason(ctx, farm));
  return writeCsv(
    ["day", "what", "title", "amount", "where", "minutes", "who"],
    lines.map(({ day, what, title, amount, where, minutes, who }) => [
      day,
      what,
      title,
      amount,
      where,
      minutes,
      who?.name ?? "",
    ]),
  );
}
