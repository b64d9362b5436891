/** The core's own tests alone, for telling which mutants of the ferment engine they notice. */
import base from "../../jest.config.mjs";

const [unit] = base.projects;
const { displayName: _name, ...project } = unit;
const config = {
  ...project,
  rootDir: "../..",
  testMatch: ["<rootDir>/src/core/{ferment,judge,tend,probe}/**/*.test.ts"],
};
export default config;
