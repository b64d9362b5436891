import next from "eslint-config-next/core-web-vitals";
import tseslint from "typescript-eslint";
import sql from "./scripts/lint/sqlByParameters.mjs";

// The craft takes its clock and its chance as arguments.
const PURE = ["src/core/**/*.ts", "src/formats/**/*.ts", "src/sim/**/*.ts"];

export default tseslint.config(
  {
    ignores: [
      ".next/",
      ".local/",
      "node_modules/",
      "src/contracts/generated/",
      "next-env.d.ts",
      "test-results/",
      "tests/fixtures/",
    ],
  },
  ...next,
  ...tseslint.configs.strict,
  {
    rules: {
      // A value known to be there by the line above is said so; the compiler's index check asks for it often.
      "@typescript-eslint/no-non-null-assertion": "off",
      "@typescript-eslint/consistent-type-imports": [
        "error",
        { fixStyle: "inline-type-imports", prefer: "type-imports" },
      ],
      // Taking a field out by naming it is how the rest is kept.
      "@typescript-eslint/no-unused-vars": ["error", { ignoreRestSiblings: true }],
      "no-console": "error",
      "no-restricted-imports": [
        "error",
        { paths: [{ name: "next/link", message: "Ruchka's own, ui/kit/Link, asks for nothing ahead." }] },
      ],
      "max-lines-per-function": ["error", { max: 80, skipBlankLines: true, skipComments: true }],
    },
  },
  // A `describe` holds what belongs together, however long it is.
  { files: ["**/*.test.{ts,tsx}", "tests/**"], rules: { "max-lines-per-function": "off" } },
  {
    files: PURE,
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "The clock is passed in." },
        { object: "Math", property: "random", message: "Chance is passed in." },
      ],
      "no-restricted-syntax": [
        "error",
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: "The clock is passed in." },
        { selector: "ExportAllDeclaration", message: "Doors are named one by one." },
      ],
    },
  },
  // What a language does with counts, lists and names stands in formats/grammar.ts, so that a second one works.
  {
    files: ["src/ui/**", "src/words/**", "src/services/**"],
    ignores: ["**/*.test.{ts,tsx}"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector:
            "ConditionalExpression[test.operator='==='][test.right.value=1]:matches([consequent.type='TemplateLiteral'], [consequent.value=/[a-z]/])",
          message: "A count is said by counted().",
        },
        {
          selector: "CallExpression[callee.property.name='join'][arguments.0.value=/^ (and|or) $/]",
          message: "A list is said by listed() or listedOr().",
        },
        {
          selector: "TemplateLiteral > CallExpression.expressions[callee.property.name='toLowerCase']",
          message: "A name is set into a sentence by inText().",
        },
        {
          selector: "JSXExpressionContainer > CallExpression[callee.property.name='toLowerCase']",
          message: "A name is set into a sentence by inText().",
        },
      ],
    },
  },
  {
    files: ["src/data/**", "src/services/**", "src/app/**", "src/demo/**"],
    ignores: ["**/*.test.ts"],
    plugins: { sql },
    rules: { "sql/sql-by-parameters": "error" },
  },
  // Node knows a .cjs file by its name: it has nothing but require.
  { files: ["**/*.cjs"], rules: { "@typescript-eslint/no-require-imports": "off" } },
  { files: ["src/ui/kit/Link.tsx"], rules: { "no-restricted-imports": "off" } },
  {
    files: [
      "scripts/**",
      "bench/**",
      "tests/harness/addCounts.mjs",
      "src/demo/main.ts",
      "src/demo/standIns.ts",
      "src/data/migrateMain.ts",
      "src/data/archiveMain.ts",
      "src/front/main.ts",
      "src/services/people/recoverMain.ts",
      "src/services/season/refreshMain.ts",
      "src/commands/main.ts",
      "src/app/door/answer.ts",
    ],
    rules: { "no-console": "off" },
  },
);
