import "server-only";
import type { Database } from "@/data/db";
import type { Actor, Farm } from "@/data/farm";
import type { From } from "@/data/people";

/** What a use-case is given: who asks, what time it is, and the database. */
export interface Context {
  readonly pool: Database;
  readonly now: () => Date;
  readonly actor: Actor;
  /** The device that it is asked from, and where that is; nothing for a program on the machine. */
  readonly sessionId?: number;
  readonly from?: From;
  /** The farm as it was called; nothing for a program on the machine. */
  readonly site?: { readonly origin: string };
  /** Whether the device is the yard's. */
  readonly isShared?: boolean;
  /** Told of long work how far it is. */
  readonly onProgress?: (done: number, total: number) => void;
}

/** The farm, its people and who asks: what a view is read with. */
export interface Frame {
  readonly farm: Farm;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly ctx: Context;
}
