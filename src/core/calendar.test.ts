import { addDays, clockHour, daysBetween } from "./calendar";

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

it.each([
  [0, 0],
  [24, 0],
  [30.5, 6.5],
  [-2, 22],
  [-26, 22],
  [-24, 0],
])("%s hours from midnight the clock shows %s", (hours, shown) => {
  expect(clockHour(hours)).toBe(shown);
});
