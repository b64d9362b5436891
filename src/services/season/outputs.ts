import "server-only";
import ical from "ical-generator";
import { addDays } from "@/core/calendar";
import { deedsOf, type SeasonDeed } from "@/core/plan/hand/deeds";
import { writeCsv } from "@/formats/csv/decode";
import type { Farm } from "@/data/farm";
import type { Context } from "../context";
import { sayDeed, type DeedSaid } from "@/words/said";
import { readSeason, type SeasonView } from "./readSeason";

interface SeasonLine extends DeedSaid {
  readonly id: string;
  readonly day: string;
  readonly what: SeasonDeed["kind"];
}
/** What the plan in use has people do, day by day, in words; nothing where none is in use. */
const linesOf = ({ season, plan, names, farm }: SeasonView): SeasonLine[] =>
  plan
    ? deedsOf(season, plan).map((deed) => ({
        id: deed.id,
        day: addDays(season.firstDay, deed.day),
        what: deed.kind,
        ...sayDeed(deed, names, farm.units),
      }))
    : [];

/** The plan in use as a calendar (RFC 5545): a whole day each, what is to be started or applied with an alarm on its morning. */
export async function seasonCalendar(ctx: Context, farm: Farm): Promise<string> {
  const calendar = ical({ name: `${farm.name}: season`, prodId: { company: "Ruchka", product: "Season" } });
  const now = ctx.now();
  for (const { id, day, what, title, amount, where } of linesOf(await readSeason(ctx, farm))) {
    const event = calendar.createEvent({
      id: `${id}@ruchka`,
      start: new Date(`${day}T00:00:00Z`),
      allDay: true,
      timezone: "UTC",
      stamp: now,
      summary: `${title}, ${amount}`,
      ...(where === "" ? {} : { location: where }),
    });
    if (what === "start" || what === "apply") event.createAlarm({ type: "display" as never, trigger: -7 * 3600 });
  }
  return calendar.toString();
}
/** The same as a table. */
export async function seasonCsv(ctx: Context, farm: Farm): Promise<string> {
  const lines = linesOf(await readSeason(ctx, farm));
  return writeCsv(
    ["day", "what", "title", "amount", "where"],
    lines.map(({ day, what, title, amount, where }) => [day, what, title, amount, where]),
  );
}
