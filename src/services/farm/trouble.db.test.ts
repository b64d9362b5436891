import { onMachine } from "@/services/people";
import { once } from "node:events";
import { createServer, type AddressInfo } from "node:net";
import { openPool, isConnectionError } from "@/data/db";
import { findFarm } from "@/data/farm/farm";
import { seedDemo } from "@/demo/seed";
import { hoursAgo, key, NOW, refusalOf, scratchDatabase, TestFarm, PASSPHRASE } from "@/testing/scratch";
import { addVessel } from "./addThings";
import { sayPlace } from "../ferment/sayPlace";
import { readHealth } from "../health";
import { outageOf } from "../outage";
import { readLedger } from "../ledger/readLedger";
import { readYard } from "../yard/readYard";
import { sweepKeys } from "../sweepKeys";
import { setUpFarm } from "./setUpFarm";

describe("trouble", () => {
  it("knows a database that is away from a mistake", async () => {
    const away = openPool("mysql://nobody:x@127.0.0.1:1/none");
    const error = await away.query("select 1").catch((thrown: unknown) => thrown);
    expect(isConnectionError(error)).toBe(true);
    expect(isConnectionError(new Error("something else"))).toBe(false);
    await away.end();
  });

  it("rolls back when the connection dies in the middle, and the same key goes through afterwards", async () => {
    const farm = await TestFarm.make();
    const request = { requestKey: key(), name: "Drum", kind: "drum", volumeL: 100 };
    // The clock is asked inside the transaction: at its second tick the server kills every connection of this pool.
    let ticks = 0;
    const killer = openPool(farm.scratch.url, { connectionLimit: 1 });
    const broken = {
      ...farm.context(),
      now: () => {
        ticks += 1;
        if (ticks === 2)
          void killer
            .query("select id from information_schema.processlist where id <> connection_id() and db = database()")
            .then(async ([rows]) => {
              for (const { id } of rows as { id: number }[])
                await killer.query(`kill connection ${id}`).catch(() => undefined);
            });
        return NOW;
      },
    };
    await addVessel(broken, request).catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, 200));
    const { vesselId } = await addVessel(farm.context(), request);
    const yard = await readYard(farm.context(), (await findFarm(farm.scratch.db))!);
    expect(yard.vessels.map(({ id, name }) => [id, name])).toEqual([[vesselId, "Drum"]]);
    await killer.end();
    await farm.scratch.drop();
  });

  it("takes eight logs at once, of one person, on eight batches, time and again", async () => {
    const farm = await TestFarm.make();
    await farm.lot("molasses", 50, 10);
    await farm.lot("lactic-culture", 50, 10);
    const batches: number[] = [];
    for (let drum = 1; drum <= 8; drum += 1)
      batches.push(await farm.fill(await farm.vessel(`Drum ${drum}`), "cultured-extract", 80, hoursAgo(60)));
    for (let round = 0; round < 5; round += 1) {
      const logs = batches.map((batchId) => farm.log(batchId, NOW, { kind: "temperature", celsius: 20 + round }));
      expect((await Promise.allSettled(logs)).map(({ status }) => status)).toEqual(Array(8).fill("fulfilled"));
    }
    await farm.scratch.drop();
  });

  it("says that others hold a row, after a while, and not that it tripped", async () => {
    const farm = await TestFarm.make();
    const vesselId = await farm.vessel("Drum");
    const other = openPool(farm.scratch.url, { connectionLimit: 1 });
    await other.query("start transaction");
    await other.query("select id from vessel where id = ? for update", [vesselId]);
    const pool = openPool(farm.scratch.url, { rowLimitS: 1 });
    const refused = await sayPlace({ ...farm.context(), pool }, { requestKey: key(), vesselId, kind: "shed" }).catch(
      (error: unknown) => error,
    );
    expect(outageOf(refused)).toBe("busy");
    await other.query("rollback");
    expect(await sayPlace(farm.context(), { requestKey: key(), vesselId, kind: "shed" })).toBeDefined();
    await Promise.all([other.end(), pool.end()]);
    await farm.scratch.drop();
  });

  it("waits for no database that takes a connection and says nothing", async () => {
    const deaf = createServer(() => undefined).listen(0, "127.0.0.1");
    await once(deaf, "listening");
    const pool = openPool(`mysql://nobody:x@127.0.0.1:${(deaf.address() as AddressInfo).port}/none`, {
      connectTimeout: 300,
    });
    const refused = await pool.execute("select 1").catch((error: unknown) => error);
    expect(outageOf(refused)).toBe("database-away");
    expect(await readHealth(pool)).toEqual({ database: false, room: null });
    deaf.close();
    await pool.end().catch(() => undefined);
  });

  it.each([
    [{ errno: 1114, message: "The table 'lot' is full" }, "disk-full"],
    [{ errno: 1030, message: 'Got error 28 "No space left on device" from storage engine InnoDB' }, "disk-full"],
    [{ errno: 1030, message: "Got error 168 from storage engine" }, null],
    [{ fatal: true, message: "Can't add new command when connection is in closed state" }, "database-away"],
    [{ errno: 1213, message: "Deadlock found" }, "busy"],
    [{ message: "something else" }, null],
  ])("knows %j", (about, outage) => {
    expect(outageOf(Object.assign(new Error(about.message), about))).toBe(outage);
  });

  it("takes the same key with another request for no resend", async () => {
    const farm = await TestFarm.make();
    const request = { requestKey: key(), name: "Drum", kind: "drum", volumeL: 100 };
    const first = await addVessel(farm.context(), request);
    expect(
      await addVessel(farm.context(), { volumeL: 100, kind: "drum", name: "Drum", requestKey: request.requestKey }),
    ).toEqual(first);
    expect((await refusalOf(addVessel(farm.context(), { ...request, volumeL: 200 }))).code).toBe("sent-before");
    await farm.scratch.drop();
  });

  it("refuses absurd vessels and taken names at their field", async () => {
    const farm = await TestFarm.make();
    await farm.vessel("Drum");
    const fields = async (change: object) =>
      (
        await refusalOf(
          addVessel(farm.context(), { requestKey: key(), name: "New", kind: "drum", volumeL: 100, ...change }),
        )
      ).fields;
    expect(await fields({ volumeL: 5_000_000 })).toEqual({ "/volumeL": "At most 20\u202f000 L." });
    expect(await fields({ volumeL: 0 })).toEqual({ "/volumeL": "At least 100 mL." });
    expect(await fields({ volumeL: "big" })).toEqual({ "/volumeL": "This must be a number." });
    expect(await fields({ name: "Drum" })).toEqual({ "/name": 'There is a "Drum" already.' });
    expect(await fields({ name: "   " })).toHaveProperty(["/name"]);
    expect(await fields({ kind: "bathtub" })).toHaveProperty(["/kind"]);
    await farm.scratch.drop();
  });

  it("sets a farm up once, in a time zone that exists", async () => {
    const scratch = await scratchDatabase();
    const request = {
      requestKey: key(),
      name: "F",
      people: ["A"],
      passphrase: PASSPHRASE,
      timeZone: "UTC",
      latitudeDeg: 1,
      longitudeDeg: 1,
      units: "metric",
      currency: "c",
      labourPerH: 1,
      powerPerKWh: 1,
      climateMeanC: 10,
      climateSwingC: 5,
    };
    expect(
      (await refusalOf(setUpFarm(onMachine(scratch.pool), { ...request, timeZone: "Mars/Crater" }))).fields,
    ).toHaveProperty(["/timeZone"]);
    expect((await refusalOf(setUpFarm(onMachine(scratch.pool), { ...request, people: [] }))).fields).toHaveProperty([
      "/people",
    ]);
    await setUpFarm(onMachine(scratch.pool), request);
    expect((await refusalOf(setUpFarm(onMachine(scratch.pool), request))).code).toBe("farm-set-up");
    await scratch.drop();
  });
});

