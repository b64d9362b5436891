/** What the first person of a walk's own farms signs in by. */
export const WALK_PASSPHRASE = "a dozen green pails";

/** The token with which each walk is signed in as the first person of its farm; bin/test lays it into every farm that has people. */
export const WALK_TOKEN = "walks-are-signed-in-0123456789abcdefghijklmnopq";

/** The cookie by which a browser is signed in at a farm's address. */
export const walkCookie = (baseURL: string) => ({
  name: `ruchka-${new URL(baseURL).port}`,
  value: WALK_TOKEN,
  domain: new URL(baseURL).hostname,
  path: "/",
  expires: -1,
  httpOnly: true,
  secure: false,
  sameSite: "Lax" as const,
});
