import { forecastInput } from "@/testing/forecastInput";
import { forecastBatch } from "./forecastBatch";
import type { LogItem } from "./log";
import { warmthFor, whatIf } from "./whatIf";

const cool = forecastInput("cultured-extract", 96, 14);
const opens = (input = cool) => forecastBatch(input).window.start.p50!;

describe("what if", () => {
  it("a warmer place, or a heater, from now on: sooner, the warmer the sooner", () => {
    const at = (placeC: number) => whatIf(cool, { placeC }).window.start.p50!;
    expect(at(20)).toBeLessThan(opens());
    expect(at(26)).toBeLessThan(at(20));
    expect(whatIf(cool, { heaterC: 26 }).window.start.p50!).toBeLessThan(opens());
  });
  it("more culture had gone in: sooner; less sugar: not so sour", () => {
    expect(whatIf(cool, { inoculum: 5 }).window.start.p50!).toBeLessThan(opens());
    expect(whatIf(cool, { sugar: 0.1 }).probabilityNever).toBeGreaterThan(forecastBatch(cool).probabilityNever);
  });
  it("it had begun later: later by as much, in steady air", () => {
    const input = { ...forecastInput("aerated-tea", 0, 22), temperature: { liquid: [], air: [], statedC: 22 } };
    expect(whatIf(input, { laterH: 24 }).window.start.p50! - opens(input)).toBeCloseTo(24, 3);
  });
  it("keeps what was read where only its place changes, and drops it where it would be another batch", () => {
    const half = forecastInput("cultured-extract", 240, 18);
    const read: LogItem = { hour: 230, kind: "ph", value: 5, instrument: "meter", spot: "mid-depth" };
    const known = { ...half, log: [read] };
    expect(whatIf(known, { placeC: 22 }).u!.sd).toBeLessThan(whatIf(half, { placeC: 22 }).u!.sd);
    expect(whatIf(known, { inoculum: 1.001 }).u!.sd).toBeCloseTo(whatIf(half, { inoculum: 1.001 }).u!.sd, 6);
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
