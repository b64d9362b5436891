import { findFarm, listActors } from "@/data/farm";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { arrangeTask, readYard } from ".";

describe("a task of the day", () => {
  let farm: TestFarm;
  beforeEach(async () => {
    farm = await TestFarm.make();
    await farm.lot("molasses", 50, 1);
    await farm.lot("lactic-culture", 50, 1);
    await farm.fill(await farm.vessel("Drum"), "cultured-extract", 80, hoursAgo(100));
  });
  afterEach(() => farm.scratch.drop());
  const round = async (at = NOW) => (await readYard(farm.context(at), (await findFarm(farm.scratch.db))!)).round;
  const inHours = (hours: number) => new Date(NOW.getTime() + hours * 3_600_000).toISOString();
  const arrange = (taskKey: string, change: object) =>
    arrangeTask(farm.context(), { requestKey: key(), taskKey, personId: null, until: null, reason: null, ...change });

  it("is given to a person and taken back, and put off to an hour with its reason until that hour has come", async () => {
    const [first] = await round();
    const ben = (await listActors(farm.scratch.db))[1]!;
    await arrange(first!.key, { personId: ben.id, until: inHours(5), reason: "at the market" });
    const [task] = (await round()).filter(({ key: one }) => one === first!.key);
    expect(task).toMatchObject({
      who: "Ben",
      urgency: "later",
      dueMs: NOW.getTime() + 5 * 3_600_000,
      putOff: { reason: "at the market", by: "Ana" },
    });
    const later = (await round(new Date(NOW.getTime() + 6 * 3_600_000))).find(({ key: one }) => one === first!.key)!;
    expect([later.putOff, later.urgency === "later"]).toEqual([null, false]);
    await arrange(first!.key, {});
    expect((await round()).find(({ key: one }) => one === first!.key)).toMatchObject({ who: null, putOff: null });
  });
  it("can't be put off backwards, for weeks, without a reason, or given to nobody who is here", async () => {
    const at = async (change: object) => (await refusalOf(arrange("1-stirred", change))).code;
    expect(await at({ until: inHours(-1), reason: "late" })).toBe("put-off-back");
    expect(await at({ until: inHours(24 * 9), reason: "holiday" })).toBe("put-off-far");
    expect(await at({ until: inHours(2), reason: " " })).toBe("put-off-why");
    expect(await at({ personId: 999 })).toBe("not-found");
  });
});
