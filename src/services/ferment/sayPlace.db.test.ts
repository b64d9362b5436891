import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, refusalOf, TestFarm } from "@/testing/scratch";
import { addVessel } from "../farm/addThings";
import { readBatch } from "../batch/readBatch";
import { sayPlace } from "./sayPlace";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
  await farm.lot("molasses", 30, 10);
  await farm.lot("lactic-culture", 30, 10);
});
afterEach(() => farm.scratch.drop());

const page = async (batchId: number) => (await readBatch(farm.context(), (await findFarm(farm.scratch.db))!, batchId))!;

describe("where a vessel stands", () => {
  it("is asked for while nobody said so, and narrows the forecast once it is said", async () => {
    const drum = await farm.vessel("Drum");
    const batchId = await farm.fill(drum, "cultured-extract", 80, hoursAgo(72));
    const before = await page(batchId);
    expect(before.place).toBeNull();
    await farm.place(drum, "indoors", { lowC: 21, highC: 23 });
    const after = await page(batchId);
    expect(after.place).toEqual({ kind: "indoors", celsius: [21, 23] });
    const width = ({ start }: typeof before.batch.window) => start.p90! - start.p10!;
    expect(width(after.batch.window)).toBeLessThan(0.8 * width(before.batch.window));
  });
  it("is said for all that stand at one site, said anew, and taken back", async () => {
    const at = async (name: string, site: string) =>
      (await addVessel(farm.context(), { requestKey: key(), name, kind: "drum", volumeL: 100, site })).vesselId;
    const [one, two, three] = [await at("One", "north wall"), await at("Two", "north wall"), await at("Three", "")];
    const fill = (vesselId: number) => farm.fill(vesselId, "cultured-extract", 80, hoursAgo(24));
    const [first, second, third] = [await fill(one), await fill(two), await fill(three)];
    const say = (kind: string) => sayPlace(farm.context(), { requestKey: key(), vesselId: one, kind });
    expect(await say("sun")).toEqual({ vessels: 2 });
    await say("shade");
    expect([(await page(first)).place?.kind, (await page(second)).place?.kind]).toEqual(["shade", "shade"]);
    expect((await page(third)).place).toBeNull();
    await say("unsaid");
    expect((await page(second)).place).toBeNull();
  });
  it("is refused at its field where it can't be", async () => {
    const vesselId = await farm.vessel("Drum");
    const say = (change: object) =>
      refusalOf(sayPlace(farm.context(), { requestKey: key(), vesselId, kind: "shed", ...change }));
    expect((await say({ vesselId: 4711 })).fields).toHaveProperty("/vesselId");
    expect((await say({ lowC: 24, highC: 18 })).fields).toHaveProperty("/highC");
    expect((await say({ lowC: 24 })).fields).toHaveProperty("/highC");
    expect((await say({ kind: "attic" })).fields).toHaveProperty("/kind");
  });
});
