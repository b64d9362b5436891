/** The ledger: what went in, and where every minor unit of it came out. */
import { DomainError } from "../../errors";
import { convert } from "../../quantity/convert";
import { amountOf } from "./amounts";
import { Batches, wornBy } from "./batches";
import { checkEntries } from "./checks";
import { insteadOf } from "./instead";
import { Lots, type Drawn } from "./lots";
import { fromMinor, rounded, shareOut } from "./minor";
import { BUCKETS, type BatchLedger, type Bucket, type Ledger, type LedgerInput } from "./terms";

export type { Ledger, LedgerBatch, LedgerInput } from "./terms";

/** A ledger in minor units. */
interface Books {
  readonly batches: readonly BatchLedger[];
  readonly uses: Ledger["uses"];
  readonly plots: ReadonlyMap<string, number>;
  readonly losses: Ledger["losses"];
  readonly in: Ledger["in"];
  readonly out: Ledger["out"];
  readonly vessels: Ledger["vessels"];
}

/** Entries that were there by a day; all without one. */
function knownBy(input: LedgerInput): LedgerInput {
  const { asOf } = input;
  if (asOf === undefined) return input;
  const batches = input.batches.filter(({ start }) => start <= asOf);
  return {
    ...input,
    lots: input.lots.filter(({ on }) => on <= asOf),
    batches,
    lotWaste: (input.lotWaste ?? []).filter(({ on }) => on <= asOf),
    uses: (input.uses ?? []).filter(({ on }) => on <= asOf),
    waste: (input.waste ?? []).filter(({ on }) => on <= asOf),
    corrections: (input.corrections ?? []).filter(({ knownOn }) => knownOn <= asOf),
  };
}

/** What leaves the shed, by its day, then as entered: into batches, or lost. */
function emptyShed(input: LedgerInput, lots: Lots) {
  const drawn = new Map<string, (Drawn & { item: string })[]>();
  const losses: { cause: string; id: string; cost: number }[] = [];
  const events = [
    ...input.batches.flatMap(({ id, start, draws = [] }, nth) =>
      draws.map((draw, at) => ({
        on: draw.on ?? start,
        run: (): void => {
          const path = `/batches/${nth}/draws/${at}`;
          const taken = lots.draw(draw.item, amountOf(draw.amount, path), draw.on ?? start, path, draw.lot);
          drawn.set(id, [...(drawn.get(id) ?? []), ...taken.map((one) => ({ ...one, item: draw.item }))]);
        },
      })),
    ),
    ...(input.lotWaste ?? []).map(({ lot, on, amount, reason }, nth) => ({
      on,
      run: (): void => {
        const path = `/lotWaste/${nth}`;
        losses.push({ cause: reason, id: lot, cost: lots.spoil(lot, amountOf(amount, path), on, path) });
      },
    })),
  ];
  for (const { run } of events.toSorted((one, other) => (one.on < other.on ? -1 : one.on > other.on ? 1 : 0))) run();
  return { drawn, losses };
}

/** Applications shared out over their plots: by litres of mix where all have them, else by area. */
function applied(input: LedgerInput, batches: Batches): { uses: Ledger["uses"]; plots: Map<string, number> } {
  const { minor } = input.currency;
  const areas = new Map((input.plots ?? []).map(({ id, area }) => [id, area ? convert(area, "m2").value : null]));
  const plots = new Map((input.plots ?? []).map(({ id }) => [id, 0]));
  const uses = (input.uses ?? []).map(({ id, labourMin = 0, plots: on }, nth) => {
    const concentrate = batches.costOf.get(`use ${id}`)!;
    const { labourPerHour } = input.rates;
    if (labourMin > 0 && labourPerHour === undefined)
      throw new DomainError("ledger-fault", { fault: "rate-missing", name: "labourPerHour" }, `/uses/${nth}/labourMin`);
    const labour = rounded((labourMin * (labourPerHour ?? 0)) / 60, minor);
    const byMix = on.every(({ mix }) => mix !== undefined);
    const weights = on.map((plot) => (byMix ? convert(plot.mix!, "L").value : (areas.get(plot.id) ?? null)));
    const missing = weights.findIndex((weight) => weight === null || weight < 0);
    if (missing >= 0 && on.length > 1)
      throw new DomainError(
        "ledger-fault",
        { fault: "no-area", name: on[missing]!.id },
        `/uses/${nth}/plots/${missing}`,
      );
    const shares = shareOut(
      concentrate + labour,
      weights.map((weight) => weight ?? 1),
    );
    for (const [at, { id: plot }] of on.entries()) plots.set(plot, (plots.get(plot) ?? 0) + shares[at]!);
    return {
      ...{ id, concentrate, labour, cost: concentrate + labour },
      plots: on.map((plot, at) => ({ id: plot.id, cost: shares[at]! })),
    };
  });
  return { uses, plots };
}

