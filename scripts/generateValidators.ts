/**
 * Compiles every schema of src/contracts ahead of time (Ajv standalone), so that the browser needs no eval and the server
 * and the form run the same code; and writes the schemas of `bin/core` to docs/schemas and the door's description to docs/openapi.json.
 */
import { mkdirSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import Ajv from "ajv";
import standaloneCode from "ajv/dist/standalone/index";
import addFormats from "ajv-formats";
import { RECIPE_DOCUMENT } from "../src/contracts/recipe/schema";
import { ACTS, listActs } from "../src/services/acts/index";
import { listViews } from "../src/services/views/index";
import { openApi } from "./openApi";
import { TASKS } from "../src/commands/index";

const FOLDER = "src/contracts/generated";

/** One file of validators for what is used together: the door needs all acts, a page those of its places, the command its tasks. */
function compile(file: string, schemas: Readonly<Record<string, object>>, coerceTypes = false): void {
  const ajv = new Ajv({
    allErrors: true,
    strict: true,
    strictTypes: false,
    strictRequired: false,
    discriminator: true,
    allowUnionTypes: true,
    coerceTypes,
    code: { source: true, esm: false, optimize: 2 },
  });
  addFormats(ajv);
  for (const [name, schema] of Object.entries(schemas)) ajv.addSchema(schema, name);
  const code = standaloneCode(ajv, Object.fromEntries(Object.keys(schemas).map((name) => [name, name])));
  const note = "// Made by scripts/generateValidators.ts; change the schemas, not this.";
  writeFileSync(`${FOLDER}/${file}.cjs`, `/* eslint-disable */\n${note}\n${code}\n`);
  writeFileSync(
    `${FOLDER}/${file}.d.cts`,
    `${note}\nimport type { ValidateFunction } from "ajv";\ndeclare const validators: { readonly [name: string]: ValidateFunction };\nexport = validators;\n`,
  );
}

rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(`${FOLDER}/acts`, { recursive: true });
const schemasOf = (acts: readonly { readonly actName: string; readonly schema: object }[]) =>
  Object.fromEntries(acts.map(({ actName, schema }) => [actName, schema]));
compile("acts", schemasOf(listActs()));
// A page takes along those of the places whose forms it has.
for (const [place, acts] of Object.entries(ACTS)) compile(`acts/${place}`, schemasOf(Object.values(acts)));
// What stands in an address is text; a view reads it as its schema says.
compile("views", Object.fromEntries(listViews().map(({ viewName, schema }) => [viewName, schema])), true);
compile("recipe", { recipe: RECIPE_DOCUMENT });
compile("tasks", Object.fromEntries(TASKS.map(({ name, input }) => [name, input])));

writeFileSync("docs/openapi.json", `${JSON.stringify(openApi(), null, 2)}\n`);
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
writeFileSync(
  "docs/schemas/recipe.json",
  `${JSON.stringify({ ...DIALECT, title: "A recipe", ...RECIPE_DOCUMENT }, null, 2)}\n`,
);
console.log(`${listActs().length + listViews().length + TASKS.length + 1} validators, ${TASKS.length * 2 + 1} schemas`);
