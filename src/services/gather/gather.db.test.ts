import { A_PHOTO } from "@/testing/photo";
import { findFarm } from "@/data/farm/farm";
import { key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { readItem } from "../shed/readItem";
import { addForagePlace, addWormBin, noteWormBin, recordPick, visitForage } from "./gather";
import { addForagePhoto } from "./photos";
import { readGather } from "./readGather";

let farm: TestFarm;
beforeAll(async () => (farm = await TestFarm.make()));
afterAll(() => farm.scratch.drop());

const view = async () => readGather(farm.context(), (await findFarm(farm.scratch.db))!);
const TODAY = "2031-03-20";

describe("a picking", () => {
  const pick = (change: object = {}) =>
    recordPick(farm.context(), {
      requestKey: key(),
      species: "plantain",
      part: "leaves",
      ingredientId: "greens",
      amount: 3,
      place: "meadow",
      pickedOn: TODAY,
      ...change,
    });
  it("becomes a lot that knows what, which part, where, and who", async () => {
    const { lotId } = await pick();
    const lot = (await readItem(farm.context(), "greens", TODAY))!.lots.find(({ id }) => id === lotId)!;
    expect(lot).toMatchObject({
      origin: "foraged",
      onHand: 3,
      provenance: { plant: { species: "plantain", part: "leaves", place: "meadow" } },
    });
    expect(lot.state.expiresOn).toBe("2031-03-21");
  });
  it("of a poisonous plant stops, whatever reason is given", async () =>
    expect(await refusalOf(pick({ species: "Hemlock", overrideReason: "only a leaf" }))).toMatchObject({
      code: "poisonous",
      fields: { "/species": expect.stringContaining("for whatever reason") as string },
    }));
  it.each([
    [{ species: "nettle" }, "gloves"],
    [{ species: "moonwort" }, "doesn't know"],
    [{ place: "roadside verge" }, "roadside"],
    [{ species: "vetch", crops: ["broad beans"] }, "pea family"],
  ])("of %j wants a reason, which is kept", async (change, why) => {
    expect(await refusalOf(pick(change))).toMatchObject({
      code: "reason-needed",
      message: expect.stringContaining(why) as string,
    });
    const { lotId } = await pick({ ...change, overrideReason: "sure of it" });
    const lot = (await readItem(farm.context(), "greens", TODAY))!.lots.find(({ id }) => id === lotId)!;
    expect(lot.provenance.overrideReason).toBe("sure of it");
  });
  it("of tomorrow is refused", async () =>
    expect((await refusalOf(pick({ pickedOn: "2031-03-21" }))).code).toBe("received-ahead"));
});

describe("a place for leaf mould", () => {
  let placeId: number;
  beforeAll(async () => {
    ({ placeId } = await addForagePlace(farm.context(), {
      requestKey: key(),
      name: "Under the oaks",
      kind: "leaf-mould",
      ground: "damp",
      permission: "ours",
      restD: 100,
    }));
  });
  const visit = (onDay: string, takenKg: number | null, extra: object = {}) =>
    visitForage(farm.context(), { requestKey: key(), placeId, vigour: "strong", onDay, takenKg, ...extra });
  it("rests after it was taken from, and only a reason goes round that", async () => {
    await visit("2031-02-01", 3);
    expect((await view()).places[0]).toMatchObject({ restsUntil: "2031-05-12" });
    expect(await refusalOf(visit(TODAY, 2))).toMatchObject({ code: "reason-needed" });
    await visit(TODAY, null);
    await visit(TODAY, 2, { overrideReason: "the path is being cut tomorrow" });
    const [lot] = (await readItem(farm.context(), "leaf-mould", TODAY))!.lots.toReversed();
    expect(lot).toMatchObject({ onHand: 2, provenance: { overrideReason: "the path is being cut tomorrow" } });
    expect((await view()).places[0]!.visits).toHaveLength(3);
  });
  it("is not visited tomorrow, and there is none of another number", async () => {
    expect((await refusalOf(visit("2031-03-21", null))).fields).toHaveProperty(["/onDay"]);
    expect(
      (await refusalOf(visitForage(farm.context(), { requestKey: key(), placeId: 99, vigour: "none", onDay: TODAY })))
        .code,
    ).toBe("not-found");
    expect(
      (
        await refusalOf(
          addForagePlace(farm.context(), { requestKey: key(), name: "Under the oaks", kind: "plants", restD: 1 }),
        )
      ).code,
    ).toBe("name-taken");
  });
  it("shows its newest picture", async () => {
    await addForagePhoto(farm.context(), { requestKey: key(), placeId, jpeg: A_PHOTO });
    const { photoId } = await addForagePhoto(farm.context(), { requestKey: key(), placeId, jpeg: A_PHOTO });
    expect((await view()).places[0]!.photoId).toBe(photoId);
  });
});

describe("a worm bin", () => {
  let binId: number;
  beforeAll(async () => ({ binId } = await addWormBin(farm.context(), { requestKey: key(), name: "Box", wormsKg: 2 })));
  const note = (change: object) =>
    noteWormBin(farm.context(), { requestKey: key(), binId, kind: "fed", kg: 3, ...change });
  it("gives castings to the shed once a ball of them holds and nothing foreign is left in them", async () => {
    await note({});
    const take = (change: object) =>
      note({ kind: "harvested", kg: 1, ball: "holds, then crumbles", plasticPicked: true, ...change });
    expect((await refusalOf(take({ ball: null }))).fields).toHaveProperty(["/ball"]);
    expect(await refusalOf(take({ ball: "sticky, rancid", overrideReason: "please" }))).toMatchObject({
      code: "castings-unfit",
    });
    expect((await refusalOf(take({ ball: "drips" }))).code).toBe("reason-needed");
    expect((await refusalOf(take({ plasticPicked: false }))).fields).toHaveProperty(["/plasticPicked"]);
    const { lotId } = await take({});
    expect((await readItem(farm.context(), "castings", TODAY))!.lots.find(({ id }) => id === lotId)).toMatchObject({
      onHand: 1,
      origin: "home-made",
    });
    expect((await view()).bins[0]!.entries.map(({ kind }) => kind).toSorted()).toEqual(["fed", "harvested"]);
  });
  it("wants an amount", async () => expect((await refusalOf(note({ kg: 0 }))).fields).toHaveProperty(["/kg"]));
});

it("knows when the sun comes up, what is there in spring, and what never", async () => {
  const seen = await view();
  expect(seen.season).toBe("spring");
  expect(seen.sunriseMs! - NOW.getTime()).toBeLessThan(24 * 3_600_000);
  expect(new Date(seen.sunriseMs!).toISOString()).toMatch(/^2031-03-2(0T23|1T0)/);
  expect(seen.groups.map(({ kind }) => kind)).toContain("leafy");
  expect(seen.groups.map(({ kind }) => kind)).not.toContain("fruit");
  expect(seen.refused.length).toBeGreaterThan(10);
});
