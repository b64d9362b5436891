import fc from "fast-check";
import { toMilli } from "@/core/stock/drawOldest";
import { listLotsOf } from "@/data/shed/lots";
import { listOwnIngredients } from "@/data/shed/ownIngredients";
import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { addToBatch } from "../batch/feedBatch";
import { fillVessel } from "../fill/fillVessel";
import { readBatch } from "../batch/readBatch";
import { readYard } from "../yard/readYard";
import { readLabels } from "../papers/readLabels";
import { correctMovement, countStock, noteLot, wasteLot } from "./changeLot";
import { countStore, emptyStore, keepStore, pourStore } from "../stores/changeStore";
import { dropPlan, planBatch } from "./plans";
import { readItem } from "./readItem";
import { readShed } from "./readShed";
import { readShopping } from "./readShopping";
import { receiveLot } from "./receiveLot";
import { addOwnIngredient, setSupply } from "./terms";
import { closeBatch } from "../batch/closeBatch";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

const row = async () => (await findFarm(farm.scratch.db))!;
const receive = (lot: object) =>
  receiveLot(farm.context(), {
    requestKey: key(),
    ingredientId: "molasses",
    amount: 5,
    origin: "bought",
    receivedOn: "2031-03-01",
    cost: 10,
    ...lot,
  });
const held = async (id: string) =>
  (await listLotsOf(farm.scratch.db, id)).reduce((sum, { onHand }) => sum + toMilli(onHand), 0) / 1000;
const ledgerSums = async () => {
  const [rows] = await farm.scratch.pool.query(
    "select balance.lot_id, balance.on_hand, (select coalesce(sum(change_by), 0) from stock_movement where lot_id = balance.lot_id) as summed from lot_balance balance",
  );
  return rows as { lot_id: number; on_hand: string; summed: string }[];
};

describe("a lot comes in", () => {
  it.each([
    [{ receivedOn: "2031-03-21" }, "received-ahead", "/receivedOn"],
    [{ expiresOn: "2031-02-28" }, "expires-early", "/expiresOn"],
    [{ openedOn: "2031-02-28" }, "opened-early", "/openedOn"],
    [{ ingredientId: "water" }, "water-is-no-lot", "/ingredientId"],
    [{ ingredientId: "char", provenance: { charSource: "briquettes" } }, "lot-barred", "/provenance"],
    [
      {
        ingredientId: "urine",
        provenance: {
          urine: { donor: "person", collectedFrom: "2031-03-10", collectedUntil: "2031-03-01", medicine: false },
        },
      },
      "collected-backwards",
      "/provenance/urine/collectedUntil",
    ],
    [{ ownId: 99 }, "not-found", "/ingredientId"],
  ])("is refused: %j", async (lot, code, field) => {
    expect(await refusalOf(receive(lot))).toMatchObject({ code, fields: { [field]: expect.any(String) as string } });
    expect(await held("molasses")).toBe(0);
  });
  it("keeps as its kind does where no day is written on it, shorter once it is open", async () => {
    const { lotId } = await receive({ ingredientId: "milk", amount: 2, receivedOn: "2031-03-18" });
    const item = async () => (await readItem(farm.context(), "milk", "2031-03-20"))!.lots[0]!.state;
    expect(await item()).toMatchObject({ expiresOn: "2031-03-25", openedOn: null });
    await noteLot(farm.context(), { requestKey: key(), lotId, kind: "opened", onDay: "2031-03-19" });
    expect(await item()).toMatchObject({ expiresOn: "2031-03-22", openedOn: "2031-03-19" });
  });
});

