import "fake-indexeddb/auto";
import fc from "fast-check";
import { MAY_WAIT } from "@/contracts/waiting";
import { findAct } from "@/services/acts";
import { dropWaiting, listWaiting, noteWaiting } from "./queue";
import { leaveForSteward, sendOrKeep, sendWaiting, twinOf, type Post } from "./sending";

const MAREN = { id: 2, name: "Maren" };

/** A farm that can go out of reach, lose an answer, or refuse; what it took, in order. */
function farmOf() {
  const taken: { key: string; name: string; person: number | null; at: string | undefined }[] = [];
  const farm = {
    taken,
    mode: "there" as "there" | "gone" | "answer-lost" | "refuses" | "busy",
    post: (async (name, request, person) => {
      const { requestKey, at } = request as { requestKey: string; at?: string };
      if (farm.mode === "gone") throw new TypeError("Failed to fetch");
      if (farm.mode === "refuses")
        return { ok: false, error: { code: "short-for-plots", message: "Too little left." } };
      if (farm.mode === "busy") return { ok: false, error: { code: "busy", message: "Busy." } };
      // One key is written once, however often it comes.
      if (!taken.some(({ key }) => key === requestKey)) taken.push({ key: requestKey, name, person, at });
      if (farm.mode === "answer-lost") throw new TypeError("Failed to fetch");
      return { ok: true, value: { done: requestKey } };
    }) satisfies Post as Post,
  };
  return farm;
}
const doing = (key: string, more: object = {}) => ({ requestKey: key, batchId: 1, ...more });
const log = (farm: ReturnType<typeof farmOf>, key: string) => sendOrKeep(farm.post, "logEntry", doing(key), MAREN);

afterEach(async () => {
  for (const { seq } of await listWaiting()) await dropWaiting(seq);
});

