/** What the first drum's page proposes, the farm starts: every method, through the page's own request. */
import { METHODS } from "@/core/book";
import { FIRST_THINGS } from "@/core/choose/firstDrum";
import { listRunningBatches } from "@/data/batch";
import { listLotsOnHand, listOpenPlans } from "@/data/shed";
import { listVesselStates } from "@/data/vessels";
import { key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { EMPTY_DRAFT, firstRequest, workOutFirst, type FirstDraft } from "@/ui/first/firstDraft";
import { fillVessel } from "./fillVessel";
import { startFirstDrum } from "./startFirstDrum";

const ALL: FirstDraft = {
  ...EMPTY_DRAFT,
  vessel: "drum",
  heldBefore: "food",
  things: FIRST_THINGS.map(({ id }) => id),
  hasAir: true,
  water: "well",
};

describe("a first drum", () => {
  let farm: TestFarm;
  beforeEach(async () => {
    farm = await TestFarm.make();
  });
  afterEach(() => farm.scratch.drop());
  const requestOf = (change: Partial<FirstDraft>, units: "metric" | "us" = "metric", forDay: string | null = null) => {
    const draft = { ...ALL, ...change };
    const world = { units, own: [], lead: {} };
    const drum = workOutFirst(draft, world);
    expect([change.methodId, drum.gap]).toEqual([change.methodId, null]);
    return { requestKey: key(), ...firstRequest(draft, drum, world, forDay) };
  };

  it("starts every method of the book in every common vessel, in litres and in gallons", async () => {
    const vessels = ["tote", "barrel", "pail", "bucket", "crock", "jar", "drum"] as const;
    for (const [index, { id, vesselUse }] of METHODS.filter(({ family }) => family !== "preparation").entries()) {
      const units = index % 2 === 0 ? "metric" : "us";
      const vessel = vessels[index % vessels.length]!;
      const heldBefore = vesselUse === "manure" ? "manure" : "food";
      const request = requestOf({ methodId: id, vessel, heldBefore }, units);
      const { batchId } = await startFirstDrum(farm.context(), request).catch((error: unknown) => {
        throw new Error(`${id} in a ${vessel}: ${JSON.stringify(error)}`);
      });
      expect(batchId).not.toBeNull();
    }
    expect(await listRunningBatches(farm.scratch.db)).toHaveLength(
      METHODS.filter(({ family }) => family !== "preparation").length,
    );
    const names = (await listVesselStates(farm.scratch.db)).map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
  });
  it("brings what somebody has into stock with its price, and leaves the rest of it there", async () => {
    const request = requestOf({ methodId: "leaf-soak", inAll: { "leaf-mould": "3" }, cost: { "leaf-mould": "6" } });
    await startFirstDrum(farm.context(), request);
    const [left, ...others] = await listLotsOnHand(farm.scratch.db);
    const used = request.fill.lines.find(({ ingredientId }) => ingredientId === "leaf-mould")!.used;
    expect(others).toEqual([]);
    expect([left!.ingredientId, left!.origin, left!.costMinor]).toEqual(["leaf-mould", "bought", 600]);
    expect(left!.onHand).toBeCloseTo(3 - used, 6);
  });
  it("writes nothing where one part of it is refused, and says it at the field of that part", async () => {
    const request = requestOf({ methodId: "leaf-soak" });
    const poisonous = {
      ...request,
      lots: request.lots.map((lot) => ({ ...lot, ...(lot.species ? { species: "hemlock" } : {}) })),
    };
    expect((await refusalOf(startFirstDrum(farm.context(), poisonous))).code).toBe("poisonous");
    const tap = { ...request, requestKey: key(), water: { kind: "mains", carbon: false, overrideReason: null } };
    expect(Object.keys((await refusalOf(startFirstDrum(farm.context(), tap))).fields)).toEqual([
      "/fill/water/overrideReason",
    ]);
    expect(await listVesselStates(farm.scratch.db)).toEqual([]);
    expect(await listLotsOnHand(farm.scratch.db)).toEqual([]);
  });
  it("takes tap water that ran through carbon, and tap water that somebody says how it was treated", async () => {
    const treatments = ["carbon", "vitamin-c", "stood"] as const;
    for (const treatment of treatments)
      await startFirstDrum(farm.context(), requestOf({ methodId: "leaf-soak", water: "mains", treatment }));
    expect(await listRunningBatches(farm.scratch.db)).toHaveLength(treatments.length);
  });
  it("plans it for a day instead: the vessel stands, what is there is in stock, and the plan keeps it", async () => {
    const request = requestOf({ methodId: "leaf-soak" }, "metric", "2031-03-25");
    expect(await startFirstDrum(farm.context(), request)).toMatchObject({ batchId: null });
    expect((await listOpenPlans(farm.scratch.db)).map(({ forDay }) => forDay)).toEqual(["2031-03-25"]);
    expect((await listLotsOnHand(farm.scratch.db)).length).toBeGreaterThan(0);
    const gone = { ...requestOf({ methodId: "leaf-soak" }, "metric", "2030-01-01") };
    expect(Object.keys((await refusalOf(startFirstDrum(farm.context(), gone))).fields)).toEqual(["/fill/forDay"]);
  });
  it("keeps a vessel that held manure from all else afterwards", async () => {
    const request = requestOf({ methodId: "dung-flour-ferment", heldBefore: "manure" });
    const { vesselId } = await startFirstDrum(farm.context(NOW), { ...request, forDay: "2031-04-20" });
    await farm.lot("molasses", 50, 1);
    await farm.lot("lactic-culture", 50, 1);
    const fill = farm.fillRequest(vesselId, "cultured-extract", 80);
    expect((await refusalOf(fillVessel(farm.context(), fill))).code).toBe("vessel-of-dung");
  });
});
