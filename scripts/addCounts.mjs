import { readFileSync } from "node:fs";

/** Adds up the counts of Jest and Playwright; a runner that left none counts as one failure. */
const [jestFile, playwrightFile, failedStep] = process.argv.slice(2);
const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, "utf8"));
  } catch {
    return null;
  }
};
const jest = read(jestFile);
const browser = read(playwrightFile);
// A suite that could not even load has no test to count.
const jestFailed = jest ? jest.numFailedTests + jest.numRuntimeErrorTestSuites : 1;
const failed = jestFailed + (browser ? browser.failed : 1) + Number(failedStep ?? 0);
const passed = (jest?.numPassedTests ?? 0) + (browser?.passed ?? 0);
console.log(`core and data: ${jest?.numPassedTests ?? 0} passed; interface: ${browser?.passed ?? 0} passed`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);
