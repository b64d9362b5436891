/** Comes in at a demo farm as its steward. @returns the cookie that each request brings along */
export async function signIn(address: string): Promise<string> {
  const answer = await fetch(new URL("/api/act/signIn", address), {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ requestKey: crypto.randomUUID(), name: "Maren", passphrase: "nettles in the rain" }),
  });
  const cookie = answer.headers.getSetCookie()[0]?.split(";")[0];
  if (!cookie) throw new Error(`Nobody could sign in at ${address}: ${await answer.text()}`);
  return cookie;
}
