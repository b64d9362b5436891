import "server-only";
import { readFile } from "node:fs/promises";
import path from "node:path";

/** A backup that was read back and found whole. */
export interface LastBackup {
  readonly atMs: number;
  readonly file: string;
}

/** The last good backup; null where there is none, undefined where this server knows of no folder of backups. */
export async function readLastBackup(folder = process.env.RUCHKA_BACKUPS): Promise<LastBackup | null | undefined> {
  if (!folder) return undefined;
  const text = await readFile(path.join(folder, "last-good"), "utf8").catch(() => "");
  const [, at, file] = /^(\S+) (.+)$/m.exec(text) ?? [];
  const atMs = Date.parse(at ?? "");
  return Number.isNaN(atMs) ? null : { atMs, file: path.basename(file!) };
}
