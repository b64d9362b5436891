import { findRecipe, METHODS } from "../book";
import { scaleRecipe } from "../recipe/scale";
import { isLive, startsClock } from "./live";
import { mixProgress, offTarget, type MixEntry } from "./progress";
import { mixingSteps, type MixLine } from "./steps";

const MIN = 60_000;
function linesOf(methodId: string, schoolId?: string): MixLine[] {
  const recipe = findRecipe(methodId, schoolId);
  const asked = recipe.ingredients
    .filter(({ amount }) => amount.type === "unknown")
    .map(({ ingredient }) => ({ ingredient, amount: 0.1 }));
  return scaleRecipe({ recipe, vesselL: 100, stated: asked })
    .lines.filter(({ onDay }) => onDay === 0)
    .map(({ ingredient, part, unit, amount, role }) => ({ ingredient, slot: ingredient, part, unit, amount, role }));
}
const stepsOf = (methodId: string, schoolId?: string) =>
  mixingSteps(findRecipe(methodId, schoolId), linesOf(methodId, schoolId), 80);
const done = (stepKey: string, atMin: number, amount: number | null = null): MixEntry => ({
  stepKey,
  kind: "done",
  atMs: atMin * MIN,
  actorName: "Ana",
  amount,
  answer: null,
});

describe("the steps of a fill", () => {
  it.each(METHODS.flatMap(({ id, schools }) => schools.map((school) => [id, school.id] as const)))(
    "%s, %s: every line goes in once, in a step of its own",
    (methodId, schoolId) => {
      const lines = linesOf(methodId, schoolId);
      const steps = mixingSteps(findRecipe(methodId, schoolId), lines, 80);
      expect(new Set(steps.map(({ key }) => key)).size).toBe(steps.length);
      const added = steps.flatMap(({ amount }) => (amount ? [`${amount.part} ${amount.ingredient}`] : []));
      expect(added.toSorted()).toEqual(lines.map(({ part, ingredient }) => `${part} ${ingredient}`).toSorted());
      expect(steps[0]!.key).toBe("site");
      expect(steps.at(-1)!.key).toBe("label");
    },
  );
  it("stirs the food in a quarter of an hour before the castings, and checks the power before it is on", () => {
    const keys = stepsOf("aerated-tea").map(({ key }) => key);
    const at = (key: string) => keys.indexOf(key);
    expect(at("power")).toBeLessThan(at("do-air"));
    expect(at("bubbles")).toBeGreaterThan(at("do-air"));
    expect(at("add-mix-molasses")).toBeLessThan(at("add-mix-castings"));
    expect(stepsOf("aerated-tea").find(({ key }) => key === "add-mix-molasses")!.wait).toEqual({
      minutes: 15,
      what: "mixing",
    });
  });
  it("puts the cap of sugar on after the sugar that coats", () => {
    const keys = stepsOf("plant-juice").map(({ key }) => key);
    expect(keys.indexOf("add-cap-brown-sugar")).toBeGreaterThan(keys.indexOf("add-mix-brown-sugar"));
    expect(keys).toContain("coat");
  });
  it("puts a stand-in where the recipe has what it stands for", () => {
    const lines = linesOf("cultured-extract").map((line) =>
      line.ingredient === "lactic-culture" ? { ...line, ingredient: "whey" as const } : line,
    );
    const keys = mixingSteps(findRecipe("cultured-extract"), lines, 80).map(({ key }) => key);
    expect(keys.indexOf("add-mix-whey")).toBeGreaterThan(keys.indexOf("add-mix-molasses"));
    expect(keys.indexOf("add-mix-whey")).toBeLessThan(keys.indexOf("add-mix-plant"));
  });
  it("refuses a tight lid on every ferment that makes gas", () => {
    for (const { id } of METHODS) {
      const recipe = findRecipe(id);
      if (recipe.lid === "sealed") continue;
      const lid = stepsOf(id).find(({ key }) => key === "lid")!;
      expect(lid.answers.find(({ word }) => word === "tight lid")).toMatchObject({ fits: false });
      expect(lid.answers.some(({ fits }) => fits)).toBe(true);
    }
  });
  it("asks for the squeeze of solids, the sinking of char, the weight of a bag", () => {
    expect(stepsOf("bran-starter").some(({ key }) => key === "squeeze")).toBe(true);
    expect(stepsOf("charged-char").find(({ key }) => key === "sinks")!.everyMin).toBe(30);
    expect(stepsOf("drum-manure-tea").some(({ key }) => key === "bag")).toBe(true);
  });
});

