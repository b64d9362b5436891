import { handsHours, haulInCans, haulOf, isPastCarrying } from "./haul";

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

describe("hands at a tool", () => {
  it("are needed for cans, a while for a tote, and not where the water does it", () => {
    const loads = [{ count: 6, mixL: 10 }];
    expect(handsHours("can", loads)).toBe(haulOf(loads).hours);
    expect(handsHours("drip", loads)).toBe(0);
    // Twenty minutes to fill and prime, and 600 L at 15 L a minute.
    expect(handsHours("tote", [{ count: 1, mixL: 600 }])).toBe(1);
  });
});