describe("the demo farm", () => {
  it.each(
    // Whoever starts it does so at any hour of any season: long nights, long days, and the hours between.
    [3, 18].flatMap((hour, index) => [
      `2031-01-${12 + index}T${String(hour).padStart(2, "0")}:26:00Z`,
      `2031-09-${10 + index}T${String((hour + 2) % 24).padStart(2, "0")}:26:00Z`,
      `2032-06-${18 + index}T${String((hour + 3) % 24).padStart(2, "0")}:41:00Z`,
    ]),
  )("is told at %s", async (now) => {
    const scratch = await scratchDatabase();
    expect(await seedDemo(scratch.pool, new Date(now))).toBe(true);
    await scratch.drop();
  });
  it.each([12, 60, 130])("goes on where its telling was cut short, after %d writes", async (writes) => {
    const scratch = await scratchDatabase();
    let left = writes;
    // The power goes: no further transaction begins.
    const dying = Object.assign(Object.create(scratch.pool) as typeof scratch.pool, {
      getConnection: () =>
        left-- > 0 ? scratch.pool.getConnection() : Promise.reject(new Error("The power is gone.")),
    });
    await expect(seedDemo(dying, NOW)).rejects.toThrow("The power is gone.");
    expect(await seedDemo(scratch.pool, NOW)).toBe(true);
    const yard = await readYard(
      { pool: scratch.pool, now: () => NOW, actor: { id: 1, name: "Maren", role: "steward" } },
      (await findFarm(scratch.db))!,
    );
    expect(yard.vessels).toHaveLength(8);
    expect(yard.vessels.filter(({ status }) => status === "running")).toHaveLength(4);
    await scratch.drop();
  });
  it("tells its story on any day of the year, and a second telling adds nothing", async () => {
    const scratch = await scratchDatabase();
    // The walks' demo is told in winter.
    const now = new Date("2031-07-02T21:30:00Z");
    expect(await seedDemo(scratch.pool, now)).toBe(true);
    const farm = (await findFarm(scratch.db))!;
    const ctx = { pool: scratch.pool, now: () => now, actor: { id: 1, name: "Maren", role: "steward" as const } };
    const yard = await readYard(ctx, farm);
    expect(yard.vessels).toHaveLength(8);
    expect(yard.vessels.filter(({ status }) => status === "running")).toHaveLength(4);
    expect(new Set(yard.vessels.map(({ batch }) => batch?.state).filter(Boolean)).size).toBeGreaterThanOrEqual(3);
    expect(await seedDemo(scratch.pool, new Date(now.getTime() + 3_600_000))).toBe(false);
    // Nor one long after, when the keys of its acts are forgotten.
    const later = new Date(now.getTime() + 60 * 86_400_000);
    await sweepKeys({ pool: scratch.pool, now: () => later });
    expect(await seedDemo(scratch.pool, later)).toBe(false);
    const ledger = await readLedger(ctx, farm);
    expect(ledger.batches).toHaveLength(9);
    expect(ledger.batches.filter(({ outcome }) => outcome === "strained")).toHaveLength(4);
    expect(ledger.plots).toHaveLength(20);
    await scratch.drop();
  });
});
