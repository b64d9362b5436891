import { haulInCans, haulOf, isPastCarrying } from "./haul";

describe("what carrying means", () => {
  it("counts trips, weight and hours, longer the further the beds lie", () => {
    expect(haulOf([{ count: 12, mixL: 10 }])).toEqual({ trips: 12, massKg: 120, hours: 1, better: null });
    // 90 m further is three minutes more a trip.
    expect(haulOf([{ count: 12, mixL: 10 }], 120).hours).toBeCloseTo((12 * 8) / 60, 9);
    expect(haulOf([{ count: 12, mixL: 10 }], 5).hours).toBe(1);
  });
  it("rounds cans up, but not what is in them", () => {
    expect(haulInCans(57.6, 10).trips).toBe(6);
    expect(haulInCans(57.6, 10).massKg).toBeCloseTo(57.6, 9);
    expect(haulInCans(0.2, 10).trips).toBe(1);
  });
  it("is past carrying where it is more than a day of it", () => {
    expect(isPastCarrying(haulInCans(200, 10))).toBe(false);
    expect(isPastCarrying(haulInCans(2000, 10))).toBe(true);
    expect(isPastCarrying(haulInCans(600, 10, 300))).toBe(true);
  });
});
