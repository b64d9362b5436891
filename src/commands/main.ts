import { readFileSync } from "node:fs";
import { answer } from "./answer";

const { status, stdout, stderr } = answer(process.argv.slice(2), () => readFileSync(0, "utf8"));
process.stdout.write(stdout);
process.stderr.write(stderr);
// Not `exit`, which cuts off what a pipe has not taken yet.
process.exitCode = status;
