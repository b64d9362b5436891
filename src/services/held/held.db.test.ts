import { listActors } from "@/data/farm";
import { select } from "@/data/db";
import { findFarm } from "@/data/farm/farm";
import { hoursAgo, key, NOW, refusalOf, TestFarm } from "@/testing/scratch";
import { roleTable, readAccess } from "../access";
import { ACTS } from "../acts";
import { readYard } from "../yard/readYard";
import { dropHeld, enterHeld, keepForSteward } from ".";

let farm: TestFarm;
let ben: number;
let batchId: number;
beforeEach(async () => {
  farm = await TestFarm.make();
  ben = (await listActors(farm.scratch.db))[1]!.id;
  await farm.lot("molasses", 5, 20);
  await farm.lot("lactic-culture", 5, 10);
  batchId = await farm.fill(await farm.vessel("Blue drum"), "cultured-extract", 60, hoursAgo(30));
});
afterEach(() => farm.scratch.drop());

const asked = () => ({
  requestKey: key(),
  batchId,
  entry: { kind: "smell", word: "cidery" },
  at: hoursAgo(4).toISOString(),
});
const keep = (request: object = asked(), more: object = {}) =>
  keepForSteward(farm.context(NOW, 1, "viewer"), {
    requestKey: key(),
    actName: "logEntry",
    request,
    said: "Blue drum: cidery.",
    because: "may-not",
    personId: ben,
    doneAt: hoursAgo(4).toISOString(),
    ...more,
  });
const open = async () =>
  (await readAccess(farm.context(), (await findFarm(farm.scratch.db))!, roleTable(ACTS))).held.map(({ id }) => id);
const logged = () =>
  select<{ at: Date; actor_id: number }>(
    farm.scratch.db,
    "select at, actor_id from batch_entry where batch_id = ? and kind = 'smell'",
    [batchId],
  );

describe("an entry that was not taken", () => {
  it("is entered by a steward at its own hour, once, and is gone from what waits", async () => {
    const request = asked();
    const { heldId } = await keep(request);
    expect(await open()).toEqual([heldId]);
    const row = (await findFarm(farm.scratch.db))!;
    expect((await readYard(farm.context(), row)).heldEntries).toBe(1);
    expect((await readYard(farm.context(NOW, 1, "helper"), row)).heldEntries).toBe(0);
    await enterHeld(farm.context(), { requestKey: key(), heldId });
    expect(await logged()).toEqual([{ at: hoursAgo(4), actor_id: farm.context().actor.id }]);
    expect(await open()).toEqual([]);
    expect((await refusalOf(enterHeld(farm.context(), { requestKey: key(), heldId }))).code).toBe("held-done");
    expect((await refusalOf(dropHeld(farm.context(), { requestKey: key(), heldId }))).code).toBe("held-done");
    // Handed in twice, as after an answer that was lost: entered, it is not there a second time.
    const again = await keep(request);
    await enterHeld(farm.context(), { requestKey: key(), heldId: again.heldId });
    expect(await logged()).toHaveLength(1);
  });
  it("stays kept where its own act refuses it, and is dropped by hand", async () => {
    const { heldId } = await keep({ ...asked(), batchId: 9999 });
    expect((await refusalOf(enterHeld(farm.context(), { requestKey: key(), heldId }))).code).toBe("not-found");
    const { heldId: broken } = await keep({ nothing: true });
    await expect(enterHeld(farm.context(), { requestKey: key(), heldId: broken })).rejects.toThrow("bad-request");
    expect(await open()).toEqual([heldId, broken]);
    for (const id of [heldId, broken]) await dropHeld(farm.context(), { requestKey: key(), heldId: id });
    expect(await open()).toEqual([]);
    expect(await logged()).toEqual([]);
  });
  it("is one's own to leave; in another's name a steward leaves it, of somebody that there is", async () => {
    const [ana] = await listActors(farm.scratch.db);
    expect((await refusalOf(keep(asked(), { personId: ana!.id }))).code).toBe("not-yours");
    const byAna = (personId: number) =>
      keepForSteward(farm.context(), {
        requestKey: key(),
        actName: "logEntry",
        request: asked(),
        said: "",
        because: "left",
        personId,
        doneAt: hoursAgo(4).toISOString(),
      });
    expect((await byAna(ben)).heldId).toBeGreaterThan(0);
    expect((await refusalOf(byAna(9999))).code).toBe("not-found");
    // What may not wait is not kept either.
    await expect(keep(asked(), { actName: "setRole" })).rejects.toThrow("bad-request");
  });
});
