import { DomainError, type LedgerFault } from "../../errors";
import { convert } from "../../quantity/convert";
import { alike, amountOf, quantityOf, type Amount } from "./amounts";
import { inOrder } from "./checks";
import type { Drawn } from "./lots";
import { rounded, toMinor, upTo } from "./minor";
import type { BatchLedger, CostKind, LedgerBatch, LedgerInput } from "./terms";

type Line = { readonly kind: CostKind; readonly label: string; readonly cost: number };
const refuse = (fault: LedgerFault, name: string, path: string): never => {
  throw new DomainError("ledger-fault", { fault, name }, path);
};
type OutKind = "feeds" | "uses" | "waste";

/** A batch in minor units, with what has gone out of it. */
export interface Settled {
  readonly entry: LedgerBatch;
  readonly outcome: BatchLedger["outcome"];
  readonly yielded: Amount | null;
  readonly lines: readonly Line[];
  readonly cost: number;
  readonly residue: number;
  readonly net: number;
  used: number;
  readonly out: Record<OutKind, number>;
}

/** An out of a batch, as it is asked for: by its day, then as entered. */
interface Out {
  readonly batch: string;
  readonly kind: OutKind;
  readonly on: string;
  readonly amount: Amount;
  readonly key: string;
  readonly path: string;
}
function outsOf({ batches, uses = [], waste = [] }: LedgerInput): Out[] {
  const outs: Out[] = [
    ...batches.flatMap(({ id, start, feeds = [] }, nth) =>
      feeds.map(({ batch, amount, on }, at): Out => {
        const path = `/batches/${nth}/feeds/${at}`;
        return { batch, kind: "feeds", on: on ?? start, amount: amountOf(amount, path), key: `feed ${id} ${at}`, path };
      }),
    ),
    ...uses.map(({ id, batch, on, amount }, nth): Out => {
      const path = `/uses/${nth}`;
      return { batch, kind: "uses", on, amount: amountOf(amount, path), key: `use ${id}`, path };
    }),
    ...waste.map(({ batch, on, amount }, nth): Out => {
      const path = `/waste/${nth}`;
      return { batch, kind: "waste", on, amount: amountOf(amount, path), key: `waste ${nth}`, path };
    }),
  ];
  return outs.toSorted((one, other) => (one.on < other.on ? -1 : one.on > other.on ? 1 : 0));
}

/** Vessels worn by the days that they stood full, batch after batch; past its life one costs no more. */
export function wornBy({ vessels = [], batches, currency }: LedgerInput): {
  readonly byBatch: ReadonlyMap<string, number>;
  readonly vessels: readonly { readonly id: string; readonly charged: number; readonly worth: number }[];
} {
  const byBatch = new Map<string, number>();
  const worn = vessels.map(({ id, cost, salvage = 0, lifeDays }, nth) => {
    const path = `/vessels/${nth}`;
    const [price, left] = [toMinor(cost, currency.minor, path), toMinor(salvage, currency.minor, path)];
    let [days, charged] = [0, 0];
    const order = batches
      .filter(({ vessel }) => vessel?.id === id)
      .toSorted((one, other) => (one.start < other.start ? -1 : one.start > other.start ? 1 : 0));
    for (const batch of order) {
      // Days may be halves: a thousandth of one counts.
      days = Math.min(lifeDays, days + batch.vessel!.days);
      const posted = upTo(price - left, Math.round(days * 1000), Math.round(lifeDays * 1000));
      byBatch.set(batch.id, posted - charged);
      charged = posted;
    }
    return { id, charged, worth: price - charged };
  });
  return { byBatch, vessels: worn };
}

function rate(input: LedgerInput, name: keyof LedgerInput["rates"], path: string): number {
  return input.rates[name] ?? refuse("rate-missing", name, path);
}
/** What a batch costs by itself: hours, power, water, what is used up. Each line is rounded once, at its source. */
function ownLines(batch: LedgerBatch, input: LedgerInput, path: string): Line[] {
  const { minor } = input.currency;
  return [
    ...(batch.labour ?? []).map(({ act, min, perHour }): Line => ({
      kind: "labour",
      label: act,
      cost: rounded((min * (perHour ?? rate(input, "labourPerHour", `${path}/labour`))) / 60, minor),
    })),
    ...(batch.power ?? []).map(({ device, watts = 0, hours = 0, kWh }): Line => ({
      kind: "power",
      label: device,
      cost: rounded((kWh ?? (watts * hours) / 1000) * rate(input, "powerPerKWh", `${path}/power`), minor),
    })),
    ...(batch.water
      ? [
          {
            kind: "water" as const,
            label: "water",
            cost: rounded((convert(batch.water, "L").value / 1000) * rate(input, "waterPerM3", `${path}/water`), minor),
          },
        ]
      : []),
    ...(batch.consumables ?? []).map(({ name, cost }, nth): Line => ({
      kind: "consumables",
      label: name,
      cost: toMinor(cost, minor, `${path}/consumables/${nth}/cost`),
    })),
  ];
}

