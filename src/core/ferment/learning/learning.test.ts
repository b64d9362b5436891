import { batchEstimate, farmPrior } from "./farmPrior";

describe("what finished batches teach", () => {
  it("is nothing where a batch's posterior is its prior", () =>
    expect(batchEstimate({ mean: 0.01, sd: 0.199, priorMean: 0, priorSd: 0.2 })).toBeNull());
  it("takes a prior out of a posterior exactly: what is put in comes back", () => {
    // A farm at 0.3, a reading of it with sd 0.1, a prior of 0.1 with sd 0.2: precisions add, means weigh.
    const precision = 1 / 0.1 ** 2 + 1 / 0.2 ** 2;
    const mean = (0.3 / 0.1 ** 2 + 0.1 / 0.2 ** 2) / precision;
    const found = batchEstimate({ mean, sd: 1 / Math.sqrt(precision), priorMean: 0.1, priorSd: 0.2 })!;
    expect(found.u).toBeCloseTo(0.3, 12);
    expect(found.se).toBeCloseTo(0.1, 12);
  });
  it("learns the spread from four batches on, by hand's arithmetic", () => {
    const estimates = [0.4, -0.2, 0.3, -0.1].map((u) => ({ u, se: 0.1 }));
    const [farmSd, batchSd] = [0.2, 0.15];
    const weight = 1 / (batchSd ** 2 + 0.01);
    const first = (0.4 * weight) / (1 / farmSd ** 2 + 4 * weight);
    const share = (batchSd ** 2 / (batchSd ** 2 + 0.01)) ** 2;
    const sum = estimates.reduce((total, { u }) => total + share * ((u - first) ** 2 - 0.01), 0);
    const spread = Math.sqrt((8 * batchSd ** 2 + sum) / (8 + 4 * share));
    const precision = 1 / farmSd ** 2 + 4 / (spread ** 2 + 0.01);
    const { mean, sd } = farmPrior(estimates, farmSd, batchSd);
    expect(mean).toBeCloseTo(0.4 / (spread ** 2 + 0.01) / precision, 12);
    expect(sd).toBeCloseTo(Math.sqrt(1 / precision + spread ** 2), 12);
    expect(farmPrior(estimates.slice(0, 3), farmSd, batchSd).sd).toBeCloseTo(
      Math.sqrt(1 / (1 / farmSd ** 2 + 3 * weight) + batchSd ** 2),
      12,
    );
  });
  it("goes back to the plain prior without any", () => {
    const { mean, sd } = farmPrior([], 0.18, 0.12);
    expect(mean).toBe(0);
    expect(sd).toBeCloseTo(Math.hypot(0.18, 0.12), 12);
  });
  it("draws near the farm's own pace as batches come in, and grows surer", () => {
    const after = (count: number) =>
      farmPrior(
        Array.from({ length: count }, () => ({ u: 0.3, se: 0.08 })),
        0.18,
        0.12,
      );
    expect(after(1).mean).toBeLessThan(after(3).mean);
    expect(after(8).mean).toBeGreaterThan(0.25);
    expect(after(8).sd).toBeLessThan(after(1).sd);
  });
  it("learns that a farm's batches scatter more than thought", () => {
    const scattered = [-0.5, 0.5, -0.4, 0.45, -0.5, 0.5].map((u) => ({ u, se: 0.05 }));
    const even = [0.1, 0.1, 0.1, 0.1, 0.1, 0.1].map((u) => ({ u, se: 0.05 }));
    expect(farmPrior(scattered, 0.18, 0.12).sd).toBeGreaterThan(farmPrior(even, 0.18, 0.12).sd * 1.3);
  });
});
