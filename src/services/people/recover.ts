import "server-only";
import { randomBytes } from "node:crypto";
import { joinCode, readCode } from "@/core/people/roles";
import { inTransaction, type Database } from "@/data/db";
import { listActors } from "@/data/farm";
import { insertAccessEvent, insertInvitation } from "@/data/people";
import { sha256 } from "./secret";

/** Whoever sits at the machine uses it now. */
const RECOVERED_MS = 24 * 3_600_000;

/**
 * A way in for a steward, made at the machine itself: of that name, or the first there is.
 * @returns null where there is no such steward
 */
export const recoverSteward = (
  pool: Database,
  now: Date,
  name: string | null,
): Promise<{ readonly name: string; readonly code: string } | null> =>
  inTransaction(pool, async (db) => {
    const stewards = (await listActors(db)).filter(({ role }) => role === "steward");
    const steward = name === null ? stewards[0] : stewards.find((one) => one.name.toLowerCase() === name.toLowerCase());
    if (!steward) return null;
    const code = joinCode(randomBytes(16));
    await insertInvitation(db, {
      codeSha256: sha256(readCode(code)),
      actorId: steward.id,
      madeBy: null,
      madeAt: now,
      endsAt: new Date(now.getTime() + RECOVERED_MS),
    });
    await insertAccessEvent(db, { kind: "recovered", actorId: steward.id, address: "", device: "", at: now });
    return { name: steward.name, code };
  });
