/** What people may be on a farm, the least first: each may do what those before it may. */
export const ROLES = ["viewer", "helper", "grower", "steward"] as const;
export type Role = (typeof ROLES)[number];

/** Whether a role may what asks for another at least. @example mayAs("grower", "helper"); // true */
export const mayAs = (role: Role, least: Role): boolean => ROLES.indexOf(role) >= ROLES.indexOf(least);

/** So short a passphrase is guessed (OWASP ASVS 4.0.3, 2.1.1); it may be as long as a sentence. */
export const PASSPHRASE_LEAST = 12;
export const PASSPHRASE_MOST = 128;
/** A PIN opens a phone that is shared, and nothing else. */
export const PIN_LEAST = 4;
export const PIN_MOST = 8;

/** A shared phone that nobody touches locks itself, on its screen as at the farm. */
export const LOCK_AFTER_MIN = 5;

/** Letters and figures in words of four, none that looks like another: for what is read off paper. */
const CODE_LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
const CODE_LENGTH = 16;

/** A code for a link or a paper, from random bytes. @param bytes 16 at least @returns 16 of 31 letters and figures, about 79 bits, in four groups */
export function joinCode(bytes: Uint8Array): string {
  const letters = [...bytes.slice(0, CODE_LENGTH)].map((byte) => CODE_LETTERS[byte % CODE_LETTERS.length]!);
  return letters.join("").replace(/(.{4})(?=.)/g, "$1-");
}

/** A code as it was typed: in capitals, without its dashes. */
export const readCode = (typed: string): string => typed.toLowerCase().replace(/[^a-z0-9]/g, "");

/** Why a passphrase does not do; null where it does. @param names by which the farm and the person are called */
export function passphraseFault(passphrase: string, names: readonly string[]): "short" | "name" | "alike" | null {
  const said = passphrase.normalize("NFKC").trim();
  if ([...said].length < PASSPHRASE_LEAST) return "short";
  if (new Set([...said.toLowerCase()]).size < 5) return "alike";
  const bare = said.toLowerCase().replace(/[^\p{L}]/gu, "");
  return names.some((name) => name.trim() !== "" && bare === name.toLowerCase().replace(/[^\p{L}]/gu, ""))
    ? "name"
    : null;
}

/** Why a PIN does not do; null where it does: one figure over and over, or a row of them. */
export function pinFault(pin: string): "short" | "row" | null {
  if (!new RegExp(`^\\d{${PIN_LEAST},${PIN_MOST}}$`).test(pin)) return "short";
  const steps = new Set([...pin].slice(1).map((figure, index) => Number(figure) - Number(pin[index])));
  return steps.size === 1 && [0, 1, -1].includes([...steps][0]!) ? "row" : null;
}
