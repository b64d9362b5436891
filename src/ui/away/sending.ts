import type { ActResult } from "@/contracts/answer";
import { MAY_WAIT, mayWait } from "@/contracts/waiting";
import { dropWaiting, keepWaiting, listWaiting, noteWaiting, type Waiting } from "./queue";
import { setReach } from "./reach";

/** How one act reaches the farm; rejects where no answer comes. */
export type Post = (name: string, request: object, person: number | null) => Promise<ActResult<unknown>>;

/** Answers after which the same may go through later as it is. */
const PASSING = new Set([
  "busy",
  "too-slow",
  "away",
  "out-of-reach",
  "disk-full",
  "no-farm",
  "signed-out",
  "locked",
  "other-person",
]);

/** Sends what waits, one after the other. @returns how many are at the farm now that were not */
async function sendInOrder(post: Post, personId: number | null): Promise<number> {
  let sent = 0;
  for (const { seq, name, request, person, refused } of await listWaiting()) {
    // What somebody else entered waits until they are at this device again.
    if (refused || (person?.id ?? null) !== personId) continue;
    let answer: ActResult<unknown>;
    try {
      answer = await post(name, request, person?.id ?? null);
    } catch {
      setReach(false);
      return sent;
    }
    setReach(true);
    if (answer.ok) {
      await dropWaiting(seq);
      sent += 1;
    } else if (PASSING.has(answer.error.code)) return sent;
    else await noteWaiting(seq, { refused: answer.error });
  }
  return sent;
}

/** Sends what one person did and waits, in order; one window of the browser at a time. @returns how many went */
export async function sendWaiting(post: Post, personId: number | null): Promise<number> {
  const locks = globalThis.navigator?.locks as LockManager | undefined;
  if (!locks) return sendInOrder(post, personId);
  return locks.request("ruchka-away", { ifAvailable: true }, (lock) => (lock ? sendInOrder(post, personId) : 0));
}

/** Whether anything waits that the farm has not been asked about; no device storage, nothing waits. */
const isAnyUnsent = async (personId: number | null): Promise<boolean> =>
  (await listWaiting().catch(() => [])).some(
    ({ refused, person }) => refused === null && (person?.id ?? null) === personId,
  );

/** With the moment at which it was done, where nobody told it: sent a day later it happened now. */
function dated(name: keyof typeof MAY_WAIT, request: object, atMs: number): object {
  const field = MAY_WAIT[name];
  return field === null || field in request ? request : { ...request, [field]: new Date(atMs).toISOString() };
}

export interface Kept {
  /** Its place among what waits. */
  readonly seq: number;
}

/**
 * Sends an act; where the farm is out of reach and the act may wait, keeps it on this device. What was kept before goes first.
 * @throws where no answer comes and it may not wait
 */
export async function sendOrKeep(
  post: Post,
  name: string,
  request: object,
  person: Waiting["person"],
): Promise<ActResult<unknown> | Kept> {
  const keep = async (kept: keyof typeof MAY_WAIT): Promise<Kept> => {
    const atMs = Date.now();
    return { seq: await keepWaiting({ name, request: dated(kept, request, atMs), said: "", person, atMs }) };
  };
  const personId = person?.id ?? null;
  if (await isAnyUnsent(personId)) {
    await sendWaiting(post, personId);
    // What can't be sent now goes behind, so that the farm hears of it in the order in which it was done.
    if (mayWait(name) && (await isAnyUnsent(personId))) return keep(name);
  }
  try {
    const answer = await post(name, request, person?.id ?? null);
    setReach(true);
    return answer;
  } catch (error) {
    setReach(false);
    if (!mayWait(name)) throw error;
    return keep(name);
  }
}
