import { answer } from "./answer";
import { allocateTask } from "./allocate";

interface Answer {
  readonly plots: readonly {
    readonly id: string;
    readonly concentrate: { readonly value: number };
    readonly loads?: number;
  }[];
  readonly left: { readonly value: number };
  readonly without: readonly { readonly id: string; readonly reason: string; readonly text: string }[];
}
const L = (value: number) => ({ value, unit: "L" });
const ask = (input: object) => {
  const { status, stdout, stderr } = answer(["allocate"], () => JSON.stringify(input));
  return {
    status,
    value: stdout ? (JSON.parse(stdout) as Answer) : null,
    error: stderr ? (JSON.parse(stderr) as { error: { code: string; path: string } }).error : null,
  };
};

describe("bin/core allocate", () => {
  it("works its own example", () => {
    const { value } = ask(allocateTask.example);
    expect(value!.plots.map(({ concentrate }) => concentrate.value)).toEqual([6, 6, 24, 0]);
    expect(value!.left.value).toBeCloseTo(2);
    expect(value!.without).toEqual([
      { id: "beans", reason: "not-enough-left", text: "wants 4 L at least, and 2 L is left" },
    ]);
  });
  it("carries whole cans, each use at its strength", () => {
    const { value } = ask({
      available: L(5),
      uses: [
        { id: "foliar", ratio: "1:1" },
        { id: "seedling", ratio: "1:49" },
      ],
      tool: { volume: L(10) },
      plots: [
        { id: "leaves", priority: 2, use: "foliar", preferred: L(5), least: L(5) },
        { id: "cells", priority: 1, use: "seedling", preferred: L(0.5), least: L(0.2) },
      ],
    });
    expect(value!.plots.map(({ loads }) => loads)).toEqual([0, 2]);
    expect(value!.without[0]).toMatchObject({ id: "leaves", reason: "not-enough-left" });
  });
  it("keeps liquids of several uses apart", () => {
    const asked = {
      available: [
        { use: "a", quantity: L(4) },
        { use: "b", quantity: L(1) },
      ],
      plots: [
        { id: "one", priority: 1, use: "a", preferred: L(3) },
        { id: "two", priority: 1, use: "b", preferred: L(3) },
      ],
    };
    const { value } = ask(asked);
    expect(value!.plots.map(({ concentrate }) => concentrate.value)).toEqual([3, 1]);
    expect(value!.left.value).toBeCloseTo(1);
    expect(ask({ ...asked, plots: [{ ...asked.plots[0]!, use: "c" }] }).error).toMatchObject({
      code: "unknown-word",
      path: "/plots/0/use",
    });
  });
  it.each([
    [
      "a priority that there is none of",
      { available: L(1), plots: [{ id: "a", priority: 4, preferred: L(1) }] },
      "schema",
    ],
    ["less than nothing", { available: L(-1), plots: [] }, "negative"],
    [
      "a least above the wish",
      { available: L(1), plots: [{ id: "a", priority: 1, preferred: L(1), least: L(2) }] },
      "out-of-range",
    ],
    ["a tool that holds nothing", { available: L(1), tool: { volume: L(0) }, plots: [] }, "not-positive"],
  ])("refuses %s", (_what, input, code) => expect(ask(input)).toMatchObject({ status: 2, error: { code } }));
});
