import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { fillVessel } from "../fill/fillVessel";
import { readBatch } from "../batch/readBatch";
import { readYard } from "../yard/readYard";
import { readShed } from "../shed/readShed";
import { dropPlan, planBatch } from "../shed/plans";
import { dropMixing, finishMixing, startMixing, tickMixing } from "./mixing";
import { readMixing, readPlannedMixing } from "./readMixing";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
  await farm.lot("molasses", 5, 20);
  await farm.lot("castings", 30, 20);
});
afterEach(() => farm.scratch.drop());

const row = async () => (await findFarm(farm.scratch.db))!;
const MIN = 1 / 60;
const view = async (id: number, at = NOW) => (await readMixing(farm.context(at), await row(), id))!;

async function begin(hours = 2): Promise<{ mixingId: number; vesselId: number }> {
  const vesselId = await farm.vessel("Air drum", 120, 40);
  const { lines, ...request } = farm.fillRequest(vesselId, "aerated-tea", 90);
  const { labourMin: _labour, ...asked } = request;
  const { mixingId } = await startMixing(farm.context(hoursAgo(hours)), {
    ...asked,
    lines: lines.map(({ used, ...line }) => ({ ...line, amount: used })),
  });
  return { mixingId, vesselId };
}

/** Ticks all that is left, a minute apart, each with what it asks for. */
async function tickAll(
  mixingId: number,
  fromHoursAgo: number,
  person = 0,
  until: string | null = null,
): Promise<number> {
  let at = fromHoursAgo;
  for (;;) {
    const { next } = (await view(mixingId, hoursAgo(at))).progress;
    if (!next || next.step.key === until) return at;
    await tickMixing(farm.context(hoursAgo(at), person), {
      requestKey: key(),
      mixingId,
      stepKey: next.step.key,
      kind: "done",
      amount: next.step.amount
        ? next.step.amount.ingredient === "castings"
          ? 4
          : Number(next.step.amount.planned.toFixed(3))
        : null,
      answer: next.step.answers.find(({ fits }) => fits)?.word ?? null,
      checks: [...next.step.checks],
    });
    at -= MIN;
  }
}