describe("what is done without a signal", () => {
  it("goes straight to the farm while it is there", async () => {
    const farm = farmOf();
    expect(await log(farm, "a")).toEqual({ ok: true, value: { done: "a" } });
    expect(await listWaiting()).toEqual([]);
  });
  it("stays where somebody else is at the device, and goes when they are back; what the other does meanwhile goes at once", async () => {
    const farm = farmOf();
    const odo = { id: 3, name: "Odo" };
    farm.mode = "gone";
    await log(farm, "a");
    farm.mode = "there";
    expect((await sendWaiting(farm.post, odo.id)).sent).toBe(0);
    expect(await sendOrKeep(farm.post, "logEntry", doing("b"), odo)).toEqual({ ok: true, value: { done: "b" } });
    expect((await sendWaiting(farm.post, null)).sent).toBe(0);
    expect(farm.taken.map(({ key }) => key)).toEqual(["b"]);
    expect((await sendWaiting(farm.post, MAREN.id)).sent).toBe(1);
    expect(farm.taken.map(({ key, person }) => [key, person])).toEqual([
      ["b", 3],
      ["a", 2],
    ]);
  });
  it("waits with its moment and its person, and is sent in order once the farm is there", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    const before = Date.now();
    for (const key of ["a", "b", "c"]) expect(await log(farm, key)).toHaveProperty("seq");
    expect((await listWaiting()).map(({ person, refused }) => [person?.name, refused])).toEqual(
      Array(3).fill(["Maren", null]),
    );
    expect((await sendWaiting(farm.post, MAREN.id)).sent).toBe(0);
    farm.mode = "there";
    expect((await sendWaiting(farm.post, MAREN.id)).sent).toBe(3);
    expect(farm.taken.map(({ key, person }) => [key, person])).toEqual([
      ["a", 2],
      ["b", 2],
      ["c", 2],
    ]);
    for (const { at } of farm.taken) {
      expect(Date.parse(at!)).toBeGreaterThanOrEqual(before);
      expect(Date.parse(at!)).toBeLessThanOrEqual(Date.now());
    }
    expect(await listWaiting()).toEqual([]);
  });
  it("keeps a moment that was told", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    await sendOrKeep(farm.post, "logEntry", doing("a", { at: "2031-01-01T08:00:00.000Z" }), MAREN);
    farm.mode = "there";
    await sendWaiting(farm.post, MAREN.id);
    expect(farm.taken[0]!.at).toBe("2031-01-01T08:00:00.000Z");
  });
  it("goes before what is done next", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    await log(farm, "first");
    farm.mode = "there";
    await log(farm, "second");
    expect(farm.taken.map(({ key }) => key)).toEqual(["first", "second"]);
  });
  it("is written once where the answer was lost", async () => {
    const farm = farmOf();
    farm.mode = "answer-lost";
    await log(farm, "a");
    farm.mode = "there";
    expect((await sendWaiting(farm.post, MAREN.id)).sent).toBe(1);
    expect(farm.taken.map(({ key }) => key)).toEqual(["a"]);
  });
  it("stays with the farm's reason where it is refused, and holds nothing else up", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    await log(farm, "a");
    farm.mode = "refuses";
    await sendWaiting(farm.post, MAREN.id);
    const [refused] = await listWaiting();
    expect(refused).toMatchObject({ request: { requestKey: "a" }, refused: { message: "Too little left." } });
    farm.mode = "there";
    await log(farm, "b");
    expect(farm.taken.map(({ key }) => key)).toEqual(["b"]);
    await noteWaiting(refused!.seq, { refused: null });
    expect((await sendWaiting(farm.post, MAREN.id)).sent).toBe(1);
    expect(farm.taken.map(({ key }) => key)).toEqual(["b", "a"]);
  });
  it("is left with the farm for a steward where whoever did it may not any more, once, and then is off the device", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    await log(farm, "1f0c");
    const handed: object[] = [];
    let reach: "refuses" | "takes" = "refuses";
    const post: Post = async (name, request) => {
      if (name !== "keepForSteward") return { ok: false, error: { code: "may-not", message: "Ask a steward." } };
      handed.push(request);
      return reach === "takes" ? { ok: true, value: {} } : { ok: false, error: { code: "busy", message: "Busy." } };
    };
    // Not taken: it stays here, with its reason, and is tried again under the same key.
    expect(await sendWaiting(post, MAREN.id)).toEqual({ sent: 0, held: 0 });
    const [one] = await listWaiting();
    expect(one!.refused?.code).toBe("may-not");
    await noteWaiting(one!.seq, { refused: null });
    reach = "takes";
    expect(await sendWaiting(post, MAREN.id)).toEqual({ sent: 1, held: 1 });
    expect(await listWaiting()).toEqual([]);
    expect(handed).toHaveLength(2);
    expect(handed[0]).toEqual(handed[1]);
    expect(handed[1]).toMatchObject({
      requestKey: twinOf("1f0c"),
      actName: "logEntry",
      request: { requestKey: "1f0c" },
      because: "may-not",
      personId: MAREN.id,
    });
    expect(twinOf("1f0c")).not.toBe("1f0c");
  });
  it("is left with the farm by a steward for who is gone, and stays where the farm is out of reach", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    await log(farm, "2a");
    const [one] = await listWaiting();
    expect(await leaveForSteward(farm.post, one!, "left").catch(() => false)).toBe(false);
    expect(await listWaiting()).toHaveLength(1);
    farm.mode = "there";
    expect(await leaveForSteward(farm.post, one!, "left")).toBe(true);
    expect(await listWaiting()).toEqual([]);
  });
  it("waits on where the farm is busy", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    await log(farm, "a");
    farm.mode = "busy";
    expect((await sendWaiting(farm.post, MAREN.id)).sent).toBe(0);
    expect(await listWaiting()).toMatchObject([{ refused: null }]);
  });
  it("is for what may wait; the rest says that nobody answered", async () => {
    const farm = farmOf();
    farm.mode = "gone";
    await expect(sendOrKeep(farm.post, "fillVessel", doing("a"), MAREN)).rejects.toThrow("Failed to fetch");
    expect(await listWaiting()).toEqual([]);
  });
  it("reaches the farm once and in order, however the signal comes and goes", async () => {
    const modes = fc.array(fc.constantFrom("there", "gone", "answer-lost", "busy"), { minLength: 1, maxLength: 12 });
    await fc.assert(
      fc.asyncProperty(modes, async (signal) => {
        const farm = farmOf();
        const kept: string[] = [];
        for (const [index, mode] of signal.entries()) {
          farm.mode = mode as typeof farm.mode;
          // A busy farm answers: the form says so and nothing waits.
          const sent = await log(farm, `k${index}`);
          if ("seq" in sent || sent.ok) kept.push(`k${index}`);
        }
        farm.mode = "there";
        await sendWaiting(farm.post, MAREN.id);
        expect(farm.taken.map(({ key }) => key)).toEqual(kept);
        expect(await listWaiting()).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});

it("may wait only where the request tells when it was done", () => {
  for (const [name, field] of Object.entries(MAY_WAIT)) {
    const { properties } = findAct(name)!.schema as { properties: Readonly<Record<string, unknown>> };
    expect(Object.keys(properties)).toContain(field ?? "on");
  }
});
