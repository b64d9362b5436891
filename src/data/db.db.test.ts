import { hoursAgo, key, NOW, refusalOf, scratchDatabase, TestFarm, type Scratch } from "@/testing/scratch";
import { addTool, addVessel } from "@/services/farm/addThings";
import { sweepKeys } from "@/services/sweepKeys";
import { errnoOf, inTransaction, insert, isConnectionError, select, SQL_ERROR, type Queryable } from "./db";
import { findResult } from "./requests";

describe("transactions", () => {
  let scratch: Scratch;
  beforeAll(async () => {
    scratch = await scratchDatabase({ migrated: false });
    await scratch.pool.query("create table tally (id int primary key, amount decimal(14,3) not null) engine=innodb");
  });
  beforeEach(async () => {
    await scratch.pool.query("replace into tally values (1, 10), (2, 10)");
  });
  afterAll(() => scratch.drop());
  const amounts = async () =>
    (await select<{ amount: string }>(scratch.db, "select amount from tally order by id")).map(({ amount }) => amount);
  const add = (db: Queryable, id: number, by: number) =>
    insert(db, "update tally set amount = amount + ? where id = ?", [by, id]);

  it("keep all of a piece of work, or nothing of it", async () => {
    await inTransaction(scratch.pool, async (db) => {
      await add(db, 1, -3);
      await add(db, 2, 3);
    });
    expect(await amounts()).toEqual(["7.000", "13.000"]);
    const half = inTransaction(scratch.pool, async (db) => {
      await add(db, 1, -5);
      throw new Error("the pen broke");
    });
    await expect(half).rejects.toThrow("the pen broke");
    expect(await amounts()).toEqual(["7.000", "13.000"]);
  });

  it("try again after a deadlock, and lose neither side's work", async () => {
    const meet: { resolve: () => void }[] = [];
    // Each holds one row before either asks for the other's: at the first try they must deadlock.
    const bothHold = () =>
      new Promise<void>((resolve) => {
        meet.push({ resolve });
        if (meet.length === 2) for (const { resolve: go } of meet) go();
        if (meet.length > 2) resolve();
      });
    let tries = 0;
    const cross = (first: number, second: number) =>
      inTransaction(scratch.pool, async (db) => {
        tries += 1;
        await add(db, first, 1);
        await bothHold();
        await add(db, second, 1);
      });
    await Promise.all([cross(1, 2), cross(2, 1)]);
    expect(await amounts()).toEqual(["12.000", "12.000"]);
    expect(tries).toBe(3);
  });

  it("do not try again for any other error", async () => {
    let tries = 0;
    const work = inTransaction(scratch.pool, async (db) => {
      tries += 1;
      await insert(db, "insert into tally values (1, 1)", []);
    });
    const error: unknown = await work.catch((thrown: unknown) => thrown);
    expect([tries, errnoOf(error), isConnectionError(error)]).toEqual([1, SQL_ERROR.duplicate, false]);
  });

  it("keep decimals as they were written, to the last place", async () => {
    await inTransaction(scratch.pool, (db) =>
      insert(db, "update tally set amount = ? where id = 1", ["12345678901.123"]),
    );
    expect((await amounts())[0]).toBe("12345678901.123");
  });

  it("take one statement at a time from anyone", async () => {
    await expect(scratch.pool.query("select 1; drop table tally")).rejects.toThrow();
    expect(await amounts()).toHaveLength(2);
  });
});

describe("a request's key", () => {
  let farm: TestFarm;
  beforeAll(async () => {
    farm = await TestFarm.make();
  });
  afterAll(() => farm.scratch.drop());

  it("gives the kept answer to the same request, however late", async () => {
    const request = { requestKey: key(), name: "Drum", kind: "drum", volumeL: 100 };
    const first = await addVessel(farm.context(hoursAgo(10)), request);
    expect(await addVessel(farm.context(NOW, 1), request)).toEqual(first);
  });
  it("is no pass for another kind of request", async () => {
    const requestKey = key();
    await addVessel(farm.context(), { requestKey, name: "Pail", kind: "pail", volumeL: 20 });
    await expect(addTool(farm.context(), { requestKey, name: "Can", kind: "can", volumeL: 10 })).rejects.toThrow();
    const [rows] = await farm.scratch.pool.query("select count(*) as tools from tool");
    expect((rows as { tools: number }[])[0]!.tools).toBe(0);
  });
  it("is free again after a refusal", async () => {
    const requestKey = key();
    const injector = { requestKey, name: "Injector", kind: "injector", volumeL: 40 };
    expect((await refusalOf(addTool(farm.context(), injector))).fields).toHaveProperty(["/partsWater"]);
    const { toolId } = await addTool(farm.context(), { ...injector, partsWater: 100 });
    expect(toolId).toBeGreaterThan(0);
  });
  it("keeps who asked and when", async () => {
    const requestKey = key();
    await addVessel(farm.context(hoursAgo(2), 1), { requestKey, name: "Jar", kind: "jar", volumeL: 5 });
    const [rows] = await farm.scratch.pool.query(
      "select use_case, actor.name as actor, at from request join actor on actor.id = request.actor_id where request_key = ?",
      [requestKey],
    );
    expect(rows).toEqual([{ use_case: "addVessel", actor: "Ben", at: hoursAgo(2) }]);
  });
  it("is kept for thirty days, and then forgotten", async () => {
    const named = (name: string) => ({ requestKey: key(), name, kind: "pail", volumeL: 20 });
    const [old, young] = [named("Old pail"), named("Young pail")];
    await addVessel(farm.context(hoursAgo(31 * 24)), old);
    await addVessel(farm.context(hoursAgo(29 * 24)), young);
    const isKept = async ({ requestKey }: { requestKey: string }) =>
      (await findResult(farm.scratch.db, requestKey)) !== null;
    await sweepKeys(farm.context());
    expect([await isKept(old), await isKept(young)]).toEqual([false, true]);
  });
});
