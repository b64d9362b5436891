import { readFileSync } from "node:fs";
import validators from "@/contracts/generated/tasks.cjs";
import { fieldErrors } from "@/contracts/fieldErrors";
import { DomainError } from "@/core/errors";
import { TASKS } from "./index";

/** Exit codes: 0 an answer, 2 an input that makes no sense. */
const BAD_INPUT = 2;

function fail(code: string, message: string, path = ""): never {
  process.stderr.write(`${JSON.stringify({ error: { code, message, path } })}\n`);
  process.exit(BAD_INPUT);
}

function help(): void {
  const lines = TASKS.map(({ name, summary }) => `  ${name.padEnd(10)} ${summary}`);
  process.stdout.write(
    `bin/core TASK < input.json\n\n${lines.join("\n")}\n\nbin/core TASK --schema   prints the JSON Schema of its input and output\nbin/core TASK --example  prints an input that works\n`,
  );
}

function readInput(): unknown {
  const text = readFileSync(0, "utf8");
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return fail("not-json", "The input is not JSON.");
  }
}

const isRunawayNumber = (value: unknown) => typeof value === "number" && !Number.isFinite(value);

function main([name, flag]: readonly string[]): void {
  if (name === undefined || name === "--help" || name === "-h") return help();
  const task =
    TASKS.find((candidate) => candidate.name === name) ??
    fail("unknown-task", `There is no task "${name}". bin/core --help lists them.`);
  const print = (value: unknown) =>
    process.stdout.write(
      `${JSON.stringify(value, (_key, item: unknown) => (isRunawayNumber(item) ? null : item), 2)}\n`,
    );
  if (flag === "--schema") return void print({ input: task.input, output: task.output });
  if (flag === "--example") return void print(task.example);
  const input = readInput();
  const errors = fieldErrors(validators[task.name]!, input);
  if (errors) {
    const [path, message] = Object.entries(errors)[0]!;
    fail("schema", `${path === "" ? "The input" : path}: ${message}`, path);
  }
  try {
    print(task.run(input));
  } catch (error) {
    if (error instanceof DomainError) fail(error.code, error.message, error.path);
    fail("internal", "The core could not work this out. Please report the input.");
  }
}

main(process.argv.slice(2));
