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
    ["boiling", { value: 85 }, "85 °C can't be"],
    ["no number", { value: NaN }, "NaN °C can't be"],
    ["a pH of a broken probe", { quantity: "ph", value: 0.3, before: null }, "0.3 can't be"],
    ["a drum that jumps", { value: 45 }, "jumped by 24.5 in 1 h"],
    [
      "a pH that jumps",
      { quantity: "ph", value: 7.2, before: { value: 4.1, hoursEarlier: 1 } },
      "jumped by 3.1 in 1 h",
    ],
    ["tomorrow", { fromNowH: 20 }, "its clock runs ahead"],
    ["another year", { fromNowH: -24 * 500 }, "more than a year late"],
    ["rain upwards", { quantity: "rain", value: -2, before: null }, "-2 mm can't be"],
  ] as const)("is kept apart: %s", (_what, change, why) => expect(whyAside(posted(change))).toBe(why));
});
