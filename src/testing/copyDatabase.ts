import { execFile, spawn } from "node:child_process";
import { randomBytes } from "node:crypto";
import { createReadStream } from "node:fs";
import { pipeline } from "node:stream/promises";
import { promisify } from "node:util";

const run = promisify(execFile);

/** How the server's own programs are told where it is and who asks. */
export const client = (url: URL) => ({
  args: ["--no-defaults", `--host=${url.hostname}`, `--port=${url.port}`, `--user=${url.username}`],
  options: { env: { ...process.env, MYSQL_PWD: url.password } },
});

async function sql(url: URL, statement: string): Promise<void> {
  const { args, options } = client(url);
  await run("mariadb", [...args, "-e", statement], options);
}

/** A database of its own on the server of `serverUrl`, filled from the dump of a template if one is given. */
export async function copyOf(dumpFile: string | null, serverUrl: string): Promise<URL> {
  const url = new URL(serverUrl);
  const name = `ruchka_copy_${randomBytes(6).toString("hex")}`;
  await sql(url, `create database ${name} character set utf8mb4`);
  url.pathname = `/${name}`;
  if (dumpFile === null) return url;
  const { args, options } = client(url);
  const load = spawn("mariadb", [...args, name], { ...options, stdio: ["pipe", "ignore", "pipe"] });
  let complaint = "";
  load.stderr.on("data", (chunk) => (complaint += String(chunk)));
  const ended = new Promise((resolve) => load.on("close", resolve));
  // A dump that is not there must not leave the client waiting for one.
  await pipeline(createReadStream(dumpFile), load.stdin).catch((error: unknown) => {
    complaint += String(error);
    load.kill();
  });
  const code = await ended;
  if (code !== 0) throw new Error(`${dumpFile} could not be copied: ${complaint}`);
  return url;
}

export const drop = (url: URL): Promise<void> => sql(url, `drop database if exists ${url.pathname.slice(1)}`);
