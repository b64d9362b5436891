import { writeFileSync } from "node:fs";
import type { Reporter, TestCase, TestResult } from "@playwright/test/reporter";

/** Leaves the counts where bin/test adds them up. */
export default class CountReporter implements Reporter {
  private readonly outcomes = new Map<string, TestResult["status"]>();
  onTestEnd(test: TestCase, result: TestResult): void {
    this.outcomes.set(test.id, result.status);
  }
  onEnd(): void {
    const statuses = [...this.outcomes.values()];
    const passed = statuses.filter((status) => status === "passed").length;
    const skipped = statuses.filter((status) => status === "skipped").length;
    if (process.env.COUNTS_FILE)
      writeFileSync(
        process.env.COUNTS_FILE,
        JSON.stringify({ passed, failed: statuses.length - passed - skipped, skipped }),
      );
  }
}
