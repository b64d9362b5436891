import fc from "fast-check";
import { keepingNewest } from "./kept";

describe("what is kept for each slot", () => {
  it("is the newest alone, and only for what it rests on", () => {
    const kept = keepingNewest<{ n: number }>("test-newest", 10);
    kept.set("drum 1", "log 1", { n: 1 });
    expect(kept.get("drum 1", "log 1")).toEqual({ n: 1 });
    expect(kept.get("drum 1", "log 2")).toBeUndefined();
    kept.set("drum 1", "log 2", { n: 2 });
    expect(kept.get("drum 1", "log 1")).toBeUndefined();
    expect(kept.get("drum 1", "log 2")).toEqual({ n: 2 });
  });
  it("is dropped only by who names what it rests on: a late failure does not take the newer one", () => {
    const kept = keepingNewest<{ n: number }>("test-drop", 10);
    kept.set("drum 1", "log 2", { n: 2 });
    kept.drop("drum 1", "log 1");
    expect(kept.get("drum 1", "log 2")).toEqual({ n: 2 });
    kept.drop("drum 1", "log 2");
    expect(kept.get("drum 1", "log 2")).toBeUndefined();
  });
  it("never grows with what is written: as many values as slots, however often they change", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(30), fc.nat(500)), { maxLength: 400 }), fc.nat(1_000_000), (writes, run) => {
        const kept = keepingNewest<{ n: number }>(`test-${run}`, 12);
        for (const [slot, restsOn] of writes) kept.set(String(slot), String(restsOn), { n: restsOn });
        const latest = new Map(writes.map(([slot, restsOn]) => [slot, restsOn]));
        const found = [...latest].filter(([slot, restsOn]) => kept.get(String(slot), String(restsOn))?.n === restsOn);
        expect(found.length).toBe(Math.min(12, latest.size));
      }),
    );
  });
});
