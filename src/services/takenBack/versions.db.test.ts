import fc from "fast-check";
import { select } from "@/data/db";
import { findFarm } from "@/data/farm/farm";
import { listHarvestRules, listJobs, listMarks, listProgrammes, listPutAway, listShapes } from "@/data/field";
import type { TakenBackKind } from "@/data/takenBack";
import { listRecipeVersions } from "@/data/recipes";
import { documentOf } from "@/core/recipe/document";
import { recipeOf } from "@/core/book/recipe";
import { findMethod } from "@/core/book";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { readHistory } from "../history/readHistory";
import { setElsewhere } from "../field/elsewhere";
import { setHarvestRule } from "../field/harvestRules";
import { doJobStep, setJob, takeBackJobStep } from "../field/jobs";
import { setMark } from "../field/marks";
import { drawLand } from "../field/plots";
import { setProgramme } from "../field/programmes";
import { chooseRecipe, saveRecipe } from "../recipes/recipes";
import { checkStore, keepStore } from "../stores/changeStore";
import { takeBack } from "./takeBack";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

type Slip = { readonly kind: TakenBackKind; readonly id: number };
const undo = (...rows: readonly Slip[]) => takeBack(farm.context(), { requestKey: key(), rows });
const square = (atM: number): [number, number][] => [
  [atM, 0],
  [atM + 1, 0],
  [atM + 1, 5],
  [atM, 5],
];

/** All that is told anew, as it stands. */
async function standing(): Promise<unknown> {
  const { db } = farm.scratch;
  return {
    // The outlines that were put away are told by the beds that stand.
    beds: (await listShapes(db, false, null, true)).map(({ id, name, ring, kind }) => ({ id, name, ring, kind })),
    names: await select(db, "select id, name from plot where name is not null order by id"),
    marks: await listMarks(db),
    jobs: await listJobs(db, "2000-01-01"),
    schedules: await listProgrammes(db),
    rules: await listHarvestRules(db),
  };
}

const of = (kind: TakenBackKind, ...ids: readonly number[]): Slip[] => ids.map((id) => ({ kind, id }));

describe("what is told anew", () => {
  it("is as it was before, whatever was drawn, named, swapped and put away, undone from the last", async () => {
    const beds = [await farm.plot("Bed 1"), await farm.plot("Bed 2"), await farm.plot("Bed 3")];
    const { markId } = await setMark(farm.context(), {
      requestKey: key(),
      markId: null,
      kind: "well",
      name: "Well",
      line: [[3, 3]],
      bufferM: 5,
    });
    const { jobId } = await setJob(farm.context(), {
      requestKey: key(),
      jobId: null,
      name: "Water",
      forDay: "2031-03-22",
      steps: [{ does: "water", key: "a", plotIds: [beds[0]!], litresPerM2: 3 }],
    });
    const { programmeId } = await setProgramme(farm.context(), {
      requestKey: key(),
      programmeId: null,
      name: "Leaves",
      crops: [],
      steps: [],
    });
    const on = async () => (await listShapes(farm.scratch.db)).filter(({ id }) => beds.includes(id));
    let nth = 0;
    const doings: Record<string, () => Promise<Slip[]>> = {
      swap: async () => {
        const [a, b] = await on();
        if (!a || !b) return [];
        const plots = [
          { plotId: a.id, name: b.name, kind: "bed", ring: square(++nth * 3) },
          { plotId: b.id, name: a.name, kind: "bed", ring: square(++nth * 3) },
        ];
        const { shapeIds } = await drawLand(farm.context(), { requestKey: key(), plots, putAway: [] } as never);
        return of("bed-shape", ...shapeIds);
      },
      away: async () => {
        const [a] = await on();
        if (!a) return [];
        const { shapeIds } = await drawLand(farm.context(), { requestKey: key(), plots: [], putAway: [a.id] });
        return of("bed-shape", ...shapeIds);
      },
      fresh: async () => {
        const plots = [{ plotId: null, name: `New ${++nth}`, kind: "row", ring: square(++nth * 3) }];
        const { shapeIds } = await drawLand(farm.context(), { requestKey: key(), plots, putAway: [] } as never);
        return of("bed-shape", ...shapeIds);
      },
      elsewhere: async () => {
        const { shapeId } = await setElsewhere(farm.context(), {
          requestKey: key(),
          plotId: null,
          name: `Heap ${++nth}`,
          kind: "compost-bin",
        });
        return of("bed-shape", shapeId);
      },
      mark: async () => {
        const { rowId } = await setMark(farm.context(), {
          requestKey: key(),
          markId: (await listMarks(farm.scratch.db)).some(({ id }) => id === markId) ? markId : null,
          kind: "pond",
          name: `Pond ${++nth}`,
          line: [[nth, 1]],
          bufferM: 7,
          putAway: nth % 3 === 0,
        });
        return of("land-mark", rowId);
      },
      job: async () => {
        const [bed] = await on();
        if (!bed) return [];
        const { rowId } = await setJob(farm.context(), {
          requestKey: key(),
          jobId,
          name: `Water ${++nth}`,
          forDay: "2031-03-23",
          steps: [{ does: "water", key: "a", plotIds: [bed.id], litresPerM2: nth }],
          putAway: nth % 2 === 0,
        });
        return of("job", rowId);
      },
      schedule: async () => {
        // Put away, it is told anew as another; the next time the first may still be away.
        const known = (await listProgrammes(farm.scratch.db)).some(({ id }) => id === programmeId);
        const { rowId } = await setProgramme(farm.context(), {
          requestKey: key(),
          programmeId: known ? programmeId : null,
          name: `Leaves ${++nth}`,
          crops: ["chard"],
          steps: [],
          putAway: nth % 3 === 0,
        });
        return of("schedule", rowId);
      },
      rule: async () => {
        const { ruleId } = await setHarvestRule(farm.context(), {
          requestKey: key(),
          hazard: nth % 2 === 0 ? "dung" : "urine",
          touchingD: 100 + ++nth,
          clearD: 90,
          source: "our certifier",
        });
        return of("harvest-rule", ruleId);
      },
    };
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom(...Object.keys(doings)), { minLength: 1, maxLength: 7 }),
        async (names) => {
          const before = await standing();
          const done: Slip[][] = [];
          for (const name of names) done.push(await doings[name]!());
          for (const rows of done.toReversed()) if (rows.length > 0) await undo(...rows);
          expect(await standing()).toEqual(before);
        },
      ),
      { numRuns: 25 },
    );
  });
  it("brings a bed back that was put away, though its name went to another meanwhile only under a free one", async () => {
    const bed = await farm.plot("Bed 1");
    await drawLand(farm.context(), { requestKey: key(), plots: [], putAway: [bed] });
    const [away] = await listPutAway(farm.scratch.db);
    expect(away!.name).toBe("Bed 1");
    const other = await farm.plot("Bed 1");
    expect((await refusalOf(undo({ kind: "bed-shape", id: away!.shapeId }))).code).toBe("name-taken");
    await drawLand(farm.context(), { requestKey: key(), plots: [], putAway: [other] });
    await undo({ kind: "bed-shape", id: away!.shapeId });
    expect((await listShapes(farm.scratch.db)).map(({ id, name }) => ({ id, name }))).toEqual([
      { id: bed, name: "Bed 1" },
    ]);
    // What the history offers for it now is how it was drawn, no more the putting away.
    const { lines } = await readHistory(farm.context(), (await findFarm(farm.scratch.db))!, { part: "field" });
    const offered = lines.filter(({ undo: kind, plotId }) => kind === "bed-shape" && plotId === bed);
    expect(offered).toHaveLength(1);
    expect((await refusalOf(undo({ kind: "bed-shape", id: away!.shapeId }))).code).toBe("drawn-since");
  });
});

