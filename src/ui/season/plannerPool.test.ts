import { planSeason } from "@/core/plan/planSeason";
import type { SeasonPlan } from "@/core/plan/season";
import { seasonNamed } from "@/testing/season/vectors";
import { PlannerPool, type PlannerWorker } from "./PlannerPool";
import type { Found, FromPlanner, ToPlanner } from "./planTalk";

const SEASON = seasonNamed("three-plots");
const PLAN = planSeason(SEASON, { iterations: 5, seed: 1 }, () => 0);
const costing = (cost: number, unmet = 0): SeasonPlan => ({ ...PLAN, score: { ...PLAN.score, unmet, cost } });
const NONE = { unmetNeeds: 0, cost: 0, starts: 0 };
const FOUND: Found = { unmet: [], fullDrum: NONE, reorder: NONE };

class FakeWorker implements PlannerWorker {
  readonly sent: ToPlanner[] = [];
  isEnded = false;
  private hear: (event: MessageEvent<FromPlanner>) => void = () => undefined;
  postMessage = (message: ToPlanner): void => void this.sent.push(message);
  addEventListener(_type: "message", hear: (event: MessageEvent<FromPlanner>) => void): void {
    this.hear = hear;
  }
  terminate(): void {
    this.isEnded = true;
  }
  says = (message: FromPlanner): void => this.hear({ data: message } as MessageEvent<FromPlanner>);
}
function pool() {
  const workers: FakeWorker[] = [];
  const made = new PlannerPool(() => {
    workers.push(new FakeWorker());
    return workers.at(-1)!;
  });
  const heard: { plan: SeasonPlan; found: Found | null }[] = [];
  const start = (searches: number) =>
    made.start(SEASON, 100, searches, {
      onProgress: () => undefined,
      onPlan: (plan, found) => void heard.push({ plan, found }),
    });
  return { made, workers, heard, start };
}

describe("searches side by side", () => {
  it("each has chance of its own; only better plans are shown; the best alone is explained, once all have ended", () => {
    const { workers, heard, start } = pool();
    start(3);
    const seeds = workers.map(({ sent }) => (sent[0] as Extract<ToPlanner, { type: "plan" }>).seed);
    expect(new Set(seeds).size).toBe(3);
    const [one, two, three] = workers as [FakeWorker, FakeWorker, FakeWorker];
    one.says({ type: "plan", id: 1, plan: costing(50) });
    two.says({ type: "plan", id: 1, plan: costing(60) });
    two.says({ type: "plan", id: 1, plan: costing(40) });
    three.says({ type: "plan", id: 1, plan: costing(10, 3) });
    expect(heard.map(({ plan }) => plan.score.cost)).toEqual([50, 40]);
    one.says({ type: "ended", id: 1, plan: costing(45) });
    three.says({ type: "ended", id: 1, plan: costing(10, 3) });
    expect(workers.flatMap(({ sent }) => sent).some(({ type }) => type === "explain")).toBe(false);
    // As good as the one on the way, and with reasons.
    const last: SeasonPlan = {
      ...costing(40),
      unmet: [{ need: "n", level: "absolute", mode: "any", reasons: ["cold"] }],
    };
    two.says({ type: "ended", id: 1, plan: last });
    expect(two.sent.at(-1)).toMatchObject({ type: "explain", plan: { score: { cost: 40 }, unmet: last.unmet } });
    two.says({ type: "found", id: 1, found: FOUND });
    expect(heard.at(-1)).toEqual({ plan: last, found: FOUND });
  });

  it("what belongs to an earlier question is not heard, and all are stopped and ended together", () => {
    const { made, workers, heard, start } = pool();
    start(2);
    start(1);
    workers[1]!.says({ type: "ended", id: 1, plan: costing(1) });
    expect(heard).toEqual([]);
    made.stop();
    expect(workers.every(({ sent }) => sent.at(-1)!.type === "stop")).toBe(true);
    workers[0]!.says({ type: "ended", id: 2, plan: costing(7) });
    expect(workers[0]!.sent.at(-1)).toMatchObject({ type: "explain", id: 2 });
    made.end();
    workers[0]!.says({ type: "found", id: 2, found: FOUND });
    expect(heard).toEqual([]);
    expect(workers.every(({ isEnded }) => isEnded)).toBe(true);
  });
});
