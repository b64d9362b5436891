import { DEED_KINDS, type CalendarWish } from "@/services/season";

/** What an address asks of the calendar: `person`, and `alarms` with kinds of work between commas. What it does not know it leaves out. */
export function wishOf(address: string): CalendarWish {
  const { searchParams } = new URL(address);
  const person = Number(searchParams.get("person"));
  const alarms = searchParams.get("alarms");
  return {
    ...(Number.isInteger(person) && person > 0 ? { personId: person } : {}),
    ...(alarms === null ? {} : { alarms: DEED_KINDS.filter((kind) => alarms.split(",").includes(kind)) }),
  };
}
