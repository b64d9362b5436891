import { probeFigures, type SimulatedProbe } from "./drumProbe";

const PROBE: SimulatedProbe = {
  seed: 7,
  climate: { latitudeDeg: -37.5, longitudeDeg: 150, meanC: 16, swingC: 3 },
  volumeL: 200,
  filledAt: new Date("2031-03-01T00:00:00Z"),
  filledC: 22,
  ph: (hour) => 6 - hour / 200,
};
const to = new Date("2031-03-21T00:00:00Z");
const of = (quantity: string, from = PROBE.filledAt) =>
  probeFigures(PROBE, from, to).filter((figure) => figure.quantity === quantity);

describe("the stand-in probe", () => {
  it("posts the same figures whenever it is asked, for the same hours", () => {
    expect(of("liquid")).toEqual(of("liquid"));
    const later = of("liquid", new Date("2031-03-10T00:00:00Z"));
    expect(of("liquid").slice(-later.length)).toEqual(later);
  });
  it("follows its drum: slower than the air, from where it was filled", () => {
    const values = of("liquid")
      .map(({ value }) => value)
      .filter((value) => value < 60);
    expect(values[0]!).toBeCloseTo(22, 0);
    const steps = values.slice(1).map((value, index) => Math.abs(value - values[index]!));
    expect(Math.max(...steps)).toBeLessThan(3);
  });
  it("drops out for stretches, and now and then says what can't be", () => {
    const hours = of("liquid").length;
    expect(hours).toBeLessThan(20 * 24 * 0.99);
    expect(hours).toBeGreaterThan(20 * 24 * 0.8);
    expect(of("liquid").some(({ value }) => value === 85)).toBe(true);
  });
  it("has a pH that drifts away from the brew's", () => {
    const last = of("ph").at(-1)!;
    const age = (last.at.getTime() - PROBE.filledAt.getTime()) / 3_600_000;
    expect(last.value - PROBE.ph!(age)).toBeGreaterThan(0.1);
    expect(last.value - PROBE.ph!(age)).toBeLessThan(0.6);
  });
});
