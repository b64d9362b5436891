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

/** Answers that say that whoever did it may not enter it: no sending again mends that, so the farm keeps it for a steward. */
const RIGHTS = ["may-not", "not-yours"] as const;
const ofRights = (code: string): (typeof RIGHTS)[number] | null => RIGHTS.find((one) => one === code) ?? null;

/** What became of what waited. */
export interface Sent {
  /** How many are at the farm now that were not. */
  readonly sent: number;
  /** How many of them are kept there for a steward. */
  readonly held: number;
}

/** Leaves one with the farm for a steward; it is off this device once the farm has it. @returns whether it has */
export async function leaveForSteward(
  post: Post,
  { seq, name, request, said, person, atMs }: Waiting,
  because: (typeof RIGHTS)[number] | "left",
): Promise<boolean> {
  if (!person) return false;
  // Kept under a key of its own, which a second try has again.
  const { requestKey } = request as { readonly requestKey: string };
  const answer = await post(
    "keepForSteward",
    {
      requestKey: twinOf(requestKey),
      actName: name,
      request,
      said: said.slice(0, 200),
      because,
      personId: person.id,
      doneAt: new Date(atMs).toISOString(),
    },
    null,
  );
  if (answer.ok) await dropWaiting(seq);
  return answer.ok;
}

/** Another key that is always the same for this one. @example twinOf("1f…"); // "0f…" or the like, never itself */
export const twinOf = (key: string): string =>
  key.replace(/[0-9a-f]/, (digit) => (parseInt(digit, 16) ^ 8).toString(16));

/** Sends what waits, one after the other. */
async function sendInOrder(post: Post, personId: number | null): Promise<Sent> {
  let sent = 0;
  let held = 0;
  for (const one of await listWaiting()) {
    const { seq, name, request, person, refused } = one;
    // What somebody else entered waits until they are at this device again.
    if (refused || (person?.id ?? null) !== personId) continue;
    let answer: ActResult<unknown>;
    try {
      answer = await post(name, request, person?.id ?? null);
    } catch {
      setReach(false);
      return { sent, held };
    }
    setReach(true);
    if (answer.ok) {
      await dropWaiting(seq);
      sent += 1;
    } else if (PASSING.has(answer.error.code)) return { sent, held };
    else {
      const because = ofRights(answer.error.code);
      const isHeld = because !== null && (await leaveForSteward(post, one, because).catch(() => false));
      if (isHeld) {
        sent += 1;
        held += 1;
      } else await noteWaiting(seq, { refused: answer.error });
    }
  }
  return { sent, held };
}

/** Sends what one person did and waits, in order; one window of the browser at a time. */
export async function sendWaiting(post: Post, personId: number | null): Promise<Sent> {
  const locks = globalThis.navigator?.locks as LockManager | undefined;
  if (!locks) return sendInOrder(post, personId);
  return locks.request("ruchka-away", { ifAvailable: true }, (lock) =>
    lock ? sendInOrder(post, personId) : { sent: 0, held: 0 },
  );
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
