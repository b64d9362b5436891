import fc from "fast-check";
import { INGREDIENT_IDS, findIngredient } from "../book/ingredients";
import { substitutesFor } from "../book/substitutes";
import { lotState, type LotHappening } from "./lotState";
import { drawOldestFirst, toMilli } from "./drawOldest";
import { cover, packsFor, shoppingList, type Demand, type Supply } from "./shopping";

const DAYS = ["2031-03-20", "2031-03-24", "2031-04-02", "2031-05-01"] as const;
const day = fc.constantFrom(...DAYS);
const ids = fc.constantFrom("molasses", "brown-sugar", "castings", "lactic-culture", "whey") as fc.Arbitrary<
  Demand["ingredient"]
>;
const amount = fc.integer({ min: 1, max: 20_000 }).map((milli) => milli / 1000);
const demand: fc.Arbitrary<Demand> = fc.record({
  ingredient: ids,
  amount,
  onDay: day,
  forWhat: fc.constantFrom("tea", "extract"),
});
const supply: fc.Arbitrary<Supply> = fc.record({
  ingredient: ids,
  amount,
  expiresOn: fc.option(day, { nil: null }),
  receivedOn: day,
});
const farm = fc.record({ demands: fc.array(demand, { maxLength: 15 }), supplies: fc.array(supply, { maxLength: 15 }) });

const of = <T extends { ingredient: string }>(things: readonly T[], id: string) =>
  things.filter(({ ingredient }) => ingredient === id);
const sum = (values: readonly number[]) => values.reduce((all, value) => all + toMilli(value), 0);

describe("plans, shelf and shop together", () => {
  it("buys what is short and no more than a pack over", () => {
    const pack = { name: "pack", amount: 3, costMinor: 100, leadD: 0 };
    fc.assert(
      fc.property(farm, ({ demands, supplies }) => {
        const packs = new Map(demands.map(({ ingredient }) => [ingredient, pack] as const));
        for (const line of shoppingList(demands, supplies, packs, DAYS[0])) {
          expect(line.packs! * pack.amount).toBeGreaterThanOrEqual(line.short - 1e-9);
          expect((line.packs! - 1) * pack.amount).toBeLessThan(line.short);
          expect(line.costMinor).toBe(line.packs! * pack.costMinor);
        }
      }),
    );
  });
  it("is content once what it asked for is on the shelf", () => {
    fc.assert(
      fc.property(farm, ({ demands, supplies }) => {
        const list = shoppingList(demands, supplies, new Map(), DAYS[0]);
        const bought = list.map(({ ingredient, short }): Supply => ({
          ingredient,
          amount: short,
          expiresOn: null,
          receivedOn: "2031-06-01",
        }));
        expect(shoppingList(demands, [...supplies, ...bought], new Map(), DAYS[0])).toEqual([]);
      }),
    );
  });
  it("asks for no less where more is planned, and for no more where more is there", () => {
    fc.assert(
      fc.property(farm, demand, supply, ({ demands, supplies }, more, gift) => {
        const shortOf = (wanted: readonly Demand[], held: readonly Supply[]) =>
          sum(cover(wanted, held).coverings.map(({ short }) => short));
        const before = shortOf(demands, supplies);
        expect(shortOf([...demands, more], supplies)).toBeGreaterThanOrEqual(before);
        expect(shortOf(demands, [...supplies, gift])).toBeLessThanOrEqual(before);
      }),
    );
  });
  it("keeps apart what is not the same", () => {
    fc.assert(
      fc.property(farm, ({ demands, supplies }) => {
        const { coverings, left } = cover(demands, supplies);
        for (const id of new Set(supplies.map(({ ingredient }) => ingredient))) {
          const given = sum(coverings.filter((one) => one.demand.ingredient === id).map((one) => one.given));
          expect(given + sum(of(left, id).map((one) => one.amount))).toBe(
            sum(of(supplies, id).map((one) => one.amount)),
          );
        }
      }),
    );
  });
  it("never offers as a stand-in what is kept for another plan", () => {
    fc.assert(
      fc.property(farm, ({ demands, supplies }) => {
        const { left } = cover(demands, supplies);
        for (const { standIns, firstDay } of shoppingList(demands, supplies, new Map(), DAYS[0]))
          for (const { use, inShed, amount: needed } of standIns.filter((one) => one.inShed)) {
            const free = of(left, use).filter(({ expiresOn }) => expiresOn === null || expiresOn >= firstDay);
            expect(inShed && free.reduce((all, one) => all + one.amount, 0)).toBeGreaterThanOrEqual(needed);
          }
      }),
    );
  });
  it("rounds packs up over any amount, whole packs of grams and all", () => {
    fc.assert(
      fc.property(amount, amount, (wanted, size) => {
        const count = packsFor(wanted, size);
        expect(toMilli(size) * count).toBeGreaterThanOrEqual(toMilli(wanted));
        expect(toMilli(size) * (count - 1)).toBeLessThan(toMilli(wanted));
      }),
    );
  });
});

