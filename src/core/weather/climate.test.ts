import { dayWave, usualAir, usualAirAt, type Climate } from "./climate";

const SOUTH: Climate = { latitudeDeg: -37.5, longitudeDeg: 150, meanC: 14, swingC: 6 };

describe("what the air usually is", () => {
  it("is warm in January south of the equator and in July north of it", () => {
    const north = { ...SOUTH, latitudeDeg: 37.5 };
    const [january, july] = [new Date("2031-01-18T00:00:00Z"), new Date("2031-07-20T00:00:00Z")];
    expect(usualAir(january, SOUTH).meanC).toBeCloseTo(20, 0);
    expect(usualAir(july, SOUTH).meanC).toBeCloseTo(8, 0);
    expect(usualAir(january, north).meanC).toBeCloseTo(8, 0);
  });
  it("is warmest at three by the sun, and means the day's mean over the day", () => {
    const noonUtcOf = (longitudeDeg: number) =>
      new Date(Date.parse("2031-01-18T15:00:00Z") - (longitudeDeg / 15) * 3_600_000);
    expect(dayWave(noonUtcOf(150), SOUTH)).toBeCloseTo(1, 6);
    expect(dayWave(noonUtcOf(0), { longitudeDeg: 0 })).toBeCloseTo(1, 6);
    const hours = Array.from(
      { length: 24 },
      (_, hour) => new Date(Date.parse("2031-01-18T00:00:00Z") + hour * 3_600_000),
    );
    const mean = hours.reduce((sum, at) => sum + usualAirAt(at, SOUTH), 0) / 24;
    expect(mean).toBeCloseTo(usualAir(hours[12]!, SOUTH).meanC, 1);
  });
});
