import { METHODS } from "@/core/book";
import { scaleTask } from "./scale";
import { DomainError } from "@/core/errors";
import { sayDomain } from "@/words/domain";

type Answer = ReturnType<typeof scaleTask.run> & {
  lines: {
    ingredient: string;
    quantity: { value: number; unit: string };
    part: string;
    follows: string;
    onDay: number;
    dosePerL: number;
    text: string;
  }[];
  asks: { ingredient: string; ask: string }[];
  swaps: { use: string }[];
  bounds: { by: string; basis: { value: number; unit: string } }[];
  liquid: { value: number };
  fillLevel: number;
  limitedBy: string;
};
/** The task's answer; what it refuses is said as `bin/core` says it. */
const scale = (input: object): Answer => {
  try {
    return scaleTask.run(input as never) as Answer;
  } catch (error) {
    throw error instanceof DomainError ? new Error(sayDomain(error)) : error;
  }
};
const litres = (value: number) => ({ volume: { value, unit: "L" } });
const every = METHODS.flatMap(({ id, schools }) => schools.map((school) => [id, school.id] as const));

describe("the scale task", () => {
  it.each(every)("%s, %s: 20, 200 and 1000 L, none over its brim, doses the same", (method, school) => {
    const [small, drum, tote] = [20, 200, 1000].map((size) => scale({ method, school, vessel: litres(size) }));
    for (const answer of [small!, drum!, tote!]) {
      expect(answer.fillLevel).toBeGreaterThan(0.4);
      expect(answer.fillLevel).toBeLessThanOrEqual(0.9);
      expect(answer.limitedBy).toBe("vessel");
      for (const { quantity, text } of answer.lines) {
        expect(quantity.value).toBeGreaterThan(0);
        expect(text.length).toBeGreaterThan(3);
      }
    }
    for (const line of drum!.lines.filter(({ follows }) => follows === "batch")) {
      const same = tote!.lines.find((other) => other.ingredient === line.ingredient && other.part === line.part)!;
      expect(same.dosePerL / line.dosePerL).toBeCloseTo(1, 1);
    }
  });
  it("goes by several limits at once, in any unit, and says which governs", () => {
    const { bounds, limitedBy } = scale({
      method: "aerated-tea",
      school: "bacterial",
      vessel: litres(200),
      limits: [
        { ingredient: "castings", amount: { value: 15, unit: "lb" } },
        { ingredient: "molasses", amount: { value: 1, unit: "cup" } },
      ],
    });
    expect(bounds.map(({ by }) => by)).toEqual([limitedBy, ...bounds.slice(1).map(({ by }) => by)]);
    // 250 mL at 1.5 mL/L go to 167 L; 6.8 kg at 40 g/L to 170 L; the drum takes 160 L.
    expect(bounds.map(({ by }) => by)).toEqual(["vessel", "molasses", "castings"]);
    expect(bounds[1]!.basis.value).toBeCloseTo(166.7, 1);
  });
  it("asks for what nobody states, and takes it in when it is said", () => {
    const input = { method: "feeding-tea", vessel: litres(200) };
    expect(scale(input).asks.map(({ ingredient }) => ingredient)).toEqual(["guano"]);
    const said = scale({ ...input, stated: [{ ingredient: "guano", amount: { value: 400, unit: "g" } }] });
    expect(said.asks).toEqual([]);
    expect(said.lines.find(({ ingredient }) => ingredient === "guano")!.quantity).toEqual({ value: 0.4, unit: "kg" });
    expect(() => scale({ ...input, include: ["guano"] })).toThrow(/How much guano/);
    expect(() => scale({ ...input, stated: [{ ingredient: "castings", amount: { value: 1, unit: "kg" } }] })).toThrow(
      /is no part of/,
    );
  });
  it("keeps a cap by the width, a fixed dose as it is, and the day of what comes later", () => {
    const juice = (size: number) => scale({ method: "plant-juice", vessel: litres(size), include: ["vinegar"] }).lines;
    const of = (lines: Answer["lines"], id: string, part = "mix") =>
      lines.find((line) => line.ingredient === id && line.part === part)!;
    expect(of(juice(5), "vinegar").quantity.value).toBe(of(juice(50), "vinegar").quantity.value);
    const capGrows =
      of(juice(50), "brown-sugar", "cap").quantity.value / of(juice(5), "brown-sugar", "cap").quantity.value;
    // Ten times the volume is 10^(2/3) the surface.
    expect(capGrows).toBeCloseTo(10 ** (2 / 3), 6);
    const serum = scale({ method: "lactic-serum", school: "salted-rice", vessel: litres(20) }).lines;
    expect(of(serum, "brown-sugar")).toMatchObject({ onDay: 2, follows: "batch" });
  });
  it("puts one thing in place of another, by its sugar or its strength, and says what that changes", () => {
    const { lines, swaps } = scale({
      method: "cultured-extract",
      vessel: litres(200),
      target: { value: 100, unit: "L" },
      substitutes: [
        { instead: "molasses", use: "honey" },
        { instead: "lactic-culture", use: "whey" },
      ],
    });
    expect(lines.find(({ ingredient }) => ingredient === "whey")!.quantity.value).toBeCloseTo(2, 9);
    expect(lines.find(({ ingredient }) => ingredient === "honey")!.quantity.value).toBeCloseTo(
      (1.4 * 0.62) / (1.42 * 0.8),
      9,
    );
    expect(swaps.map(({ use }) => use)).toEqual(["honey", "whey"]);
  });
  it.each([
    ["a target of another kind", { target: { value: 5, unit: "m2" } }, /measure different things/],
    ["a limit of nothing", { limits: [{ ingredient: "molasses", amount: { value: 0, unit: "L" } }] }, /above 0/],
    ["a limit below nothing", { limits: [{ ingredient: "molasses", amount: { value: -2, unit: "L" } }] }, /above 0/],
    ["a stand-in that is none", { substitutes: [{ instead: "molasses", use: "ash" }] }, /can't stand in/],
    ["an ingredient that is none", { include: ["stardust"] }, /Unknown ingredient: "stardust"/],
    ["a school that is none", { school: "thirds" }, /has no recipe/],
    [
      "a headspace larger than the vessel",
      { vessel: { ...litres(20), headspace: { value: 30, unit: "L" } } },
      /leaves no room/,
    ],
  ])("refuses %s in words", (_what, change, words) =>
    expect(() => scale({ method: "cultured-extract", vessel: litres(200), ...change })).toThrow(words),
  );
});
