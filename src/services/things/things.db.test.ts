import fc from "fast-check";
import { listEquipment } from "@/data/equipment";
import { findFarm, listActors } from "@/data/farm";
import { listTools } from "@/data/field";
import { listForagePlaces, listWormBins } from "@/data/gather";
import { listOwnIngredients } from "@/data/shed";
import { listThings, THING_KINDS, type ThingKind } from "@/data/things";
import { select } from "@/data/db";
import { listWaters } from "@/data/water";
import { addEquipment } from "../equipment";
import { changeFarm } from "../farm";
import { addForagePlace, addWormBin } from "../gather";
import { addOwnIngredient } from "../shed";
import { addDevice, readDevices } from "../devices";
import { fillVessel } from "../fill";
import { readYard } from "../yard";
import { key, refusalOf, TestFarm } from "@/testing/scratch";
import * as things from ".";

let farm: TestFarm;
beforeEach(async () => {
  farm = await TestFarm.make();
});
afterEach(() => farm.scratch.drop());

/** One of each kind, as somebody sets it up. */
async function oneOfEach(): Promise<Record<ThingKind, number>> {
  const ctx = farm.context();
  const requestKey = () => key();
  return {
    "person": (await things.addPerson(ctx, { requestKey: key(), name: "Cleo" })).personId,
    "vessel": await farm.vessel("Drum"),
    "tool": await farm.can(),
    "water": 1,
    "equipment": (await addEquipment(ctx, { requestKey: requestKey(), kind: "pump", name: "Pump", outlets: 2 }))
      .equipmentId,
    "own-ingredient": (await addOwnIngredient(ctx, { requestKey: requestKey(), name: "Pond weed", countsAs: "greens" }))
      .ownId,
    "gathering-place": (
      await addForagePlace(ctx, {
        requestKey: requestKey(),
        name: "Beech hedge",
        kind: "leaf-mould",
        ground: "shade",
        restD: 90,
      })
    ).placeId,
    "worm-bin": (await addWormBin(ctx, { requestKey: requestKey(), name: "Bin", wormsKg: 1 })).binId,
    "device": (
      await addDevice(ctx, {
        requestKey: requestKey(),
        name: "Mast",
        kind: "station",
        vesselId: null,
        token: "a".repeat(40),
      })
    ).deviceId,
  };
}
const changes = () =>
  select<{ kind: string; was: object; became: object }>(
    farm.scratch.db,
    "select kind, was, became from thing_change order by id",
  );
const RENAME = {
  "person": things.changePerson,
  "vessel": things.changeVessel,
  "tool": things.changeTool,
  "water": things.changeWater,
  "equipment": things.changeEquipment,
  "own-ingredient": things.changeOwnIngredient,
  "gathering-place": things.changeGatheringPlace,
  "worm-bin": things.changeWormBin,
  "device": things.changeDevice,
} as const;

describe("whatever was set up", () => {
  it("is renamed, keeps how it was, and is written down by who did it; the same again writes nothing", async () => {
    const ids = await oneOfEach();
    for (const kind of THING_KINDS) {
      const rename = RENAME[kind] as typeof things.changePerson;
      await rename(farm.context(), { requestKey: key(), id: ids[kind], name: ` New ${kind} ` });
      await rename(farm.context(), { requestKey: key(), id: ids[kind], name: `New ${kind}` });
      const [thing] = (await listThings(farm.scratch.db, kind)).filter(({ id }) => id === ids[kind]);
      expect(thing!.facts.name).toBe(`New ${kind}`);
    }
    expect((await changes()).map(({ kind }) => kind)).toEqual(THING_KINDS);
  });
  it("takes no name that another has, nothing that is not there, and says it at the field", async () => {
    const ids = await oneOfEach();
    await farm.vessel("Other");
    const twice = await refusalOf(
      things.changeVessel(farm.context(), { requestKey: key(), id: ids.vessel, name: "Other" }),
    );
    expect([twice.code, Object.keys(twice.fields)]).toEqual(["name-taken", ["/name"]]);
    const none = await refusalOf(things.changeTool(farm.context(), { requestKey: key(), id: 999, name: "Can" }));
    expect(none.code).toBe("not-found");
    const hidden = await refusalOf(
      things.changeOwnIngredient(farm.context(), { requestKey: key(), id: ids["own-ingredient"], name: "molasses" }),
    );
    expect(hidden.code).toBe("name-of-book");
    expect(await changes()).toEqual([]);
  });
  it("is put away and comes back, and is offered only while it is in use", async () => {
    const ids = await oneOfEach();
    const offered = async (): Promise<Record<ThingKind, boolean>> => {
      const { db } = farm.scratch;
      const has = (list: readonly { readonly id: number }[], kind: ThingKind) =>
        list.some(({ id }) => id === ids[kind]);
      const yard = await readYard(farm.context(), (await findFarm(db))!);
      const own = (await listOwnIngredients(db)).filter(({ retired }) => !retired);
      const devices = (await readDevices(farm.context(), (await findFarm(db))!)).devices;
      return {
        "person": has(await listActors(db), "person"),
        "vessel": has(yard.vessels, "vessel"),
        "tool": has(await listTools(db), "tool"),
        "water": has(await listWaters(db), "water"),
        "equipment": has(await listEquipment(db), "equipment"),
        "own-ingredient": has(own, "own-ingredient"),
        "gathering-place": has(await listForagePlaces(db), "gathering-place"),
        "worm-bin": has(await listWormBins(db), "worm-bin"),
        "device": devices.some(({ id, retired }) => id === ids.device && !retired),
      };
    };
    const all = (is: boolean) => Object.fromEntries(THING_KINDS.map((kind) => [kind, is]));
    expect(await offered()).toEqual(all(true));
    for (const kind of THING_KINDS)
      await things.setThingState(farm.context(), { requestKey: key(), kind, id: ids[kind], state: "retired" });
    expect(await offered()).toEqual(all(false));
    for (const kind of THING_KINDS)
      await things.setThingState(farm.context(), { requestKey: key(), kind, id: ids[kind], state: "in-use" });
    expect(await offered()).toEqual(all(true));
  });
  it("goes through any row of states and names, and its history tells every one of them", async () => {
    const drum = await farm.vessel("Drum");
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom("in-use", "lent", "repair", "retired"), { minLength: 1, maxLength: 6 }),
        async (states) => {
          for (const state of states)
            await things.setThingState(farm.context(), { requestKey: key(), kind: "vessel", id: drum, state });
          const told = (await changes()).map(({ was, became }) => [was, became] as const);
          // Each begins as the one before it ended.
          for (const [index, [was]] of told.entries())
            expect(was).toEqual(index === 0 ? { state: "in-use" } : told[index - 1]![1]);
          expect(told.at(-1)?.[1] ?? { state: "in-use" }).toEqual({ state: states.at(-1) });
        },
      ),
      { numRuns: 10 },
    );
  });
});

