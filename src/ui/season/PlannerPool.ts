import type { Progress } from "@/core/plan/planSeason";
import type { Season, SeasonPlan } from "@/core/plan/season";
import type { Found, FromPlanner, ToPlanner } from "./planTalk";

/** As much of a worker as is used here. */
export interface PlannerWorker {
  postMessage(message: ToPlanner): void;
  addEventListener(type: "message", hear: (event: MessageEvent<FromPlanner>) => void): void;
  terminate(): void;
}
export interface Hearer {
  readonly onProgress: (progress: Progress) => void;
  /** A better plan; with what was found about it where it is the last. */
  readonly onPlan: (plan: SeasonPlan, found: Found | null) => void;
}
interface Asked extends Hearer {
  readonly season: Season;
  readonly id: number;
  readonly ended: Set<number>;
  best: SeasonPlan | null;
  progress: Progress | null;
}

const isBetter = ({ score }: SeasonPlan, than: SeasonPlan | null): boolean =>
  !than || (score.unmet - than.score.unmet || score.cost - than.score.cost || score.fuss - than.score.fuss) < 0;

/** Several searches of one season side by side, each with chance of its own; the best of all is shown. They share nothing. */
export class PlannerPool {
  private readonly workers: PlannerWorker[] = [];
  private asked: Asked | null = null;
  private nth = 0;
  constructor(private readonly make: () => PlannerWorker) {}

  private worker(index: number): PlannerWorker {
    const has = this.workers[index];
    if (has) return has;
    const made = this.make();
    made.addEventListener("message", ({ data }) => this.hear(index, data));
    this.workers[index] = made;
    return made;
  }
  /** @param searches how many go side by side */
  start(season: Season, ms: number, searches: number, hearer: Hearer): void {
    this.nth += 1;
    this.asked = { season, id: this.nth, ended: new Set(), best: null, progress: null, ...hearer };
    for (let index = 0; index < searches; index += 1)
      this.worker(index).postMessage({ type: "plan", id: this.nth, season, ms, seed: this.nth * 101 + index });
    // Of an earlier question, with more searches: what they still say is not heard.
    for (let index = searches; index < this.workers.length; index += 1) this.asked.ended.add(index);
  }
  stop(): void {
    for (const worker of this.workers) worker.postMessage({ type: "stop" });
  }
  end(): void {
    this.asked = null;
    for (const worker of this.workers.splice(0)) worker.terminate();
  }
  private hear(index: number, message: FromPlanner): void {
    const { asked } = this;
    if (!asked || message.id !== asked.id || message.type === "years") return;
    if (message.type === "found") {
      asked.onPlan(asked.best!, message.found);
      this.asked = null;
      return;
    }
    if (message.type === "progress") {
      const { progress } = message;
      const rounds = Math.max(progress.rounds, asked.progress?.rounds ?? 0);
      const score = asked.best?.score;
      asked.progress = score ? { ...progress, rounds, unmet: score.unmet, cost: score.cost, isBuilt: true } : progress;
      asked.onProgress(asked.progress);
      return;
    }
    // A last plan knows the reasons of what it leaves out: it stands before one on the way that is as good.
    const isNews =
      message.type === "ended"
        ? !asked.best || !isBetter(asked.best, message.plan)
        : isBetter(message.plan, asked.best);
    if (isNews) asked.best = message.plan;
    if (message.type === "plan") {
      if (isNews) asked.onPlan(message.plan, null);
      return;
    }
    asked.ended.add(index);
    // The reasons are looked for once, for the best of all.
    if (asked.ended.size === this.workers.length)
      this.worker(index).postMessage({ type: "explain", id: asked.id, season: asked.season, plan: asked.best! });
  }
}
