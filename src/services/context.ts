import "server-only";
import type { Pool } from "mysql2/promise";
import type { Actor } from "@/data/farm";

/** What a use-case is given: who asks, what time it is, and the database. */
export interface Context {
  readonly pool: Pool;
  readonly now: () => Date;
  readonly actor: Actor;
}
