import fc from "fast-check";
import { drawOldestFirst, toMilli } from "./drawOldest";

const lot = fc.record({
  lotId: fc.integer({ min: 1, max: 1e6 }),
  receivedOn: fc.constantFrom("2031-01-01", "2031-02-01", "2031-02-02"),
  onHandMilli: fc.integer({ min: 0, max: 1e7 }),
});
const lots = fc.uniqueArray(lot, { selector: ({ lotId }) => lotId, maxLength: 15 });

describe("drawing the oldest first", () => {
  it("never loses a gram: what is drawn and what is short are what was asked for", () => {
    fc.assert(
      fc.property(lots, fc.integer({ min: 0, max: 1e8 }), (shelf, wanted) => {
        const { draws, shortMilli } = drawOldestFirst(shelf, wanted);
        expect(draws.reduce((sum, { amountMilli }) => sum + amountMilli, 0) + shortMilli).toBe(wanted);
        for (const draw of draws)
          expect(draw.amountMilli).toBeLessThanOrEqual(shelf.find(({ lotId }) => lotId === draw.lotId)!.onHandMilli);
      }),
    );
  });
  it("touches a younger lot only when every older one is empty", () => {
    fc.assert(
      fc.property(lots, fc.integer({ min: 1, max: 1e8 }), (shelf, wanted) => {
        const { draws } = drawOldestFirst(shelf, wanted);
        const youngest = draws.at(-1);
        if (!youngest) return;
        const dateOf = (id: number) => shelf.find(({ lotId }) => lotId === id)!.receivedOn;
        for (const older of shelf.filter(({ receivedOn }) => receivedOn < dateOf(youngest.lotId))) {
          expect(draws.find(({ lotId }) => lotId === older.lotId)?.amountMilli ?? 0).toBe(older.onHandMilli);
        }
      }),
    );
  });
  it("counts in whole grams", () => expect(toMilli(0.1 + 0.2)).toBe(300));
});
