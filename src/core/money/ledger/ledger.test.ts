import { chanceFrom, type Chance } from "../../chance";
import { ledgerOf, type LedgerInput } from ".";
import { shareOut, upTo } from "./minor";

const whole = (chance: Chance, from: number, to: number): number => Math.floor(chance.between(from, to + 1 - 1e-9));
const litres = (value: number) => ({ value, unit: "L" as const });
const dayOf = (nth: number): string => new Date(Date.UTC(2031, 0, 1 + nth)).toISOString().slice(0, 10);

/** A season by chance: lots, batches that feed later ones, some failed, some running, uses over plots, waste, corrections. */
function ledgerBy(seed: number): LedgerInput {
  const chance = chanceFrom(seed);
  const minor = chance.pick([0, 2, 3] as const, [1, 3, 1]);
  const money = (most: number): number => whole(chance, 0, most * 10 ** minor) / 10 ** minor;
  const plots = Array.from({ length: whole(chance, 1, 6) }, (_, nth) => ({
    id: `p${nth}`,
    crop: ["kale", "beans"][nth % 2]!,
    area: { value: chance.between(1, 40), unit: "m2" as const },
  }));
  const lots = Array.from({ length: 6 }, (_, nth) => ({
    ...{ id: `l${nth}`, item: ["molasses", "nettle"][nth % 2]!, on: dayOf(nth), amount: litres(50) },
    ...(chance.uniform() < 0.3 ? { free: true, gatherMin: whole(chance, 0, 200) } : { cost: money(90) }),
  }));
  const left = new Map<string, number>();
  const batches: LedgerInput["batches"][number][] = [];
  const uses: NonNullable<LedgerInput["uses"]>[number][] = [];
  const waste: NonNullable<LedgerInput["waste"]>[number][] = [];
  for (let nth = 0; nth < whole(chance, 2, 10); nth += 1) {
    const id = `b${nth}`;
    const outcome = chance.pick(["strained", "discarded", "running"] as const, [7, 1, 1]);
    const yieldL = whole(chance, 1, 200) / 10;
    const givers = [...left].filter(([, litresLeft]) => litresLeft > 0.2);
    const giver = givers.length > 0 && chance.uniform() < 0.5 ? givers[whole(chance, 0, givers.length - 1)]! : null;
    const fed = giver ? Math.round(giver[1] * chance.uniform() * 100) / 100 : 0;
    if (giver) left.set(giver[0], giver[1] - fed);
    batches.push({
      ...{ id, start: dayOf(10 + 5 * nth), outcome },
      ...(outcome === "strained" ? { yield: litres(yieldL) } : {}),
      draws: [{ item: "molasses", amount: litres(whole(chance, 0, 80) / 10) }],
      ...(giver ? { feeds: [{ batch: giver[0], amount: litres(fed) }] } : {}),
      labour: [{ act: "fill", min: whole(chance, 0, 90) }],
      power: [{ device: "pump", watts: 40, hours: whole(chance, 0, 40) }],
      water: litres(whole(chance, 0, 100)),
      consumables: [{ name: "bag", cost: money(2) }],
      vessel: { id: "drum", days: whole(chance, 0, 30) },
      residue: chance.uniform() < 0.3 ? [{ name: "mash", value: money(3) }] : [],
    });
    if (outcome !== "strained") continue;
    let there = yieldL;
    for (let use = 0; use < whole(chance, 0, 3); use += 1) {
      const amount = Math.round(there * chance.uniform() * 100) / 100;
      there -= amount;
      uses.push({
        ...{ id: `u${nth}-${use}`, on: dayOf(80 + nth), batch: id, amount: litres(amount) },
        labourMin: whole(chance, 0, 60),
        plots: plots.filter((_, at) => at === 0 || chance.uniform() < 0.6).map(({ id: plot }) => ({ id: plot })),
      });
    }
    if (chance.uniform() < 0.3) {
      const amount = Math.round(there * 50) / 100;
      there -= amount;
      waste.push({ batch: id, on: dayOf(150), amount: litres(amount), reason: "past its hours" });
    }
    left.set(id, Math.floor(there * 100) / 100);
  }
  return {
    ...{ currency: { code: "XXX", minor }, lots, batches, uses, waste, plots },
    basis: chance.uniform() < 0.5 ? "free-at-nought" : "gathering-priced",
    rates: { labourPerHour: 15.37, powerPerKWh: 0.31, waterPerM3: 2.11, gatherPerHour: 12.9 },
    vessels: [{ id: "drum", cost: money(90), lifeDays: 200 }],
    lotWaste: [{ lot: "l1", on: dayOf(60), amount: litres(3), reason: "expired" }],
  };
}
const seeds = Array.from({ length: 150 }, (_, seed) => seed);
const sum = (list: readonly { readonly cost: number }[]): number => list.reduce((total, { cost }) => total + cost, 0);

