/** What an answer must never hold, whoever asks and whatever was sent. */
const SECRETS: readonly (readonly [string, RegExp])[] = [
  ["the hash of a secret", /\$argon2/],
  ["a stack", /\bat (async )?[\w.<>]+ \(?(file:|node:|\/)[^)]*:\d+:\d+/],
  ["words of the database", /(SQLSTATE|ER_[A-Z_]{4,}|You have an error in your SQL|mysql2)/],
  ["where it lies on the disk", /\/(root|work|home|var|usr)\/[\w./-]{4,}/],
  ["the settings of the server", /mysql:\/\/|DATABASE_URL/],
];
/** Answers that a server gives which could not do what it was asked. */
const FAILED = 500;
/** Busy is no failure: it says to send the same again. One asker alone is never told so. */
export interface Judged {
  readonly status: number;
  readonly body: string;
  /** What was sent, as text: what comes back of it is no secret. */
  readonly sent: string;
  readonly tookMs: number;
}

/** Longer than this an answer hangs, ms. */
export const HANGS_MS = 20_000;

/** What is wrong with an answer; null where nothing is. */
export function wrongWith({ status, body, sent, tookMs }: Judged): string | null {
  if (status >= FAILED) return `status ${status}: ${body.slice(0, 200)}`;
  if (tookMs > HANGS_MS) return `it hung for ${Math.round(tookMs / 1000)} s`;
  for (const [what, sign] of SECRETS) {
    const found = sign.exec(body)?.[0];
    if (found !== undefined && !sent.includes(found)) return `it tells ${what}: ${found.slice(0, 80)}`;
  }
  return null;
}
