import "server-only";
import { mayAs, type Role } from "@/core/people/roles";
import { listActors, type Farm } from "@/data/farm";
import {
  listAccess,
  listHeld,
  listPasskeys,
  type HeldEntry,
  listInvited,
  listSessions,
  listWithSecret,
  type AccessLine,
  type Session,
} from "@/data/people";
import type { Context } from "../context";
import { readLastBackup, type LastBackup } from "../lastBackup";
import { farmView, type FarmView } from "../farm";
import { passkeySite } from "../people";
import { readPhones, type PhonesView } from "./phones";
import type { RoleLine } from "./roleTable";

export interface SessionView {
  readonly id: number;
  readonly personName: string;
  readonly device: string;
  readonly address: string;
  readonly openedMs: number;
  readonly seenMs: number;
  readonly isShared: boolean;
  readonly isHere: boolean;
}

/** Who is who here: oneself for everybody, all for a steward. */
export interface AccessView {
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly me: { readonly id: number; readonly name: string; readonly role: Role; readonly hasPin: boolean };
  readonly isShared: boolean;
  /** One's own. */
  readonly passkeys: readonly {
    readonly id: number;
    readonly name: string;
    readonly addedMs: number;
    readonly usedMs: number | null;
  }[];
  /** Whether browsers make passkeys for the farm as it is called here. */
  readonly takesPasskeys: boolean;
  readonly people: readonly {
    readonly id: number;
    readonly name: string;
    readonly role: Role;
    readonly canSignIn: boolean;
    readonly hasPin: boolean;
    readonly invitedUntilMs: number | null;
  }[];
  readonly sessions: readonly SessionView[];
  /** The last backup that was read back and found whole: null for none, nothing where this server makes none. */
  readonly lastBackup?: LastBackup | null;
  /** What waits for a steward to be entered or dropped, without what is asked in it. */
  readonly held: readonly (Omit<HeldEntry, "request" | "doneAt" | "heldAt"> & { readonly doneMs: number })[];
  /** How phones of the network come in; null where they do not. */
  readonly phones: PhonesView | null;
  /** What each role may, for a steward. */
  readonly roles: readonly RoleLine[];
  readonly events: readonly (Omit<AccessLine, "at"> & { readonly atMs: number })[];
}

const EVENTS = 60;

/** Who may come in, where they are in, and who came: a steward sees it of all, everybody else of themselves. */
export async function readAccess(ctx: Context, farm: Farm, roles: readonly RoleLine[]): Promise<AccessView> {
  const { pool } = ctx;
  const all = mayAs(ctx.actor.role, "steward");
  const isMine = (id: number) => all || id === ctx.actor.id;
  const now = ctx.now();
  const [actors, signing, pins, invited, sessions, events, held, passkeys, backup, phones] = await Promise.all([
    listActors(pool),
    listWithSecret(pool, "passphrase"),
    listWithSecret(pool, "pin"),
    listInvited(pool, now),
    listSessions(pool, now),
    listAccess(pool, { actorId: all ? null : ctx.actor.id, before: new Date(now.getTime() + 60_000), most: EVENTS }),
    all ? listHeld(pool) : [],
    listPasskeys(pool, ctx.actor.id),
    readLastBackup(),
    readPhones(),
  ]);
  const nameOf = new Map(actors.map(({ id, name }) => [id, name]));
  const view = (session: Session): SessionView => ({
    id: session.id,
    personName: nameOf.get(session.openedBy) ?? "",
    device: session.device,
    address: session.address,
    openedMs: session.openedAt.getTime(),
    seenMs: session.seenAt.getTime(),
    isShared: session.isShared,
    isHere: session.id === ctx.sessionId,
  });
  return {
    farm: farmView(farm),
    nowMs: now.getTime(),
    me: { ...ctx.actor, hasPin: pins.has(ctx.actor.id) },
    isShared: sessions.find(({ id }) => id === ctx.sessionId)?.isShared ?? false,
    people: actors
      .filter(({ id }) => isMine(id))
      .map(({ id, name, role }) => ({
        id,
        name,
        role,
        canSignIn: signing.has(id),
        hasPin: pins.has(id),
        invitedUntilMs: invited.get(id)?.getTime() ?? null,
      })),
    sessions: sessions.filter(({ openedBy }) => isMine(openedBy)).map(view),
    ...(all && backup !== undefined ? { lastBackup: backup } : {}),
    held: held.map(({ request: _asked, doneAt, heldAt: _held, ...one }) => ({ ...one, doneMs: doneAt.getTime() })),
    passkeys: passkeys.map(({ id, name, addedAt, usedAt }) => ({
      id,
      name,
      addedMs: addedAt.getTime(),
      usedMs: usedAt?.getTime() ?? null,
    })),
    takesPasskeys: passkeySite(ctx.site) !== null && !ctx.isShared,
    phones,
    roles: all ? roles : [],
    events: events.map(({ at, ...event }) => ({ ...event, atMs: at.getTime() })),
  };
}
