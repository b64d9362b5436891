import type { FitBand } from "@/core/apply/fitHours";
import { bookDocument } from "@/core/recipe/document";
import { batchOf } from "@/testing/views";
import type { BatchView } from "../batch/batchView";
import { roundTasks, type RoundInput } from "./round";
import type { RunningBatch } from "./roundTask";

const NOW = new Date("2031-03-20T10:00:00Z");
const HOUR_MS = 3_600_000;
const at = (hours: number) => NOW.getTime() + hours * HOUR_MS;
const mark = (p50: number | null) => ({ p10: p50, p50, p90: p50 });

/** A batch that was begun so many hours ago, as the round takes it. */
const running = (
  id: number,
  methodId: string,
  agoH: number,
  view: Partial<BatchView> = {},
  entries: readonly object[] = [],
): RunningBatch =>
  ({
    vessel: { id, name: `Drum ${id}`, site: "" },
    order: id,
    batch: {
      id,
      vesselId: id,
      startedAt: new Date(at(-agoH)),
      recipe: { document: bookDocument(methodId), shortName: "Brew" },
    },
    entries,
    view: batchOf(methodId, { next: { act: "wait", atMs: at(200), words: "Wait" }, ...view } as Partial<BatchView>),
  }) as unknown as RunningBatch;
const entry = (act: string, agoH: number) => ({
  id: 1,
  kind: "act",
  word: act,
  numberValue: null,
  at: new Date(at(-agoH)),
});
const round = (batches: readonly RunningBatch[], more: Partial<RoundInput> = {}) =>
  roundTasks({
    units: "metric",
    running: batches,
    dirty: [],
    waters: [],
    shed: [],
    bands: [],
    shares: [],
    clock: { timeZone: "UTC" },
    now: NOW,
    ...more,
  });
const band = (fromH: number, toH: number, fit: FitBand["fit"] = "leaves"): FitBand => ({
  fromMs: at(fromH),
  toMs: at(toH),
  when: "dusk",
  fit,
  because: fit === "none" ? "cold" : "dry",
  windMPerS: 1,
  airC: 14,
});

describe("a window that closes", () => {
  const tea = (closesInH: number | null) =>
    running(1, "aerated-tea", 30, {
      next: { act: "use-now", atMs: NOW.getTime(), words: "Use it now" },
      window: { start: mark(at(-4)), peak: mark(at(0)), end: mark(closesInH === null ? null : at(closesInH)) },
      reasons: ["Smells earthy."],
    } as never);
  const why = (closesInH: number | null, bands: readonly FitBand[]) =>
    round([tea(closesInH)], { bands }).find(({ key }) => key === "1-close")!.why;
  it("is set against the hours fit before it, from now to its close", () => {
    expect(why(10, [band(-1, 2)])).toBe(
      "Good until about today 20:00; good time to apply before then: 10:00 to 12:00. Smells earthy.",
    );
    expect(why(10, [band(8, 12)])).toContain("good time to apply before then: 18:00 to 20:00");
  });
  it("has none where they are over, come too late, or are no fit hours at all", () => {
    for (const bands of [[], [band(-4, -1)], [band(11, 13)], [band(8, 10, "none")]])
      expect(why(10, bands)).toContain("No good time to apply before then: use bare soil or compost");
  });
  it("is no matter while it is far off, or keeps", () => {
    expect(why(37, [band(8, 10)])).toBe("Smells earthy.");
    expect(why(null, [band(8, 10)])).toBe("Smells earthy.");
  });
});

describe("what is tended", () => {
  it("says when it was last vented, in a sentence of its own where it is late", () => {
    const late = round([running(1, "cultured-extract", 100)]).find(({ key }) => key === "1-vented")!;
    expect(late.urgency).toBe("late");
    expect(late.why).toMatch(/^Late\. .*\. Not vented yet\.$/);
    const again = round([running(1, "cultured-extract", 300, {}, [entry("vented", 100)])]).find(
      ({ key }) => key === "1-vented",
    )!;
    expect(again.why).toMatch(/^Late\. .*\. Last vented 4 days ago\.$/);
    const fresh = round([running(1, "cultured-extract", 100, {}, [entry("vented", 30)])]).find(
      ({ key }) => key === "1-vented",
    )!;
    expect(fresh).toMatchObject({ why: "Brew; last vented 30 h ago" });
  });
});

describe("the order of the round", () => {
  const asks = (id: number, inH: number) =>
    running(id, "plant-juice", 30, { next: { act: "smell", atMs: at(inH), words: "Smell it" } } as never);
  it("is late first, then along the vessels, then by the clock, tomorrow's last", () => {
    const stuck = running(4, "plant-juice", 30, {
      next: { act: "warm", atMs: NOW.getTime(), words: "Warm it" },
    } as never);
    const looks = round([asks(1, 0), asks(2, 20), asks(3, 5), asks(5, -1), stuck]).filter(
      ({ key }) => key.endsWith("-look") || key.endsWith("-rescue"),
    );
    expect(looks.map(({ key }) => key)).toEqual(["4-rescue", "1-look", "5-look", "3-look", "2-look"]);
    expect(looks.map(({ tomorrow }) => tomorrow)).toEqual([false, false, false, false, true]);
  });
  it("leaves out what lies beyond its reach", () =>
    expect(round([asks(1, 100)]).some(({ key }) => key === "1-look")).toBe(false));
  it("names whose task it is, and waits for their part of the day", () => {
    const share = { batchId: 1, act: "look", personName: "Ben", slot: "evening" };
    const [task] = round([asks(1, 0)], { shares: [share] as never }).filter(({ key }) => key === "1-look");
    expect(task).toMatchObject({ who: "Ben" });
    expect(new Date(task!.dueMs).getUTCHours()).toBeGreaterThan(15);
  });
});
