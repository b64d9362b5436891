import { batchEstimate, farmPrior } from "./farmPrior";

describe("what finished batches teach", () => {
  it("is nothing where a batch's posterior is its prior", () =>
    expect(batchEstimate({ mean: 0.01, sd: 0.199, priorMean: 0, priorSd: 0.2 })).toBeNull());
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
