import "server-only";
import { createHash, randomBytes } from "node:crypto";
import { hash, verify } from "@node-rs/argon2";
import { passphraseFault, pinFault } from "@/core/people/roles";
import { refuse } from "../refusal";

/** Of a text that is random in itself and need not be slow to try: a token, a code. */
export const sha256 = (text: string): Buffer => createHash("sha256").update(text).digest();
export const newToken = (): string => randomBytes(32).toString("base64url");

const tidy = (secret: string): string => secret.normalize("NFKC").trim();

/** A secret as it is kept: argon2id by 19 MiB in 2 rounds (OWASP Password Storage, 2023), the package's own costs. */
export const hashSecret = (secret: string): Promise<string> => hash(tidy(secret));

/** A hash of nothing that anybody has, so that a name that nobody has takes as long to refuse. */
let nobodys: Promise<string> | null = null;

/** Whether it is the secret. @param kept null where there is none: it takes as long, and is not */
export async function isSecret(kept: string | null, secret: string): Promise<boolean> {
  const against = kept ?? (await (nobodys ??= hashSecret(newToken())));
  const fits = await verify(against, tidy(secret)).catch(() => false);
  return fits && kept !== null;
}

/** @throws {Refusal} for a passphrase that is guessed at once */
export function requirePassphrase(passphrase: string, names: readonly string[], path: string): void {
  const fault = passphraseFault(passphrase, names);
  if (fault !== null) throw refuse("passphrase-weak", { fault }, path);
}

/** @throws {Refusal} for a PIN that is guessed at once */
export function requirePin(pin: string, path: string): void {
  const fault = pinFault(pin);
  if (fault !== null) throw refuse("pin-weak", { fault }, path);
}
