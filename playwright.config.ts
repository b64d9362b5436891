import { defineConfig } from "@playwright/test";

/** Debian's headless browser, kept off the network. */
const launchOptions = {
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium-headless-shell",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--disable-dev-shm-usage",
  ],
};

export default defineConfig({
  testDir: "tests",
  testMatch: "**/*.spec.ts",
  // Each walk has a farm of its own (tests/harness/farm.ts), so that they may go in any order and side by side.
  fullyParallel: true,
  workers: Number(process.env.TEST_WORKERS ?? 1),
  retries: 0,
  // Limits end what hangs; a machine many times slower than the usual must not meet them.
  timeout: 900_000,
  expect: { timeout: 90_000 },
  reporter: [["list"], ["./tests/harness/countReporter.ts"]],
  // A trace of every act costs more than the walk itself: TRACE=1 keeps one of what fails.
  use: {
    launchOptions,
    // Only the walk without a signal has pages on the device; the others would fetch them all for nothing.
    serviceWorkers: "block",
    // Nothing is waited for that only moves.
    contextOptions: { reducedMotion: "reduce" },
    actionTimeout: 240_000,
    trace: process.env.TRACE ? "retain-on-failure" : "off",
  },
  // A walk is done at the width at which it is done most: a laptop's, a thumb's where it says "@phone", and at either where a thumb's is another screen.
  projects: [
    { name: "laptop", grepInvert: /@phone/, use: { viewport: { width: 1280, height: 800 } } },
    { name: "phone", grep: /@phone|@both/, use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
  ],
});
