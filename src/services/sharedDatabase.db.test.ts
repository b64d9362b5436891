import { openPool } from "@/data/db";
import { findFarm } from "@/data/farm/farm";
import { findView } from "./views";
import { key, TestFarm } from "@/testing/scratch";
import { addVessel } from "./farm";

afterEach(() => {
  delete process.env.RUCHKA_SHARED_DATABASE;
});

it("what another process wrote to the same database is read at once, and what was read stands while nobody writes", async () => {
  process.env.RUCHKA_SHARED_DATABASE = "1";
  const farm = await TestFarm.make();
  // Another process: a pool of its own, whose writes this one's does not count.
  const other = { ...farm.context(), pool: openPool(farm.scratch.url) };
  const row = (await findFarm(farm.scratch.db))!;
  const vessels = async () => {
    const yard = (await findView("yard")!({ farm: row, people: [], ctx: farm.context() }, {})) as {
      vessels: readonly { readonly name: string }[];
    };
    return yard.vessels.map(({ name }) => name);
  };
  expect(await vessels()).toEqual([]);
  for (const name of ["Drum 1", "Drum 2", "Drum 3"]) {
    await addVessel(other, { requestKey: key(), name, kind: "drum", volumeL: 100 });
    expect((await vessels()).at(-1)).toBe(name);
  }
  expect(await vessels()).toEqual(await vessels());
  await other.pool.end();
  await farm.scratch.drop();
});
