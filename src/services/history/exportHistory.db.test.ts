import { findFarm } from "@/data/farm/farm";
import { listActors } from "@/data/farm";
import { insertAccessEvent } from "@/data/people";
import { hoursAgo, NOW, TestFarm } from "@/testing/scratch";
import { exportHistory, readHistoryQuery } from ".";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
  await farm.lot("molasses", 5, 20);
  await farm.lot("lactic-culture", 5, 10);
  const batchId = await farm.fill(await farm.vessel("Blue drum"), "cultured-extract", 60, hoursAgo(30));
  await farm.log(batchId, hoursAgo(3), { kind: "smell", word: "cidery" });
  const [ana] = await listActors(farm.scratch.db);
  await insertAccessEvent(farm.scratch.db, {
    kind: "signed-in",
    actorId: ana!.id,
    address: "10.0.0.7",
    device: "a phone",
    at: hoursAgo(2),
  });
});
afterEach(() => farm.scratch.drop());

const rows = async (role: "steward" | "viewer", asked: Record<string, string> = {}): Promise<string[]> => {
  const text = await exportHistory(
    farm.context(NOW, 0, role),
    (await findFarm(farm.scratch.db))!,
    readHistoryQuery(asked),
  );
  return text.trim().split("\r\n");
};

it("tells who did what and when, and to a steward who came in and from where", async () => {
  const [heads, ...lines] = await rows("steward");
  expect(heads).toMatch(/written,happened,person,part,code,what,undone,address,device$/);
  expect(lines.some((line) => line.includes("signed in") && line.includes("10.0.0.7"))).toBe(true);
  expect(lines.some((line) => /Smell: cidery/i.test(line))).toBe(true);
  const written = lines.map((line) => line.slice(0, 24));
  expect(written).toEqual(written.toSorted().toReversed());
  expect((await rows("viewer")).some((line) => line.includes("10.0.0.7"))).toBe(false);
});

it("tells of one part, one person, one day; what is no filter is none", async () => {
  const all = await rows("steward");
  const making = await rows("steward", { part: "making" });
  expect(making.length).toBeLessThan(all.length);
  expect(making.slice(1).every((line) => line.split(",")[3] === "making")).toBe(true);
  expect(await rows("steward", { day: "2030-01-01" })).toHaveLength(1);
  expect(await rows("steward", { person: "999999" })).toHaveLength(1);
  expect(await rows("steward", { part: "nonsense", person: "x", day: "soon" })).toEqual(all);
});
