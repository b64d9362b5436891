import { substitutesFor } from "../book/substitutes";
import { costDrivers } from "./drivers";

const drawn = (ingredientId: string, amount: number, costMinor: number, methodId = "cultured-extract") => ({
  ...{ methodId, ingredientId, amount, costMinor },
});

describe("what makes an input dear", () => {
  it("names its dearest ingredient over all its batches, with its share", () => {
    const [driver] = costDrivers(
      [drawn("molasses", 1, 300), drawn("castings", 2, 500), drawn("molasses", 2, 400)],
      new Map(),
    );
    expect(driver).toEqual({
      ...{ methodId: "cultured-extract", ingredientId: "molasses", costMinor: 700, share: 700 / 1200, standIns: [] },
    });
  });
  it("prices what stands in for it by its last price, as much of it as does the same, the cheapest first", () => {
    const [sugar, dear] = ["brown-sugar", "honey"].map((id) =>
      substitutesFor("molasses").find(({ use }) => use === id)!,
    );
    const [driver] = costDrivers(
      [drawn("molasses", 4, 2000)],
      new Map([
        ["honey", 1500],
        ["brown-sugar", 100],
        ["castings", 1],
      ]),
    );
    expect(driver!.standIns.map(({ ingredientId }) => ingredientId)).toEqual(["brown-sugar", "honey"]);
    expect(driver!.standIns[0]!.costMinor).toBe(Math.round(4 * sugar!.factor * 100));
    expect(driver!.standIns[0]!.savingMinor).toBe(2000 - Math.round(4 * sugar!.factor * 100));
    expect(driver!.standIns[1]!.savingMinor).toBe(2000 - Math.round(4 * dear!.factor * 1500));
  });
  it("is silent of what cost nothing", () => {
    expect(costDrivers([drawn("plant", 9, 0)], new Map())).toEqual([]);
    expect(costDrivers([], new Map())).toEqual([]);
  });
});
