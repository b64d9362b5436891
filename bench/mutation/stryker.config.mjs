/** Mutation testing of the ferment engine and of its verdicts; see bench/README.md. */
const config = {
  packageManager: "npm",
  testRunner: "jest",
  jest: { projectType: "custom", configFile: "bench/mutation/jest.config.mjs", enableFindRelatedTests: true },
  coverageAnalysis: "perTest",
  mutate: ["src/core/ferment/**/*.ts", "src/core/judge/**/*.ts", "!src/**/*.test.ts"],
  // Figures of the tables are facts, not code: a mutant of one is another fact.
  ignorePatterns: [".next", ".local", "docs", "tests/farms"],
  reporters: ["clear-text", "progress-append-only", "json"],
  jsonReporter: { fileName: ".local/mutation/report.json" },
  clearTextReporter: { logTests: false, reportTests: false, allowColor: false },
  tempDirName: ".local/mutation/work",
  concurrency: 2,
  timeoutMS: 20_000,
};
export default config;
