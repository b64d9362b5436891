import { defineConfig } from "@playwright/test";

/** Debian's Chromium, kept off the network; bin/test starts the server these run against. */
const launchOptions = {
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
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

const phone = { baseURL: process.env.PHONE_URL, viewport: { width: 390, height: 844 }, hasTouch: true };

export default defineConfig({
  testDir: "tests",
  testMatch: "**/*.spec.ts",
  // One farm, one story: the tests of a width follow each other.
  workers: 1,
  fullyParallel: false,
  retries: 0,
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [["list"], ["./tests/countReporter.ts"]],
  // A trace of every act costs a third of the time; it is kept where somebody will look at it.
  use: { launchOptions, trace: process.env.CI ? "off" : "retain-on-failure" },
  projects: [
    {
      name: "laptop",
      testIgnore: "faults.spec.ts",
      use: { baseURL: process.env.LAPTOP_URL, viewport: { width: 1280, height: 800 } },
    },
    // The walk at a thumb's width, and what happens when the database is taken away: from every farm, so it is run alone.
    { name: "phone", testMatch: ["methods.spec.ts", "walk.spec.ts", "yardwork.spec.ts"], use: phone },
    { name: "faults", testMatch: "faults.spec.ts", use: phone },
  ],
});
