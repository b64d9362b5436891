import { alertDue } from "./storeAlerts";

const DAY = 24;

describe("reminders before the end of a store", () => {
  it("come two weeks, three days and a day before it, each once it is due", () => {
    const year = 365 * DAY;
    expect(alertDue(year, 20 * DAY)).toBeNull();
    expect(alertDue(year, 13 * DAY)).toBe(14 * DAY);
    expect(alertDue(year, 2 * DAY)).toBe(72);
    expect(alertDue(year, 5)).toBe(24);
    expect(alertDue(year, 0)).toBeNull();
  });
  it("do not come at once for what keeps for a week", () => {
    expect(alertDue(7 * DAY, 6.9 * DAY)).toBeNull();
    expect(alertDue(7 * DAY, 70)).toBe(72);
  });
  it("stand all the while over what lives for hours", () => {
    expect(alertDue(4, 3.9)).toBe(4);
    expect(alertDue(4, -0.1)).toBeNull();
  });
});
