import "server-only";
import { isIP } from "node:net";
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type RegistrationResponseJSON,
} from "@simplewebauthn/server";
import { NAME, object, REQUEST_KEY, ROW_ID } from "@/contracts/parts";
import { inTransaction, errnoOf, SQL_ERROR, type Queryable } from "@/data/db";
import { findFarm, listActors } from "@/data/farm";
import {
  endPasskey,
  insertAccessEvent,
  insertChallenge,
  insertPasskey,
  listPasskeys,
  lockPasskey,
  takeChallenge,
  usePasskey,
  writerOf,
  type Passkey,
} from "@/data/people";
import { act, bareAct } from "../act";
import type { Context } from "../context";
import { refuse } from "../refusal";
import { sha256 } from "./secret";
import { openSession } from "./sessions";
import { DONE, Opened, type Done, type Site, type Visitor } from "./visitor";

/** So long somebody looks for their finger. */
const CHALLENGE_MS = 5 * 60_000;

/** The name that a passkey is made for: browsers make none for a bare address, and none without TLS but on the machine itself. */
export const passkeySite = (site: Site | undefined): string | null => {
  if (!site) return null;
  const { hostname, protocol } = new URL(site.origin);
  if (isIP(hostname.replace(/[[\]]/g, "")) !== 0) return null;
  return protocol === "https:" || hostname === "localhost" || hostname.endsWith(".localhost") ? hostname : null;
};

/** @throws {Refusal} `no-passkeys-here` */
function requireSite(site: Site | undefined): { readonly rpID: string; readonly origin: string } {
  const rpID = passkeySite(site);
  if (!site || rpID === null) throw refuse("no-passkeys-here", {});
  return { rpID, origin: site.origin };
}

async function keep(db: Queryable, challenge: string, actorId: number | null, now: Date): Promise<void> {
  await insertChallenge(db, {
    sha256: sha256(challenge),
    actorId,
    endsAt: new Date(now.getTime() + CHALLENGE_MS),
    now,
  });
}

const JUST_KEY = object(["requestKey"], { requestKey: REQUEST_KEY });
const TEXT = (maxLength: number) => ({ type: "string", minLength: 1, maxLength, pattern: "^[A-Za-z0-9_-]+$" }) as const;
/** What a browser tells of a credential, whether it makes one or signs by it (W3C WebAuthn, level 3). */
const CREDENTIAL = {
  id: TEXT(512),
  rawId: TEXT(512),
  type: { const: "public-key" },
  authenticatorAttachment: { type: ["string", "null"], maxLength: 30 },
  clientExtensionResults: { type: "object", maxProperties: 20 },
} as const;

/** What a browser is asked as it makes a passkey for whoever is signed in. @throws {Refusal} on a shared phone, which is nobody's */
export const beginPasskey = bareAct(
  { name: "beginPasskey", schema: JUST_KEY, may: "viewer" },
  async (ctx: Context): Promise<object> => {
    const { rpID } = requireSite(ctx.site);
    if (ctx.isShared) throw refuse("phone-is-shared", {});
    const farm = await findFarm(ctx.pool);
    const options = await generateRegistrationOptions({
      rpName: `Ruchka, ${farm?.name ?? ""}`,
      rpID,
      userName: ctx.actor.name,
      userDisplayName: ctx.actor.name,
      // The same for each of a person's devices, and it says nothing of them.
      userID: new Uint8Array(sha256(`${rpID} ${ctx.actor.id}`)),
      excludeCredentials: (await listPasskeys(ctx.pool, ctx.actor.id)).map(({ credentialId, transports }) => ({
        id: credentialId,
        transports: [...transports],
      })),
      authenticatorSelection: { residentKey: "required", userVerification: "required" },
    });
    await keep(ctx.pool, options.challenge, ctx.actor.id, ctx.now());
    return options;
  },
);

/** The challenge that a browser says it signed; it is looked up, so that a made-up one finds nothing. */
function challengeOf(clientDataJSON: string): string {
  try {
    const told = JSON.parse(Buffer.from(clientDataJSON, "base64url").toString("utf8")) as { challenge?: unknown };
    return typeof told.challenge === "string" ? told.challenge : "";
  } catch {
    return "";
  }
}