/** All batches, givers first; what each cost, and what went out of it. */
export class Batches {
  readonly settled = new Map<string, Settled>();
  /** What an out cost, by its key. */
  readonly costOf = new Map<string, number>();
  /** Value of residue that went on into a batch. */
  private readonly carried = new Map<string, number>();
  residueKept = 0;

  /** @param drawn what each batch drew from the shed */
  constructor(
    private readonly input: LedgerInput,
    drawn: ReadonlyMap<string, readonly (Drawn & { readonly item: string })[]>,
    worn: ReadonlyMap<string, number>,
  ) {
    const outs = outsOf(input);
    const byGiver = new Map<string, Out[]>();
    for (const out of outs) byGiver.set(out.batch, [...(byGiver.get(out.batch) ?? []), out]);
    const place = new Map(input.batches.map(({ id }, nth) => [id, nth]));
    for (const id of inOrder(input)) {
      const nth = place.get(id)!;
      this.settle(input.batches[nth]!, `/batches/${nth}`, drawn.get(id) ?? [], worn.get(id) ?? 0);
      for (const out of byGiver.get(id) ?? []) this.pour(this.settled.get(id)!, out);
    }
  }
  private settle(
    entry: LedgerBatch,
    path: string,
    drawn: readonly (Drawn & { readonly item: string })[],
    worn: number,
  ): void {
    const { minor } = this.input.currency;
    const yielded = entry.yield ? amountOf(entry.yield, `${path}/yield`) : null;
    const outcome = entry.outcome ?? (yielded ? "strained" : "running");
    if (outcome === "strained" && !yielded) refuse("no-yield", entry.id, `${path}/yield`);
    const carried = this.carried.get(entry.id) ?? 0;
    const lines: Line[] = [
      ...drawn.map(({ item, cost }): Line => ({ kind: "lots", label: item, cost })),
      ...(entry.feeds ?? []).map(({ batch }, at): Line => ({
        kind: "feeds",
        label: batch,
        cost: this.costOf.get(`feed ${entry.id} ${at}`)!,
      })),
      ...ownLines(entry, this.input, path),
      ...(entry.vessel ? [{ kind: "vessel" as const, label: entry.vessel.id, cost: worn }] : []),
      ...(carried > 0 ? [{ kind: "residueIn" as const, label: "residue", cost: carried }] : []),
    ];
    const cost = lines.reduce((sum, line) => sum + line.cost, 0);
    let net = cost;
    for (const { value, into } of entry.residue ?? []) {
      const worth = Math.min(net, toMinor(value, minor, `${path}/residue`));
      net -= worth;
      if (into === undefined) this.residueKept += worth;
      else this.carried.set(into, (this.carried.get(into) ?? 0) + worth);
    }
    this.settled.set(entry.id, {
      ...{ entry, outcome, yielded, lines, cost, residue: cost - net, net, used: 0 },
      out: { feeds: 0, uses: 0, waste: 0 },
    });
  }
  private pour(batch: Settled, { kind, on, amount, key, path }: Out): void {
    const { entry, outcome, yielded } = batch;
    if (outcome !== "strained" || !yielded) return refuse("not-closed", entry.id, path);
    if (on < entry.start) refuse("before-start", entry.id, path);
    const before = upTo(batch.net, batch.used, yielded.whole);
    batch.used += alike(amount, yielded.stock, path);
    if (batch.used > yielded.whole) refuse("more-than-made", entry.id, path);
    const cost = upTo(batch.net, batch.used, yielded.whole) - before;
    batch.out[kind] += cost;
    this.costOf.set(key, cost);
  }
  /** What of a batch is still in its store; nothing of one that runs or has failed. */
  handOf({ outcome, net, out }: Settled): number {
    return outcome === "strained" ? net - out.feeds - out.uses - out.waste : 0;
  }
  /** The batch as it is told, in minor units still. */
  told(batch: Settled): BatchLedger {
    const { entry, outcome, lines, cost, residue, net, yielded, used, out } = batch;
    const sum = (kind: CostKind): number =>
      lines.reduce((total, line) => total + (line.kind === kind ? line.cost : 0), 0);
    return {
      ...{ id: entry.id, outcome, cost, residue, net, lines },
      in: {
        lots: sum("lots"),
        feeds: sum("feeds"),
        labour: sum("labour"),
        power: sum("power"),
        water: sum("water"),
        consumables: sum("consumables"),
        vessel: sum("vessel"),
        residueIn: sum("residueIn"),
      },
      perL: outcome === "strained" && yielded && yielded.whole > 0 ? net / (yielded.whole / 1000) : null,
      out: { ...out, loss: outcome === "discarded" ? net : 0, hand: this.handOf(batch) },
      left: yielded && quantityOf({ stock: yielded.stock, whole: yielded.whole - used }),
    };
  }
}
