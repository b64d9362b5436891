import { DomainError } from "../../errors";
import { alike, amountOf, type Amount } from "./amounts";
import { rounded, toMinor, upTo } from "./minor";
import type { LedgerInput, LedgerLot } from "./terms";

interface Lot {
  readonly entry: LedgerLot;
  readonly amount: Amount;
  readonly cost: number;
  used: number;
  posted: number;
}
/** What is drawn: whichever lots it comes from, the oldest first, and what each costs. */
export interface Drawn {
  readonly lot: string;
  readonly cost: number;
}

/** What a lot cost: its price, or the time of its gathering where that is to count. */
function costOf(lot: LedgerLot, input: LedgerInput, path: string): number {
  const { minor } = input.currency;
  const corrected = (input.corrections ?? []).findLast(({ lot: id }) => id === lot.id);
  if (corrected) return toMinor(corrected.cost, minor, "/corrections");
  if (!lot.free) return toMinor(lot.cost ?? Number.NaN, minor, `${path}/cost`);
  if (input.basis !== "gathering-priced" || lot.gatherMin === undefined) return 0;
  const { gatherPerHour } = input.rates;
  if (gatherPerHour === undefined)
    throw new DomainError("ledger-fault", { fault: "rate-missing", name: "gatherPerHour" }, "/rates");
  if (lot.gatherMin < 0) throw new DomainError("ledger-fault", { fault: "negative", name: "gatherMin" }, path);
  return rounded((lot.gatherMin * gatherPerHour) / 60, minor);
}

/** The shed: lots in the order they came, drawn on oldest first and never before they were there. */
export class Lots {
  private readonly byItem = new Map<string, Lot[]>();
  private readonly byId = new Map<string, Lot>();
  constructor(input: LedgerInput) {
    for (const [nth, entry] of input.lots.entries()) {
      const path = `/lots/${nth}`;
      const lot: Lot = {
        entry,
        amount: amountOf(entry.amount, path),
        cost: costOf(entry, input, path),
        used: 0,
        posted: 0,
      };
      this.byId.set(entry.id, lot);
      const list = this.byItem.get(entry.item) ?? [];
      this.byItem.set(entry.item, list);
      list.push(lot);
    }
    // Sorting keeps those of a day as they were booked.
    for (const list of this.byItem.values())
      list.sort((one, other) => (one.entry.on < other.entry.on ? -1 : one.entry.on > other.entry.on ? 1 : 0));
  }
  private take(lot: Lot, whole: number): Drawn {
    lot.used += whole;
    const posted = upTo(lot.cost, lot.used, lot.amount.whole);
    const cost = posted - lot.posted;
    lot.posted = posted;
    return { lot: lot.entry.id, cost };
  }
  /** @param named only this lot, @throws {DomainError} `ledger-fault` where there is not so much */
  draw(item: string, amount: Amount, on: string, path: string, named?: string): Drawn[] {
    const list = this.byItem.get(item) ?? [];
    const there = list.filter(({ entry }) => entry.on <= on && (named === undefined || entry.id === named));
    let wanted = amount.whole;
    const drawn: Drawn[] = [];
    for (const lot of there) {
      if (wanted === 0) break;
      alike(amount, lot.amount.stock, path);
      const whole = Math.min(wanted, lot.amount.whole - lot.used);
      if (whole <= 0) continue;
      drawn.push(this.take(lot, whole));
      wanted -= whole;
    }
    if (wanted > 0) throw new DomainError("ledger-fault", { fault: "short", name: named ?? item }, path);
    return drawn;
  }
  /** Out of one lot, whatever for. @throws {DomainError} `ledger-fault` */
  spoil(id: string, amount: Amount, on: string, path: string): number {
    const lot = this.byId.get(id);
    if (!lot) throw new DomainError("ledger-fault", { fault: "unknown", name: id }, path);
    return this.draw(lot.entry.item, amount, on, path, id).reduce((sum, { cost }) => sum + cost, 0);
  }
  get received(): number {
    return [...this.byId.values()].reduce((sum, { cost }) => sum + cost, 0);
  }
  get onHand(): number {
    return [...this.byId.values()].reduce((sum, { cost, posted }) => sum + cost - posted, 0);
  }
}