describe("a fill done step by step", () => {
  it("takes the vessel, is shown in yard and round, and keeps its amounts for itself", async () => {
    const { mixingId, vesselId } = await begin();
    const yard = await readYard(farm.context(), await row());
    expect(yard.vessels[0]!.mixing).toMatchObject({ id: mixingId, by: "Ana" });
    expect(yard.round[0]).toMatchObject({ key: `mix-${mixingId}`, touch: { type: "go", href: `/mix/${mixingId}` } });
    expect(await refusalOf(fillVessel(farm.context(), farm.fillRequest(vesselId, "aerated-tea", 90)))).toMatchObject({
      code: "vessel-mixing",
    });
    const castings = (await readShed(farm.context(), await row())).items.find(({ itemId }) => itemId === "castings")!;
    expect(castings.reserved).toBeGreaterThan(3);
  });
  it("is interrupted, goes on with another person on another device, and becomes a batch as it really was", async () => {
    const { mixingId } = await begin();
    const stoppedAt = await tickAll(mixingId, 2, 0, "add-mix-castings");
    expect((await view(mixingId)).progress.next!.step.key).toBe("add-mix-castings");
    expect(await refusalOf(finishMixing(farm.context(), { requestKey: key(), mixingId, labourMin: 30 }))).toMatchObject(
      { code: "steps-left", message: "Still to do: worm castings." },
    );
    await tickAll(mixingId, stoppedAt - 30 * MIN, 1);
    const { batchId } = await finishMixing(farm.context(), { requestKey: key(), mixingId, labourMin: 30, statedC: 21 });
    const page = (await readBatch(farm.context(), await row(), batchId))!;
    // Time nought: when the castings went in, half an hour after the water.
    expect(page.batch.startedMs).toBe(hoursAgo(stoppedAt - 30 * MIN).getTime());
    expect(page.lines.find(({ ingredientId }) => ingredientId === "castings")).toMatchObject({ used: 4, planned: 3.6 });
    expect((await view(mixingId)).end).toEqual({ batchId });
    expect(await refusalOf(finishMixing(farm.context(), { requestKey: key(), mixingId, labourMin: 30 }))).toMatchObject(
      { code: "mixing-finished" },
    );
  });
  it("writes nothing twice where two tap the same step, and takes a tick back", async () => {
    const { mixingId } = await begin();
    const step = (await view(mixingId)).progress.next!.step;
    const tick = (person: number, kind = "done") =>
      tickMixing(farm.context(NOW, person), {
        requestKey: key(),
        mixingId,
        stepKey: step.key,
        kind,
        checks: [...step.checks],
      });
    await Promise.all([tick(0), tick(1)]);
    const [rows] = await farm.scratch.pool.query("select kind from mixing_entry where mixing_id = ?", [mixingId]);
    expect(rows).toEqual([{ kind: "done" }]);
    await tick(0, "undone");
    expect((await view(mixingId)).progress.next!.step.key).toBe(step.key);
    expect(await refusalOf(tick(0, "undone"))).toMatchObject({ code: "not-ticked" });
  });
  it("lets no check be skipped, no answer that does not fit pass, no amount be left out", async () => {
    const { mixingId } = await begin();
    const tick = (stepKey: string, change: object = {}) =>
      refusalOf(tickMixing(farm.context(), { requestKey: key(), mixingId, stepKey, kind: "done", ...change }));
    expect(await tick("power", { checks: ["Pump stands above the water, or has a check valve"] })).toMatchObject({
      fields: { "/checks": expect.stringContaining("plug and socket") as string },
    });
    expect(await tick("bubbles")).toMatchObject({ fields: { "/answer": "Which is it?" } });
    expect(await tick("bubbles", { answer: "none" })).toMatchObject({ code: "answer-stops" });
    expect(await tick("add-mix-molasses")).toMatchObject({ fields: { "/amount": "How much went in?" } });
    expect(await tick("dance")).toMatchObject({ code: "not-found" });
    expect(await tick("site", { at: "2031-03-19T00:00:00Z", checks: [] })).toMatchObject({ code: "before-start" });
  });
  it("is given up without a trace in the shed", async () => {
    const { mixingId, vesselId } = await begin();
    await tickAll(mixingId, 2, 0, "add-mix-castings");
    await dropMixing(farm.context(), { requestKey: key(), mixingId });
    expect((await readShed(farm.context(), await row())).items.every(({ reserved }) => reserved === 0)).toBe(true);
    expect(await farm.fill(vesselId, "aerated-tea", 90)).toBeGreaterThan(0);
    expect(await refusalOf(dropMixing(farm.context(), { requestKey: key(), mixingId }))).toMatchObject({
      code: "mixing-given-up",
      message: "Someone cancelled this filling.",
    });
  });
  it("asks before its first step what its end needs: the water, the shed, the plants by name", async () => {
    const vesselId = await farm.vessel("Air drum", 120, 40);
    const { lines, labourMin: _labour, ...asked } = farm.fillRequest(vesselId, "aerated-tea", 90);
    const meant = lines.map(({ used, ...line }) => ({ ...line, amount: used }));
    const start = (change: object) =>
      refusalOf(startMixing(farm.context(), { ...asked, requestKey: key(), lines: meant, ...change }));
    expect((await start({ water: null })).fields).toEqual({ "/water/sourceId": "Choose the water." });
    const short = meant.map((line) => (line.ingredientId === "molasses" ? { ...line, amount: 9 } : line));
    expect(await start({ lines: short })).toMatchObject({ code: "short-of-stock" });
    expect((await start({ basisAmount: 119 })).fields).toHaveProperty(["/basisAmount"]);
    const drum = await farm.vessel("Drum", 100);
    const soak = farm.fillRequest(drum, "leaf-soak", 50);
    expect(
      await refusalOf(
        startMixing(farm.context(), {
          ...(({ lines: _lines, labourMin: _min, ...rest }) => rest)(soak),
          requestKey: key(),
          lines: [{ ingredientId: "greens", part: "mix", amount: 5, pickedNow: true }],
        }),
      ),
    ).toMatchObject({ code: "which-plants", fields: { "/lines/0/species": expect.any(String) as string } });
  });
  it("mends at its end what changed since: stock that is gone, a vessel that is taken", async () => {
    const { mixingId } = await begin();
    await tickAll(mixingId, 2);
    // Somebody took all castings meanwhile.
    const other = await farm.vessel("Other drum", 600, 40);
    await farm.fill(other, "aerated-tea", 90, NOW, {
      basisAmount: 400,
      lines: [
        { ingredientId: "water", part: "mix", used: 400 },
        { ingredientId: "castings", part: "mix", used: 30 },
      ],
    });
    const finish = (change: object = {}) =>
      finishMixing(farm.context(), { requestKey: key(), mixingId, labourMin: 10, ...change });
    expect((await refusalOf(finish())).code).toBe("short-of-stock");
    const spare = await farm.vessel("Spare drum", 120, 40);
    const { batchId } = await finish({ elsewhere: ["castings"], vesselId: spare });
    const page = (await readBatch(farm.context(), await row(), batchId))!;
    expect(page.vesselId).toBe(spare);
    expect(page.lines.find(({ ingredientId }) => ingredientId === "castings")!.used).toBe(4);
  });
  it("is finished all the same where its plan was given up meanwhile", async () => {
    const vesselId = await farm.vessel("Air drum", 120, 40);
    const { planId } = await planBatch(farm.context(), {
      requestKey: key(),
      methodId: "aerated-tea",
      schoolId: "bacterial",
      vesselId,
      basisAmount: 90,
      forDay: "2031-03-20",
    });
    const { lines, labourMin: _labour, ...asked } = farm.fillRequest(vesselId, "aerated-tea", 90, { planId });
    const { mixingId } = await startMixing(farm.context(hoursAgo(2)), {
      ...asked,
      lines: lines.map(({ used, ...line }) => ({ ...line, amount: used })),
    });
    await dropPlan(farm.context(), { requestKey: key(), planId });
    await tickAll(mixingId, 2);
    expect(await finishMixing(farm.context(), { requestKey: key(), mixingId, labourMin: 20 })).toHaveProperty(
      "batchId",
    );
  });
  it("has a sheet before it begins, from its plan", async () => {
    const vesselId = await farm.vessel("Air drum", 120, 40);
    const { planId } = await planBatch(farm.context(), {
      requestKey: key(),
      methodId: "aerated-tea",
      schoolId: "bacterial",
      vesselId,
      basisAmount: 90,
      forDay: "2031-03-22",
    });
    const sheet = (await readPlannedMixing(farm.context(), await row(), planId))!;
    expect(sheet.vesselName).toBe("Air drum");
    expect(sheet.progress.steps.filter(({ step }) => step.amount).map(({ step }) => step.title)).toEqual([
      "Water",
      "Molasses",
      "Worm castings",
    ]);
    expect(await readPlannedMixing(farm.context(), await row(), 99)).toBeNull();
    expect(await readMixing(farm.context(), await row(), 99)).toBeNull();
  });
});
