import "server-only";
import { spawn } from "node:child_process";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { mayAs } from "@/core/people/roles";
import { dumpFarm } from "@/data/archive";
import { inTransaction } from "@/data/db";
import { insertAccessEvent } from "@/data/people";
import { isoDay } from "@/formats/times";
import type { Frame } from "../context";
import { refuse } from "../refusal";

export interface SentArchive {
  /** The packed archive, as it is packed. */
  readonly body: ReadableStream<Uint8Array>;
  readonly fileName: string;
}

/**
 * The whole farm as one file, as bin/backup writes it: for a steward. Whoever has it has everything, so that it was taken is written down.
 * @param databaseUrl of the account that the server reads with
 * @throws {Refusal} `may-not`
 */
export async function sendArchive(
  { ctx, farm }: Frame,
  databaseUrl = process.env.DATABASE_URL ?? "",
): Promise<SentArchive> {
  const { role } = ctx.actor;
  if (!mayAs(role, "steward")) throw refuse("may-not", { role, least: "steward" });
  const folder = await mkdtemp(path.join(tmpdir(), "ruchka-archive-"));
  const tidy = () => rm(folder, { recursive: true, force: true });
  try {
    await inTransaction(ctx.pool, (db) =>
      insertAccessEvent(db, {
        address: "",
        device: "",
        ...ctx.from,
        kind: "archived",
        actorId: ctx.actor.id,
        at: ctx.now(),
      }),
    );
    await dumpFarm(databaseUrl, folder, ctx.now());
  } catch (error) {
    await tidy();
    throw error;
  }
  const packing = spawn("tar", ["-C", folder, "-czf", "-", "."], { stdio: ["ignore", "pipe", "ignore"] });
  // Whoever goes away in the middle leaves nothing behind.
  packing.stdout.once("close", () => {
    packing.kill();
    void tidy();
  });
  // Half a file must not look like a whole one.
  packing.once("exit", (code) => code !== 0 && packing.stdout.destroy(new Error("The archive could not be packed.")));
  return {
    body: Readable.toWeb(packing.stdout) as ReadableStream<Uint8Array>,
    fileName: `farm-${isoDay(ctx.now(), farm)}.tar.gz`,
  };
}
