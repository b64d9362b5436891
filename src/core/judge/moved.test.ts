import { findRecipe } from "../book";
import { hasMoved } from "./moved";

describe("whether a window has moved", () => {
  const tea = findRecipe("aerated-tea");
  const extract = findRecipe("cultured-extract");
  const moved = (
    recipe: typeof tea,
    before: [number | null, number | null],
    now: [number | null, number | null],
    nowH = 20,
  ) => hasMoved(recipe, { startH: before[0], endH: before[1] }, { startH: now[0], endH: now[1] }, nowH);
  it("asks for two hours of a bloom, at either end, and for half a day of what takes weeks", () => {
    expect(moved(tea, [24, 39], [25.9, 40.9])).toBe(false);
    expect(moved(tea, [24, 39], [22, 39])).toBe(true);
    expect(moved(tea, [24, 39], [24, 41])).toBe(true);
    expect(moved(extract, [100, 3000], [111, 2600])).toBe(false);
    expect(moved(extract, [100, 3000], [112, 3000])).toBe(true);
  });
  it("asks for more of what is still far off", () => {
    expect(moved(extract, [320, null], [340, null])).toBe(false);
    expect(moved(extract, [320, null], [350, null])).toBe(true);
    expect(moved(extract, [320, null], [340, null], 300)).toBe(true);
  });
  it("takes a window that came into sight, or went, as moved", () => {
    expect(moved(extract, [null, null], [300, null])).toBe(true);
    expect(moved(extract, [300, null], [null, null])).toBe(true);
    // However near it is.
    expect(moved(tea, [null, null], [1, null], 0)).toBe(true);
    expect(moved(tea, [1, null], [null, null], 0)).toBe(true);
    expect(moved(extract, [null, null], [null, null])).toBe(false);
  });
});
