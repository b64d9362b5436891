import { spawnSync } from "node:child_process";
import path from "node:path";
import { answer, type Answer } from "./answer";

const ROOT = path.resolve(__dirname, "../..");
/** The command as a shell has it, from anywhere. */
const shell = (args: readonly string[], input = ""): Answer => {
  const { status, stdout, stderr } = spawnSync(path.join(ROOT, "bin/core"), args, {
    input,
    encoding: "utf8",
    cwd: "/",
  });
  return { status: status ?? -1, stdout, stderr };
};
/** The same without a process of its own: that it is the same is tested once. */
const core = (args: readonly string[], input = "") => answer(args, () => input);
const refusal = (task: string, input: unknown) => {
  const { status, stdout, stderr } = core([task], typeof input === "string" ? input : JSON.stringify(input));
  expect(stdout).toBe("");
  expect(status).toBe(2);
  expect(stderr).not.toMatch(/^\s+at /m);
  return (JSON.parse(stderr) as { error: { code: string; message: string; path: string } }).error;
};

describe("bin/core", () => {
  it("answers one JSON value from anywhere, without a build or a database", () => {
    const dilute = JSON.stringify({ total: { value: 16, unit: "L" }, ratio: "1:500" });
    const { status, stdout } = shell(["dilute"], dilute);
    expect(status).toBe(0);
    expect(core(["dilute"], dilute).stdout).toBe(stdout);
    const brew = shell(["brew"], "{}");
    expect(brew).toMatchObject({ status: 2, stdout: "" });
    expect(brew).toEqual(core(["brew"], "{}"));
    // A long answer comes whole through a pipe.
    const forecast = core(["forecast", "--example"]).stdout;
    expect(shell(["forecast"], forecast)).toEqual(core(["forecast"], forecast));
    expect((JSON.parse(stdout) as { mlPerL: number }).mlPerL).toBe(2);
  });
  it("lists its tasks, and prints schemas and an example that works", () => {
    expect(core(["--help"]).stdout).toContain("loads");
    expect(JSON.parse(core(["scale", "--schema"]).stdout)).toHaveProperty("input.required");
    expect(core(["cost"], core(["cost", "--example"]).stdout).status).toBe(0);
  });
  it.each([
    ["what is not JSON", "convert", "twelve gallons", "not-json", ""],
    ["a missing field, by its pointer", "convert", { quantity: { value: 1, unit: "L" } }, "schema", "/to"],
    ["a number in words", "convert", { quantity: { value: "one", unit: "L" }, to: "L" }, "schema", "/quantity/value"],
    ["less than nothing", "convert", { quantity: { value: -1, unit: "L" }, to: "mL" }, "negative", "/quantity/value"],
    [
      "colder than cold",
      "convert",
      { quantity: { value: -300, unit: "°C" }, to: "°F" },
      "out-of-range",
      "/quantity/value",
    ],
    [
      "an absurd lake",
      "convert",
      { quantity: { value: 1e12, unit: "L" }, to: "mL" },
      "out-of-range",
      "/quantity/value",
    ],
    ["1:0", "dilute", { total: { value: 16, unit: "L" }, ratio: "1:0" }, "ratio-without-water", "/ratio"],
    ["too little to go by", "dilute", { total: { value: 16, unit: "L" } }, "dilution-underdetermined", ""],
    [
      "a drum of five million litres",
      "scale",
      { method: "cultured-extract", vessel: { volume: { value: 5e6, unit: "L" } } },
      "out-of-range",
      "/vessel/volume",
    ],
    [
      "a school that does not exist",
      "scale",
      { method: "plant-juice", school: "none", vessel: { volume: { value: 20, unit: "L" } } },
      "unknown-school",
      "/school",
    ],
    [
      "a use that does not exist",
      "loads",
      {
        use: "bathe",
        ratio: "1:1",
        mixRate: { value: 1, unit: "L/m2" },
        plots: [{ id: "a", area: { value: 1, unit: "m2" } }],
        tool: { volume: { value: 10, unit: "L" } },
      },
      "unknown-use",
      "/use",
    ],
    [
      "no tool at all",
      "loads",
      {
        use: "foliar",
        ratio: "1:1",
        mixRate: { value: 1, unit: "L/m2" },
        plots: [{ id: "a", area: { value: 1, unit: "m2" } }],
      },
      "one-tool",
      "/tool",
    ],
    [
      "a batch forecast before it began",
      "forecast",
      {
        method: "plant-juice",
        vesselVolume: { value: 5, unit: "L" },
        startedAt: "2031-03-02T08:00:00Z",
        now: "2031-03-01T08:00:00Z",
      },
      "time-order",
      "/now",
    ],
    ["a yield of nothing", "cost", { lots: [], yield: { value: 0, unit: "L" } }, "not-positive", "/yield"],
  ])("refuses %s", (_what, task, input, code, at) => {
    expect(refusal(task, input)).toMatchObject({ code, path: at });
  });
  it("knows no task of another name", () => expect(refusal("brew", {}).code).toBe("unknown-task"));
  it("guesses a temperature where none is given, and says that it did", () => {
    const input = {
      method: "plant-juice",
      vesselVolume: { value: 5, unit: "L" },
      startedAt: "2031-03-01T08:00:00Z",
      now: "2031-03-02T08:00:00Z",
    };
    const answer = JSON.parse(core(["forecast"], JSON.stringify(input)).stdout) as { state: string; assumed: string[] };
    expect(answer.state).toBe("early");
    expect(answer.assumed[0]).toContain("nothing known");
  });
  it("takes a batch in the model's own terms, and says never as null", () => {
    const model = { batch: { method: "A1_starch_bloom", T0: 13, ambient: 13, amp: 0 }, now: 24, times: [48] };
    const answer = JSON.parse(core(["forecast"], JSON.stringify({ model })).stdout) as Record<string, unknown>;
    expect(answer).toMatchObject({ start: { p50: null }, codes: expect.arrayContaining(["cold_no_bloom"]) });
    // What the farm's batches taught may stand in the batch or beside it, and moves the answer: e to 0.2 slower or faster.
    const prior = { m: 0.2, s: 0.05 };
    const ask = (change: object) =>
      JSON.parse(core(["forecast"], JSON.stringify({ model: { ...model, ...change } })).stdout) as {
        u: { priorMean: number };
      };
    const beside = ask({ prior });
    expect(beside.u.priorMean).toBe(0.2);
    expect(ask({ batch: { ...model.batch, prior } })).toEqual(beside);
    expect(refusal("forecast", { model: { ...model, prior: { m: 0.2 } } }).path).toBe("/model/prior/s");
    expect(refusal("forecast", { model: { batch: { method: "Z9_nothing" }, now: 1 } }).path).toBe(
      "/model/batch/method",
    );
    const run = JSON.parse(core(["trajectory"], core(["trajectory", "--example"]).stdout).stdout) as { start: number };
    expect(run.start).toBeCloseTo(44.5, 0);
  });
});
