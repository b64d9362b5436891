import { addDays, daysBetween } from "./calendar";

describe("calendar days", () => {
  it.each([
    ["2032-02-28", 2, "2032-03-01"],
    ["2031-02-28", 1, "2031-03-01"],
    ["2031-12-31", 1, "2032-01-01"],
    ["2031-03-01", -1, "2031-02-28"],
    ["2031-03-30", 0, "2031-03-30"],
  ])("%s and %s days are %s", (day, days, then) => {
    expect(addDays(day, days)).toBe(then);
    expect(daysBetween(day, then)).toBe(days);
  });
});
