import { openPool, isConnectionError } from "@/data/db";
import { findFarm } from "@/data/farm";
import { seedDemo } from "@/demo/seed";
import { key, NOW, refusalOf, scratchDatabase, TestFarm } from "@/testing/scratch";
import { addVessel } from "./addThings";
import { readLedger } from "./readLedger";
import { readYard } from "./readYard";
import { sweepKeys } from "./sweepKeys";
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
    const killer = openPool(farm.scratch.url, 1);
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

  it("refuses absurd vessels and taken names at their field", async () => {
    const farm = await TestFarm.make();
    await farm.vessel("Drum");
    const fields = async (change: object) =>
      (
        await refusalOf(
          addVessel(farm.context(), { requestKey: key(), name: "New", kind: "drum", volumeL: 100, ...change }),
        )
      ).fields;
    expect(await fields({ volumeL: 5_000_000 })).toEqual({ "/volumeL": "At most 20000." });
    expect(await fields({ volumeL: 0 })).toEqual({ "/volumeL": "At least 0.1." });
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
    expect((await refusalOf(setUpFarm(scratch, { ...request, timeZone: "Mars/Crater" }))).fields).toHaveProperty([
      "/timeZone",
    ]);
    expect((await refusalOf(setUpFarm(scratch, { ...request, people: [] }))).fields).toHaveProperty(["/people"]);
    await setUpFarm(scratch, request);
    expect((await refusalOf(setUpFarm(scratch, request))).message).toContain("set up already");
    await scratch.drop();
  });
});

describe("the demo farm", () => {
  it("tells its story on any day of the year, and a second telling adds nothing", async () => {
    for (const day of ["2031-01-15T09:00:00Z", "2031-07-02T21:30:00Z"]) {
      const scratch = await scratchDatabase();
      const now = new Date(day);
      expect(await seedDemo(scratch.pool, now)).toBe(true);
      const farm = (await findFarm(scratch.db))!;
      const ctx = { pool: scratch.pool, now: () => now, actor: { id: 1, name: "Maren" } };
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
      expect(ledger.batches).toHaveLength(8);
      expect(ledger.batches.filter(({ outcome }) => outcome === "strained")).toHaveLength(4);
      expect(ledger.plots).toHaveLength(20);
      await scratch.drop();
    }
  });
});
