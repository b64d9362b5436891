import { findFarm } from "@/data/farm/farm";
import { RAIN_ID, hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { applyStore } from "./applyStore";
import { doJobStep, setJob, takeBackJobStep } from "./jobs";
import { readJobs } from "./readJobs";
import { readPlot } from "./readPlot";
import { redateApplication, takeBackApplication } from "./takeBack";

describe("jobs", () => {
  let farm: TestFarm;
  let store: number;
  let can: number;
  let beds: number[];
  beforeEach(async () => {
    farm = await TestFarm.make();
    store = await farm.strained({ yieldL: 60 });
    can = await farm.can();
    beds = [await farm.plot("Bed 1"), await farm.plot("Bed 2")];
  });
  afterEach(() => farm.scratch.drop());
  const farmRow = async () => (await findFarm(farm.scratch.db))!;
  const read = async () => (await readJobs(farm.context(), await farmRow())).jobs;
  const layered = (change: object = {}) => ({
    requestKey: key(),
    name: "Spring beds",
    forDay: "2031-03-20",
    steps: [
      { key: "a", does: "lay", what: "castings", depthCm: null, plotIds: beds, litresPerM2: 4 },
      {
        key: "b",
        does: "put-on",
        storeId: store,
        use: "drench-growing",
        ratio: "1:250",
        priority: 2,
        plotIds: beds,
        litresPerM2: 2,
      },
      { key: "c", does: "water", plotIds: beds, litresPerM2: 5 },
    ],
    ...change,
  });
  const putOn = (jobId: number, stepKey = "b", person = 0) =>
    applyStore(farm.context(NOW, person), {
      requestKey: key(),
      storeId: store,
      useId: "drench-growing",
      ratio: "1:250",
      mixRateL: 2,
      mixRatePer: "m2",
      toolId: can,
      plotIds: beds,
      labourMin: 10,
      water: { sourceId: RAIN_ID },
      jobStep: { jobId, stepKey },
      overrideReason: "as the job has it",
    });

  it("are done step by step, by several people, and their beds keep all of it", async () => {
    const { jobId } = await setJob(farm.context(), layered());
    await doJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "a" });
    const { applicationId } = await putOn(jobId, "b", 1);
    await doJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "c", note: "half can more" });
    const [job] = await read();
    expect(job!.steps.map(({ done }) => done?.actorName)).toEqual(["Ana", "Ben", "Ana"]);
    const page = (await readPlot(farm.context(), await farmRow(), beds[0]!))!;
    expect(page.laid.map(({ what, litres }) => [what, litres]).toSorted()).toEqual([
      ["castings", 40],
      ["water", 50],
    ]);
    expect(page.doses.map((dose) => dose.applicationId)).toEqual([applicationId]);
    // At another time it is the same step, and still whose it was.
    const at = new Date(NOW.getTime() + 3_600_000);
    const { applicationId: redated } = await redateApplication(farm.context(new Date(NOW.getTime() + 7_200_000)), {
      requestKey: key(),
      applicationId,
      at: at.toISOString(),
      reason: "an hour later",
    });
    expect((await readPlot(farm.context(), await farmRow(), beds[0]!))!.doses).toMatchObject([
      { applicationId: redated, atMs: at.getTime(), actorName: "Ben" },
    ]);
    expect((await read())[0]!.steps.map(({ done }) => done !== null)).toEqual([true, true, true]);
    // A step is done once, whoever comes second.
    expect((await refusalOf(putOn(jobId))).fields["/jobStep"]).toContain("Ben");
    expect(
      (await refusalOf(doJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "a" }))).fields["/stepKey"],
    ).toContain("Ana");
  });

  it("have a way back for each step", async () => {
    const { jobId } = await setJob(farm.context(), layered());
    await doJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "a" });
    const { applicationId } = await putOn(jobId);
    const back = (stepKey: string) => takeBackJobStep(farm.context(), { requestKey: key(), jobId, stepKey });
    expect((await refusalOf(back("b"))).fields["/stepKey"]).toContain("on the field");
    await back("a");
    await takeBackApplication(farm.context(), { requestKey: key(), applicationId, reason: "wrong beds" });
    expect((await read())[0]!.steps.map(({ done }) => done)).toEqual([null, null, null]);
    expect((await readPlot(farm.context(), await farmRow(), beds[0]!))!.laid).toEqual([]);
    expect((await refusalOf(back("a"))).fields["/stepKey"]).toBeDefined();
    await doJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "a" });
    await putOn(jobId);
    expect((await read())[0]!.steps.filter(({ done }) => done)).toHaveLength(2);
  });

  it("share one store out over uses of different strength, and over jobs", async () => {
    const steps = [
      {
        key: "leaf",
        does: "put-on",
        storeId: store,
        use: "foliar",
        ratio: "1:100",
        priority: 3,
        plotIds: beds,
        litresPerM2: 0.06,
      },
      {
        key: "heap",
        does: "put-on",
        storeId: store,
        use: "compost",
        ratio: "neat",
        priority: 1,
        plotIds: [beds[0]],
        litresPerM2: 6.1,
      },
    ];
    await setJob(farm.context(), layered({ name: "Split", steps }));
    const [job] = await read();
    // 61 L are wanted of 60: the heap gets all, the leaves none.
    expect(job!.steps.map(({ share }) => [share!.wantedL.toFixed(2), share!.givenL.toFixed(2)])).toEqual([
      ["0.01", "0.00"],
      ["61.00", "60.00"],
    ]);
    expect(job!.steps[0]!.share!.without.map(({ plotId }) => plotId)).toEqual(beds);
  });

  it("are told anew and put away; steps that are done stay done; layers that undo each other are told", async () => {
    const { jobId } = await setJob(farm.context(), layered());
    await doJobStep(farm.context(), { requestKey: key(), jobId, stepKey: "a" });
    const { steps } = layered();
    await setJob(
      farm.context(),
      layered({
        jobId,
        name: "Later",
        steps: [
          { ...steps[0], key: "d" },
          { ...steps[0], what: "char", depthCm: 15 },
        ],
      }),
    );
    const [job] = await read();
    expect(job).toMatchObject({ id: jobId, name: "Later", steps: [{ done: null }, { done: { actorName: "Ana" } }] });
    expect(job!.faults.map(({ code }) => code)).toEqual(["dug-through"]);
    await setJob(farm.context(), layered({ jobId, putAway: true }));
    expect(await read()).toEqual([]);
    expect((await readPlot(farm.context(), await farmRow(), beds[0]!))!.laid).toHaveLength(1);
  });

  it.each<[string, (step: Record<string, unknown>) => object, string]>([
    ["a liquid of no store", ({ storeId: _store, ...step }) => step, "/steps/0/storeId"],
    ["a strength that is none", (step) => ({ ...step, ratio: "a glug" }), "/steps/0/ratio"],
    ["a use that the book does not know", (step) => ({ ...step, use: "top-dress" }), "/steps/0/use"],
    ["a bed that there is not", (step) => ({ ...step, plotIds: [999] }), "/steps/0/plotIds"],
    ["a store that there is not", (step) => ({ ...step, storeId: 999 }), "/steps/0/storeId"],
  ])("refuse %s at its field", async (_what, change, field) => {
    const [, step] = layered().steps;
    const refused = await refusalOf(setJob(farm.context(hoursAgo(1)), layered({ steps: [change({ ...step })] })));
    expect(Object.keys(refused.fields)).toEqual([field]);
  });
});
