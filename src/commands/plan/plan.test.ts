import { seasonNamed } from "@/testing/season/vectors";
import type { SeasonPlan } from "@/core/plan/season";
import { answer } from "../answer";

const ask = (input: object) => answer(["plan"], () => JSON.stringify(input));
const search = { iterations: 60, seed: 2 };
const season = seasonNamed("three-plots");

describe("bin/core plan", () => {
  test("plans a season, and finds nothing broken in its own plan", () => {
    const { status, stdout } = ask({ season, search });
    expect(status).toBe(0);
    const plan = JSON.parse(stdout) as SeasonPlan;
    expect(plan).toMatchObject({
      format: "ruchka-season-plan",
      season: "three-plots",
      search: { seed: 2, iterations: 60 },
    });
    const checked = JSON.parse(ask({ season, check: plan }).stdout) as {
      feasible: boolean;
      broken: unknown[];
      score: object;
    };
    expect(checked).toMatchObject({
      feasible: true,
      broken: [],
      score: { unmet: plan.score.unmet, cost: plan.score.cost },
    });
  });

  test("a season with quantities and dates is the same season, and is answered in them", () => {
    const bare = {
      ...season,
      vessels: season.vessels.map(({ volumeL, cleanD, ...rest }) => ({
        ...rest,
        volume: { value: volumeL * 1000, unit: "mL" },
        clean: { value: cleanD * 24, unit: "h" },
      })),
      needs: season.needs.map(({ workMin, ...rest }) => ({ ...rest, work: { value: workMin / 60, unit: "h" } })),
      search,
    };
    const plain = JSON.parse(ask({ season, search }).stdout) as SeasonPlan;
    const told = JSON.parse(ask(bare).stdout) as {
      batches: { startOn: string; fill: object }[];
      score: object;
      text: string;
      assumed: string[];
    };
    expect(told.score).toEqual(plain.score);
    expect(told.batches[0]).toMatchObject({
      startOn: "2026-03-03",
      fill: { value: plain.batches[0]!.fillL, unit: "L" },
    });
    expect(told.text).toBe("5 of 6 applications planned; unmet 3, cost 173.4.");
  });

  test.each([
    ["a first day that is no Monday", { ...season, firstDay: "2026-03-03" }, "season-fault", "/season/firstDay"],
    ["a day beyond the season", { ...season, nowDay: 28 }, "season-fault", "/season/nowDay"],
    [
      "an id twice",
      {
        ...season,
        stores: [1, 2].map(() => ({ id: "s", input: "compost-tea", onHandL: 1, fromDay: 0, expiresDay: 9 })),
      },
      "season-fault",
      "/season/stores/1/id",
    ],
    [
      "a feed of nothing",
      { ...season, inputs: season.inputs.map((one) => ({ ...one, feeds: [{ input: "moon", perL: 1 }] })) },
      "season-fault",
      "/season/inputs/0/feeds/0/input",
    ],
    [
      "a week without minutes",
      { ...season, labour: { ...season.labour, weekMin: [90] } },
      "season-fault",
      "/season/labour/weekMin",
    ],
    ["a negative volume", { ...season, cans: { volumeL: -1, count: 2 } }, "schema", "/season/cans/volumeL"],
  ])("%s is refused at its path", (_what, told, code, path) => {
    const { status, stderr } = ask({ season: told, search });
    expect(status).toBe(2);
    expect((JSON.parse(stderr) as { error: object }).error).toMatchObject({ code, path });
  });

  test("no needs want no starts", () => {
    const plan = JSON.parse(ask({ season: { ...season, needs: [] }, search }).stdout) as SeasonPlan;
    expect(plan).toMatchObject({ batches: [], applications: [], unmet: [], score: { unmet: 0, cost: 0 } });
  });
});
