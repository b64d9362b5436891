import type { LedgerFault } from "@/core/errors";

/** Why something was lost: a batch that failed, or what was said as it was poured away. */
export const sayLossCause = (cause: string): string =>
  cause === "failed" ? "thrown away, no yield" : cause === "" ? "poured away" : cause;

/** What makes entries no ledger, in words. */
export const LEDGER_FAULTS: Readonly<Record<LedgerFault, (name: string) => string>> = {
  "id-twice": (name) => `"${name}" stands twice.`,
  "no-date": () => "A day is missing here, or is none.",
  "negative": () => "This can't be below 0.",
  "finer-than-minor": (name) => `There are no coins for ${name}.`,
  "rate-missing": (name) => `The price is missing: ${name}.`,
  "unknown": (name) => `There is no "${name}".`,
  "ring": (name) => `Batches feed each other in a ring: ${name}.`,
  "short": (name) => `There was not so much of "${name}" by then.`,
  "no-amount": (name) => `${name} does not fit here: what is weighed is not poured.`,
  "no-yield": (name) => `Say what "${name}" yielded.`,
  "no-area": (name) => `Say how large "${name}" is, or how much mix it got.`,
  "no-plot": () => "Say which plots it went on.",
  "not-closed": (name) => `"${name}" still runs, or failed: nothing comes out of it yet.`,
  "before-start": (name) => `"${name}" had not been begun by then.`,
  "more-than-made": (name) => `More would come out of "${name}" than it yielded.`,
};
