import { loosenDueMs, recheckOf, smeltState, type AirDay, type CheckedStore, type StoreCheck } from "./storeChecks";

const DAY = 86_400_000;
const check = (kind: StoreCheck["kind"], day: number): StoreCheck => ({ kind, atMs: day * DAY, ph: null });
const store = (change: Partial<CheckedStore> = {}): CheckedStore => ({
  shelfFromMs: 0,
  expiresMs: 365 * DAY,
  container: "vented",
  makesGas: true,
  living: false,
  checks: [],
  ...change,
});
const air = (...means: number[]): AirDay[] => means.map((meanC, day) => ({ endsMs: (day + 1) * DAY, meanC }));
const recheck = (change: Partial<CheckedStore>, day: number, days: AirDay[] = []) =>
  recheckOf(store(change), days, day * DAY);

describe("letting gas out", () => {
  const due = (change: Partial<CheckedStore>, meanC = 15) => loosenDueMs(store(change), meanC);
  it("is asked for as its lid lets gas out less, and twice as often in the warm", () => {
    expect(due({ container: "sealed" })).toBe(3 * DAY);
    expect(due({ container: "sealed" }, 25)).toBe(1.5 * DAY);
    expect(due({ container: "vented" })).toBe(14 * DAY);
    expect(due({ container: "sealed", checks: [check("loosened", 10), check("smelt-good", 12)] })).toBe(13 * DAY);
  });
  it("is not asked for under a cloth, nor of what makes none", () => {
    expect(due({ container: "breathable" })).toBeNull();
    expect(due({ container: "sealed", makesGas: false })).toBeNull();
  });
});

describe("smelling a store again", () => {
  it("is due after a month, or half its life where that is sooner, from the last look", () => {
    expect(recheck({}, 29)).toBeNull();
    expect(recheck({}, 30)).toEqual({ because: "age", dueMs: 30 * DAY });
    expect(recheck({ expiresMs: 20 * DAY }, 10)).toEqual({ because: "age", dueMs: 10 * DAY });
    expect(recheck({ checks: [check("smelt-good", 25)] }, 54)).toBeNull();
    expect(recheck({ checks: [check("smelt-good", 25)] }, 55)).not.toBeNull();
  });
  it("is not answered by letting its gas out", () =>
    expect(recheck({ checks: [check("loosened", 29)] }, 31)).toMatchObject({ because: "age" }));
  it("is due after three hot days together, and not after three apart", () => {
    expect(recheck({}, 9, air(20, 28, 29, 30, 20))).toEqual({ because: "hot-spell", dueMs: 4 * DAY });
    expect(recheck({}, 9, air(29, 20, 29, 20, 29))).toBeNull();
  });
  it("counts only the heat since it was last smelled", () => {
    const spell = air(20, 28, 29, 30, 20, 29);
    expect(recheck({ checks: [check("smelt-good", 5)] }, 9, spell)).toBeNull();
    expect(recheck({ shelfFromMs: 3 * DAY }, 9, spell)).toBeNull();
  });
  it("is not asked of what fades within hours", () => expect(recheck({ living: true }, 90)).toBeNull());
});

describe("what was smelt", () => {
  it("stays off, and doubtful after a better smell", () => {
    expect(smeltState([])).toBe("good");
    expect(smeltState([check("smelt-off", 1), check("loosened", 2)])).toBe("off");
    expect(smeltState([check("smelt-off", 1), check("smelt-good", 2)])).toBe("doubtful");
    expect(smeltState([check("loosened", 1), check("smelt-good", 2)])).toBe("good");
  });
});
