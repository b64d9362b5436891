import "server-only";
import type { Database } from "@/data/db";
import type { Actor } from "@/data/farm";
import type { From, Session } from "@/data/people";

/** The farm as whoever asks calls it. */
export interface Site {
  /** @example "https://farm.local:3443" */
  readonly origin: string;
}

/** Whoever comes to the door, signed in or not. */
export interface Visitor {
  readonly pool: Database;
  readonly now: () => Date;
  readonly from: From;
  /** Whether the request came to this machine by its own name. */
  readonly isHere: boolean;
  readonly site?: Site;
}
/** A visitor who is at the machine itself: a command, a test. */
export const onMachine = (pool: Database, now = () => new Date()): Visitor => ({
  pool,
  now,
  from: { address: "", device: "" },
  isHere: true,
});
/** Whoever is at a device on which somebody signed in; it may be locked. */
export interface AtSession extends Visitor {
  readonly session: Session;
  readonly actor: Actor | null;
}

/** An answer with which a device gets another token; null takes the one that it has. */
export class Opened<T = unknown> {
  constructor(
    readonly token: string | null,
    readonly value: T,
  ) {}
}

/** What an act answers that has nothing to say but that it is done. */
export interface Done {
  readonly done: true;
}
export const DONE: Done = { done: true };
