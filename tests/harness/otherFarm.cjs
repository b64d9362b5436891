/**
 * Loaded into the web server of a worker of the walks before Ruchka itself: at the parent's word the server turns to another farm's database,
 * with the clock set anew, as a server just started on it would be. All that Ruchka keeps of a farm it keeps there (src/services/runtime.ts, kept.ts).
 */
const begun = process.env.RUCHKA_NOW;
process.on("message", async ({ databaseUrl, now }) => {
  const before = globalThis.ruchkaPool;
  process.env.DATABASE_URL = databaseUrl;
  process.env.RUCHKA_NOW = now ?? begun;
  delete globalThis.ruchkaPool;
  delete globalThis.ruchkaKept;
  delete globalThis.ruchkaClockOffsetMs;
  // What the last walk left unanswered may fail now; it is nobody's any more.
  await before?.end().catch(() => undefined);
  process.send({ databaseUrl });
});
// A server waits for requests, not for its parent.
process.channel?.unref();
