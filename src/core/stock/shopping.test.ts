import fc from "fast-check";
import type { IngredientId } from "../book/ingredients";
import { cover, packsFor, shoppingList, type Demand, type Pack, type Supply } from "./shopping";

const demand = (ingredient: IngredientId, amount: number, onDay = "2031-03-25", forWhat = "tea"): Demand => ({
  ingredient,
  amount,
  onDay,
  forWhat,
});
const supply = (
  ingredient: IngredientId,
  amount: number,
  expiresOn: string | null = null,
  receivedOn = "2031-03-01",
): Supply => ({
  ingredient,
  amount,
  expiresOn,
  receivedOn,
});
const TODAY = "2031-03-20";
const JUG: Pack = { name: "jug", amount: 5, costMinor: 1500, leadD: 4 };

describe("reserving the shed for what is planned", () => {
  const day = fc.constantFrom("2031-03-20", "2031-03-25", "2031-04-01");
  const demands = fc.array(
    fc.record({
      ingredient: fc.constant<IngredientId>("molasses"),
      amount: fc.integer({ min: 1, max: 9000 }).map((n) => n / 1000),
      onDay: day,
      forWhat: fc.constant("x"),
    }),
    { maxLength: 12 },
  );
  const supplies = fc.array(
    fc.record({
      ingredient: fc.constant<IngredientId>("molasses"),
      amount: fc.integer({ min: 0, max: 9000 }).map((n) => n / 1000),
      expiresOn: fc.option(day, { nil: null }),
      receivedOn: day,
    }),
    { maxLength: 12 },
  );
  it("gives no gram twice and loses none", () => {
    fc.assert(
      fc.property(demands, supplies, (wanted, held) => {
        const { coverings, left } = cover(wanted, held);
        const sum = (values: readonly number[]) => Math.round(values.reduce((all, value) => all + value, 0) * 1000);
        expect(sum(coverings.map(({ given }) => given)) + sum(left.map(({ amount }) => amount))).toBe(
          sum(held.map(({ amount }) => amount)),
        );
        for (const { demand: one, given, short } of coverings) expect(given + short).toBeCloseTo(one.amount, 9);
      }),
    );
  });
  it("serves the earliest day first, and no day after a lot's own", () => {
    const { coverings } = cover(
      [demand("molasses", 3, "2031-04-01", "late"), demand("molasses", 3, "2031-03-21", "soon")],
      [supply("molasses", 4, "2031-03-30")],
    );
    expect(coverings.map(({ demand: { forWhat }, given, short }) => [forWhat, given, short])).toEqual([
      ["soon", 3, 0],
      ["late", 0, 3],
    ]);
  });
});

describe("the shopping list", () => {
  const list = (demands: readonly Demand[], supplies: readonly Supply[], pack: Pack | null = JUG) =>
    shoppingList(demands, supplies, pack ? new Map([["molasses", pack]]) : new Map(), TODAY);
  it("asks for whole packs over all that is planned, minus stock", () => {
    const [line] = list(
      [demand("molasses", 4, "2031-03-28"), demand("molasses", 4.5, "2031-03-25", "extract")],
      [supply("molasses", 2)],
    );
    expect(line).toMatchObject({
      short: 6.5,
      packs: 2,
      costMinor: 3000,
      firstDay: "2031-03-25",
      orderBy: "2031-03-21",
      lateD: 0,
    });
    expect(line!.forWhat).toEqual(["extract", "tea"]);
  });
  it("is empty where the shed holds all of it", () =>
    expect(list([demand("molasses", 4)], [supply("molasses", 4)])).toEqual([]));
  it("says how late it comes where the lead time misses the day", () =>
    expect(list([demand("molasses", 1, "2031-03-22")], [])[0]).toMatchObject({ lateD: 2, orderBy: "2031-03-18" }));
  it("names what may stand in, what the shed has of it first", () => {
    const [line] = list([demand("molasses", 1)], [supply("white-sugar", 9)]);
    expect(line!.standIns[0]).toMatchObject({ use: "white-sugar", inShed: true });
    expect(line!.standIns.slice(1).every(({ inShed }) => !inShed)).toBe(true);
  });
  it("does without a pack where none is known", () =>
    expect(list([demand("molasses", 1)], [], null)[0]).toMatchObject({
      packs: null,
      costMinor: null,
      orderBy: null,
      lateD: 0,
    }));
  it.each([
    [2.4, 1, 3],
    [3, 1, 3],
    [0.3, 0.1, 3],
    [10, 4, 3],
  ])("packs %s into packs of %s as %s", (amount, pack, count) => expect(packsFor(amount, pack)).toBe(count));
});