describe("where a mixing stands", () => {
  const steps = stepsOf("aerated-tea");
  const before = (key: string, atMin: number) =>
    steps
      .slice(
        0,
        steps.findIndex((step) => step.key === key),
      )
      .map((step, index) => done(step.key, atMin + index, step.amount?.planned ?? null));
  it("begins at the first step and goes on at the first that is not done", () => {
    expect(mixProgress(steps, [], 0).next!.step.key).toBe("site");
    expect(mixProgress(steps, [done("site", 1)], 2 * MIN).next!.step.key).toBe(steps[1]!.key);
  });
  it("waits out the clock of a step, by its tick and not by who looks", () => {
    const entries = [...before("add-mix-molasses", 0), done("add-mix-molasses", 20, 0.1)];
    expect(mixProgress(steps, entries, 21 * MIN).waitingUntilMs).toBe(35 * MIN);
    expect(mixProgress(steps, entries, 36 * MIN).waitingUntilMs).toBeNull();
  });
  it("starts the clock with the last living thing, not with the water", () => {
    const entries = [...before("add-mix-castings", 0), done("add-mix-castings", 50, 3)];
    expect(
      mixProgress(
        steps,
        entries.filter(({ stepKey }) => stepKey !== "add-mix-castings"),
        60 * MIN,
      ).timeNoughtMs,
    ).toBeNull();
    expect(mixProgress(steps, entries, 60 * MIN).timeNoughtMs).toBe(50 * MIN);
  });
  it("takes a tick back, and leaves out what did not go in", () => {
    const undone: MixEntry = { ...done("site", 2), kind: "undone" };
    expect(mixProgress(steps, [done("site", 1), undone], 3 * MIN).next!.step.key).toBe("site");
    expect(mixProgress(steps, [done("add-mix-castings", 9, 0)], 10 * MIN).timeNoughtMs).toBeNull();
  });
  it("counts the rounds of what is done over and over, half an hour apart", () => {
    const char = stepsOf("charged-char");
    const rounds = [10, 40].map((at): MixEntry => ({ ...done("sinks", at), kind: "round" }));
    const entries = [
      ...char
        .slice(
          0,
          char.findIndex(({ key }) => key === "sinks"),
        )
        .map(({ key }, index) => done(key, index - 1000, 1)),
      ...rounds,
    ];
    const state = mixProgress(char, entries, 45 * MIN);
    expect(state.next).toMatchObject({ rounds: 2 });
    expect(state.waitingUntilMs).toBe(70 * MIN);
  });
  it("is through when all is done", () => {
    const all = steps.map((step, index) => done(step.key, index, step.amount?.planned ?? null));
    expect(mixProgress(steps, all, 300 * MIN).next).toBeNull();
  });
});

describe("what follows what really went in", () => {
  const juice = stepsOf("plant-juice");
  const key = (part: string, id: string) => `add-${part}-${id}`;
  const plannedOf = (steps: ReturnType<typeof stepsOf>, entries: readonly MixEntry[], stepKey: string) =>
    mixProgress(steps, entries, 0).steps.find(({ step }) => step.key === stepKey)!.planned!;
  it("weighs the sugar to the leaf that is there, and leaves the cap as it is", () => {
    const leaf = juice.find(({ amount }) => amount?.counted === "basis")!;
    const more = [done(leaf.key, 1, leaf.amount!.planned * 1.2)];
    const sugar = key("mix", "brown-sugar");
    expect(plannedOf(juice, more, sugar)).toBeCloseTo(plannedOf(juice, [], sugar) * 1.2, 9);
    const cap = key("cap", "brown-sugar");
    expect(plannedOf(juice, more, cap)).toBeCloseTo(plannedOf(juice, [], cap), 9);
  });
  it("leaves all as it was within a hundredth, and once the basis is taken back", () => {
    const leaf = juice.find(({ amount }) => amount?.counted === "basis")!;
    const sugar = key("mix", "brown-sugar");
    const was = plannedOf(juice, [], sugar);
    expect(plannedOf(juice, [done(leaf.key, 1, leaf.amount!.planned * 1.009)], sugar)).toBe(was);
    const undone: MixEntry = { ...done(leaf.key, 2), kind: "undone" };
    expect(plannedOf(juice, [done(leaf.key, 1, leaf.amount!.planned * 2), undone], sugar)).toBe(was);
  });
});

