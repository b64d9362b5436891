import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import type { ActError } from "@/contracts/answer";

/** Something that was done without a signal, as it waits on this device. */
export interface Waiting {
  /** The order in which it was done. */
  readonly seq: number;
  readonly name: string;
  /** As it is sent, with its key: sent twice it is written once. */
  readonly request: object;
  /** What the person was told when it was done. */
  readonly said: string;
  readonly person: { readonly id: number; readonly name: string } | null;
  readonly atMs: number;
  /** Why the farm did not take it; null while it was not sent. */
  readonly refused: ActError | null;
}

interface Schema extends DBSchema {
  waiting: { key: number; value: Omit<Waiting, "seq"> & { seq?: number } };
}

let opened: Promise<IDBPDatabase<Schema>> | null = null;
const database = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>("ruchka-away", 1, {
    upgrade: (db) => void db.createObjectStore("waiting", { keyPath: "seq", autoIncrement: true }),
  }));

const NONE: readonly Waiting[] = [];
let shown: readonly Waiting[] = NONE;
const listeners = new Set<() => void>();
/** Other windows of this browser show the same. */
let channel: BroadcastChannel | null = null;

async function readAgain(): Promise<void> {
  shown = (await (await database()).getAll("waiting")) as Waiting[];
  for (const listener of listeners) listener();
}

async function changed(): Promise<void> {
  channel?.postMessage(null);
  await readAgain();
}

/** Keeps what was done, behind all that waits. @returns its place in the order */
export async function keepWaiting(done: Omit<Waiting, "seq" | "refused">): Promise<number> {
  const seq = await (await database()).add("waiting", { ...done, refused: null });
  await changed();
  return seq;
}

/** All that waits, in the order in which it was done. */
export const listWaiting = async (): Promise<readonly Waiting[]> =>
  (await (await database()).getAll("waiting")) as Waiting[];

/** It is at the farm, or was taken out. */
export async function dropWaiting(seq: number): Promise<void> {
  await (await database()).delete("waiting", seq);
  await changed();
}

/** Changes what is known of one that waits. */
export async function noteWaiting(seq: number, note: Partial<Pick<Waiting, "said" | "refused">>): Promise<void> {
  const db = await database();
  const one = await db.get("waiting", seq);
  if (!one) return;
  await db.put("waiting", { ...one, ...note });
  await changed();
}

/** For screens that show what waits. */
export function subscribeWaiting(listener: () => void): () => void {
  listeners.add(listener);
  if (!channel && "BroadcastChannel" in globalThis) {
    channel = new BroadcastChannel("ruchka-away");
    channel.onmessage = () => void readAgain();
  }
  void readAgain().catch(() => undefined);
  return () => listeners.delete(listener);
}
export const waitingNow = (): readonly Waiting[] => shown;
export const noneWaiting = (): readonly Waiting[] => NONE;
