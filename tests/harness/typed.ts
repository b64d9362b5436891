import { execFileSync } from "node:child_process";

/** Runs a command of bin/ as a person types it: without what the test run says of its own database and clock. @returns what it says */
export function typed(command: string, args: readonly string[], settings: Readonly<Record<string, string>>): string {
  const { DATABASE_URL: _db, DATA: _data, DB_PORT: _port, DB_FLAGS: _flags, RUCHKA_NOW: _now, ...rest } = process.env;
  return execFileSync(`bin/${command}`, args, {
    env: { ...rest, ...settings },
    encoding: "utf8",
    stdio: ["ignore", "pipe", "inherit"],
  });
}
