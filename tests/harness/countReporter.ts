import { writeFileSync } from "node:fs";
import type { FullConfig, Reporter, Suite, TestCase, TestResult } from "@playwright/test/reporter";

/** Leaves the counts where bin/test adds them up: written anew after each walk, so that a run that is ended keeps what it had. */
export default class CountReporter implements Reporter {
  private readonly outcomes = new Map<string, TestResult["status"]>();
  private planned = 0;

  onBegin(_config: FullConfig, suite: Suite): void {
    this.planned = suite.allTests().length;
    this.keep(false);
  }
  onTestEnd(test: TestCase, result: TestResult): void {
    this.outcomes.set(test.id, result.status);
    this.keep(false);
  }
  onEnd(): void {
    this.keep(true);
  }

  private keep(ended: boolean): void {
    if (!process.env.COUNTS_FILE) return;
    const statuses = [...this.outcomes.values()];
    const passed = statuses.filter((status) => status === "passed").length;
    const skipped = statuses.filter((status) => status === "skipped").length;
    const failed = statuses.length - passed - skipped;
    const notRun = this.planned - statuses.length;
    writeFileSync(process.env.COUNTS_FILE, JSON.stringify({ ended, passed, failed, skipped: skipped + notRun }));
  }
}