describe("the ledger", () => {
  it("takes waste with its reason, never more than there is", async () => {
    const { lotId } = await receive({});
    expect(
      await refusalOf(wasteLot(farm.context(), { requestKey: key(), lotId, amount: 5.001, reason: "mice" })),
    ).toMatchObject({
      code: "short-of-lot",
      fields: { "/amount": "Only 5 L are left of this lot." },
    });
    await wasteLot(farm.context(), { requestKey: key(), lotId, amount: 5, reason: "mice" });
    expect(await held("molasses")).toBe(0);
  });
  it("tells what was used for no batch from what was wasted", async () => {
    const { lotId } = await receive({});
    await wasteLot(farm.context(), {
      requestKey: key(),
      lotId,
      amount: 1,
      reason: "for the bees",
      usedElsewhere: true,
    });
    expect((await readItem(farm.context(), "molasses", "2031-03-20"))!.ledger[0]).toMatchObject({
      kind: "used",
      batchId: null,
      note: "for the bees",
    });
  });
  it("is corrected by a later line, once, and the price with it", async () => {
    const { lotId } = await receive({ cost: 10 });
    const item = async () => (await readItem(farm.context(), "molasses", "2031-03-20"))!;
    const received = (await item()).ledger[0]!;
    await correctMovement(farm.context(), {
      requestKey: key(),
      movementId: received.id,
      amount: 4,
      reason: "read the wrong jug",
    });
    expect(await held("molasses")).toBe(4);
    const lot = (await item()).lots.find(({ id }) => id === lotId)!;
    expect(lot.costMinor / lot.received).toBe(250);
    expect(
      await refusalOf(
        correctMovement(farm.context(), { requestKey: key(), movementId: received.id, amount: 3, reason: "again" }),
      ),
    ).toMatchObject({ code: "line-corrected" });
    expect(
      await refusalOf(correctMovement(farm.context(), { requestKey: key(), movementId: 999, amount: 3, reason: "x" })),
    ).toMatchObject({ code: "not-found" });
  });
  it("does not correct a receipt below what has gone out since", async () => {
    const { lotId } = await receive({});
    const received = (await readItem(farm.context(), "molasses", "2031-03-20"))!.ledger[0]!;
    await wasteLot(farm.context(), { requestKey: key(), lotId, amount: 4, reason: "spilt" });
    expect(
      await refusalOf(
        correctMovement(farm.context(), { requestKey: key(), movementId: received.id, amount: 3, reason: "x" }),
      ),
    ).toMatchObject({ code: "more-than-came-in" });
  });
  it("gives a corrected draw's cost back to its batch", async () => {
    const drum = await farm.vessel("Drum");
    await receive({ cost: 50 });
    await farm.lot("lactic-culture", 5, 0);
    const batchId = await farm.fill(drum, "cultured-extract", 70);
    const cost = async () =>
      (await readBatch(farm.context(), await row(), batchId))!.cost.breakdown.find(({ label }) =>
        /molasses/i.test(label),
      )!.costMinor;
    const before = await cost();
    const used = (await readItem(farm.context(), "molasses", "2031-03-20"))!.ledger.find(
      ({ kind }) => kind === "used",
    )!;
    await correctMovement(farm.context(), {
      requestKey: key(),
      movementId: used.id,
      amount: -used.changeBy / 2,
      reason: "half went in",
    });
    expect(await cost()).toBeCloseTo(before / 2, 6);
  });
  it("counts a walk round in one go, respecting what moved meanwhile", async () => {
    const one = await receive({});
    const two = await receive({ ingredientId: "brown-sugar", amount: 3 });
    await wasteLot(farm.context(), {
      requestKey: key(),
      lotId: one.lotId,
      amount: 1,
      reason: "spilt while he counted",
    });
    const lines = [
      { lotId: one.lotId, counted: 4.5, expected: 5 },
      { lotId: two.lotId, counted: 3, expected: 3 },
    ];
    expect(await countStock(farm.context(), { requestKey: key(), lines })).toMatchObject({ changed: 1 });
    expect(await held("molasses")).toBe(3.5);
  });
  it("refuses a count that would leave less than nothing, and writes none of it", async () => {
    const one = await receive({});
    const two = await receive({ ingredientId: "brown-sugar", amount: 3 });
    await wasteLot(farm.context(), { requestKey: key(), lotId: one.lotId, amount: 5, reason: "spilt" });
    const lines = [
      { lotId: two.lotId, counted: 1, expected: 3 },
      { lotId: one.lotId, counted: 1, expected: 5 },
    ];
    expect(await refusalOf(countStock(farm.context(), { requestKey: key(), lines }))).toMatchObject({
      fields: { "/lines/1/counted": expect.any(String) as string },
    });
    expect(await held("brown-sugar")).toBe(3);
  });
  it("sums up to the balance, whatever is done in whatever order", async () => {
    const lots = [
      (await receive({})).lotId,
      (await receive({ amount: 2 })).lotId,
      (await receive({ ingredientId: "brown-sugar", amount: 9 })).lotId,
    ];
    const act = fc.record({
      lot: fc.nat(2),
      what: fc.constantFrom("waste", "count", "correct"),
      amount: fc.integer({ min: 0, max: 12_000 }).map((n) => n / 1000),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 1, maxLength: 6 }), async (acts) => {
        for (const { lot, what, amount } of acts) {
          const lotId = lots[lot]!;
          const requestKey = key();
          const [lines] = (await farm.scratch.pool.query(
            "select id from stock_movement where lot_id = ? and kind in ('received','wasted') order by id desc limit 1",
            [lotId],
          )) as unknown as [{ id: number }[]];
          const asked =
            what === "waste"
              ? wasteLot(farm.context(), { requestKey, lotId, amount: amount + 0.001, reason: "x" })
              : what === "count"
                ? countStock(farm.context(), { requestKey, lines: [{ lotId, counted: amount }] })
                : correctMovement(farm.context(), { requestKey, movementId: lines[0]!.id, amount, reason: "x" });
          await asked.catch((error: Error) => expect(error.name).toBe("Refusal"));
        }
        for (const { on_hand, summed } of await ledgerSums()) {
          expect(on_hand).toBe(Number(summed).toFixed(3));
          expect(Number(on_hand)).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 12 },
    );
  });
});

