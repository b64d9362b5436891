import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, NOW, TestFarm } from "@/testing/scratch";
import { closeBatch } from "../batch/closeBatch";
import { readYard } from "./readYard";
import { noteLot } from "../shed/changeLot";
import { planBatch } from "../shed/plans";
import { readItem } from "../shed/readItem";
import { receiveLot } from "../shed/receiveLot";
import { addOwnIngredient } from "../shed/terms";

let farm: TestFarm;
beforeEach(async () => (farm = await TestFarm.make()));
afterEach(() => farm.scratch.drop());

const round = async (at = NOW) => (await readYard(farm.context(at), (await findFarm(farm.scratch.db))!)).round;
const titles = async (at = NOW) => (await round(at)).map(({ title }) => title);
const later = (days: number) => new Date(NOW.getTime() + days * 86_400_000);

describe("what the shed brings into the round", () => {
  it("reads a bean test two weeks after it was sown, until it is read", async () => {
    const { lotId } = await receiveLot(farm.context(), {
      requestKey: key(),
      ingredientId: "dung-aged",
      amount: 50,
      origin: "given",
      receivedOn: "2031-03-01",
      cost: 0,
      provenance: { herbicideSuspected: true },
    });
    await noteLot(farm.context(), { requestKey: key(), lotId, kind: "beans-sown", onDay: "2031-03-10" });
    expect(await titles(later(3))).toEqual([]);
    expect(await round(later(4))).toEqual([
      expect.objectContaining({
        title: "Read the bean test of aged dung",
        touch: { type: "go", href: "/shed?item=dung-aged" },
      }),
    ]);
    await noteLot(farm.context(later(4)), { requestKey: key(), lotId, kind: "beans-clean", onDay: "2031-03-24" });
    expect(await titles(later(5))).toEqual([]);
  });
  it("fills what is planned for today, and what was planned for yesterday more so", async () => {
    const vesselId = await farm.vessel("Drum");
    const plan = (forDay: string, to: number | null) =>
      planBatch(farm.context(), {
        requestKey: key(),
        methodId: "cultured-extract",
        schoolId: "equal-parts",
        basisAmount: 40,
        forDay,
        vesselId: to,
      });
    const { planId } = await plan("2031-03-20", vesselId);
    await plan("2031-03-22", null);
    const tasks = (await round()).filter(({ key: name }) => name.startsWith("plan-"));
    expect(tasks).toEqual([
      expect.objectContaining({
        title: "Fill: Plant extract in Drum",
        why: "Planned for today",
        touch: { type: "go", href: `/?fill=${vesselId}&plan=${planId}` },
      }),
    ]);
    const next = (await round(later(2))).filter(({ key: name }) => name.startsWith("plan-"));
    expect(next.map(({ why, touch }) => [why, touch.type === "go" ? touch.href : ""])).toEqual([
      ["It was planned for an earlier day", `/?fill=${vesselId}&plan=${planId}`],
      ["Planned for today", "/shed/shopping"],
    ]);
  });
  it("uses a store before it is over, and brings it to the heap after", async () => {
    const batchId = await farm.readyExtract(await farm.vessel("Drum"));
    const { storeId } = await closeBatch(farm.context(), {
      requestKey: key(),
      batchId,
      kind: "strained",
      yieldL: 60,
      residue: "compost",
      labourMin: 5,
      label: "Extract",
    });
    const ofStore = async () => (await titles()).filter((title) => title.startsWith("Extract"));
    expect(await ofStore()).toEqual([]);
    await farm.scratch.pool.query("update store set shelf_from = ?, expires_at = ? where id = ?", [
      hoursAgo(400),
      later(2),
      storeId,
    ]);
    expect(await ofStore()).toContain("Extract: use it, 2 days left");
    const [task] = (await round()).filter(({ title }) => title.startsWith("Extract: use it"));
    expect(task!.why).toMatch(/^60 L, until .*No bed could take it as it stands$/);
    await farm.scratch.pool.query("update store set shelf_from = ?, expires_at = ? where id = ?", [
      hoursAgo(50),
      hoursAgo(1),
      storeId,
    ]);
    expect(await ofStore()).toEqual(["Extract: expired, use on compost or bare soil"]);
  });
});

describe("one container, opened", () => {
  it("is the book's or the farm's own, with what is known of it; and none for water or what nobody knows", async () => {
    const { ownId } = await addOwnIngredient(farm.context(), {
      requestKey: key(),
      name: "Pond weed",
      countsAs: "greens",
      densityKgPerL: 0.4,
      caution: "Rinse it.",
    });
    await receiveLot(farm.context(), {
      requestKey: key(),
      ingredientId: "greens",
      ownId,
      amount: 3,
      origin: "foraged",
      receivedOn: "2031-03-20",
      cost: 0,
    });
    await receiveLot(farm.context(), {
      requestKey: key(),
      ingredientId: "greens",
      amount: 2,
      origin: "foraged",
      receivedOn: "2031-03-20",
      cost: 0,
      provenance: { plant: { species: "nettle", part: "tips", place: "hedge" } },
    });
    const own = (await readItem(farm.context(), `own-${ownId}`, "2031-03-20"))!;
    expect(own).toMatchObject({
      name: "Pond weed",
      ingredientId: "greens",
      densityKgPerL: 0.4,
      own: { caution: "Rinse it." },
    });
    expect(own.lots.map(({ onHand }) => onHand)).toEqual([3]);
    expect(own.ledger).toHaveLength(1);
    const book = (await readItem(farm.context(), "greens", "2031-03-20"))!;
    expect(book.lots.map(({ onHand }) => onHand)).toEqual([2]);
    expect(book.standsIn.map(({ name }) => name)).toContain("Shredded legume leaf");
    for (const id of ["water", "stardust", "own-99"])
      expect(await readItem(farm.context(), id, "2031-03-20")).toBeNull();
  });
});
