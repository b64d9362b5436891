import { SHOWN_AHEAD_H, shownUntilH } from "./shownUntil";

const mark = (p10: number | null, p50: number | null, p90: number | null) => ({ p10, p50, p90 });
const NEVER = mark(null, null, null);

describe("how far a batch's course is shown", () => {
  it("half as long again as it is old where nothing is in sight, and as of twelve hours at least", () => {
    expect(shownUntilH({ start: NEVER, peak: NEVER, end: NEVER }, 40)).toBe(60);
    expect(shownUntilH({ start: NEVER, peak: NEVER, end: NEVER }, 2)).toBe(8);
  });
  it("to the latest hour of its opening and its best", () => {
    expect(shownUntilH({ start: mark(30, 40, 90), peak: NEVER, end: NEVER }, 40)).toBe(90);
    expect(shownUntilH({ start: mark(30, 40, 90), peak: mark(40, 50, 95), end: NEVER }, 40)).toBe(95);
  });
  it("a little beyond its close, so that the fall is usual", () => {
    expect(shownUntilH({ start: NEVER, peak: NEVER, end: mark(60, 100, 140) }, 40)).toBeCloseTo(110, 9);
  });
  it("no further than twelve days", () => {
    expect(shownUntilH({ start: NEVER, peak: NEVER, end: mark(2000, 3000, null) }, 40)).toBe(40 + SHOWN_AHEAD_H);
    expect(shownUntilH({ start: NEVER, peak: NEVER, end: mark(2000, 3000, null) }, 40, 5000)).toBeCloseTo(3300, 9);
  });
});
