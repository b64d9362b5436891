import { forecastInput } from "@/testing/forecastInput";
import { forecastBatch } from "./forecastBatch";
import type { LogItem } from "./log";
import { nextOne, warmthFor, whatIf } from "./whatIf";

const cool = forecastInput("cultured-extract", 96, 14);
const opens = (input = cool) => forecastBatch(input).window.start.p50!;

describe("what if", () => {
  it("a warmer place, or a heater, from now on: sooner, the warmer the sooner", () => {
    const at = (placeC: number) => whatIf(cool, { placeC }).window.start.p50!;
    expect(at(20)).toBeLessThan(opens());
    expect(at(26)).toBeLessThan(at(20));
    expect(whatIf(cool, { heaterC: 26 }).window.start.p50!).toBeLessThan(opens());
  });
  it("the next one gets more culture: sooner; less sugar: not so sour", () => {
    const plain = nextOne(cool, {});
    expect(nextOne(cool, { inoculum: 5 }).window.start.p50!).toBeLessThan(plain.window.start.p50!);
    expect(nextOne(cool, { sugar: 0.1 }).probabilityNever).toBeGreaterThan(plain.probabilityNever);
  });
  it("the next one is begun later: later by as much, in steady air; never behind us", () => {
    const input = { ...forecastInput("aerated-tea", 60, 22), temperature: { liquid: [], air: [], statedC: 22 } };
    const opensAt = (laterH: number) => nextOne(input, { laterH }).window.start.p50!;
    expect(opensAt(24) - opensAt(0)).toBeCloseTo(24, 3);
    expect(nextOne(input, {}).window.start.p10!).toBeGreaterThan(input.nowH);
  });
  it("keeps what was read where its place changes, and drops it for the next one", () => {
    const half = forecastInput("cultured-extract", 240, 18);
    const read: LogItem = { hour: 230, kind: "ph", value: 5, instrument: "meter", spot: "mid-depth" };
    const known = { ...half, log: [read] };
    expect(whatIf(known, { placeC: 22 }).u!.sd).toBeLessThan(whatIf(half, { placeC: 22 }).u!.sd);
    expect(nextOne(known, {}).u!.sd).toBeCloseTo(nextOne(half, {}).u!.sd, 6);
  });
});

describe("how warm it must be kept", () => {
  it("to be ready by a day is the least warmth that does it", () => {
    const byH = opens() - 72;
    const celsius = warmthFor(cool, byH)!;
    expect(whatIf(cool, { placeC: celsius }).window.start.p50!).toBeLessThanOrEqual(byH + 3);
    expect(whatIf(cool, { placeC: celsius - 1.5 }).window.start.p50!).toBeGreaterThan(byH);
    expect(celsius % 0.5).toBe(0);
  });
  it("is nothing where it comes by itself, and nothing where no warmth would do", () => {
    expect(warmthFor(cool, opens() + 1)).toBeNull();
    expect(warmthFor(cool, cool.nowH + 6)).toBeNull();
  });
});
