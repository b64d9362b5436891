import { runningStageAt, stageSpans } from "./stages";
import { findRecipe } from "../book";
import type { Act } from "../book/words";
import type { LogItem } from "../judge/log";
import { dueTasks } from "./dueTasks";
import { tendingHistory } from "./history";
import { solidsStillIn } from "./keptLong";
import { programmeOf } from "./programme";

const act = (hour: number, what: Act): LogItem => ({ hour, kind: "act", act: what });
const recipe = (id: string) => findRecipe(id);
const asked = (id: string, what: string, log: LogItem[] = []) =>
  programmeOf(recipe(id), log).find((task) => task.act === what);

describe("tending", () => {
  const extract = findRecipe("cultured-extract");
  const vent = (log: LogItem[], nowH: number) =>
    tendingHistory(extract, log, nowH).find(({ task }) => task.act === "vented")!;
  it("counts what was done and what was missed, each from when it was last done", () => {
    const first = extract.tending.find((task) => task.act === "vented")!;
    const on = Array.from({ length: 4 }, (_, round) => act(first.fromH + round * first.everyH, "vented"));
    expect(vent(on, first.fromH + 3.2 * first.everyH)).toMatchObject({ missedH: [], doneH: { length: 4 } });
    expect(vent([], first.fromH + 3.6 * first.everyH).missedH).toHaveLength(4);
    expect(vent([act(first.fromH + 5, "vented")], first.fromH + 2.6 * first.everyH).missedH).toHaveLength(1);
  });
  it("misses nothing that is not long due", () => expect(vent([], 1).missedH).toEqual([]));
  it("asks for the lock sooner in the warm, and for no stirring once it is closed", () => {
    const due = (rate: number) =>
      dueTasks(extract, [act(100, "vented")], 101, 400, rate).find(({ task }) => task.act === "vented")!.dueH;
    expect(due(2)).toBeLessThan(due(1));
    expect(due(0.2)).toBeGreaterThan(due(1));
    const drum = findRecipe("drum-manure-tea");
    const stirs = (log: LogItem[]) => dueTasks(drum, log, 100, 140).filter(({ task }) => task.act === "stirred").length;
    expect(stirs([])).toBe(1);
    expect(stirs([act(99, "sealed")])).toBe(0);
  });
});

describe("the change to the closed stage", () => {
  it("goes by the closing: stirred until then whatever the date, then only the lock", () => {
    expect(asked("drum-manure-tea", "stirred")).not.toHaveProperty("untilH");
    expect(asked("drum-manure-tea", "vented")).toBeUndefined();
    const closed = [act(20 * 24, "sealed")];
    expect(asked("drum-manure-tea", "stirred", closed)?.untilH).toBe(20 * 24);
    const lock = asked("drum-manure-tea", "vented", closed)!;
    expect(lock.fromH).toBe(20 * 24 + lock.everyH);
  });
  it("leaves methods of one stage as their recipe says", () => {
    expect(asked("cultured-extract", "vented")).toEqual(
      recipe("cultured-extract").tending.find((task) => task.act === "vented"),
    );
    expect(asked("plant-juice", "pressed-under")?.untilH).toBe(24 * 6);
  });
});

describe("the look at its lid", () => {
  it("is asked for under a cloth, not under a lock, not in a brew on air, and not once it is closed", () => {
    expect(asked("plant-juice", "lid-checked")).toMatchObject({ everyH: 48 });
    expect(asked("cultured-extract", "lid-checked")).toBeUndefined();
    expect(asked("aerated-tea", "lid-checked")).toBeUndefined();
    expect(asked("drum-manure-tea", "lid-checked", [act(300, "sealed")])?.untilH).toBe(300);
  });
  it("is due two days after the last", () =>
    expect(
      dueTasks(recipe("plant-juice"), [act(50, "lid-checked")], 60, 200).find(({ task }) => task.act === "lid-checked"),
    ).toMatchObject({ dueH: 98, lastH: 50, late: false }));
});

describe("a brew kept on its air", () => {
  const held = [act(30, "kept-on-air")];
  it("is judged anew every six hours for a night, and not beyond", () => {
    const looks = (nowH: number, log = held) =>
      dueTasks(recipe("aerated-tea"), log, nowH, nowH + 24).map(({ task, dueH }) => [task.act, dueH]);
    expect(looks(31)).toEqual([["look", 36]]);
    expect(looks(37, [...held, { hour: 36, kind: "smell", word: "earthy" }])).toEqual([["look", 42]]);
    expect(looks(43, [...held, { hour: 42, kind: "smell", word: "earthy" }])).toEqual([]);
  });
});

describe("solids left in", () => {
  it("stand only under what keeps, until they are lifted out", () => {
    expect(solidsStillIn(recipe("cultured-extract"), [])).toBe(true);
    expect(solidsStillIn(recipe("cultured-extract"), [act(400, "bag-out")])).toBe(false);
    expect(solidsStillIn(recipe("aerated-tea"), [])).toBe(false);
    expect(solidsStillIn(recipe("charged-char"), [])).toBe(false);
  });
});

describe("stages by what is usual", () => {
  const brew = findRecipe("leaf-mould-brew");
  const spansAt = (log: readonly LogItem[], nowH: number, opensH: number | null = 80) =>
    stageSpans(brew, log, nowH, opensH);
  it("are waited for until they show, however long that takes", () => {
    const spans = spansAt([], 200);
    expect(spans[1]).toMatchObject({ basis: "awaited" });
    expect(runningStageAt(spans, 200)).toBe(0);
  });
  it("begin when they show, also before the book's day", () => {
    const spans = spansAt([{ kind: "surface", word: "patches", hour: 14 }], 15);
    expect(spans[1]).toMatchObject({ basis: "seen", fromH: 14 });
    expect(runningStageAt(spans, 15)).toBe(1);
    expect(spans[0]!.untilH).toBe(14);
  });
  it("are reckoned later in the cold", () => {
    expect(spansAt([], 1, 300)[1]!.fromH).toBeGreaterThan(spansAt([], 1, 60)[1]!.fromH);
    expect(spansAt([], 1, null)[1]!.fromH).toBe(24);
  });
  it("begin with their act: the sugared stage with the sugar, the closed one with the closing", () => {
    const serum = findRecipe("lactic-serum");
    expect(stageSpans(serum, [], 100, 200)[1]!.basis).toBe("awaited");
    expect(stageSpans(serum, [{ kind: "act", act: "fed", hour: 50 }], 100, 200)[1]).toMatchObject({ fromH: 50 });
    const dung = findRecipe("drum-manure-tea");
    const closed = stageSpans(dung, [{ kind: "act", act: "sealed", hour: 400 }], 410, 700);
    expect(closed[1]).toMatchObject({ fromH: 400, basis: "seen" });
  });
});