function booksOf(input: LedgerInput): Books {
  const lots = new Lots(input);
  const shed = emptyShed(input, lots);
  const worn = wornBy(input);
  const batches = new Batches(input, shed.drawn, worn.byBatch);
  const told = input.batches.map(({ id }) => batches.told(batches.settled.get(id)!));
  const { uses, plots } = applied(input, batches);
  const losses = [
    ...shed.losses,
    ...(input.waste ?? []).map(({ batch, reason }, nth) => ({
      ...{ cause: reason, id: batch },
      cost: batches.costOf.get(`waste ${nth}`)!,
    })),
    ...told.filter(({ outcome }) => outcome === "discarded").map(({ id, net }) => ({ cause: "failed", id, cost: net })),
  ];
  const sum = (list: readonly number[]): number => list.reduce((total, one) => total + one, 0);
  const ofBatches = (kind: "labour" | "power" | "water" | "consumables" | "vessel"): number =>
    sum(told.map((batch) => batch.in[kind]));
  return {
    batches: told,
    ...{ uses, plots, losses },
    in: {
      lots: lots.received,
      labour: ofBatches("labour") + sum(uses.map(({ labour }) => labour)),
      power: ofBatches("power"),
      water: ofBatches("water"),
      consumables: ofBatches("consumables"),
      vessel: ofBatches("vessel"),
    },
    out: {
      plots: sum([...plots.values()]),
      loss: sum(losses.map(({ cost }) => cost)),
      residue: batches.residueKept,
      lotsOnHand: lots.onHand,
      storesOnHand: sum(told.map(({ out }) => out.hand)),
      running: sum(told.filter(({ outcome }) => outcome === "running").map(({ net }) => net)),
    },
    vessels: worn.vessels,
  };
}

/** What became otherwise since a report was signed: every plot and every bucket that differs, booked on the day that it became known. */
function restatedSince(
  input: LedgerInput,
  now: Books,
): { kind: "plot" | "bucket"; id: string; before: number; now: number }[] {
  const { closedThrough, corrections = [] } = input;
  if (closedThrough === undefined) return [];
  const signed = booksOf({ ...input, corrections: corrections.filter(({ knownOn }) => knownOn <= closedThrough) });
  return [
    ...[...now.plots].map(([id, cost]) => ({
      kind: "plot" as const,
      id,
      before: signed.plots.get(id) ?? 0,
      now: cost,
    })),
    ...BUCKETS.map((id: Bucket) => ({ kind: "bucket" as const, id, before: signed.out[id], now: now.out[id] })),
  ].filter((one) => one.before !== one.now);
}

/**
 * What every batch, litre, application, plot and crop cost, and what was lost. A function of its entries alone: the same give the same, and what goes in comes out.
 * @throws {DomainError} `ledger-fault`, `unknown-unit`
 */
export function ledgerOf(asked: LedgerInput): Ledger {
  checkEntries(asked);
  const input = knownBy(asked);
  const { minor } = input.currency;
  const books = booksOf(input);
  const total = (of: Readonly<Record<string, number>>): number => Object.values(of).reduce((sum, one) => sum + one, 0);
  const [totalIn, totalOut] = [total(books.in), total(books.out)];
  // Not for tests only: a ledger that does not balance is none.
  if (totalIn !== totalOut) throw new Error(`The ledger does not balance: ${totalIn} in, ${totalOut} out.`);
  const money = (amount: number): number => fromMinor(amount, minor);
  const all = <K extends string>(of: Readonly<Record<K, number>>): Record<K, number> =>
    Object.fromEntries(Object.entries<number>(of).map(([key, amount]) => [key, money(amount)])) as Record<K, number>;
  const listed = <T extends { readonly cost: number }>(list: readonly T[]): T[] =>
    list.map((one) => ({ ...one, cost: money(one.cost) }));
  const crops = new Map<string | null, number>();
  for (const { id, crop = null } of input.plots ?? []) crops.set(crop, (crops.get(crop) ?? 0) + books.plots.get(id)!);
  const { instead, assumed } = insteadOf(input, books.out.plots + books.out.loss);
  const free = input.lots.filter((lot) => lot.free);
  return {
    batches: books.batches.map((batch) => ({
      ...batch,
      ...{ cost: money(batch.cost), residue: money(batch.residue), net: money(batch.net) },
      in: all(batch.in),
      out: all(batch.out),
      perL: batch.perL === null ? null : batch.perL / 10 ** minor,
      lines: listed(batch.lines),
    })),
    uses: listed(books.uses).map((use) => ({
      ...use,
      ...{ concentrate: money(use.concentrate), labour: money(use.labour) },
      plots: listed(use.plots),
    })),
    plots: (input.plots ?? []).map(({ id, crop = null, area }) => {
      const cost = books.plots.get(id)!;
      const m2 = area ? convert(area, "m2").value : 0;
      return { id, crop, cost: money(cost), perM2: m2 > 0 ? cost / 10 ** minor / m2 : null };
    }),
    crops: [...crops].map(([crop, cost]) => ({ crop, cost: money(cost) })),
    losses: listed(books.losses),
    in: all(books.in),
    out: all(books.out),
    totalIn: money(totalIn),
    totalOut: money(totalOut),
    balanced: true,
    vessels: books.vessels.map(({ id, charged, worth }) => ({ id, charged: money(charged), worth: money(worth) })),
    instead: instead.map((one) => ({
      ...one,
      ...{ cost: money(one.cost), wholeCost: money(one.wholeCost) },
      ...{ saving: money(one.saving), wholeSaving: money(one.wholeSaving) },
    })),
    assumed: [
      ...(free.length > 0 && input.basis === undefined ? (["free-at-nought"] as const) : []),
      ...(input.basis === "gathering-priced" && free.some(({ gatherMin }) => gatherMin === undefined)
        ? (["gathering-not-timed"] as const)
        : []),
      ...assumed,
    ],
    restated: restatedSince(input, books).map(({ kind, id, before, now }) => ({
      ...{ kind, id, before: money(before), now: money(now) },
      difference: money(now - before),
    })),
  };
}
export { insteadOf } from "./instead";
