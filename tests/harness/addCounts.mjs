import { readFileSync } from "node:fs";

/**
 * Adds up what the steps of bin/test left: `node addCounts.mjs STEP=FILE … [failed=STEP …]`, and says it in a line a step and one
 * closing line over all. A step that was ended before its end, or left nothing, is one failure, and what it had finished counts.
 */
const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, "utf8"));
  } catch {
    return null;
  }
};
const total = { passed: 0, failed: 0, skipped: 0 };
for (const argument of process.argv.slice(2)) {
  const [step, file] = argument.split(/=(.*)/s);
  if (step === "failed") {
    total.failed += 1;
    console.log(`${file}: failed`);
    continue;
  }
  const counts = read(file);
  if (!counts) {
    total.failed += 1;
    console.log(`${step}: did not begin`);
    continue;
  }
  const { ended, passed, failed, skipped, filesLeft = 0 } = counts;
  total.passed += passed;
  total.failed += failed + (ended ? 0 : 1);
  total.skipped += skipped;
  const more = [
    ...(skipped > 0 ? [`${skipped} not run`] : []),
    ...(ended ? [] : [`ended before its end${filesLeft > 0 ? ` with ${filesLeft} files to go` : ""}`]),
  ];
  console.log(`${step}: ${[`${passed} passed`, `${failed} failed`, ...more].join(", ")}`);
}
const { passed, failed, skipped } = total;
console.log(`${passed} passed, ${failed} failed${skipped > 0 ? `, ${skipped} skipped` : ""}`);
process.exit(failed > 0 || passed === 0 ? 1 : 0);
