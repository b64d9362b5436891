import validators from "@/contracts/generated/tasks.cjs";
import { fieldErrors } from "@/contracts/fieldErrors";
import { DomainError } from "@/core/errors";
import { TASKS } from "./index";
import { sayDomain } from "@/words/domain";

/** Exit codes: 0 an answer, 2 an input that makes no sense. */
const BAD_INPUT = 2;

/** What a command comes to: its exit code, and what stands on either stream. */
export interface Answer {
  readonly status: number;
  readonly stdout: string;
  readonly stderr: string;
}

const said = (stdout: string): Answer => ({ status: 0, stdout, stderr: "" });
const refused = (code: string, message: string, path = ""): Answer => ({
  status: BAD_INPUT,
  stdout: "",
  stderr: `${JSON.stringify({ error: { code, message, path } })}\n`,
});

function help(): string {
  const lines = TASKS.map(({ name, summary }) => `  ${name.padEnd(10)} ${summary}`);
  return `bin/core TASK < input.json\n\n${lines.join("\n")}\n\nbin/core TASK --schema   prints the JSON Schema of its input and output\nbin/core TASK --example  prints an input that works\n`;
}

const isRunawayNumber = (value: unknown) => typeof value === "number" && !Number.isFinite(value);
const json = (value: unknown): string =>
  `${JSON.stringify(value, (_key, item: unknown) => (isRunawayNumber(item) ? null : item), 2)}\n`;

/**
 * One command of the core: a task with its input as JSON, its schema, its example, or the list of tasks.
 * @param readInput called where the command wants an input
 */
export function answer([name, flag]: readonly string[], readInput: () => string): Answer {
  if (name === undefined || name === "--help" || name === "-h") return said(help());
  const task = TASKS.find((candidate) => candidate.name === name);
  if (!task) return refused("unknown-task", `There is no task "${name}". bin/core --help lists them.`);
  if (flag === "--schema") return said(json({ input: task.input, output: task.output }));
  if (flag === "--example") return said(json(task.example));
  let input: unknown;
  try {
    input = JSON.parse(readInput()) as unknown;
  } catch {
    return refused("not-json", "The input is not JSON.");
  }
  const errors = fieldErrors(validators[task.name]!, input);
  if (errors) {
    const [path, message] = Object.entries(errors)[0]!;
    return refused("schema", `${path === "" ? "The input" : path}: ${message}`, path);
  }
  try {
    return said(json(task.run(input)));
  } catch (error) {
    return error instanceof DomainError
      ? refused(error.code, sayDomain(error), error.path)
      : refused("internal", "The core could not work this out. Please report the input.");
  }
}
