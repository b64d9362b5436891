import { findRecipe } from "../book";
import { equipmentGaps, type OwnedEquipment } from "./needs";

const TODAY = "2031-03-20";
const tool = (kind: OwnedEquipment["kind"], change: Partial<OwnedEquipment> = {}): OwnedEquipment => ({
  kind,
  name: kind,
  count: 1,
  size: null,
  outlets: null,
  broken: false,
  dirtyFrom: null,
  calibratedOn: null,
  busy: false,
  ...change,
});
const gaps = (
  methodId: string,
  owned: readonly OwnedEquipment[],
  litres = 150,
  airC: number | null = null,
  hasOwnAir = false,
) =>
  equipmentGaps(findRecipe(methodId), litres, owned, TODAY, { airC, hasOwnAir }).map(
    ({ kind, weight }) => `${kind} ${weight}`,
  );
const FOR_TEA = [tool("pump", { size: 60 }), tool("stone", { count: 3 }), tool("tubing"), tool("sieve")];

describe("what a batch lacks", () => {
  it("names all that a tea needs where there is nothing", () =>
    expect(gaps("aerated-tea", [])).toEqual(["pump missing", "stone missing", "tubing missing", "sieve missing"]));
  it("is content with a whole set", () => expect(gaps("aerated-tea", FOR_TEA)).toEqual([]));
  it("does without a pump where the vessel has its own air", () =>
    expect(gaps("aerated-tea", FOR_TEA.slice(1), 150, null, true)).toEqual([]));
  it("says when the pump is too weak and the stones too few", () =>
    expect(
      gaps("aerated-tea", [tool("pump", { size: 20 }), tool("stone"), tool("tubing"), tool("sieve")], 700),
    ).toEqual(["pump small", "stone small"]));
  it("wants stones washed between families, not within one", () => {
    const with_ = (dirtyFrom: OwnedEquipment["dirtyFrom"]) =>
      FOR_TEA.map((one) => (one.kind === "stone" ? { ...one, dirtyFrom } : one));
    expect(gaps("aerated-tea", with_("soak"))).toEqual(["stone wash"]);
    expect(gaps("aerated-tea", with_("bloom"))).toEqual([]);
  });
  it("does not count what is broken or in another drum", () => {
    expect(
      gaps(
        "aerated-tea",
        FOR_TEA.map((one) => ({ ...one, broken: one.kind === "pump" })),
      ),
    ).toEqual(["pump missing"]);
    expect(
      gaps(
        "aerated-tea",
        FOR_TEA.map((one) => ({ ...one, busy: one.kind === "stone" })),
      ),
    ).toEqual(["stone missing"]);
  });
  it("wants a meter that was calibrated within the month where pH decides", () => {
    const have = [tool("airlock"), tool("sieve"), tool("bag")];
    expect(gaps("cultured-extract", have)).toContain("ph-meter missing");
    expect(gaps("cultured-extract", [...have, tool("ph-meter", { calibratedOn: "2031-02-01" })])).toContain(
      "ph-meter calibrate",
    );
    expect(gaps("cultured-extract", [...have, tool("ph-meter", { calibratedOn: "2031-03-01" })])).not.toContain(
      "ph-meter calibrate",
    );
    expect(gaps("cultured-extract", [...have, tool("ph-meter")])).toContain("ph-meter calibrate");
  });
  it("wants a heater where the air is cold, and one that is strong enough", () => {
    expect(gaps("aerated-tea", FOR_TEA, 150, 8)).toEqual(["heater missing"]);
    expect(gaps("aerated-tea", [...FOR_TEA, tool("heater", { size: 20 })], 150, 8)).toEqual(["heater small"]);
    expect(gaps("aerated-tea", [...FOR_TEA, tool("heater", { size: 500 })], 150, 8)).toEqual([]);
  });
});
