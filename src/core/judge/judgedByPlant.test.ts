import { findRecipe } from "../book";
import { judgedByPlant } from "./judgedByPlant";
import type { LogItem } from "./log";

const smell = (word: string): LogItem => ({ hour: 100, kind: "smell", word });

describe("judged by what went in", () => {
  const extract = findRecipe("cultured-extract");
  const failsBySulphur = (species: string[]) =>
    judgedByPlant(extract, [], species).recipe.cues.some(({ word, says }) => word === "sulphur" && says === "failed");
  it("takes sulphur for no sign of a brew of cabbage and its kin, and for one of all others", () => {
    expect(failsBySulphur(["nettle", "comfrey"])).toBe(true);
    expect(failsBySulphur(["nettle, kale"])).toBe(false);
    const { log } = judgedByPlant(extract, [smell("sulphur"), smell("cidery")], ["cabbage leaves"]);
    expect(log).toEqual([smell("cidery")]);
    expect(judgedByPlant(extract, [smell("putrid")], ["cabbage"]).log).toHaveLength(1);
  });
});
