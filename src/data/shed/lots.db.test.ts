import fc from "fast-check";
import { key, NOW, TestFarm } from "@/testing/scratch";
import { receiveLot } from "@/services/shed/receiveLot";
import { insertLots, insertMovements } from "./bulk";
import { errnoOf, inTransaction, SQL_ERROR } from "../db";
import { insertLot, listFirstDays, lockLot, lockLots, shelfMark, type NewLot } from "./lots";
import { insertStockMovement, type StockMovement } from "./movements";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

const lotOf = (change: Partial<NewLot> = {}): NewLot => ({
  ingredientId: "molasses",
  ownId: null,
  unit: "L",
  origin: "bought",
  receivedOn: "2031-03-01",
  received: 5,
  costMinor: 1000,
  expiresOn: null,
  note: "",
  place: "",
  provenance: {},
  fromBatchId: null,
  cameWithBatchId: null,
  actorId: 1,
  addedAt: NOW,
  ...change,
});
const move = (lotId: number, changeBy: number, change: Partial<StockMovement> = {}) =>
  insertStockMovement(farm.scratch.db, {
    lotId,
    changeBy,
    kind: changeBy > 0 ? "received" : "wasted",
    batchId: null,
    at: NOW,
    actorId: 1,
    note: "",
    ...change,
  });
const errno = async (work: Promise<unknown>) => work.then(() => null, errnoOf);
const balance = async (lotId: number) => {
  const [rows] = await farm.scratch.pool.query("select on_hand, came_in from lot_balance where lot_id = ?", [lotId]);
  const [row] = rows as { on_hand: string; came_in: string }[];
  return row && { onHand: Number(row.on_hand), cameIn: Number(row.came_in) };
};

describe("the ledger's guard", () => {
  it("refuses what would go below nothing, whoever asks", async () => {
    const lotId = await insertLot(farm.scratch.db, lotOf());
    expect(await errno(move(lotId, -0.001))).toBe(SQL_ERROR.signal);
    await move(lotId, 5);
    expect(await errno(move(lotId, -5.001))).toBe(SQL_ERROR.signal);
    await move(lotId, -5);
    expect(await balance(lotId)).toEqual({ onHand: 0, cameIn: 5 });
  });
  it("keeps what added apart from what is there: only receipts and their corrections change it", async () => {
    const lotId = await insertLot(farm.scratch.db, lotOf());
    const receipt = await move(lotId, 5);
    const waste = await move(lotId, -1);
    await move(lotId, 0.5, { kind: "counted" });
    await move(lotId, 0.25, { kind: "corrected", correctsId: waste });
    expect(await balance(lotId)).toEqual({ onHand: 4.75, cameIn: 5 });
    await move(lotId, -2, { kind: "corrected", correctsId: receipt });
    expect(await balance(lotId)).toEqual({ onHand: 2.75, cameIn: 3 });
  });
  it("corrects each line once, and lets only what was used name a batch", async () => {
    const lotId = await insertLot(farm.scratch.db, lotOf());
    const receipt = await move(lotId, 5);
    await move(lotId, -1, { kind: "corrected", correctsId: receipt });
    expect(await errno(move(lotId, -1, { kind: "corrected", correctsId: receipt }))).toBe(SQL_ERROR.duplicate);
    const batchId = await farm.readyExtract(await farm.vessel("Drum"));
    expect(await errno(move(lotId, -1, { kind: "wasted", batchId }))).toBe(SQL_ERROR.checkFailed);
    expect(await errno(move(lotId, -1, { kind: "used", batchId }))).toBeNull();
    expect(await errno(move(lotId, -1, { kind: "used" }))).toBeNull();
    expect(await errno(move(lotId, 0))).toBe(SQL_ERROR.checkFailed);
  });
  it("gives the last litre to one of many who ask at once", async () => {
    const lotId = await insertLot(farm.scratch.db, lotOf());
    await move(lotId, 3);
    const asked = await Promise.all(
      Array.from({ length: 8 }, () =>
        errno(
          inTransaction(farm.scratch.pool, async (db) => {
            const lot = await lockLot(db, lotId);
            await insertStockMovement(db, {
              lotId,
              changeBy: -Math.min(1, lot!.onHand || 1),
              kind: "wasted",
              batchId: null,
              at: NOW,
              actorId: 1,
              note: "",
            });
          }),
        ),
      ),
    );
    expect(asked.filter((code) => code === null)).toHaveLength(3);
    expect(await balance(lotId)).toEqual({ onHand: 0, cameIn: 3 });
  });
});

