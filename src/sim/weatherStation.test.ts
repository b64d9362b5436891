import type { Climate } from "@/core/weather/climate";
import { sunDays } from "./sun";
import { weather } from "./weatherStation";

const SOUTH: Climate = { latitudeDeg: -37.5, longitudeDeg: 150, meanC: 14, swingC: 6 };
const HOUR = 3_600_000;
const now = new Date("2031-01-11T02:00:00Z");
const after = (hours: number) => new Date(now.getTime() + hours * HOUR);
const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

describe("the stand-in weather station", () => {
  it("tells the same weather whenever it is asked", () => {
    expect(weather(SOUTH, after(-48), now, now)).toEqual(weather(SOUTH, after(-48), now, now));
    const asked = weather(SOUTH, after(-48), after(-24), now);
    expect(weather(SOUTH, after(-48), now, now).slice(0, asked.length)).toEqual(asked);
  });
  it("is warm in the southern January and cool in the southern July", () => {
    const month = (day: string) =>
      mean(
        weather(SOUTH, new Date(day), new Date(Date.parse(day) + 720 * HOUR), new Date("2032-01-01")).map(
          ({ airC }) => airC,
        ),
      );
    expect(month("2031-01-05T00:00:00Z")).toBeGreaterThan(17);
    expect(month("2031-07-05T00:00:00Z")).toBeLessThan(11);
  });
  it("errs in its forecast, more so further ahead, and not in what it measured", () => {
    const forecast = weather(SOUTH, now, after(240), now);
    const truth = weather(SOUTH, now, after(240), after(240));
    const errors = forecast.map(({ airC }, index) => Math.abs(airC - truth[index]!.airC));
    expect(errors[0]).toBe(0);
    expect(mean(errors.slice(1, 25))).toBeLessThan(1);
    expect(Math.max(...errors)).toBeLessThanOrEqual(3);
    expect(mean(errors.slice(168))).toBeGreaterThan(mean(errors.slice(1, 25)));
  });
  it("has dry spells and wet ones, and never absurd weather", () => {
    const year = weather(SOUTH, new Date("2031-01-01"), new Date("2032-01-01"), new Date("2032-01-02"));
    const wetShare = mean(year.map(({ rainMm }) => (rainMm > 0 ? 1 : 0)));
    expect(wetShare).toBeGreaterThan(0.03);
    expect(wetShare).toBeLessThan(0.3);
    for (const { airC, windMPerS } of year) {
      expect(airC).toBeGreaterThan(-10);
      expect(airC).toBeLessThan(40);
      expect(windMPerS).toBeGreaterThan(0);
    }
  });
  it("knows the sun: a long day in January, and none where it does not rise", () => {
    const [day] = sunDays(-37.5, 150, now, now);
    expect((day!.set.getTime() - day!.rise.getTime()) / HOUR).toBeGreaterThan(14);
    expect(sunDays(80, 15, new Date("2031-12-20T12:00:00Z"), new Date("2031-12-20T12:00:00Z"))).toEqual([]);
  });
});