describe("what a hand minds with each thing", () => {
  const stepOf = (methodId: string, stepKey: string) => stepsOf(methodId).find((step) => step.key === stepKey)!;
  it("asks for gloves at dung, for goggles at vinegar, for a mask at char", () => {
    expect(stepOf("drum-manure-tea", "add-mix-dung-fresh").checks).toContain("Gloves on, cuts covered");
    expect(stepOf("shell-calcium", "add-mix-vinegar").checks).toContain("Gloves and goggles on");
    expect(stepOf("charged-char", "add-mix-char").checks.some((check) => check.startsWith("Mask on"))).toBe(true);
  });
  it("has a culture shaken, in a cup of its own that is rinsed after", () =>
    expect(stepOf("cultured-extract", "add-mix-lactic-culture").checks).toEqual([
      "Shaken, or stirred up from the bottom",
      "Its own cup or syringe, rinsed in clean water before the next",
    ]));
  it("looks leaves over: frozen and rotten wait, bruised goes into an extract but into no juice", () => {
    const fitsIn = (methodId: string) =>
      Object.fromEntries(
        stepOf(methodId, "add-mix-plant").answers.map(({ word, fits }) => [word.split(/[ ,]/)[0], fits]),
      );
    expect(fitsIn("cultured-extract")).toEqual({ fresh: true, bruised: true, still: false, mould: false });
    expect(fitsIn("plant-juice")).toEqual({ fresh: true, bruised: false, still: false, mould: false });
  });
  it("never asks for the same thing twice at one step", () => {
    for (const { id, schools } of METHODS)
      for (const school of schools)
        for (const { checks } of stepsOf(id, school.id)) {
          const first = checks.map((check) => check.split(/[ :,]/)[0]);
          expect(new Set(checks).size).toBe(checks.length);
          expect(first.filter((word) => word === "Mask" || word === "Gloves").length).toBeLessThanOrEqual(2);
        }
  });
});

describe("what is prepared first", () => {
  it("asks of each shell what must be so before the vinegar", () => {
    const keys = stepsOf("shell-calcium").map(({ key }) => key);
    const clean = stepsOf("shell-calcium").find(({ key }) => key === "do-clean")!;
    expect(clean.checks).toHaveLength(5);
    expect(keys.indexOf("do-clean")).toBeLessThan(keys.indexOf("add-mix-vinegar"));
  });
  it("boils the potato by the clock, and again until it is soft; not where mash stands in", () => {
    const brew = stepsOf("leaf-mould-brew");
    expect(brew.find(({ key }) => key === "do-boil")!.wait).toEqual({ minutes: 20, what: "boiling" });
    expect(brew.find(({ key }) => key === "do-soft")).toMatchObject({ everyMin: 5 });
    const mashed = mixingSteps(
      findRecipe("leaf-mould-brew"),
      linesOf("leaf-mould-brew").map((line) =>
        line.ingredient === "potato" ? { ...line, ingredient: "potato-mash" as const } : line,
      ),
      80,
    ).map(({ key }) => key);
    expect(mashed).not.toContain("do-boil");
    expect(mashed).not.toContain("do-soft");
    expect(mashed).toContain("add-mix-potato-mash");
  });
});

describe("what lives", () => {
  it("tells cultures, leaves and dung from sugar and salt", () => {
    for (const id of ["castings", "lactic-culture", "plant", "dung-fresh", "rice-wash"] as const)
      expect(isLive(id)).toBe(true);
    for (const id of ["water", "molasses", "sea-salt", "vinegar", "eggshell"] as const) expect(isLive(id)).toBe(false);
  });
  it("takes the last of all where nothing lives", () => {
    expect(startsClock(["vinegar", "eggshell"])).toBe(1);
    expect(startsClock(["water", "castings", "molasses"])).toBe(1);
    expect(startsClock([])).toBe(-1);
  });
  it("knows how far off the mark an amount is", () => {
    expect(offTarget(4.4, 4)).toBeCloseTo(10, 9);
    expect(offTarget(1, 0)).toBeNull();
  });
});
