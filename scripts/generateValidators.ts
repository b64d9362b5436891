/**
 * Compiles every schema of src/contracts ahead of time (Ajv standalone), so that the browser needs no eval and the server
 * and the form run the same code; and writes the schemas of `bin/core` to docs/schemas.
 */
import { mkdirSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import Ajv from "ajv";
import standaloneCode from "ajv/dist/standalone/index";
import addFormats from "ajv-formats";
import { ACTION_SCHEMAS } from "../src/contracts/actions/schemas";
import { TASKS } from "../src/commands/index";

const ajv = new Ajv({
  allErrors: true,
  strict: true,
  strictTypes: false,
  strictRequired: false,
  discriminator: true,
  allowUnionTypes: true,
  code: { source: true, esm: false },
  schemas: [],
});
addFormats(ajv);

const refs: Record<string, string> = {};
for (const [name, schema] of Object.entries(ACTION_SCHEMAS)) {
  ajv.addSchema(schema, name);
  refs[name] = name;
}
for (const task of TASKS) {
  ajv.addSchema(task.input, `task-${task.name}`);
  refs[`task_${task.name}`] = `task-${task.name}`;
}

const names = Object.keys(refs);
mkdirSync("src/contracts/generated", { recursive: true });
writeFileSync(
  "src/contracts/generated/validators.cjs",
  `/* eslint-disable */\n// Made by scripts/generateValidators.ts; change the schemas, not this.\n${standaloneCode(ajv, refs)}\n`,
);
writeFileSync(
  "src/contracts/generated/validators.d.cts",
  `// Made by scripts/generateValidators.ts.\nimport type { ValidateFunction } from "ajv";\ndeclare const validators: { readonly [name: string]: ValidateFunction };\nexport = validators;\n`,
);

mkdirSync("docs/schemas", { recursive: true });
for (const file of readdirSync("docs/schemas")) rmSync(`docs/schemas/${file}`);
const DIALECT = { $schema: "http://json-schema.org/draft-07/schema#" };
for (const task of TASKS) {
  writeFileSync(
    `docs/schemas/${task.name}.input.json`,
    `${JSON.stringify({ ...DIALECT, title: `bin/core ${task.name}, input`, ...task.input }, null, 2)}\n`,
  );
  writeFileSync(
    `docs/schemas/${task.name}.output.json`,
    `${JSON.stringify({ ...DIALECT, title: `bin/core ${task.name}, output`, ...task.output }, null, 2)}\n`,
  );
}
console.log(`${names.length} validators, ${TASKS.length * 2} schemas`);
