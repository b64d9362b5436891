import "server-only";
import type { Database } from "@/data/db";
import type { Actor } from "@/data/farm";

/** What a use-case is given: who asks, what time it is, and the database. */
export interface Context {
  readonly pool: Database;
  readonly now: () => Date;
  readonly actor: Actor;
  /** Told of long work how far it is. */
  readonly onProgress?: (done: number, total: number) => void;
}
