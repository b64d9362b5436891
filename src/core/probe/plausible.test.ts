import { whyAside, type PostedFigure } from "./plausible";

const posted = (change: Partial<PostedFigure>): PostedFigure => ({
  quantity: "liquid",
  value: 21,
  fromNowH: -1,
  before: { value: 20.5, hoursEarlier: 1 },
  ...change,
});

describe("what a probe posts", () => {
  it.each([
    ["a drum that warms slowly", {}],
    ["the first figure of all", { before: null }],
    ["a jump after a long silence", { value: 12, before: { value: 24, hoursEarlier: 30 } }],
    ["a late hour", { fromNowH: -24 * 30 }],
    ["a clock some minutes ahead", { fromNowH: 0.5 }],
    ["a squall", { quantity: "air", value: 12, before: { value: 24, hoursEarlier: 1 } }],
  ] as const)("is taken: %s", (_what, change) => expect(whyAside(posted(change))).toBeNull());
  it.each([
    ["boiling", { value: 85 }, "impossible"],
    ["no number", { value: NaN }, "impossible"],
    ["a pH of a broken probe", { quantity: "ph", value: 0.3, before: null }, "impossible"],
    ["a drum that jumps", { value: 45 }, "jumped"],
    ["a pH that jumps", { quantity: "ph", value: 7.2, before: { value: 4.1, hoursEarlier: 1 } }, "jumped"],
    ["tomorrow", { fromNowH: 20 }, "clock-ahead"],
    ["another year", { fromNowH: -24 * 500 }, "too-late"],
    ["rain upwards", { quantity: "rain", value: -2, before: null }, "impossible"],
  ] as const)("is kept apart: %s", (_what, change, code) => expect(whyAside(posted(change))?.code).toBe(code));
  it("says how far a drum jumped, and in what time", () =>
    expect(whyAside(posted({ value: 45 }))).toEqual({ code: "jumped", by: 24.5, inH: 1 }));
});
