import { cookies, headers } from "next/headers";
import { cache } from "react";
import type { Frame } from "@/services/context";
import { readFarm } from "@/services/farm";
import { isClaimed, listSigners, passkeySite, sessionOf, turned, type Found, type Visitor } from "@/services/people";
import { now, pool } from "@/services/runtime";
import { isLoopback } from "./door/stranger";

const MONTH_S = 30 * 24 * 3600;

/** Farms on one machine differ by port alone, and cookies do not. */
const cookieOf = (host: string | null): string => `ruchka-${/:(\d+)$/.exec(host ?? "")?.[1] ?? "web"}`;

/** Where a request comes from; the address as the nearest server tells it. */
export const visitorNow = async (): Promise<Visitor> => {
  const asked = await headers();
  return {
    pool: pool(),
    now,
    from: {
      address: (asked.get("x-forwarded-for") ?? "").split(",").at(-1)!.trim().slice(0, 45),
      device: (asked.get("user-agent") ?? "").slice(0, 120),
    },
    isHere: isLoopback(asked.get("host")),
    site: { origin: `${asked.get("x-forwarded-proto") === "https" ? "https" : "http"}://${asked.get("host") ?? ""}` },
  };
};

/** What a page can know of somebody who is not in. */
interface Outside {
  readonly farmName: string;
  readonly units: "metric" | "us";
  readonly people: readonly { readonly id: number; readonly name: string }[];
}
export type Standing =
  | { readonly type: "not-set-up" }
  /** Nobody is signed in on this device; `people` only where nobody can sign in yet, to say who is the steward. */
  | ({ readonly type: "signed-out"; readonly isClaimed: boolean; readonly takesPasskeys: boolean } & Outside)
  /** A shared phone that waits for a PIN; `people` have one. */
  | ({ readonly type: "locked"; readonly found: Found } & Outside)
  | { readonly type: "open"; readonly frame: Frame; readonly found: Found; readonly token: string };

/** How this request stands to the farm: who is asking, found once a request. */
export const openStanding = cache(async (): Promise<Standing> => {
  const read = await readFarm(pool());
  if (!read) return { type: "not-set-up" };
  const { farm, actors } = read;
  const outside = { farmName: farm.name, units: farm.units };
  const asked = await headers();
  const token = (await cookies()).get(cookieOf(asked.get("host")))?.value;
  const found = token ? await sessionOf(pool(), token, now(), actors) : null;
  if (!token || !found) {
    const claimed = await isClaimed(pool());
    const people = claimed ? [] : actors.map(({ id, name }) => ({ id, name }));
    const takesPasskeys = claimed && passkeySite((await visitorNow()).site) !== null;
    return { type: "signed-out", isClaimed: claimed, takesPasskeys, ...outside, people };
  }
  if (!found.actor) return { type: "locked", found, ...outside, people: await listSigners(pool()) };
  const { from, site } = await visitorNow();
  const { id: sessionId, isShared } = found.session;
  const ctx = { pool: pool(), now, actor: found.actor, sessionId, from, ...(site ? { site } : {}), isShared };
  return { type: "open", frame: { farm, people: actors, ctx }, found, token };
});

/** The farm, its people and who is asking; null where nobody is in, or there is no farm. */
export async function openFrame(): Promise<Frame | null> {
  const standing = await openStanding();
  return standing.type === "open" ? standing.frame : null;
}

/** Gives this device a token to keep, or takes the one that it has. */
export async function keepToken(token: string | null): Promise<void> {
  const asked = await headers();
  const host = asked.get("host");
  const jar = await cookies();
  if (token === null) jar.delete(cookieOf(host));
  else
    jar.set(cookieOf(host), token, {
      httpOnly: true,
      sameSite: "lax",
      secure: asked.get("x-forwarded-proto") === "https",
      maxAge: MONTH_S,
      path: "/",
    });
}

/** Gives this device another token where its own is old. */
export async function turnToken(): Promise<void> {
  const standing = await openStanding();
  if (standing.type !== "open") return;
  const next = await turned(pool(), standing.token, standing.found, now());
  if (next !== null) await keepToken(next);
}
