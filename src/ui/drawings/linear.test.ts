import { linear } from "./linear";

describe("a straight scale", () => {
  it("goes through its two points and on beyond them", () =>
    expect([0, 5, 10, 20].map(linear([0, 10], [100, 0]))).toEqual([100, 50, 0, -100]));
  it("keeps what lies outside at the edge where that is asked for", () =>
    expect([-3, 4, 30].map(linear([0, 10], [0, 100], true))).toEqual([0, 40, 100]));
});
