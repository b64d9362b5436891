import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, NOW, RAIN_ID, refusalOf, TestFarm } from "@/testing/scratch";
import { applyStore } from "../field/applyStore";
import { readYard } from "../yard/readYard";
import { checkStore, pourStore } from "./changeStore";
import { readShed } from "../shed/readShed";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

const later = (days: number) => new Date(NOW.getTime() + days * 86_400_000);
const stores = async (at: Date) => (await readShed(farm.context(at), (await findFarm(farm.scratch.db))!)).stores;
const tasks = async (at: Date) =>
  (await readYard(farm.context(at), (await findFarm(farm.scratch.db))!)).round.map(({ key: name }) => name);

const check = (storeId: number, kind: string, at: Date, more: object = {}) =>
  checkStore(farm.context(at), { requestKey: key(), storeId, kind, ...more });

describe("a store that has stood long", () => {
  it("is to be smelt before it goes out, and is asked for in the round until it was", async () => {
    const storeId = await farm.strained({ container: "vented" });
    expect((await stores(later(20)))[0]).toMatchObject({ recheck: null, smelt: "good" });
    expect((await stores(later(35)))[0]).toMatchObject({ recheck: { because: "age" } });
    expect(await tasks(later(35))).toContain(`smell-${storeId}`);
    await check(storeId, "smelt-good", later(35), { ph: 3.6 });
    expect((await stores(later(36)))[0]).toMatchObject({ recheck: null, smelt: "good" });
    expect(await tasks(later(36))).not.toContain(`smell-${storeId}`);
  });
  it("is refused for a bed until it was smelt, and then goes out", async () => {
    const storeId = await farm.strained({ container: "vented" });
    const plotId = await farm.plot("Bed 1");
    const toolId = await farm.can();
    const apply = () =>
      applyStore(farm.context(later(35)), {
        requestKey: key(),
        storeId,
        useId: "drench-growing",
        ratio: "1:99",
        mixRateL: 2,
        mixRatePer: "m2",
        toolId,
        plotIds: [plotId],
        labourMin: 10,
        overrideReason: "all the same",
        water: { sourceId: RAIN_ID },
      });
    expect(await refusalOf(apply())).toMatchObject({
      code: "use-barred",
      message: expect.stringContaining("Smell it") as string,
    });
    await check(storeId, "smelt-good", later(35));
    expect(await apply()).toHaveProperty("applicationId");
  });
  it("has its gas let out every fortnight", async () => {
    const storeId = await farm.strained({ container: "vented" });
    expect(await tasks(later(5))).not.toContain(`loosen-${storeId}`);
    expect(await tasks(later(15))).toContain(`loosen-${storeId}`);
    await check(storeId, "loosened", later(15));
    expect(await tasks(later(15))).not.toContain(`loosen-${storeId}`);
  });
});

describe("a store that was found off", () => {
  it("goes to the heap, and no later smell makes it good", async () => {
    const storeId = await farm.strained({ container: "vented" });
    await check(storeId, "smelt-off", later(1), { note: "rotten" });
    expect((await stores(later(2)))[0]).toMatchObject({ smelt: "off" });
    expect(await tasks(later(2))).toContain(`off-${storeId}`);
    await check(storeId, "smelt-good", later(2));
    expect((await stores(later(3)))[0]).toMatchObject({ smelt: "doubtful" });
  });
  it("passes it on to what is poured from it", async () => {
    const storeId = await farm.strained({ container: "vented" });
    await check(storeId, "smelt-off", later(1));
    await pourStore(farm.context(later(2)), {
      requestKey: key(),
      storeId,
      parts: [{ litres: 20, label: "Can", container: "vented" }],
    });
    expect((await stores(later(3))).map(({ smelt }) => smelt)).toEqual(["off", "off"]);
  });
});

describe("a check", () => {
  it("is refused before the store was made, in the future, and as good over a pH that has climbed", async () => {
    const storeId = await farm.strained({ container: "vented" });
    expect((await refusalOf(check(storeId, "smelt-good", later(1), { ph: 5.2 }))).fields).toHaveProperty(["/ph"]);
    expect((await refusalOf(check(storeId, "loosened", NOW, { at: later(1).toISOString() }))).code).toBe("in-future");
    expect((await refusalOf(check(storeId, "loosened", NOW, { at: hoursAgo(5000).toISOString() }))).code).toBe(
      "before-start",
    );
    expect((await refusalOf(check(999, "loosened", NOW))).code).toBe("not-found");
    expect(await check(storeId, "smelt-off", later(1), { ph: 5.2 })).toMatchObject({ storeId });
  });
});
