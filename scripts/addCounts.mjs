import { readFileSync } from "node:fs";

/** Adds up the counts of Jest and of Playwright's runs; a runner that left none counts as one failure. */
const [failedStep, jestFile, ...browserFiles] = process.argv.slice(2);
const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, "utf8"));
  } catch {
    return null;
  }
};
const jest = read(jestFile);
const browser = browserFiles.map((file) => read(file) ?? { passed: 0, failed: 1 });
// A suite that could not even load has no test to count.
const jestFailed = jest ? jest.numFailedTests + jest.numRuntimeErrorTestSuites : 1;
const jestPassed = jest?.numPassedTests ?? 0;
const browserPassed = browser.reduce((sum, { passed }) => sum + passed, 0);
const failed = jestFailed + browser.reduce((sum, run) => sum + run.failed, 0) + Number(failedStep ?? 0);
const passed = jestPassed + browserPassed;
console.log(`core and data: ${jestPassed} passed; interface: ${browserPassed} passed`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);
