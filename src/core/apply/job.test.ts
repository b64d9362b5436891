import fc from "fast-check";
import { injectorChain } from "./chain";
import { inLayers, LAID, layerFaults, shareOverSteps, type JobStep, type PutOnStep } from "./job";

const anyPlots = fc.uniqueArray(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 4 });
const anyPutOn = fc.record({
  does: fc.constant("put-on" as const),
  storeId: fc.constant(1),
  use: fc.constantFrom("foliar" as const, "drench-growing" as const, "compost" as const),
  ratio: fc.constant("1:10"),
  priority: fc.constantFrom(1 as const, 2 as const, 3 as const),
  plotIds: anyPlots,
  litresPerM2: fc.double({ min: 0.05, max: 5, noNaN: true }),
  partsWater: fc.integer({ min: 0, max: 300 }),
});
const anyStep: fc.Arbitrary<Omit<JobStep, "key">> = fc.oneof(
  anyPutOn,
  fc.record({
    does: fc.constant("lay" as const),
    what: fc.constantFrom(...LAID),
    depthCm: fc.constantFrom(null, 15),
    plotIds: anyPlots,
    litresPerM2: fc.constant(4),
  }),
  fc.record({ does: fc.constant("water" as const), plotIds: anyPlots, litresPerM2: fc.constant(5) }),
);
const keyed = <S extends object>(steps: readonly S[]): (S & { key: string })[] =>
  steps.map((step, index) => ({ ...step, key: `s${index}` }));

describe("layers of a job", () => {
  it("in their order have no fault, whatever they are, and none is lost", () => {
    fc.assert(
      fc.property(fc.array(anyStep, { maxLength: 7 }), (steps) => {
        const told = keyed(steps) as JobStep[];
        const ordered = inLayers(told);
        expect(layerFaults(ordered)).toEqual([]);
        expect(new Set(ordered)).toEqual(new Set(told));
      }),
    );
  });
  it("go castings, concentrate, water, mulch; what comes after its cover is told", () => {
    const on = { plotIds: [1], litresPerM2: 2 };
    const castings: JobStep = { ...on, key: "c", does: "lay", what: "castings", depthCm: null };
    const mulch: JobStep = { ...on, key: "m", does: "lay", what: "mulch", depthCm: null };
    const char: JobStep = { ...on, key: "h", does: "lay", what: "char", depthCm: 15 };
    const brew: JobStep = {
      ...on,
      key: "b",
      does: "put-on",
      storeId: 1,
      use: "drench-bare",
      ratio: "neat",
      priority: 2,
    };
    const water: JobStep = { ...on, key: "w", does: "water" };
    expect(inLayers([mulch, water, brew, castings, char]).map(({ key }) => key)).toEqual(["h", "c", "b", "w", "m"]);
    expect(layerFaults([mulch, brew])).toEqual([{ code: "covered-too-soon", stepKey: "b", beforeKey: "m" }]);
    expect(layerFaults([castings, char])).toEqual([{ code: "dug-through", stepKey: "h", beforeKey: "c" }]);
    expect(layerFaults([mulch, { ...brew, plotIds: [2] }])).toEqual([]);
    expect(layerFaults([mulch, { ...brew, use: "foliar" }, water])).toEqual([]);
    expect(
      layerFaults([
        { ...brew, use: "foliar" },
        { ...brew, key: "d", use: "drench-growing" },
      ]),
    ).toEqual([]);
  });
});

describe("one store over uses of different strength", () => {
  const plots = new Map([1, 2, 3, 4, 5, 6].map((id) => [id, { id, areaM2: 4 + id }]));
  it("never gives more than there is, nor a plot more than it wants, and all of it where it reaches", () => {
    fc.assert(
      fc.property(
        fc.array(anyPutOn, { minLength: 1, maxLength: 5 }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (asked, availableL) => {
          const steps = keyed(asked);
          const shares = shareOverSteps(
            availableL,
            steps,
            (step) => (step as PutOnStep & { partsWater: number }).partsWater,
            plots,
          );
          const given = shares.reduce((sum, { givenL }) => sum + givenL, 0);
          const wanted = shares.reduce((sum, { wantedL }) => sum + wantedL, 0);
          expect(given).toBeLessThanOrEqual(availableL + 1e-6);
          for (const share of shares) expect(share.givenL).toBeLessThanOrEqual(share.wantedL + 1e-6);
          if (wanted <= availableL) expect(given).toBeCloseTo(wanted, 6);
          shares.forEach(({ plots: parts }, index) => {
            for (const { concentrateL, mixL } of parts)
              expect(mixL).toBeCloseTo(concentrateL * (1 + steps[index]!.partsWater), 6);
          });
        },
      ),
    );
  });
  it("serves who wants it most before who comes first", () => {
    const at = (key: string, priority: 1 | 3, plotIds: number[]): PutOnStep => ({
      key,
      does: "put-on",
      storeId: 1,
      use: "compost",
      ratio: "neat",
      priority,
      plotIds,
      litresPerM2: 1,
    });
    const shares = shareOverSteps(6, [at("can-wait", 3, [1]), at("most", 1, [2])], () => 0, plots);
    expect(shares.map(({ key, givenL }) => [key, givenL])).toEqual([
      ["can-wait", 0],
      ["most", 6],
    ]);
    expect(shares[0]!.without).toMatchObject([{ plotId: 1, reason: { code: "not-enough-left" } }]);
  });
});

describe("an injector's chain", () => {
  it("reaches the dose that is wanted, or says that undiluted is not enough", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 1, max: 500 }), (partsWater, injector) => {
        const chain = injectorChain({ partsWater }, injector);
        expect(chain === null).toBe(partsWater < injector);
        if (chain) expect((1 + chain.tankPartsWater) * (1 + injector)).toBeCloseTo(1 + partsWater, 6);
      }),
    );
  });
});