describe("what a change may not do", () => {
  it("leaves no vessel smaller than what stands in it, and lends none that is full", async () => {
    await farm.lot("molasses", 50, 1);
    await farm.lot("lactic-culture", 50, 1);
    const drum = await farm.vessel("Drum");
    await fillVessel(farm.context(), farm.fillRequest(drum, "cultured-extract", 80));
    const small = await refusalOf(things.changeVessel(farm.context(), { requestKey: key(), id: drum, volumeL: 20 }));
    expect([small.code, Object.keys(small.fields)]).toEqual(["over-brim", ["/volumeL"]]);
    const lent = await refusalOf(
      things.setThingState(farm.context(), { requestKey: key(), kind: "vessel", id: drum, state: "lent" }),
    );
    expect(lent.code).toBe("vessel-filled");
    await things.changeVessel(farm.context(), { requestKey: key(), id: drum, volumeL: 120, site: "barn" });
  });
  it("fills no vessel that is lent, in repair or put away", async () => {
    await farm.lot("molasses", 50, 1);
    await farm.lot("lactic-culture", 50, 1);
    const drum = await farm.vessel("Drum");
    for (const state of ["lent", "repair", "retired"]) {
      await things.setThingState(farm.context(), { requestKey: key(), kind: "vessel", id: drum, state });
      const refused = await refusalOf(fillVessel(farm.context(), farm.fillRequest(drum, "cultured-extract", 80)));
      expect(refused.code).toBe("vessel-away");
    }
  });
  it("keeps one person at least, and whoever is recording", async () => {
    const [ana, ben] = await listActors(farm.scratch.db);
    const away = (id: number) =>
      things.setThingState(farm.context(), { requestKey: key(), kind: "person", id, state: "retired" });
    expect((await refusalOf(away(ana!.id))).code).toBe("recording-as");
    await away(ben!.id);
    expect((await refusalOf(away(ana!.id))).code).toBe("last-person");
    const lent = things.setThingState(farm.context(), {
      requestKey: key(),
      kind: "person",
      id: ben!.id,
      state: "lent",
    });
    expect((await refusalOf(lent)).code).toBe("state-of-kind");
  });
  it("asks an injector for its ratio, and takes the ratio from what becomes a can", async () => {
    const can = await farm.can();
    const change = (facts: object) => things.changeTool(farm.context(), { requestKey: key(), id: can, ...facts });
    expect((await refusalOf(change({ kind: "injector" }))).code).toBe("injector-ratio");
    await change({ kind: "injector", partsWater: 100 });
    await change({ kind: "can" });
    expect((await listTools(farm.scratch.db)).find(({ id }) => id === can)).toMatchObject({
      kind: "can",
      partsWater: null,
    });
  });
});

describe("the farm's settings", () => {
  it("change one by one, keep the rest, and are told in the history", async () => {
    await changeFarm(farm.context(), { requestKey: key(), units: "us", labourPerH: 15.5, name: " New name " });
    await changeFarm(farm.context(), { requestKey: key(), units: "us" });
    expect(await findFarm(farm.scratch.db)).toMatchObject({
      name: "New name",
      units: "us",
      labourMinorPerH: 1550,
      powerMinorPerKWh: 50,
      timeZone: "UTC",
    });
    const [only, ...others] = await changes();
    expect(others).toEqual([]);
    expect(only!.was).toEqual({ name: "Test field", units: "metric", labourMinorPerH: 1200 });
    expect((await refusalOf(changeFarm(farm.context(), { requestKey: key(), timeZone: "Nowhere" }))).code).toBe(
      "no-time-zone",
    );
  });
});