describe("two people draw the last litre", () => {
  it("gives it to one, and tells the other what is left", async () => {
    const { lotId } = await receive({ amount: 1 });
    const waste = (person: number) =>
      wasteLot(farm.context(NOW, person), { requestKey: key(), lotId, amount: 1, reason: "x" });
    const answers = await Promise.allSettled([waste(0), waste(1)]);
    expect(answers.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    const refused = answers.find((answer): answer is PromiseRejectedResult => answer.status === "rejected")!;
    expect(refused.reason).toMatchObject({ code: "short-of-lot", params: { left: { amount: 0, unit: "L" } } });
    expect(await held("molasses")).toBe(0);
  });
});

describe("what is on hold", () => {
  const dung = (extra: object = {}) =>
    receive({
      ingredientId: "dung-aged",
      amount: 50,
      provenance: { dung: { animal: "horse", age: "aged", heapedOn: null }, herbicideSuspected: true },
      ...extra,
    });
  let drums = 0;
  const soak = async (extra: object = {}) => {
    drums += 1;
    const drum = await farm.vessel(`Drum ${drums}`, 220);
    const request = farm.fillRequest(drum, "dung-flour-ferment", 80, extra);
    for (const line of request.lines)
      if (line.ingredientId !== "dung-aged" && line.ingredientId !== "water") Object.assign(line, { pickedNow: true });
    for (const line of request.lines) if (line.ingredientId === "dung-aged") Object.assign(line, { pickedNow: false });
    return fillVessel(farm.context(), request);
  };
  it("is passed over without a reason, and goes in with one that is kept", async () => {
    await dung();
    expect(await refusalOf(soak())).toMatchObject({
      code: "reason-needed",
      fields: { "/overrideReason": expect.any(String) as string },
    });
    const { batchId } = await soak({ overrideReason: "our own mare, never sprayed" });
    const [lines] = await farm.scratch.pool.query("select note from stock_movement where batch_id = ? and note <> ''", [
      batchId,
    ]);
    expect(lines).toEqual([{ note: expect.stringContaining("our own mare, never sprayed") as string }]);
    const page = (await readBatch(farm.context(), await row(), batchId))!;
    expect(page.inherited.some((text) => text.startsWith("Aged horse dung"))).toBe(true);
    const labels = (await readLabels(farm.context(), await row(), batchId, "http://farm.test"))!;
    expect(labels.labels[0]!.cautions).toContain("manure");
  });
  it("never goes in once beans came up crippled, whatever the reason", async () => {
    const { lotId } = await dung();
    for (const [kind, onDay] of [
      ["beans-sown", "2031-03-02"],
      ["beans-damaged", "2031-03-18"],
    ])
      await noteLot(farm.context(), { requestKey: key(), lotId, kind, onDay });
    expect(await refusalOf(soak({ overrideReason: "please" }))).toMatchObject({
      code: "short-of-stock",
      message: expect.stringContaining("weedkiller") as string,
    });
  });
  it("goes in after a clean bean test", async () => {
    const { lotId } = await dung();
    await noteLot(farm.context(), { requestKey: key(), lotId, kind: "beans-clean", onDay: "2031-03-18" });
    expect(await soak()).toHaveProperty("batchId");
  });
  it("holds an old culture from a running batch too", async () => {
    const batchId = await farm.readyExtract(await farm.vessel("Drum"));
    await receive({ ingredientId: "bought-culture", amount: 1, expiresOn: "2031-03-10" });
    const add = (overrideReason: string | null) =>
      addToBatch(farm.context(), {
        requestKey: key(),
        batchId,
        ingredientId: "bought-culture",
        amount: 0.5,
        overrideReason,
      });
    expect(await refusalOf(add(null))).toMatchObject({ code: "reason-needed" });
    expect(await add("smells clean")).toHaveProperty("entryId");
  });
  it.each([
    [{ kind: "opened", onDay: "2031-03-21" }, "/onDay"],
    [{ kind: "opened", onDay: "2031-02-01" }, "/onDay"],
    [{ kind: "expiry", onDay: "2031-03-20", word: "2030-01-01" }, "/word"],
    [{ kind: "expiry", onDay: "2031-03-20", word: "never" }, "/word"],
    [{ kind: "place", onDay: "2031-03-20", word: " " }, "/word"],
    [{ kind: "vigour", onDay: "2031-03-20", word: "lovely" }, "/word"],
    [{ kind: "opened", onDay: "2031-03-20", lotId: 999 }, "/lotId"],
  ])("refuses a note that can't be: %j", async (note, field) => {
    const { lotId } = await receive({});
    expect((await refusalOf(noteLot(farm.context(), { requestKey: key(), lotId, ...note }))).fields).toHaveProperty([
      field,
    ]);
  });
});

describe("ingredients of the farm's own", () => {
  it("count as what they are a kind of, and stand in a container of their own", async () => {
    const { ownId } = await addOwnIngredient(farm.context(), {
      requestKey: key(),
      name: "Beet syrup",
      countsAs: "molasses",
      densityKgPerL: 1.35,
      keepsD: 90,
    });
    await receive({ ownId, amount: 3 });
    const shed = await readShed(farm.context(), await row());
    expect(shed.items.map(({ itemId, name, onHand, expiresOn }) => [itemId, name, onHand, expiresOn])).toEqual([
      [`own-${ownId}`, "Beet syrup", 3, "2031-05-30"],
    ]);
    await farm.lot("lactic-culture", 5, 0);
    await farm.fill(await farm.vessel("Drum"), "cultured-extract", 70);
    expect(await held("molasses")).toBeLessThan(3);
  });
  it("are refused by a name that is taken, a kind that is none, and for water", async () => {
    const add = (own: object) =>
      addOwnIngredient(farm.context(), { requestKey: key(), name: "Beet syrup", countsAs: "molasses", ...own });
    await add({});
    expect(await refusalOf(add({}))).toMatchObject({ code: "name-taken" });
    expect(await refusalOf(add({ name: "molasses" }))).toMatchObject({ code: "name-of-book" });
    expect(await refusalOf(add({ name: "Ether", countsAs: "stardust" }))).toMatchObject({
      fields: { "/countsAs": expect.any(String) as string },
    });
    expect(await refusalOf(add({ name: "Dew", countsAs: "water" }))).toMatchObject({ code: "water-is-no-lot" });
    expect(await listOwnIngredients(farm.scratch.db)).toHaveLength(1);
  });
});

describe("plans and shopping", () => {
  const plan = (change: object = {}) =>
    planBatch(farm.context(), {
      requestKey: key(),
      methodId: "cultured-extract",
      schoolId: "equal-parts",
      basisAmount: 80,
      forDay: "2031-03-25",
      ...change,
    });
  it("keeps what is planned, shops for what lacks in whole packs, and frees it when given up", async () => {
    await receive({ amount: 0.5 });
    await setSupply(farm.context(), {
      requestKey: key(),
      itemId: "molasses",
      packName: "tin",
      packAmount: 0.2,
      packCost: 3,
      leadD: 9,
    });
    const { planId } = await plan();
    const list = await readShopping(farm.context(), await row());
    const molasses = list.lines.find(({ ingredient }) => ingredient === "molasses")!;
    expect(molasses).toMatchObject({ short: 0.3, packs: 2, costMinor: 600, lateD: 4, how: "buy" });
    expect(list.lines.find(({ ingredient }) => ingredient === "lactic-culture")).toMatchObject({ how: "make" });
    expect(list.lines.find(({ ingredient }) => ingredient === "plant")).toMatchObject({ how: "gather" });
    const item = (await readShed(farm.context(), await row())).items.find(({ itemId }) => itemId === "molasses")!;
    expect(item).toMatchObject({ reserved: 0.5, short: 0.3 });
    await dropPlan(farm.context(), { requestKey: key(), planId });
    expect(await refusalOf(dropPlan(farm.context(), { requestKey: key(), planId }))).toMatchObject({
      code: "plan-ended",
    });
    expect((await readShopping(farm.context(), await row())).lines).toEqual([]);
  });
  it("ends when it is filled, once", async () => {
    const drum = await farm.vessel("Drum");
    await receive({});
    await farm.lot("lactic-culture", 5, 0);
    const { planId } = await plan({ vesselId: drum });
    await fillVessel(farm.context(), farm.fillRequest(drum, "cultured-extract", 80, { planId }));
    expect((await readShopping(farm.context(), await row())).plans).toEqual([]);
    const other = await farm.vessel("Other");
    expect(
      await refusalOf(fillVessel(farm.context(), farm.fillRequest(other, "cultured-extract", 80, { planId }))),
    ).toMatchObject({ fields: { "/planId": expect.any(String) as string } });
  });
  it("says how little of a scarce culture still does, and what in its place costs least", async () => {
    await receive({ ingredientId: "whey", amount: 9, cost: 1, expiresOn: "2031-04-30" });
    await setSupply(farm.context(), {
      requestKey: key(),
      itemId: "bought-culture",
      packName: "bottle",
      packAmount: 0.5,
      packCost: 8,
    });
    await plan();
    const line = (await readShopping(farm.context(), await row())).lines.find(
      ({ ingredient }) => ingredient === "lactic-culture",
    )!;
    expect(line.least).toBeLessThan(line.short);
    expect(line.standIns[0]).toMatchObject({ use: "whey", inShed: true });
    const bought = line.standIns.find(({ use }) => use === "bought-culture")!;
    expect(bought.costMinor).toBe(Math.round(1600 * line.short));
  });
  it("reminds to pick at sunrise for what is planned tomorrow", async () => {
    await plan({ forDay: "2031-03-21" });
    const task = (await readYard(farm.context(), await row())).round.find(({ key: name }) => name.startsWith("pick-"))!;
    expect(task.title).toMatch(/^Pick .* of chopped plant before sunrise$/);
    expect(new Date(task.dueMs).toISOString()).toMatch(/^2031-03-2(0T23|1T0)/);
  });
  it("keeps what a running batch still gets on a later day", async () => {
    const crock = await farm.vessel("Crock", 12);
    await receive({ ingredientId: "rice-wash", amount: 9, receivedOn: "2031-03-20" });
    await receive({ ingredientId: "sea-salt", amount: 1 });
    await receive({ ingredientId: "brown-sugar", amount: 5 });
    const batchId = await farm.fill(crock, "lactic-serum", 8, hoursAgo(3));
    const sugar = async () =>
      (await readShed(farm.context(), await row())).items.find(({ itemId }) => itemId === "brown-sugar")!;
    const reserved = (await sugar()).reserved;
    expect(reserved).toBeGreaterThan(0.1);
    await addToBatch(farm.context(), {
      requestKey: key(),
      batchId,
      ingredientId: "brown-sugar",
      amount: Number(reserved.toFixed(3)),
    });
    expect((await sugar()).reserved).toBe(0);
  });
  it.each([
    [{ forDay: "2031-03-19" }, "/forDay"],
    [{ vesselId: 99 }, "/vesselId"],
    [{ methodId: "moon-water" }, "/methodId"],
    [{ basisAmount: 50_000 }, "/basisAmount"],
  ])("refuses a plan that can't be: %j", async (change, field) =>
    expect((await refusalOf(plan(change))).fields).toHaveProperty([field]),
  );
});

describe("what is picked for the batch itself", () => {
  const fill = async (species: string, extra: object = {}) => {
    await receive({});
    await farm.lot("lactic-culture", 5, 0);
    const drum = await farm.vessel(`Drum ${species} ${Object.keys(extra).length}`);
    const request = farm.fillRequest(drum, "cultured-extract", 70, extra);
    const lines = request.lines.map((line) => (line.ingredientId === "plant" ? { ...line, species } : line));
    return fillVessel(farm.context(), { ...request, lines });
  };
  it("is known by name in its lot, and a poisonous plant stops the fill for good", async () => {
    const { batchId } = await fill("nettle and comfrey");
    const [rows] = await farm.scratch.pool.query(
      "select json_value(lot.provenance, '$.plant.species') as species from stock_movement join lot on lot.id = lot_id where batch_id = ? and lot.ingredient_id = 'plant'",
      [batchId],
    );
    expect(rows).toEqual([{ species: "nettle and comfrey" }]);
    expect(await refusalOf(fill("nettle, hemlock", { overrideReason: "only a little" }))).toMatchObject({
      code: "poisonous",
    });
  });
  it("wants a reason where the book does not know it", async () => {
    expect((await refusalOf(fill("moonwort"))).code).toBe("reason-needed");
    expect(await fill("moonwort", { overrideReason: "we eat it" })).toHaveProperty("batchId");
  });
});

describe("finished inputs", () => {
  const stores = async () => (await readShed(farm.context(), await row())).stores;
  it("are poured into parts, each with its number, the life they had, and nothing lost", async () => {
    const storeId = await farm.strained();
    const part = (litres: number) => ({ litres, label: "Can", container: "vented", place: "porch" });
    await pourStore(farm.context(), { requestKey: key(), storeId, parts: [part(20), part(20)] });
    const all = await stores();
    expect(all.map(({ label, partNo, onHandL }) => [label, partNo, onHandL])).toEqual([
      ["Extract", null, 20],
      ["Can", 2, 20],
      ["Can", 3, 20],
    ]);
    expect(new Set(all.map(({ expiresMs }) => expiresMs)).size).toBe(1);
    const labels = (await readLabels(farm.context(), await row(), all[0]!.batchId, "http://farm.test"))!;
    expect(labels.labels.map(({ number }) => number)).toEqual([
      String(all[0]!.batchId),
      `${all[0]!.batchId}/2`,
      `${all[0]!.batchId}/3`,
    ]);
    expect(labels.address).toBe(`http://farm.test/batches/${all[0]!.batchId}`);
    expect(labels.code.dark).toHaveLength(labels.code.size ** 2);
  });
  it("are never sealed where they make gas, nor poured out of nothing", async () => {
    const storeId = await farm.strained();
    const pour = (litres: number, container: string) =>
      pourStore(farm.context(), { requestKey: key(), storeId, parts: [{ litres, label: "Can", container }] });
    expect(await refusalOf(pour(10, "sealed"))).toMatchObject({
      code: "lid-bursts",
      fields: { "/parts/0/container": expect.any(String) as string },
    });
    expect(await refusalOf(pour(61, "vented"))).toMatchObject({ code: "short-of-store" });
    expect((await stores()).map(({ onHandL }) => onHandL)).toEqual([60]);
  });
  it("go to the heap with a reason when they are over, and stay in the books", async () => {
    const storeId = await farm.strained();
    await emptyStore(farm.context(), {
      requestKey: key(),
      storeId,
      litres: 12,
      to: "composted",
      reason: "expired",
    });
    expect((await stores())[0]!.onHandL).toBe(48);
    await countStore(farm.context(), { requestKey: key(), storeId, litres: 45 });
    expect((await stores())[0]!.onHandL).toBe(45);
    expect(
      await refusalOf(
        emptyStore(farm.context(), { requestKey: key(), storeId, litres: 46, to: "wasted", reason: "leak" }),
      ),
    ).toMatchObject({ code: "short-of-store" });
    const [moves] = await farm.scratch.pool.query(
      "select kind, note from store_movement where store_id = ? order by id",
      [storeId],
    );
    expect(moves).toEqual([
      { kind: "strained", note: "" },
      { kind: "composted", note: "expired" },
      { kind: "counted", note: "" },
    ]);
  });
  it("get another use-by date by a reason, and what is alive no longer than it is", async () => {
    const storeId = await farm.strained();
    const keep = (until: string, id = storeId) =>
      keepStore(farm.context(), { requestKey: key(), storeId: id, until, reason: "opened" });
    await keep("2031-04-02");
    expect(new Date((await stores())[0]!.expiresMs).toISOString()).toBe("2031-04-02T12:00:00.000Z");
    expect((await refusalOf(keep("2031-01-01"))).fields).toHaveProperty(["/until"]);
    expect((await refusalOf(keep("2031-04-02", 99))).code).toBe("not-found");
    await farm.lot("castings", 20, 0);
    const tea = await farm.fill(await farm.vessel("Air", 120, 40), "aerated-tea", 90, hoursAgo(30));
    await farm.log(tea, hoursAgo(1), { kind: "smell", word: "earthy" });
    const { storeId: living } = await closeBatch(farm.context(), {
      requestKey: key(),
      batchId: tea,
      kind: "strained",
      yieldL: 80,
      residue: "compost",
      labourMin: 5,
      overrideReason: "wanted",
    });
    expect(await refusalOf(keep("2031-05-01", living!))).toMatchObject({ code: "keeps-no-longer" });
  });
  it("name the beds that could take them only when little time is left", async () => {
    await farm.strained();
    await farm.plot("Bed 1");
    await farm.plot("Bare bed", { stage: "bare" });
    expect((await stores())[0]!.takers).toEqual([]);
    await farm.scratch.pool.query("update store set expires_at = ?", [new Date(NOW.getTime() + 20 * 3_600_000)]);
    expect((await stores())[0]!.takers).toContain("Bed 1");
    await farm.scratch.pool.query("update store set shelf_from = '2031-01-01', expires_at = ?", [hoursAgo(2)]);
    expect((await stores())[0]!.takers).toEqual(["Bare bed"]);
  });
});
