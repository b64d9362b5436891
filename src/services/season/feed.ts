import "server-only";
import { REQUEST_KEY, object } from "@/contracts/parts";
import { findFarm } from "@/data/farm";
import { endFeeds, findFeedOwner, insertFeed } from "@/data/season";
import type { Database } from "@/data/db";
import { act } from "../act";
import { newToken, sha256 } from "../people";
import { seasonCalendar, type CalendarWish } from "./outputs";

const ASKED = object(["requestKey"], { requestKey: REQUEST_KEY });

/** An address of one's own for a calendar program, which can't sign in. It is told once; a new one ends the one before it. */
export const newSeasonFeed = act(
  { name: "newSeasonFeed", schema: ASKED, may: "viewer" },
  async (db, _request, ctx): Promise<{ token: string }> => {
    const token = newToken();
    await endFeeds(db, ctx.actor.id, ctx.now());
    await insertFeed(db, { actorId: ctx.actor.id, tokenSha256: sha256(token), madeAt: ctx.now() });
    return { token };
  },
);
/** The address is read by nobody any more. */
export const endSeasonFeed = act(
  { name: "endSeasonFeed", schema: ASKED, may: "viewer" },
  async (db, _request, ctx): Promise<Record<string, never>> => {
    await endFeeds(db, ctx.actor.id, ctx.now());
    return {};
  },
);

/** What a calendar program reads by such an address; null where it is none, or has ended. */
export async function readSeasonFeed(
  pool: Database,
  now: () => Date,
  token: string,
  wish: CalendarWish,
): Promise<{ readonly farmName: string; readonly text: string } | null> {
  const [farm, actorId] = await Promise.all([findFarm(pool), findFeedOwner(pool, sha256(token))]);
  if (!farm || actorId === null) return null;
  // It sees what a viewer sees, whoever's it is.
  const text = await seasonCalendar({ pool, now, actor: { id: actorId, name: "", role: "viewer" } }, farm, wish);
  return { farmName: farm.name, text };
}
