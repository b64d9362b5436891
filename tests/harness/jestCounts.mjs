import { writeFileSync } from "node:fs";

/** Leaves the counts where bin/test adds them up: written anew after each file, so that a run that is ended keeps what it had. */
export default class JestCounts {
  counts = { ended: false, passed: 0, failed: 0, skipped: 0, filesLeft: 0 };

  onRunStart(results) {
    this.counts.filesLeft = results.numTotalTestSuites;
    this.keep();
  }
  onTestResult(_test, result) {
    this.counts.passed += result.numPassingTests;
    this.counts.skipped += result.numPendingTests + result.numTodoTests;
    // A file that could not even load has no test to count.
    this.counts.failed += result.numFailingTests + (result.testExecError && result.numFailingTests === 0 ? 1 : 0);
    this.counts.filesLeft -= 1;
    this.keep();
  }
  onRunComplete() {
    this.counts.ended = true;
    this.keep();
  }

  keep() {
    if (process.env.COUNTS_FILE) writeFileSync(process.env.COUNTS_FILE, JSON.stringify(this.counts));
  }
}
