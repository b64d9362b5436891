/** Three projects: `unit` needs nothing but Node; `screen` renders components in a simulated browser; `database` wants DATABASE_URL of a server on which it may make scratch databases. */
const ESM_PACKAGES = [
  "d3-[a-z-]+",
  "country-to-currency",
  "internmap",
  "json-schema-to-ts",
  "pony-cause",
  "p-timeout",
  "@date-fns/utc",
];
const shared = {
  testEnvironment: "node",
  // Not the whole folder: the build rewrites its own beside.
  roots: ["<rootDir>/src"],
  transform: {
    "^.+\\.m?[tj]sx?$": [
      "@swc/jest",
      {
        jsc: {
          parser: { syntax: "typescript", tsx: true },
          target: "es2022",
          transform: { react: { runtime: "automatic" } },
        },
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!(${ESM_PACKAGES.join("|")})/)`, "/generated/"],
  moduleNameMapper: { "^server-only$": "<rootDir>/src/testing/empty.ts", "^@/(.*)$": "<rootDir>/src/$1" },
  moduleFileExtensions: ["ts", "tsx", "js", "mjs", "cjs", "json"],
};
const config = {
  reporters: ["default", "<rootDir>/tests/harness/jestCounts.mjs"],
  // Ends what hangs; a machine many times slower than the usual must not meet it.
  testTimeout: 600_000,
  projects: [
    {
      ...shared,
      displayName: "unit",
      testMatch: ["<rootDir>/src/**/*.test.ts"],
      testPathIgnorePatterns: ["[.]db[.]test[.]ts$", "/node_modules/"],
    },
    {
      ...shared,
      displayName: "screen",
      testEnvironment: "jsdom",
      testMatch: ["<rootDir>/src/ui/**/*.test.tsx"],
      setupFilesAfterEnv: ["<rootDir>/src/testing/screen.ts"],
    },
    { ...shared, displayName: "database", testMatch: ["<rootDir>/src/**/*.db.test.ts"] },
  ],
};
export default config;