describe("the shelf's mark", () => {
  it("differs after every line and every note, and stays where nothing happened", async () => {
    const marks = [await shelfMark(farm.scratch.db)];
    const { lotId } = await receiveLot(farm.context(), {
      requestKey: key(),
      ingredientId: "milk",
      amount: 2,
      origin: "bought",
      receivedOn: "2031-03-18",
      cost: 1,
      openedOn: "2031-03-19",
    });
    marks.push(await shelfMark(farm.scratch.db));
    await move(lotId, -0.5);
    marks.push(await shelfMark(farm.scratch.db));
    // Back to where it was, and yet not the same.
    await move(lotId, 0.5, { kind: "counted" });
    marks.push(await shelfMark(farm.scratch.db));
    expect(new Set(marks).size).toBe(4);
    expect(await shelfMark(farm.scratch.db)).toBe(marks.at(-1));
  });
  it("is not moved by what was rolled back", async () => {
    const lotId = await insertLot(farm.scratch.db, lotOf());
    await move(lotId, 3);
    const before = await shelfMark(farm.scratch.db);
    await inTransaction(farm.scratch.pool, async (db) => {
      await insertStockMovement(db, {
        lotId,
        changeBy: -1,
        kind: "wasted",
        batchId: null,
        at: NOW,
        actorId: 1,
        note: "",
      });
      throw new Error("after all not");
    }).catch(() => undefined);
    expect(await shelfMark(farm.scratch.db)).toBe(before);
  });
});

describe("many rows at once", () => {
  const many = (count: number, place: string) =>
    Array.from({ length: count }, (_, index) => lotOf({ received: 1 + (index % 7), place, note: `${place} ${index}` }));
  it("bring each lot the line that is its own, also where two files come in together", async () => {
    const load = (place: string) =>
      inTransaction(farm.scratch.pool, (db) => insertLots(db, many(1200, place), () => undefined));
    await Promise.all([load("left"), load("right")]);
    const [rows] = await farm.scratch.pool.query(
      "select count(*) as n, sum(lot.received = movement.change_by) as own from lot join stock_movement movement on movement.lot_id = lot.id",
    );
    expect((rows as { n: number; own: string }[])[0]).toMatchObject({ n: 2400, own: "2400" });
  });
  it("tell how far they are, and stand or fall together", async () => {
    const told: number[] = [];
    await inTransaction(farm.scratch.pool, (db) => insertLots(db, many(1001, "shelf"), (done) => told.push(done)));
    expect(told).toEqual([500, 1000, 1001]);
    const lots = await inTransaction(farm.scratch.pool, (db) => lockLots(db, "molasses"));
    const moves = lots.map(({ id }, index) => ({
      lotId: id,
      changeBy: index === 700 ? -100 : -1,
      kind: "wasted" as const,
      batchId: null,
      at: NOW,
      actorId: 1,
      note: "",
    }));
    expect(await errno(inTransaction(farm.scratch.pool, (db) => insertMovements(db, moves)))).toBe(SQL_ERROR.signal);
    expect((await lockLots(farm.scratch.db, "molasses")).reduce((sum, { onHand }) => sum + onHand, 0)).toBe(
      lots.reduce((sum, { onHand }) => sum + onHand, 0),
    );
  });
  it("come out of the books in any order as the same", async () => {
    const lotId = await insertLot(farm.scratch.db, lotOf());
    await move(lotId, 1000);
    await fc.assert(
      fc.asyncProperty(fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 1, maxLength: 8 }), async (grams) => {
        const before = (await balance(lotId))!.onHand;
        for (const gram of grams) await move(lotId, -gram / 1000);
        for (const gram of grams.toReversed()) await move(lotId, gram / 1000, { kind: "counted" });
        expect((await balance(lotId))!.onHand).toBe(before);
      }),
      { numRuns: 8 },
    );
  });
  it("know the first day of each ingredient", async () => {
    await insertLot(farm.scratch.db, lotOf({ receivedOn: "2030-12-24" }));
    await insertLot(farm.scratch.db, lotOf({ receivedOn: "2031-01-24" }));
    await insertLot(farm.scratch.db, lotOf({ ingredientId: "bran", unit: "kg", receivedOn: "2031-02-02" }));
    expect(Object.fromEntries(await listFirstDays(farm.scratch.db))).toEqual({
      molasses: "2030-12-24",
      bran: "2031-02-02",
    });
  });
});
