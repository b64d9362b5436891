import "server-only";
/** Rows of who may come in: secrets, sessions, invitations, and who came. */
export {
  countRefused,
  insertAccessEvent,
  listAccess,
  type AccessEvent,
  type AccessKind,
  type AccessLine,
  type From,
} from "./accessEvents";
export {
  countHeld,
  endHeld,
  HELD_BECAUSE,
  insertHeld,
  listHeld,
  lockHeld,
  type HeldBecause,
  type HeldEntry,
} from "./held";
export { insertInvitation, listInvited, lockInvitation, useInvitation } from "./invitations";
export { writerOf, type Written } from "./owners";
export {
  endPasskey,
  endPasskeysOf,
  insertChallenge,
  insertPasskey,
  listPasskeys,
  lockPasskey,
  takeChallenge,
  usePasskey,
  type Passkey,
} from "./passkeys";
export { findSecret, isClaimed, listWithSecret, setSecret, type SecretKind } from "./secrets";
export {
  endSession,
  endSessionsOf,
  findSession,
  insertSession,
  listSessions,
  lockSession,
  putAt,
  seeSession,
  turnToken,
  type Session,
} from "./sessions";
