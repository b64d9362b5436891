/** What the first drum's page proposes, for every method, vessel and unit, fits the server's own schema, and is moved by its own buttons. */
import fc from "fast-check";
import { fieldErrors } from "@/contracts/fieldErrors";
import validators from "@/contracts/generated/acts/fill.cjs";
import { METHODS } from "@/core/book";
import { FIRST_THINGS } from "@/core/choose/firstDrum";
import { parseNumber } from "@/formats/numbers";
import { sayWhatIHave } from "@/words/said";
import {
  asMeasured,
  EMPTY_DRAFT,
  firstRequest,
  needsTreatment,
  workOutFirst,
  type FirstDraft,
  type FirstWorld,
} from "./firstDraft";
import { stepped } from "./step";

const worldIn = (units: "metric" | "us"): FirstWorld => ({ units, own: [], lead: {} });
const ALL: FirstDraft = {
  ...EMPTY_DRAFT,
  vessel: "drum",
  heldBefore: "food",
  things: FIRST_THINGS.map(({ id }) => id),
  hasAir: true,
  water: "rain",
};
const METHOD_IDS = METHODS.filter(({ family }) => family !== "preparation").map(({ id }) => id);
const key = "00000000-0000-4000-8000-000000000000";

describe("a first drum", () => {
  it("asks for one thing after the other, and for nothing that can wait", () => {
    const world = worldIn("metric");
    const gap = (change: Partial<FirstDraft>) => workOutFirst({ ...EMPTY_DRAFT, ...change }, world).gap;
    expect(gap({})).toBe("vessel");
    expect(gap({ vessel: "own", ownVolume: "much" })).toBe("volume");
    expect(gap({ vessel: "drum" })).toBe("before");
    expect(gap({ vessel: "drum", heldBefore: "unfit" })).toBe("unfit");
    expect(gap({ vessel: "drum", heldBefore: "food" })).toBe("method");
    const here = { vessel: "drum", heldBefore: "food", things: ["nettles", "leaf-mould"] } as const;
    expect(gap(here)).toBe("water");
    expect(gap({ ...here, water: "mains" })).toBe("treatment");
    expect(gap({ ...here, water: "rain" })).toBeNull();
    expect(gap({ ...here, water: "rain", wanted: "500" })).toBe("amount");
    expect(gap({ ...here, heldBefore: "manure", methodId: "leaf-soak" })).toBe("barred");
    expect(gap({ ...here, methodId: "aerated-tea" })).toBe("lacking");
  });
  it("never hides a method that was chosen, whatever is touched afterwards", () => {
    fc.assert(
      fc.property(fc.constantFrom(...METHOD_IDS), fc.subarray([...ALL.things]), (methodId, things) => {
        expect(workOutFirst({ ...ALL, methodId, things }, worldIn("metric")).option?.recipe.id).toBe(methodId);
      }),
    );
  });
  it("proposes what the server's schema takes: all methods, all vessels, odd sizes, both units", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHOD_IDS),
        fc.constantFrom("tote", "drum", "barrel", "pail", "bucket", "crock", "jar", "own" as const),
        fc.double({ min: 1.5, max: 3000, noNaN: true }),
        fc.constantFrom("metric" as const, "us" as const),
        (methodId, vessel, size, units) => {
          const draft: FirstDraft = {
            ...ALL,
            methodId,
            vessel: vessel as FirstDraft["vessel"],
            ownVolume: size.toFixed(1),
          };
          const world = worldIn(units);
          const drum = workOutFirst(draft, world);
          const manure = drum.option!.recipe.vesselUse === "manure";
          expect([methodId, vessel, drum.gap]).toEqual([methodId, vessel, manure ? drum.gap : null]);
          if (drum.gap !== null) return;
          const request = { requestKey: key, ...firstRequest(draft, drum, world, null) };
          expect(fieldErrors(validators.startFirstDrum!, request)).toBeNull();
        },
      ),
      { numRuns: 300 },
    );
  });
  it("proposes amounts that can be measured out, and never more than fits", () => {
    expect([asMeasured("136.19"), asMeasured("0.817"), asMeasured("43.2"), asMeasured("13.8 US fl oz")]).toEqual([
      "135",
      "0.8",
      "42",
      "13.5 US fl oz",
    ]);
  });
  it("marks a price that can't be read at its field, and books one lot for a sugar that goes in twice", () => {
    const world = worldIn("metric");
    const draft: FirstDraft = {
      ...ALL,
      methodId: "plant-juice",
      cost: { "brown-sugar": "dear" },
      inAll: { "brown-sugar": "300" },
    };
    const request = firstRequest(draft, workOutFirst(draft, world), world, null);
    expect(
      request.lots.filter(({ ingredientId }) => ingredientId === "brown-sugar").map(({ amount }) => amount),
    ).toEqual([300]);
    expect(fieldErrors(validators.startFirstDrum!, { requestKey: key, ...request })).toHaveProperty(["/lots/1/cost"]);
  });
  it("names the plants that were touched, and says how tap water was treated", () => {
    const world = worldIn("metric");
    const draft: FirstDraft = {
      ...ALL,
      things: ["nettles", "cut-grass", "leaf-mould"],
      methodId: "leaf-soak",
      water: "mains",
      treatment: "vitamin-c",
    };
    const request = firstRequest(draft, workOutFirst(draft, world), world, null);
    expect(request.lots[0]).toMatchObject({ ingredientId: "greens", species: "nettle, grass" });
    expect(request.water?.overrideReason).toMatch(/^2\.\d g of vitamin C/);
    expect([needsTreatment("mains"), needsTreatment("river"), needsTreatment(null)]).toEqual([true, false, false]);
  });
});

describe("an amount moved by its buttons", () => {
  it("goes up and down by steps that a hand would take, and stays readable above nought", () => {
    expect([
      stepped("150", 1),
      stepped("150", -1),
      stepped("15", 1),
      stepped("0.75", 1),
      stepped("13.5 US fl oz", 1),
    ]).toEqual(["160", "140", "16", "0.8", "14 US fl oz"]);
    expect(stepped("some", 1)).toBeNull();
    fc.assert(
      fc.property(
        fc.double({ min: 0.002, max: 20000, noNaN: true }),
        fc.constantFrom(1 as const, -1 as const),
        (value, by) => {
          const next = parseNumber(stepped(String(Number(value.toPrecision(4))), by)!)!;
          expect(next).toBeGreaterThan(0);
          expect(Math.abs(next / value - 1)).toBeLessThan(0.6);
        },
      ),
    );
  });
});

describe("the sentence", () => {
  const said = (things: string[], water: string | null, vessel: string | null = "200 L drum") =>
    sayWhatIHave({ vessel, things: FIRST_THINGS.filter(({ id }) => things.includes(id)), water })
      .map(({ text }) => text)
      .join("");
  it("grows as things are touched, and is a sentence at each step", () => {
    expect(said([], null, null)).toBe("I have a …");
    expect(said([], null)).toBe("I have a 200 L drum.");
    expect(said(["nettles"], null)).toBe("I have a 200 L drum and nettles.");
    expect(said(["nettles"], "Rain water")).toBe("I have a 200 L drum, nettles and rain water.");
    expect(said(["nettles", "comfrey"], null)).toBe("I have a 200 L drum, and nettles and comfrey.");
    expect(said(["nettles", "comfrey", "cut-grass", "castings", "molasses"], "Rain water")).toBe(
      "I have a 200 L drum, nettles, comfrey and 3 more things, and rain water.",
    );
  });
});
