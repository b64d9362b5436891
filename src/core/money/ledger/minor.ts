import { DomainError } from "../../errors";

/** Nearer than this a sum is a whole minor unit. */
const ALIKE = 1e-6;

/** Money in whole minor units of its currency. @throws {DomainError} `ledger-fault`: below nothing, or finer than there are coins */
export function toMinor(amount: number, minor: number, path: string): number {
  const exact = amount * 10 ** minor;
  const whole = Math.round(exact);
  if (!Number.isFinite(amount) || amount < 0)
    throw new DomainError("ledger-fault", { fault: "negative", name: String(amount) }, path);
  if (Math.abs(exact - whole) > ALIKE)
    throw new DomainError("ledger-fault", { fault: "finer-than-minor", name: String(amount) }, path);
  return whole;
}
export const fromMinor = (amount: number, minor: number): number => Number((amount / 10 ** minor).toFixed(minor));

/** A line at its source: rounded once, half up. */
export const rounded = (amount: number, minor: number): number => Math.floor(amount * 10 ** minor + 0.5 + 1e-9);

/**
 * What of a cost is posted until so much of the whole is used: what is posted for the next slice is the difference, so that the last ends at the cost exactly and no
 * slice waits for a later one.
 */
export function upTo(cost: number, used: number, whole: number): number {
  if (whole === 0) return 0;
  const [money, part, all] = [BigInt(cost), BigInt(used), BigInt(whole)];
  return Number((2n * money * part + all) / (2n * all));
}

/** A sum shared at one moment by weights: the largest remainders get the odd units, of equal ones the first (Hamilton). */
export function shareOut(sum: number, weights: readonly number[]): number[] {
  const all = weights.reduce((total, one) => total + one, 0);
  if (all <= 0) return weights.map((_, nth) => (nth === 0 ? sum : 0));
  const exact = weights.map((weight) => (sum * weight) / all);
  const shares = exact.map((one) => Math.floor(one + 1e-9));
  const order = exact
    .map((one, nth) => ({ nth, rest: one - shares[nth]! }))
    .toSorted((one, other) => (Math.abs(one.rest - other.rest) > 1e-9 ? other.rest - one.rest : one.nth - other.nth));
  let odd = sum - shares.reduce((total, one) => total + one, 0);
  for (const { nth } of order) {
    if (odd <= 0) break;
    shares[nth]! += 1;
    odd -= 1;
  }
  return shares;
}