describe("what something rests on", () => {
  it("is not undone: a job that is begun, a recipe that is chosen, an old word on a container", async () => {
    const bed = await farm.plot("Bed 1");
    const { jobId, rowId } = await setJob(farm.context(), {
      requestKey: key(),
      jobId: null,
      name: "Water",
      forDay: "2031-03-22",
      steps: [{ does: "water", key: "a", plotIds: [bed], litresPerM2: 3 }],
    });
    await doJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "a" });
    expect((await refusalOf(undo({ kind: "job", id: rowId }))).code).toBe("job-begun");
    await takeBackJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "a" });

    const method = findMethod("cultured-extract");
    const school = method.schools[0]!;
    const document = documentOf(recipeOf(method, school), { name: "Ours", source: "our notes", note: "" });
    const save = (basedOn: number) =>
      saveRecipe(farm.context(), { requestKey: key(), document: document as never, basedOn, confirmed: true });
    const first = await save(0);
    await undo({ kind: "own-recipe", id: first.versionId });
    expect(await listRecipeVersions(farm.scratch.db)).toEqual([]);
    // Its number is never given again.
    const second = await save(0);
    expect(second.versionNo).toBe(first.versionNo + 1);
    await chooseRecipe(farm.context(), {
      requestKey: key(),
      methodId: method.id,
      schoolId: school.id,
      versionNo: second.versionNo,
    });
    expect((await refusalOf(undo({ kind: "own-recipe", id: second.versionId }))).code).toBe("version-used");

    const storeId = await farm.strained();
    const { checkId } = await checkStore(farm.context(), { requestKey: key(), storeId, kind: "smelt-off" });
    const later = farm.context(new Date(NOW.getTime() + 11 * 60_000));
    const rows = [{ kind: "store-check" as const, id: checkId }];
    expect((await refusalOf(takeBack(later, { requestKey: key(), rows }))).code).toBe("check-stands");
    await undo(...rows);
    expect(await select(farm.scratch.db, "select id from standing_store_check")).toEqual([]);
  });
  it("is the role's that may set it", async () => {
    const { ruleId } = await setHarvestRule(farm.context(), {
      requestKey: key(),
      hazard: "dung",
      touchingD: 180,
      clearD: 120,
      source: "our certifier",
    });
    const grower = farm.context(NOW, 0, "grower");
    const rows = [{ kind: "harvest-rule" as const, id: ruleId }];
    expect((await refusalOf(takeBack(grower, { requestKey: key(), rows }))).code).toBe("may-not");
  });
  it("keeps to the day before, once another day was a slip", async () => {
    const storeId = await farm.strained();
    const until = async () =>
      (await select<{ n: number }>(farm.scratch.db, "select count(*) as n from standing_store_expiry"))[0]!.n;
    const day = hoursAgo(-24 * 3)
      .toISOString()
      .slice(0, 10);
    const { expiryId } = await keepStore(farm.context(), {
      requestKey: key(),
      storeId,
      until: day,
      reason: "opened",
    });
    expect(await until()).toBe(1);
    await undo({ kind: "keeping", id: expiryId });
    expect(await until()).toBe(0);
  });
});
