import { areaM2, boundsOf, rectangle } from "@/core/land/ring";
import { difference, draftOf, drawn, picking, pickedOf, type Draft } from "./draft";
import { resized } from "./PickedPanel";

const plot = (id: number, x: number) => ({
  id,
  name: `Bed ${id}`,
  kind: "bed" as const,
  ring: rectangle([x, 0], 1.2, 10),
  block: "",
  tags: [],
});
const begin = draftOf([plot(1, 0), plot(2, 1.2), plot(3, 9)]);
const names = (draft: Draft) => draft.plots.map(({ name }) => name);
const walk = (draft: Draft, ...steps: Parameters<typeof drawn>[1][]): Draft => steps.reduce(drawn, draft);

describe("drawing the land", () => {
  it("sends nothing while nothing is changed", () =>
    expect(difference(begin, picking(begin, [1, 2]))).toEqual({ plots: [], putAway: [] }));
  it("draws a bed, names it past those that are there, and picks it", () => {
    const next = drawn(begin, { type: "add", ring: rectangle([20, 0], 1, 4) });
    expect(names(next)).toEqual(["Bed 1", "Bed 2", "Bed 3", "Bed 4"]);
    expect(pickedOf(next).map(({ name }) => name)).toEqual(["Bed 4"]);
    expect(difference(begin, next)).toMatchObject({ plots: [{ plotId: null, name: "Bed 4" }], putAway: [] });
  });
  it("draws many, in a group", () => {
    const beds = {
      count: 12,
      widthM: 1.2,
      lengthM: 30,
      betweenM: 0.5,
      at: [0, 20] as const,
      towards: "east" as const,
      turnedDeg: 0,
    };
    const next = drawn(begin, { type: "add-many", beds, firstName: "North 1", block: "North" });
    expect(next.plots).toHaveLength(15);
    expect(next.plots.at(-1)).toMatchObject({ name: "North 12", block: "North" });
  });
  it("moves, turns and renames only what is picked", () => {
    const next = walk(
      picking(begin, [1]),
      { type: "move", by: [0, 5] },
      { type: "turn", degrees: 90 },
      { type: "say", change: { name: "Long bed" } },
    );
    expect(names(next)).toEqual(["Long bed", "Bed 2", "Bed 3"]);
    const { minX, maxX, minY, maxY } = boundsOf(next.plots[0]!.ring);
    expect([maxX - minX, maxY - minY].map((side) => Number(side.toFixed(6)))).toEqual([10, 1.2]);
    expect(next.plots[1]).toBe(begin.plots[1]);
    expect(difference(begin, next).plots.map(({ plotId }) => plotId)).toEqual([1]);
  });
  it("copies beside what it copies", () => {
    const next = drawn(picking(begin, [3]), { type: "copy" });
    expect(names(next)).toEqual(["Bed 1", "Bed 2", "Bed 3", "Bed 4"]);
    expect(boundsOf(next.plots[3]!.ring).minX).toBeCloseTo(9 + 1.2 + 0.5);
  });
  it("parts one in two: the larger keeps its name and its past", () => {
    const next = drawn(picking(begin, [3]), { type: "split", from: [8, 3], to: [12, 3] });
    expect(next.plots.map(({ key, name, ring }) => [key, name, Number(areaM2(ring).toFixed(3))])).toEqual([
      [1, "Bed 1", 12],
      [2, "Bed 2", 12],
      [3, "Bed 3", 8.4],
      [-1, "Bed 4", 3.6],
    ]);
  });
  it("joins those that touch, under the first one's name, and puts the others away", () => {
    const next = drawn(picking(begin, [1, 2]), { type: "merge" });
    expect(names(next)).toEqual(["Bed 1", "Bed 3"]);
    expect(areaM2(next.plots[0]!.ring)).toBeCloseTo(24, 3);
    expect(difference(begin, next)).toMatchObject({ plots: [{ plotId: 1 }], putAway: [2] });
    expect(() => drawn(picking(begin, [1, 3]), { type: "merge" })).toThrow("merge-apart");
  });
  it("puts away, pulls a corner, takes sides as figures", () => {
    expect(difference(begin, drawn(picking(begin, [2]), { type: "put-away" })).putAway).toEqual([2]);
    expect(drawn(begin, { type: "corner", key: 3, corner: 0, to: [8, -1] }).plots[2]!.ring[0]).toEqual([8, -1]);
    const ring = resized(begin.plots[2]!.ring, 2, 20);
    expect(areaM2(ring)).toBeCloseTo(40, 6);
    expect(boundsOf(ring).maxY - boundsOf(ring).minY).toBeCloseTo(20, 6);
  });
});
