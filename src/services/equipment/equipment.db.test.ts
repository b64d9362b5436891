import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, refusalOf, TestFarm } from "@/testing/scratch";
import { planBatch } from "../shed/plans";
import { addEquipment, noteEquipment, readEquipment } from "./equipment";
import { readEquipmentPage } from "./readEquipmentPage";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());
const UTC = { timeZone: "UTC" };

const add = async (tool: object) =>
  (await addEquipment(farm.context(), { requestKey: key(), kind: "stone", name: "Stones", ...tool })).equipmentId;
const note = (equipmentId: number, kind: string, hours: number, batchId: number | null = null) =>
  noteEquipment(farm.context(hoursAgo(hours)), {
    requestKey: key(),
    equipmentId,
    kind,
    batchId,
    at: hoursAgo(hours).toISOString(),
  });
const only = async () => (await readEquipment(farm.scratch.db, UTC))[0]!;

describe("a tool", () => {
  it("is busy in a batch, dirty after it, and clean once washed", async () => {
    const stones = await add({});
    const batchId = await farm.readyExtract(await farm.vessel("Drum"));
    await note(stones, "used", 40, batchId);
    expect(await only()).toMatchObject({ busy: true, dirtyFrom: "acid" });
    await farm.scratch.pool.query(
      "insert into batch_close (batch_id, kind, at, yield_l, verdict, actor_id, added_at) values (?, 'strained', ?, 5, 'ready', 1, ?)",
      [batchId, hoursAgo(20), hoursAgo(20)],
    );
    expect(await only()).toMatchObject({ busy: false, dirtyFrom: "acid" });
    await note(stones, "washed", 10);
    expect(await only()).toMatchObject({ busy: false, dirtyFrom: null });
  });
  it("breaks and is mended; a meter is due for calibration a month after the last", async () => {
    const meter = await add({ kind: "ph-meter", name: "Meter" });
    expect(await only()).toMatchObject({ calibratedOn: null, broken: false });
    await note(meter, "calibrated", 48);
    await note(meter, "broken", 24);
    expect(await only()).toMatchObject({ calibratedOn: "2031-03-18", calibrationDueOn: "2031-04-17", broken: true });
    await note(meter, "mended", 2);
    expect((await only()).broken).toBe(false);
  });
  it("is used in a batch or nowhere, and has a name of its own", async () => {
    const stones = await add({});
    expect((await refusalOf(note(stones, "used", 1))).fields).toHaveProperty(["/batchId"]);
    expect((await refusalOf(note(stones, "washed", 1, 5))).fields).toHaveProperty(["/batchId"]);
    expect((await refusalOf(note(stones, "used", 1, 99))).code).toBe("not-found");
    expect((await refusalOf(note(99, "washed", 1))).code).toBe("not-found");
    expect((await refusalOf(add({}))).code).toBe("name-taken");
  });
  it("is known to be in the batch that it was put to when it was filled", async () => {
    const stones = await add({});
    await farm.lot("molasses", 5, 0);
    await farm.lot("castings", 20, 0);
    const drum = await farm.vessel("Air drum", 120, 40);
    await farm.fill(drum, "aerated-tea", 90, hoursAgo(2), { equipmentIds: [stones] });
    expect(await only()).toMatchObject({ busy: true, dirtyFrom: "bloom" });
    const other = await farm.vessel("Other", 120, 40);
    expect(
      (await refusalOf(farm.fill(other, "aerated-tea", 90, hoursAgo(2), { equipmentIds: [99] }))).fields,
    ).toHaveProperty(["/equipmentIds"]);
  });
  it("is missed by a plan that needs it, and found once it is there", async () => {
    const vesselId = await farm.vessel("Air drum", 120, 40);
    await planBatch(farm.context(), {
      requestKey: key(),
      methodId: "aerated-tea",
      schoolId: "bacterial",
      vesselId,
      basisAmount: 90,
      forDay: "2031-03-25",
    });
    const lacks = async () =>
      (await readEquipmentPage(farm.context(), (await findFarm(farm.scratch.db))!)).lacks.flatMap(({ gaps }) =>
        gaps.map(({ kind }) => kind),
      );
    expect(await lacks()).toEqual(["stone", "tubing", "sieve"]);
    await add({ count: 4 });
    await add({ kind: "tubing", name: "Hose" });
    await add({ kind: "sieve", name: "Sieve" });
    expect(await lacks()).toEqual([]);
  });
});
