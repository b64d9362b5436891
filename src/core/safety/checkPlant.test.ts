import { PLANTS } from "../book/plants";
import { checkPlant, familyOfCrop, NEVER_FROM } from "./checkPlant";

describe("whether a plant may be picked", () => {
  it.each(PLANTS.filter(({ refused }) => refused !== null).flatMap(({ name, also }) => [name, ...also]))(
    "refuses %s, wherever it grew",
    (name) => expect(checkPlant(name, "our own hedge", []).type).toBe("refused"),
  );
  it("finds a poisonous one in what was typed around it", () => {
    expect(checkPlant("nettles and a little hemlock", "hedge", []).type).toBe("refused");
    expect(checkPlant("Foxglove leaves", "hedge", [])).toMatchObject({ type: "refused" });
    expect(checkPlant("yewtree", "hedge", []).type).toBe("unknown");
  });
  it("lets a harmless one through", () =>
    expect(checkPlant("plantain", "meadow", ["tomatoes"])).toMatchObject({ type: "good" }));
  it("cautions where the plant itself asks for it", () =>
    expect(checkPlant("nettle", "hedge", [])).toMatchObject({
      type: "caution",
      why: expect.stringContaining("gloves") as string,
    }));
  it("does not know what the book does not know", () =>
    expect(checkPlant("moonwort", "hedge", []).type).toBe("unknown"));
  it.each(NEVER_FROM)("picks nothing from %s ground", (ground) =>
    expect(checkPlant("plantain", `the ${ground} behind`, [])).toMatchObject({
      type: "caution",
      why: expect.stringContaining(ground) as string,
    }),
  );
  it("keeps a crop's own kin off it", () => {
    expect(checkPlant("vetch", "field", ["broad beans"])).toMatchObject({
      type: "caution",
      why: expect.stringContaining("pea family") as string,
    });
    expect(checkPlant("vetch", "field", ["onions", "tomatoes"])).toMatchObject({ type: "good" });
  });
});

describe("families of crops", () => {
  it.each([
    ["Tomatoes", "nightshade"],
    ["sweet potato", "bindweed"],
    ["potatoes", "nightshade"],
    ["broad beans", "pea"],
    ["chard", "amaranth"],
    ["leeks", null],
  ])("%s: %s", (crop, family) => expect(familyOfCrop(crop)).toBe(family));
});
