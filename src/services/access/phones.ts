import "server-only";
import { squaresOf, type Squares } from "../papers";

/** How a phone of the farm's own network comes in. */
export interface PhonesView {
  /** The farm, as phones call it. */
  readonly address: string;
  /** Where a phone learns to trust it, and the mark of the certificate there; null where phones trust it already. */
  readonly trust: { readonly address: string; readonly mark: string } | null;
  /** The first address that a phone opens, as a square to photograph. */
  readonly square: Squares;
}

/** How phones come in; null where this farm answers its own machine alone. */
export function readPhones(env: NodeJS.ProcessEnv = process.env): PhonesView | null {
  const { RUCHKA_ADDRESS: address, RUCHKA_TRUST: trust, RUCHKA_TRUST_MARK: mark } = env;
  if (!address) return null;
  return {
    address,
    trust: trust ? { address: trust, mark: mark ?? "" } : null,
    square: squaresOf(trust || address),
  };
}