/** A passkey of one's own, for this device and all that its maker shares it with. @throws {Refusal} */
export const addPasskey = bareAct(
  {
    name: "addPasskey",
    schema: object(["requestKey", "name", "response"], {
      requestKey: REQUEST_KEY,
      name: NAME,
      response: object(["id", "rawId", "type", "response", "clientExtensionResults"], {
        ...CREDENTIAL,
        response: object(["clientDataJSON", "attestationObject"], {
          clientDataJSON: TEXT(4000),
          attestationObject: TEXT(20_000),
          authenticatorData: TEXT(4000),
          publicKey: TEXT(4000),
          publicKeyAlgorithm: { type: "integer" },
          transports: { type: "array", maxItems: 8, items: { type: "string", maxLength: 20, pattern: "^[a-z-]+$" } },
        }),
      }),
    }),
    may: "viewer",
  },
  async (ctx: Context, { name, response }): Promise<{ passkeyId: number }> => {
    const { rpID, origin } = requireSite(ctx.site);
    if (ctx.isShared) throw refuse("phone-is-shared", {});
    const challenge = challengeOf(response.response.clientDataJSON);
    return inTransaction(ctx.pool, async (db) => {
      if (!(await takeChallenge(db, sha256(challenge), ctx.actor.id, ctx.now()))) throw refuse("passkey-too-late", {});
      const checked = await verifyRegistrationResponse({
        response: response as unknown as RegistrationResponseJSON,
        expectedChallenge: challenge,
        expectedOrigin: origin,
        expectedRPID: rpID,
        requireUserVerification: true,
      }).catch(() => null);
      if (!checked?.verified) throw refuse("passkey-unfit", {});
      const { id, publicKey, counter, transports } = checked.registrationInfo.credential;
      try {
        const passkeyId = await insertPasskey(db, {
          actorId: ctx.actor.id,
          credentialId: id,
          publicKey: Buffer.from(publicKey).toString("base64url"),
          counter,
          transports: transports ?? [],
          site: rpID,
          name: name.trim(),
          addedAt: ctx.now(),
        });
        await told(db, ctx, "key-added", ctx.actor.id);
        return { passkeyId };
      } catch (error) {
        if (errnoOf(error) === SQL_ERROR.duplicate) throw refuse("passkey-unfit", {});
        throw error;
      }
    });
  },
);

const told = (db: Queryable, ctx: Context, kind: "key-added" | "key-removed", actorId: number) =>
  insertAccessEvent(db, {
    address: "",
    device: "",
    ...ctx.from,
    kind,
    actorId,
    byId: actorId === ctx.actor.id ? null : ctx.actor.id,
    at: ctx.now(),
  });

/** Ends a passkey; somebody else's is the steward's to end. @throws {Refusal} */
export const removePasskey = act(
  {
    name: "removePasskey",
    schema: object(["requestKey", "passkeyId"], { requestKey: REQUEST_KEY, passkeyId: ROW_ID }),
    may: "viewer",
    ofOthers: {
      may: "steward",
      ownerOf: (db, asked) => writerOf(db, "passkey", (asked as { passkeyId: number }).passkeyId),
    },
  },
  async (db, { passkeyId }, ctx): Promise<Done> => {
    const owner = await writerOf(db, "passkey", passkeyId);
    if (owner === null || !(await endPasskey(db, passkeyId, ctx.now())))
      throw refuse("not-found", { thing: "passkey" }, "/passkeyId");
    await told(db, ctx, "key-removed", owner);
    return DONE;
  },
);

/** What a browser is asked as somebody comes in by a passkey, whoever it is. */
export const beginPasskeySignIn = bareAct(
  { name: "beginPasskeySignIn", schema: JUST_KEY, may: "anybody" },
  async (visitor: Visitor): Promise<object> => {
    const { rpID } = requireSite(visitor.site);
    const options = await generateAuthenticationOptions({ rpID, userVerification: "required" });
    await keep(visitor.pool, options.challenge, null, visitor.now());
    return options;
  },
);

/** Somebody comes in by a passkey. @throws {Refusal} `wrong-passkey`, whatever is wrong with it */
export const signInByPasskey = bareAct(
  {
    name: "signInByPasskey",
    schema: object(["requestKey", "response"], {
      requestKey: REQUEST_KEY,
      response: object(["id", "rawId", "type", "response", "clientExtensionResults"], {
        ...CREDENTIAL,
        response: object(["clientDataJSON", "authenticatorData", "signature"], {
          clientDataJSON: TEXT(4000),
          authenticatorData: TEXT(4000),
          signature: TEXT(2000),
          userHandle: TEXT(200),
        }),
      }),
    }),
    may: "anybody",
  },
  async (visitor: Visitor, { response }): Promise<Opened<{ name: string }>> => {
    const { rpID, origin } = requireSite(visitor.site);
    const challenge = challengeOf(response.response.clientDataJSON);
    const opened = await inTransaction(visitor.pool, async (db) => {
      if (!(await takeChallenge(db, sha256(challenge), null, visitor.now()))) return null;
      const passkey = await lockPasskey(db, response.id);
      const actor = passkey ? (await listActors(db)).find(({ id }) => id === passkey.actorId) : undefined;
      if (!passkey || !actor || passkey.site !== rpID) return null;
      const checked = await verifyAuthenticationResponse({
        response: response as unknown as AuthenticationResponseJSON,
        expectedChallenge: challenge,
        expectedOrigin: origin,
        expectedRPID: rpID,
        credential: credentialOf(passkey),
        requireUserVerification: true,
      }).catch(() => null);
      if (!checked?.verified) return null;
      await usePasskey(db, passkey.id, checked.authenticationInfo.newCounter, visitor.now());
      const token = await openSession(db, actor.id, visitor.from, visitor.now());
      await insertAccessEvent(db, {
        ...visitor.from,
        kind: "signed-in",
        actorId: actor.id,
        note: "passkey",
        at: visitor.now(),
      });
      return { token, name: actor.name };
    });
    if (opened) return new Opened(opened.token, { name: opened.name });
    await insertAccessEvent(visitor.pool, {
      ...visitor.from,
      kind: "refused",
      actorId: null,
      note: "passkey",
      at: visitor.now(),
    });
    throw refuse("wrong-passkey", {});
  },
);

const credentialOf = ({ credentialId, publicKey, counter }: Passkey) => ({
  id: credentialId,
  publicKey: new Uint8Array(Buffer.from(publicKey, "base64url")),
  counter,
});
