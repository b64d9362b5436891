import fc from "fast-check";
import { findRecipe, METHODS } from "../book";
import { findUseRate } from "../book/useRate";
import { addDays, daysBetween } from "../calendar";
import { GROWTH_STAGES, stageOn, type Planting } from "../land/planting";
import { clashesOf, daysDue, isFor, isInSpan, type Programme, type ProgrammeStep } from "./programme";
import { CAUSE_IDS, SYMPTOMS } from "./symptoms";
import { suggestionsFor } from "./wants";
import { methodsFor } from "../choose/byGoal";

const TODAY = "2031-04-01";
const tomatoes: Planting = {
  crop: "Red tomatoes",
  part: null,
  perennial: false,
  plantedOn: "2031-04-10",
  sown: false,
  plants: 20,
  spacingCm: 50,
  harvestFrom: "2031-07-15",
  harvestTo: "2031-09-30",
  endedOn: null,
  seen: null,
};
const step = (change: Partial<ProgrammeStep> = {}): ProgrammeStep => ({
  methodId: "cultured-extract",
  use: "drench-growing",
  partsWater: null,
  mixLPerM2: null,
  everyD: 14,
  from: "growing",
  to: "fruiting",
  ...change,
});
const programme = (steps: readonly ProgrammeStep[], id = 1): Programme => ({
  id,
  name: "Ours",
  crops: ["tomatoes"],
  steps,
});
const plot = (lastByMethod: Record<string, number> = {}, planting: Planting | null = tomatoes) => ({
  id: 7,
  planting,
  lastByMethod,
});

describe("a programme", () => {
  it("is for the crops that it names, whatever goes before the name; for all where it names none", () => {
    expect(isFor({ crops: ["Tomatoes"] }, "red tomatoes")).toBe(true);
    expect(isFor({ crops: ["kale", "leeks"] }, "Leeks")).toBe(true);
    expect(isFor({ crops: ["kale"] }, "leeks")).toBe(false);
    expect(isFor({ crops: [] }, "anything")).toBe(true);
  });
  it("asks only within its stages, at its interval, on what stands there", () => {
    const dues = daysDue(plot(), [programme([step()])], TODAY, addDays(TODAY, 200));
    expect(dues.length).toBeGreaterThan(5);
    for (const due of dues) {
      expect(stageOn(tomatoes, due.day)).toBe(due.stage);
      expect(isInSpan(step(), due.stage)).toBe(true);
    }
    // Settled in fourteen days after it was set out, it grows leaf.
    expect(dues[0]!.day).toBe("2031-04-24");
    dues.slice(1).forEach((due, index) => expect(daysBetween(dues[index]!.day, due.day)).toBe(14));
  });
  it("goes on from the last time, and says since when it is late", () => {
    const growing = { ...tomatoes, plantedOn: "2031-02-01" };
    const due = (since: number) =>
      daysDue(plot({ "cultured-extract": since }, growing), [programme([step()])], TODAY, TODAY);
    expect(due(3)).toEqual([]);
    expect(due(14)).toMatchObject([{ day: TODAY }]);
    expect(due(20)).toMatchObject([{ day: "2031-03-26" }]);
  });
  it("asks nothing of a bed where nothing stands or comes", () =>
    expect(daysDue(plot({}, null), [programme([step()])], TODAY, addDays(TODAY, 90))).toEqual([]));
  it("keeps its interval whatever the stages, days and past are", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GROWTH_STAGES),
        fc.constantFrom(...GROWTH_STAGES),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 90 }),
        (from, to, everyD, since) => {
          const dues = daysDue(
            plot({ "cultured-extract": since }),
            [programme([step({ from, to, everyD })])],
            TODAY,
            addDays(TODAY, 300),
          );
          const days = dues.map(({ day }) => day);
          for (const [index, day] of days.entries()) {
            if (index > 0)
              expect(
                daysBetween(index === 1 && days[0]! < TODAY ? TODAY : days[index - 1]!, day),
              ).toBeGreaterThanOrEqual(everyD);
            expect(daysBetween(addDays(TODAY, -since), day)).toBeGreaterThanOrEqual(everyD);
          }
        },
      ),
    );
  });
});

describe("what clashes in a calendar", () => {
  const codes = (programmes: readonly Programme[]) => {
    const dues = daysDue(plot({}, { ...tomatoes, plantedOn: "2031-02-01" }), programmes, TODAY, addDays(TODAY, 120));
    return new Set(clashesOf(plot(), dues, []).map(({ code }) => code));
  };
  const withUse = (id: string, use: ProgrammeStep["use"]) => findUseRate(findRecipe(id), use) !== null;
  it("is two sprays on the same leaves on one day", () => {
    expect(withUse("plant-juice", "foliar")).toBe(true);
    const sprays = [
      step({ methodId: "plant-juice", use: "foliar" }),
      step({ methodId: "shell-calcium", use: "foliar" }),
    ];
    expect(codes([programme(sprays)])).toContain("same-leaves-day");
    expect(codes([programme([step()])]).size).toBe(0);
  });
  it("is dung within its days before harvest", () =>
    expect(codes([programme([step({ methodId: "drum-manure-tea" })])])).toContain("before-harvest"));
  it("is the same thing from two programmes, too often", () => {
    const both = [programme([step({ everyD: 14 })]), programme([step({ everyD: 10 })], 2)];
    expect(codes(both)).toEqual(
      findUseRate(findRecipe("cultured-extract"), "drench-growing")!.everyD === null
        ? new Set()
        : new Set(["too-often"]),
    );
  });
});

describe("what a plot may be given now", () => {
  it("is what growers give at its stage, at a strength that the book has for it", () => {
    for (const stage of GROWTH_STAGES)
      for (const perennial of [true, false])
        for (const isToBePlanted of [true, false]) {
          const found = suggestionsFor({ stage, perennial, isToBePlanted, lastByMethod: {} });
          expect(found.length).toBeGreaterThan(0);
          for (const { methodId, use, partsWater } of found)
            expect(Object.values(findRecipe(methodId).uses.find((rate) => rate.use === use)!.partsWater)).toContain(
              partsWater,
            );
        }
    const settling = suggestionsFor({ stage: "settling", perennial: false, isToBePlanted: false, lastByMethod: {} });
    expect(settling[0]).toMatchObject({ goal: "calcium" });
  });
  it("leaves out what it had just now", () => {
    const given = Object.fromEntries(METHODS.map(({ id }) => [id, 0]));
    for (const stage of GROWTH_STAGES)
      expect(suggestionsFor({ stage, perennial: false, isToBePlanted: false, lastByMethod: given })).toEqual([]);
  });
});

describe("a symptom", () => {
  it("names what to rule out first, and goals that something serves", () => {
    for (const { ruleOut, goals } of Object.values(SYMPTOMS)) {
      expect(ruleOut.length).toBeGreaterThan(0);
      for (const goal of goals) expect(methodsFor(goal).length).toBeGreaterThan(0);
    }
    expect(new Set(Object.values(SYMPTOMS).flatMap(({ ruleOut }) => ruleOut))).toEqual(new Set(CAUSE_IDS));
    expect(SYMPTOMS["cupped-leaves"]).toEqual({ ruleOut: expect.arrayContaining(["herbicide"]) as never, goals: [] });
  });
});
