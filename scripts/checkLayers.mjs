import { builtinModules } from "node:module";
import { cruise } from "dependency-cruiser";
import { LAYERS, LEAST_MODULES } from "./layers.mjs";

const NODE_BUILTINS = `^(node:)?(${builtinModules.filter((name) => !name.startsWith("_")).join("|")})(/|$)`;
const escape = (name) => name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");

function rulesFor(root) {
  const rules = Object.entries(LAYERS).flatMap(([layer, { layers, typesOnly = [], packages }]) => {
    const from = { path: `^${root}/${layer}/`, pathNot: "[.]test[.]tsx?$" };
    const named = packages.filter((name) => name !== "node").map(escape);
    const allowed = [
      `^${root}/`,
      ...(named.length ? [`node_modules/(@types/)?(${named.join("|")})/`] : []),
      ...(packages.includes("node") ? [NODE_BUILTINS] : []),
    ];
    return [
      {
        name: `${layer}-layers`,
        severity: "error",
        from,
        to: { path: `^${root}/`, pathNot: `^${root}/(${[layer, ...layers, ...typesOnly].join("|")})/` },
      },
      ...typesOnly.map((other) => ({
        name: `${layer}-takes-only-types-of-${other}`,
        severity: "error",
        from,
        to: { path: `^${root}/${other}/`, dependencyTypesNot: ["type-only"] },
      })),
      { name: `${layer}-packages`, severity: "error", from, to: { pathNot: allowed } },
    ];
  });
  // A place of the services or of the data (a folder there) is reached by its index alone, by other places as by pages and screens.
  const tests = "[.]test[.]tsx?$";
  for (const layer of ["services", "data"]) {
    const inner = `^${root}/${layer}/[^/]+/(?!index[.]ts$)[^/]+[.]ts$`;
    rules.push(
      {
        name: "places-by-their-index",
        severity: "error",
        from: { path: `^${root}/${layer}/([^/]+)/`, pathNot: tests },
        to: { path: inner, pathNot: `^${root}/${layer}/$1/` },
      },
      {
        name: "places-by-their-index",
        severity: "error",
        from: { path: `^${root}/`, pathNot: [`^${root}/${layer}/[^/]+/`, tests] },
        to: { path: inner },
      },
    );
  }
  return [
    ...rules,
    { name: "no-cycles", severity: "error", from: {}, to: { circular: true } },
    { name: "nothing-unresolvable", severity: "error", from: {}, to: { couldNotResolve: true } },
  ];
}

async function violationsIn(root) {
  const options = {
    ruleSet: { forbidden: rulesFor(root) },
    validate: true,
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    doNotFollow: { path: "node_modules" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  };
  const { default: extractTSConfig } = await import("dependency-cruiser/config-utl/extract-ts-config");
  const { output } = await cruise([root], options, null, { tsConfig: extractTSConfig("tsconfig.json") });
  return output.summary;
}

const real = await violationsIn("src");
for (const { rule, from, to } of real.violations) console.error(`${rule.name}: ${from} -> ${to}`);
if (real.totalCruised < LEAST_MODULES) {
  console.error(`Only ${real.totalCruised} modules were read; the checker sees nothing.`);
  process.exit(1);
}
// The guard's own guard: a fixture whose core reaches for Node, React and the database, and whose places and pages reach past an index, must be
// refused for each.
const fixture = await violationsIn("tests/fixtures/layers");
const MUST_FAIL = { "core-": 3, "places-by-their-index": 2 };
const caught = Object.fromEntries(
  Object.keys(MUST_FAIL).map((kind) => [
    kind,
    fixture.violations.filter(({ rule }) => rule.name.startsWith(kind)).length,
  ]),
);
for (const [kind, least] of Object.entries(MUST_FAIL))
  if (caught[kind] < least) {
    console.error(`The fixture that must fail was let through (${kind}: ${caught[kind]} of ${least} violations seen).`);
    process.exit(1);
  }
console.log(
  `layers: ${real.totalCruised} modules, ${real.violations.length} violations; the fixture was refused ${Object.values(caught).join(" and ")} times`,
);
process.exit(real.violations.length === 0 ? 0 : 1);
