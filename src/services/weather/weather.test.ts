import type { Farm } from "@/data/farm/farm";
import { usualAirAt } from "@/core/weather/climate";
import { airAhead, airFrom, climateOf, fitBands, WEATHER_AHEAD_H, type AirHour } from "./weather";

const HOUR_MS = 3_600_000;
const NOW = new Date("2031-03-20T10:20:00Z");
const farm = {
  latitudeDeg: 45,
  longitudeDeg: 0,
  climateMeanC: 12,
  climateSwingC: 8,
} as Farm;
const hourAt = (hours: number, change: Partial<AirHour> = {}): AirHour => ({
  at: new Date(Date.parse("2031-03-20T10:00:00Z") + hours * HOUR_MS),
  airC: 15,
  rainMm: 0,
  windMPerS: 1,
  source: hours <= 0 ? "measured" : "expected",
  ...change,
});
const air = (hours: readonly AirHour[]) => ({ hours, version: "1" });

describe("the hours ahead", () => {
  it("are the usual air where nobody tells any, with rain and wind left open", () => {
    const ahead = airAhead(farm, air([]), NOW);
    expect(ahead).toHaveLength(WEATHER_AHEAD_H + 1);
    for (const { at, airC, rainMm, windMPerS, source } of ahead.slice(0, 48)) {
      expect(airC).toBeCloseTo(usualAirAt(at, climateOf(farm)), 9);
      expect([rainMm, windMPerS, source]).toEqual([null, null, "usual"]);
    }
  });
  it("are what is told as far as it reaches, from the hour that has begun", () => {
    const ahead = airAhead(farm, air([-2, -1, 0, 1, 2].map((hours) => hourAt(hours))), NOW);
    expect(ahead.map(({ source }) => source).slice(0, 5)).toEqual([
      "measured",
      "expected",
      "expected",
      "usual",
      "usual",
    ]);
    expect(ahead[0]!.at).toEqual(hourAt(0).at);
  });
  it("fill a gap in what is told, and only that", () => {
    const ahead = airAhead(farm, air([0, 1, 3, 4].map((hours) => hourAt(hours))), NOW);
    expect(ahead.slice(0, 5).map(({ source }) => source === "usual")).toEqual([false, false, true, false, false]);
  });
});

describe("fit hours from what is told", () => {
  const told = (change: Partial<AirHour>) =>
    airAhead(farm, air(Array.from({ length: 60 }, (_, hour) => hourAt(hour, change))), NOW);
  it("are dry where a station says so, and wet where it says that", () => {
    expect(fitBands(farm, told({}), NOW, 36)[0]).toMatchObject({ when: "dusk", fit: "leaves", because: "dry" });
    expect(fitBands(farm, told({ rainMm: 1 }), NOW, 36)[0]).toMatchObject({ fit: "soil", because: "rain" });
    expect(fitBands(farm, told({ windMPerS: 7 }), NOW, 36)[0]).toMatchObject({ fit: "soil", because: "wind" });
  });
  it("leave open what a thermometer alone can't tell", () => {
    const [band] = fitBands(farm, told({ rainMm: null, windMPerS: null }), NOW, 36);
    expect(band).toMatchObject({ fit: "leaves", because: "unknown", windMPerS: null, airC: 15 });
  });
  it("go on by the sun alone past the end of a forecast", () => {
    const bands = fitBands(farm, told({}), NOW);
    expect(bands.length).toBeGreaterThan(18);
    expect(bands.at(-1)!.because).not.toBe("dry");
  });
});

describe("a part of a series", () => {
  it("begins with the hour of the moment, is the whole where that is before it, and nothing after its end", () => {
    const series = [0, 1, 2].map((hours) => hourAt(hours));
    expect(airFrom(series, new Date(hourAt(1).at.getTime() + HOUR_MS / 2))).toEqual(series.slice(1));
    expect(airFrom(series, hourAt(-9).at)).toBe(series);
    expect(airFrom(series, hourAt(5).at)).toEqual([]);
  });
});