describe("what stands in", () => {
  it.each(INGREDIENT_IDS)("for %s: by a share above nothing, by something that is not itself, once", (id) => {
    const all = substitutesFor(id);
    expect(new Set(all.map(({ use }) => use)).size).toBe(all.length);
    for (const { use, factor, changes } of all) {
      expect(use).not.toBe(id);
      expect(findIngredient(use).name).toBeTruthy();
      expect(factor).toBeGreaterThan(0);
      expect(factor).toBeLessThan(20);
      expect(changes.length).toBeGreaterThan(10);
    }
  });
  it("stands in for sugar by its sugar, there and back again, with its spread said", () => {
    const factor = (instead: "brown-sugar" | "jaggery" | "honey", use: "brown-sugar" | "jaggery" | "honey") =>
      substitutesFor(instead).find((one) => one.use === use)!.factor;
    expect(factor("brown-sugar", "jaggery") * factor("jaggery", "brown-sugar")).toBeCloseTo(1, 12);
    expect(factor("brown-sugar", "jaggery")).toBeCloseTo(0.95 / 0.85, 12);
    expect(substitutesFor("brown-sugar").find(({ use }) => use === "jaggery")!.changes).toMatch(
      /Its sugar varies by \d+ %\.$/,
    );
  });
});

describe("a lot's state", () => {
  const event: fc.Arbitrary<LotHappening> = fc.record({
    kind: fc.constantFrom<LotHappening["kind"]>(
      "opened",
      "place",
      "beans-sown",
      "beans-clean",
      "beans-damaged",
      "note",
      "stored-hot",
    ),
    word: fc.constantFrom("a", "b"),
    onDay: day,
  });
  const facts = {
    ingredientId: "dung-aged",
    receivedOn: DAYS[0],
    expiresOn: null,
    place: "gate",
    provenance: { herbicideSuspected: true },
  };
  it("goes by the last of each kind, whatever else was noted between", () => {
    fc.assert(
      fc.property(fc.array(event, { maxLength: 12 }), (events) => {
        const state = lotState(facts, events);
        const last = (...kinds: LotHappening["kind"][]) => events.findLast(({ kind }) => kinds.includes(kind));
        expect(state.place).toBe(last("place")?.word ?? "gate");
        expect(state.openedOn).toBe(last("opened")?.onDay ?? null);
        expect(state.beans.result).toBe(last("beans-clean", "beans-damaged")?.kind.replace("beans-", "") ?? null);
        expect(state.hazards.some(({ blocks }) => blocks)).toBe(state.beans.result === "damaged");
      }),
    );
  });
  it("does not change what is drawn first: the oldest, also where a younger one was opened", () => {
    const lots = [
      { lotId: 1, receivedOn: "2031-01-01", onHandMilli: 100 },
      { lotId: 2, receivedOn: "2031-02-01", onHandMilli: 100 },
    ];
    expect(drawOldestFirst(lots, 150).draws).toEqual([
      { lotId: 1, amountMilli: 100 },
      { lotId: 2, amountMilli: 50 },
    ]);
  });
});
