import { curveAxis, warmthAxis } from "./axes";
import { plateLayout } from "./layout";
import { nowShare, PLATE_W, plateScale, seenOf } from "./scale";
import { at, batchOf, FARM, NOW_MS, progressOf } from "@/testing/views";

const mark = (p10: number, p50: number, p90: number) => ({ p10: at(p10), p50: at(p50), p90: at(p90) });
const batch = batchOf("cultured-extract", {
  startedMs: at(-100),
  window: { start: mark(10, 20, 40), peak: mark(20, 30, 50), end: mark(60, 90, 130) },
});
const scale = plateScale({ batch, close: null, nowMs: NOW_MS });
const warm = (celsius: readonly number[]) => ({
  liquid: celsius.map((value, index) => ({ atMs: at(-100 + index), celsius: value, airC: value })),
  temperatures: [],
});

describe("the axis of a course", () => {
  it("goes down with what falls, has its figures in words, and holds what lies past its ends", () => {
    const axis = curveAxis("ph", 4, 100, 150);
    expect(axis.y(4)).toBeGreaterThan(axis.y(6));
    expect(axis.ticks.map(({ text }) => text)).toEqual(["4", "5", "6"]);
    expect(axis.y(1)).toBe(axis.y(3));
    for (const { y } of axis.ticks) expect(y > 100 && y < 250).toBe(true);
  });
  it("names the band where a pH decides, and only there", () => {
    expect(curveAxis("ph", 4, 0, 150).title).toBe("pH; the band is ready, 4 and under");
    expect(curveAxis("ph", null, 0, 150).title).toBe("pH");
    expect(curveAxis("parted", 4, 0, 150).title).not.toContain("band");
  });
  it("counts shares in hundredths", () =>
    expect(curveAxis("sunk", null, 0, 150).ticks.map(({ text }) => text)).toEqual(["0", "50", "100"]));
});

describe("what is usual of a course", () => {
  const points = [-120, -50, 40, 108, 110, 140].map((hour) => ({ atMs: at(hour) }));
  it("begins with the batch, and has one point beyond the end, so that its line runs to the edge", () => {
    expect(scale.toMs).toBe(at(109));
    expect(seenOf(points, scale)).toEqual([-50, 40, 108, 110].map((hour) => ({ atMs: at(hour) })));
  });
  it("is all of one that ends before", () => expect(seenOf(points.slice(1, 3), scale)).toEqual(points.slice(1, 3)));
});

describe("the axis of warmth", () => {
  const spans = (celsius: readonly number[]) => warmthAxis(scale, warm(celsius), "metric", 0, 96).span;
  it("takes in all that is drawn, in steps of five, and an ordinary summer at least", () => {
    expect(spans([15, 20])).toEqual([10, 25]);
    expect(spans([3, 38])).toEqual([0, 40]);
  });
  it("looks at nothing outside the plate", () => {
    const late = { liquid: [{ atMs: at(5000), celsius: 60, airC: 60 }], temperatures: [] };
    expect(warmthAxis(scale, late, "metric", 0, 96).span).toEqual([10, 25]);
  });
  it("is in the farm's degrees", () => {
    const us = warmthAxis(scale, warm([15, 20]), "us", 0, 96);
    expect(us.title).toBe("Liquid °F; the thin line is the air");
    expect(us.ticks.map(({ text }) => Number(text)).every((degrees) => degrees >= 50 && degrees <= 77)).toBe(true);
  });
});

describe("the plate's strips", () => {
  const page = { batch, close: null, nowMs: NOW_MS, targetPh: 4, farm: FARM };
  it("stand one under the other, and close up where no course is drawn", () => {
    const bare = plateLayout({ ...page, progress: progressOf({}) } as never);
    const whole = plateLayout({
      ...page,
      progress: progressOf({ curve: { feature: "ph", points: [], readings: [] } }),
    } as never);
    expect(bare.curve).toBeNull();
    expect(whole.curve!.top).toBe(bare.warmth.top);
    expect(whole.warmth.top).toBeGreaterThan(whole.curve!.top);
    expect(whole.height - whole.bottom).toBe(bare.height - bare.bottom);
  });
  it("have the present where the scale has it", () => {
    expect(nowShare({ batch, close: null, nowMs: NOW_MS }) * PLATE_W).toBeCloseTo(scale.x(NOW_MS), 6);
  });
});
