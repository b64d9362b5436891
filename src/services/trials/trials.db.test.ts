import { findFarm } from "@/data/farm/farm";
import { findTrial } from "@/data/trials";
import { rectangle } from "@/core/land/ring";
import { CONTROL } from "@/core/trial";
import { hoursAgo, key, NOW, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { trialTerms } from "@/testing/trial";
import { applyStore, drawLand } from "../field";
import { takeBack } from "../takenBack";
import {
  addTrialPairs,
  beginTrial,
  drawTrialAgain,
  lookAtTrial,
  measurePlot,
  noteTrial,
  openPlacement,
  readScoring,
  readTrial,
  readTrials,
  readTrialStart,
  resumeTrial,
  scoreTrial,
  setTrialTerms,
} from ".";

let farm: TestFarm;
let beds: number[];
beforeEach(async () => {
  farm = await TestFarm.make();
  beds = [];
  for (const nth of [0, 1, 2]) {
    const id = await farm.plot(`Bed ${nth + 1}`, { crop: "leeks" });
    beds.push(id);
    const ring = rectangle([0, 3 * nth], 16, 1.2).map(([x, y]) => [x, y]);
    await drawLand(farm.context(), {
      requestKey: key(),
      plots: [{ plotId: id, name: `Bed ${nth + 1}`, kind: "bed", ring, block: "", tags: [] }],
      putAway: [],
    } as never);
  }
});
afterEach(() => farm.scratch.drop());

const row = async () => (await findFarm(farm.scratch.db))!;
const daysOn = (days: number): Date => hoursAgo(-24 * days);
const at = (days: number, person = 0, role: "steward" | "grower" | "helper" = "steward") =>
  farm.context(daysOn(days), person, role);
const DAY = (days: number): string => daysOn(days).toISOString().slice(0, 10);
const begin = (change: object = {}, joining: object = {}) =>
  beginTrial(at(0), {
    requestKey: key(),
    terms: trialTerms({ decidingOn: DAY(60), ...change }),
    ...{ plotIds: beds.slice(0, 2), strips: 8, gradientDeg: null, edgePlotIds: [], ...joining },
  });
const view = async (trialId: number, days = 60, person = 0) =>
  (await readTrial(at(days, person), await row(), trialId))!;
const armsOf = async (trialId: number) => {
  const trial = (await findTrial(farm.scratch.db, trialId))!;
  const draws = [...new Map(trial.draws.map((draw) => [draw.roundNo, draw])).values()];
  return draws.flatMap(({ document: { placement } }) =>
    placement.blocks.flatMap(({ units }) => units.map(({ unit, arm }) => ({ code: placement.codes[unit]!, arm }))),
  );
};
/** Reads every strip, those that got it by so much more. */
async function score(trialId: number, days: number, person: number, more: number) {
  const units = await armsOf(trialId);
  return scoreTrial(at(days, person, "helper"), {
    requestKey: key(),
    trialId,
    readings: units.map(({ code, arm }, nth) => ({
      ...{ code, isAgain: false },
      parts: [100 + (nth % 5) + (arm === CONTROL ? 0 : more)],
    })),
    guesses: [],
  });
}
const putOn = (trialId: number, days: readonly number[]) =>
  Promise.all(
    days.map((day) =>
      noteTrial(at(day), { requestKey: key(), trialId, note: { type: "applied", arm: "with", on: DAY(day) } }),
    ),
  );

describe("a trial on the farm", () => {
  it("is begun, put on, read blind, looked at and told", async () => {
    const { trialId } = await begin();
    const first = await view(trialId, 0);
    expect(first.rounds[0]!.units).toHaveLength(16);
    expect(first.blocks).toHaveLength(8);
    // Nobody sees which strip gets what before they say that they put it on.
    expect(first.rounds[0]!.units.every(({ arm }) => arm === null)).toBe(true);
    await openPlacement(at(1), { requestKey: key(), trialId });
    expect((await view(trialId, 1)).rounds[0]!.units.filter(({ arm }) => arm === "with")).toHaveLength(8);
    expect((await view(trialId, 1, 1)).knows).toBe(false);
    await putOn(trialId, [2, 16, 30]);
    await score(trialId, 60, 1, 40);
    const before = await view(trialId);
    expect([before.judged, before.applications, before.mayLook, before.confounders, before.looks]).toEqual([
      8,
      3,
      true,
      [],
      [],
    ]);
    await lookAtTrial(at(60), { requestKey: key(), trialId });
    const after = await view(trialId, 60, 1);
    expect(after.looks[0]!.answer.arms[0]!.verdict).toBe("likely-helped");
    // What was compared is open to all.
    expect(after.knows).toBe(true);
    expect((await refusalOf(lookAtTrial(at(60), { requestKey: key(), trialId }))).code).toBe("trial-nothing-new");
    const [line] = (await readTrials(at(60), await row())).trials;
    expect(line).toMatchObject({ pairs: 8, readPairs: 8, verdicts: [{ arm: "with", verdict: "likely-helped" }] });
  });
  it("says so where whoever read it knew, and gives no key to who scores", async () => {
    const { trialId } = await begin();
    const scoring = (await readScoring(at(50, 1, "helper"), await row(), trialId))!;
    expect(scoring.isBlind).toBe(true);
    expect(JSON.stringify(scoring)).not.toMatch(/"(arm|with|without)"/);
    await putOn(trialId, [2, 16, 30]);
    await score(trialId, 60, 0, 40);
    expect((await view(trialId)).confounders).toEqual(["unblinded-measure"]);
    expect((await readScoring(at(50), await row(), trialId))!.isBlind).toBe(false);
  });
  it("counts what went on under Field by itself, also what should not have", async () => {
    const { trialId } = await begin({}, { plotIds: beds, strips: 1 });
    const storeId = await farm.strained();
    const toolId = await farm.can();
    const trial = (await findTrial(farm.scratch.db, trialId))!;
    const [block] = trial.draws[0]!.document.placement.blocks;
    const bedOf = (arm: string): number => Number(block!.units.find((one) => one.arm === arm)!.unit);
    const apply = (plotIds: number[]) =>
      applyStore(at(0.1), {
        requestKey: key(),
        ...{ storeId, useId: "drench-growing", ratio: "1:250", mixRateL: 2, mixRatePer: "m2", toolId, plotIds },
        ...{ labourMin: 5, overrideReason: "the only hour", water: { sourceId: RAIN_ID } },
      } as never);
    await apply([bedOf("with")]);
    const once = await view(trialId, 1);
    expect(once.putOn).toEqual([{ on: DAY(0), arm: "with", units: 1, entryId: null }]);
    expect(once.rounds[0]!.isFrozen).toBe(true);
    await apply([bedOf(CONTROL)]);
    await score(trialId, 60, 1, 10);
    expect((await view(trialId)).confounders).toContain("other-input-one-side");
  });
  it("draws again with a reason until something is on, holds back after the second, and keeps what was drawn", async () => {
    const { trialId } = await begin();
    const again = () => drawTrialAgain(at(1), { requestKey: key(), trialId, roundNo: 1, reason: "a stake was lost" });
    const codes = (await armsOf(trialId)).map(({ code }) => code).join();
    await again();
    expect((await armsOf(trialId)).map(({ code }) => code).join()).not.toBe(codes);
    await again();
    expect((await view(trialId, 1)).rounds[0]!.redraws).toHaveLength(2);
    await putOn(trialId, [2, 16]);
    expect((await refusalOf(again())).code).toBe("trial-frozen");
    await score(trialId, 60, 1, 40);
    expect((await view(trialId)).confounders).toContain("placement-chosen");
    await lookAtTrial(at(60), { requestKey: key(), trialId });
    expect((await view(trialId)).looks[0]!.answer.arms[0]).toMatchObject({ seen: "more", verdict: "cannot-tell" });
  });
  it("can't tell, is given more strips, and tells then", async () => {
    const { trialId } = await begin({ smallest: 0.3 }, { plotIds: beds.slice(0, 1), strips: 12 });
    await putOn(trialId, [2, 16, 30]);
    await score(trialId, 60, 1, 6);
    await lookAtTrial(at(60), { requestKey: key(), trialId });
    const { roundNo } = await addTrialPairs(at(61), {
      ...{ requestKey: key(), trialId, decidingOn: DAY(120) },
      ...{ plotIds: beds.slice(1, 2), strips: 12, gradientDeg: null, edgePlotIds: [] },
    });
    expect(roundNo).toBe(2);
    const twice = addTrialPairs(at(61), {
      ...{ requestKey: key(), trialId, decidingOn: DAY(120) },
      ...{ plotIds: beds.slice(1, 2), strips: 4, gradientDeg: null, edgePlotIds: [] },
    });
    expect((await refusalOf(twice)).code).toBe("trial-bed-in-it");
    const joined = await view(trialId, 61, 1);
    // The first strips were compared and are open; those that joined are not.
    expect(joined.rounds.map(({ isShown }) => isShown)).toEqual([true, false]);
    await putOn(trialId, [62, 76, 90]);
    await score(trialId, 120, 1, 30);
    const { judged, mayLook } = await view(trialId, 120);
    expect([judged, mayLook]).toEqual([12, true]);
    await lookAtTrial(at(120), { requestKey: key(), trialId });
    const { looks } = await view(trialId, 120);
    expect(looks).toHaveLength(2);
    expect(looks[1]!.asked.looks).toEqual({ earlier: [6] });
  });
  it("leaves a pair out before it is compared, not after, and takes the note back", async () => {
    const { trialId } = await begin();
    await putOn(trialId, [2, 16]);
    const leave = (blockId: string, days: number) =>
      noteTrial(at(days), {
        requestKey: key(),
        trialId,
        note: { type: "left-out", blockId, side: "with", reason: "dug up by a dog" },
      });
    const { entryId } = await leave("1.1", 20);
    expect((await view(trialId, 20)).blocks[0]!.leftOut).toBe("dug up by a dog");
    await takeBack(at(20), { requestKey: key(), rows: [{ kind: "trial-entry", id: entryId }] });
    expect((await view(trialId, 20)).blocks[0]!.leftOut).toBeNull();
    expect((await refusalOf(leave("7.1", 20))).code).toBe("not-found");
    await score(trialId, 60, 1, 40);
    await lookAtTrial(at(60), { requestKey: key(), trialId });
    expect((await refusalOf(leave("1.1", 61))).code).toBe("trial-compared");
    const [look] = (await view(trialId)).looks;
    const undone = takeBack(at(60), { requestKey: key(), rows: [{ kind: "trial-entry", id: look!.entryId }] });
    expect((await refusalOf(undone)).code).toBe("trial-look-stays");
  });
  it("is changed before it begins for nothing, and after at the price of its verdict; is stopped and goes on", async () => {
    const { trialId } = await begin();
    const change = (days: number, more: object) =>
      setTrialTerms(at(days), {
        requestKey: key(),
        trialId,
        terms: trialTerms({ decidingOn: DAY(60), ...more }),
      });
    await change(1, { smallest: 0.25 });
    await putOn(trialId, [2, 16, 30]);
    await score(trialId, 60, 1, 40);
    expect((await view(trialId)).confounders).toEqual([]);
    await change(60, { smallest: 0.05 });
    expect((await view(trialId)).confounders).toEqual(["measure-switched"]);
    await noteTrial(at(61), { requestKey: key(), trialId, note: { type: "stopped", reason: "the bed is wanted" } });
    expect((await view(trialId, 61)).stopped).toEqual({ reason: "the bed is wanted", on: DAY(61) });
    expect((await refusalOf(score(trialId, 62, 1, 3))).code).toBe("trial-stopped");
    expect(await readScoring(at(62), await row(), trialId)).toBeNull();
    await resumeTrial(at(63), { requestKey: key(), trialId });
    expect((await view(trialId, 63)).stopped).toBeNull();
  });
  it.each<[string, object, object, string]>([
    ["a day that is past", { decidingOn: "2031-01-01" }, {}, "trial-day-past"],
    ["the change of a score", { kind: "colour", scale: "ordinal", isChange: true }, {}, "trial-change-kind"],
    ["a score in percent", { kind: "colour", scale: "ratio" }, {}, "trial-scale"],
    ["one bed whole", {}, { strips: 1, plotIds: [1] }, "domain"],
    ["a bed that is not there", {}, { plotIds: [999] }, "not-found"],
    ["a method that nobody knows", { inputs: [{ name: "X", methodId: "no-such" }] as never }, {}, "domain"],
    ["a use that nobody knows", { useId: "no-such" }, {}, "domain"],
  ])("refuses %s", async (_what, terms, joining, code) => {
    expect((await refusalOf(begin(terms, joining))).code).toBe(code);
  });
  it("refuses a score off the card, a code of another trial, a nought where a share is asked", async () => {
    const { trialId } = await begin({ kind: "colour", scale: "ordinal", smallest: 0.2 });
    const [one] = await armsOf(trialId);
    const read = (id: number, readings: object[]) =>
      scoreTrial(at(60, 1), { requestKey: key(), trialId: id, readings, guesses: [] } as never);
    const { code: off } = await refusalOf(read(trialId, [{ code: one!.code, parts: [2.5], isAgain: false }]));
    expect(off).toBe("trial-score-range");
    const unknown = read(trialId, [{ code: one!.code === "AB2" ? "AB3" : "AB2", parts: [2], isAgain: false }]);
    expect((await refusalOf(unknown)).code).toBe("not-found");
    const twice = [1, 2].map((part) => ({ code: one!.code, parts: [part], isAgain: false }));
    expect((await refusalOf(read(trialId, twice))).code).toBe("trial-code-twice");
    const { trialId: weighed } = await begin({}, { plotIds: beds.slice(2) });
    const [other] = await armsOf(weighed);
    expect((await refusalOf(read(weighed, [{ code: other!.code, parts: [0], isAgain: false }]))).code).toBe("domain");
    expect((await refusalOf(lookAtTrial(at(60), { requestKey: key(), trialId: weighed }))).code).toBe("trial-unread");
  });
  it("tells a card on which what came up twice was scored far apart", async () => {
    const { trialId } = await begin({ kind: "colour", scale: "ordinal" });
    const [one] = await armsOf(trialId);
    const readings = [
      { code: one!.code, parts: [1], isAgain: false },
      { code: one!.code, parts: [4], isAgain: true },
    ];
    const guesses = [{ code: one!.code, guess: "with" }];
    const { isHard } = await scoreTrial(at(60, 1), { requestKey: key(), trialId, readings, guesses } as never);
    expect(isHard).toBe(true);
  });
  it("shows beds to begin with, and keeps what is measured of a bed by itself", async () => {
    const start = await readTrialStart(at(0), await row());
    expect(start.plots.map(({ name }) => name)).toEqual(["Bed 1", "Bed 2", "Bed 3"]);
    const measured = { requestKey: key(), plotId: beds[0]!, kind: "brix" as const, unit: "°Bx", parts: [7.5, 8.1] };
    const { readingId } = await measurePlot(farm.context(NOW), measured);
    expect(readingId).toBeGreaterThan(0);
    const wrong = measurePlot(farm.context(NOW), {
      ...measured,
      requestKey: key(),
      kind: "disease-share",
      parts: [1.4],
    });
    expect((await refusalOf(wrong)).code).toBe("domain");
  });
});