describe("a ledger by chance", () => {
  it.each(seeds)("%i: what goes in comes out, to the last coin, and each part adds up", (seed) => {
    const input = ledgerBy(seed);
    const ledger = ledgerOf(input);
    const room = 1e-6;
    expect(ledger.totalIn).toBe(ledger.totalOut);
    expect(Math.abs(sum(ledger.plots) - ledger.out.plots)).toBeLessThan(room);
    expect(Math.abs(sum(ledger.crops) - ledger.out.plots)).toBeLessThan(room);
    expect(Math.abs(sum(ledger.losses) - ledger.out.loss)).toBeLessThan(room);
    expect(Math.abs(sum(ledger.uses) - ledger.out.plots)).toBeLessThan(room);
    for (const batch of ledger.batches) {
      expect(Math.abs(sum(batch.lines) - batch.cost)).toBeLessThan(room);
      const { feeds, uses, waste, loss, hand } = batch.out;
      if (batch.outcome !== "running")
        expect(Math.abs(feeds + uses + waste + loss + hand - batch.net)).toBeLessThan(room);
      expect(Math.min(...Object.values(batch.out), batch.net)).toBeGreaterThanOrEqual(0);
    }
    for (const { cost, plots } of ledger.uses) expect(Math.abs(sum(plots) - cost)).toBeLessThan(room);
  });

  it.each(seeds.slice(0, 60))(
    "%i: a batch by another name costs the same, and so does a use entered in two halves",
    (seed) => {
      const input = ledgerBy(seed);
      const ledger = ledgerOf(input);
      const other = (id: string): string => `other-${id}`;
      const renamed = ledgerOf({
        ...input,
        batches: input.batches.map((batch) => ({
          ...batch,
          id: other(batch.id),
          ...(batch.feeds ? { feeds: batch.feeds.map((feed) => ({ ...feed, batch: other(feed.batch) })) } : {}),
        })),
        uses: input.uses!.map((use) => ({ ...use, batch: other(use.batch) })),
        waste: input.waste!.map((one) => ({ ...one, batch: other(one.batch) })),
      });
      expect(renamed.batches.map(({ cost, net }) => [cost, net])).toEqual(
        ledger.batches.map(({ cost, net }) => [cost, net]),
      );
      const [first, ...rest] = input.uses!;
      if (!first) return;
      const half = Math.floor(first.amount.value * 500) / 1000;
      const [one, two] = [half, Math.round((first.amount.value - half) * 1000) / 1000];
      const halves = ledgerOf({
        ...input,
        uses: [
          { ...first, amount: litres(one), labourMin: 0 },
          { ...first, id: "second-half", amount: litres(two), labourMin: first.labourMin! },
          ...rest,
        ],
      });
      const whole = ledger.uses[0]!.concentrate;
      expect(Math.abs(halves.uses[0]!.concentrate + halves.uses[1]!.concentrate - whole)).toBeLessThan(1e-6);
    },
  );

  it.each(seeds.slice(0, 60))(
    "%i: a bill that came late restates plots and buckets, and no more than it was",
    (seed) => {
      const input = ledgerBy(seed);
      const lot = input.lots.find(({ free }) => !free);
      if (!lot) return;
      const step = 10 ** -input.currency.minor;
      const cost = Number((lot.cost! + 7 * step).toFixed(input.currency.minor));
      const late = ledgerOf({
        ...input,
        corrections: [{ lot: lot.id, cost, knownOn: "2032-02-01" }],
        closedThrough: "2031-12-31",
      });
      const total = late.restated.reduce((all, { difference }) => all + difference, 0);
      expect(total).toBeCloseTo(7 * step, 6);
      for (const { before, now, difference } of late.restated) expect(now - before).toBeCloseTo(difference, 6);
      expect(
        ledgerOf({ ...input, corrections: [{ lot: lot.id, cost, knownOn: "2032-02-01" }], asOf: "2032-01-01" }).totalIn,
      ).toBe(ledgerOf(input).totalIn);
    },
  );
});

describe("sharing without a third rounding", () => {
  it("slices end at the whole, whatever their sizes", () => {
    const chance = chanceFrom(3);
    for (let nth = 0; nth < 300; nth += 1) {
      const [cost, all] = [whole(chance, 0, 1e9), whole(chance, 1, 1e9)];
      let [used, posted] = [0, 0];
      while (used < all) {
        used = Math.min(all, used + whole(chance, 1, all));
        const now = upTo(cost, used, all);
        expect(now).toBeGreaterThanOrEqual(posted);
        posted = now;
      }
      expect(posted).toBe(cost);
    }
  });
  it("odd units go to the largest remainders, of equal ones to the first named", () => {
    expect(shareOut(838, [10, 10, 10])).toEqual([280, 279, 279]);
    expect(shareOut(10, [1, 2, 4])).toEqual([1, 3, 6]);
    expect(shareOut(5, [0, 0])).toEqual([5, 0]);
    const chance = chanceFrom(4);
    for (let nth = 0; nth < 300; nth += 1) {
      const total = whole(chance, 0, 100_000);
      const shares = shareOut(
        total,
        Array.from({ length: whole(chance, 1, 30) }, () => chance.between(0, 9)),
      );
      expect(shares.reduce((all, one) => all + one, 0)).toBe(total);
    }
  });
});
