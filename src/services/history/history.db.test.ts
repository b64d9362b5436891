import { findFarm, listActors } from "@/data/farm";
import { HISTORY_CODES, HISTORY_PARTS } from "@/data/history";
import { select } from "@/data/db";
import { demoFarm } from "@/testing/demoFarm";
import { key, TestFarm, type Scratch } from "@/testing/scratch";
import { sayHistory } from "@/words/said";
import { logEntry } from "../batch";
import type { Context } from "../context";
import { changeVessel, setThingState } from "../things";
import { readHistory, type HistoryLineView, type HistoryQuery } from ".";

/** Things are told by their kind as well: each has numbers of its own. */
const idOf = ({ code, word, id }: HistoryLineView) => `${code} ${word} ${id}`;

describe("the history of a farm with a past", () => {
  let scratch: Scratch;
  let ctx: Context;
  beforeAll(async () => {
    ({ scratch, ctx } = await demoFarm());
  });
  afterAll(() => scratch.drop());
  const read = async (query: HistoryQuery = {}) => readHistory(ctx, (await findFarm(scratch.db))!, query);
  async function readAll(query: HistoryQuery = {}): Promise<HistoryLineView[]> {
    const lines: HistoryLineView[] = [];
    let next: HistoryQuery | null = query;
    while (next) {
      const page = await read(next);
      lines.push(...page.lines);
      next = page.older ? { ...query, ...page.older } : null;
    }
    return lines;
  }

  it("tells every line once, newest first, page by page, though many were written in one moment", async () => {
    const lines = await readAll();
    expect(new Set(lines.map(idOf)).size).toBe(lines.length);
    const times = lines.map(({ addedMs }) => addedMs);
    expect(times).toEqual(times.toSorted((a, b) => b - a));
    const [{ entries }] = (await select<{ entries: number }>(
      scratch.db,
      "select count(*) as entries from batch_entry",
    )) as [{ entries: number }];
    expect(lines.filter(({ code }) => code === "logged")).toHaveLength(entries);
  });
  it("says each line in words, in both units, with no figure or name missing", async () => {
    const lines = await readAll();
    for (const line of lines)
      for (const units of ["metric", "us"] as const)
        expect(sayHistory(line.code, line, units)).not.toMatch(/undefined|null|NaN|\[object|^:|^ /);
    // The demo's people do nearly all that can be done.
    const told = new Set(lines.map(({ code }) => code));
    expect(HISTORY_CODES.filter((code) => !told.has(code)).length).toBeLessThan(11);
  });
  it("is looked through by part, by person and by day, and the parts make up the whole", async () => {
    const all = await readAll();
    const parts = await Promise.all(HISTORY_PARTS.map((part) => readAll({ part })));
    expect(parts.flat().map(idOf).toSorted()).toEqual(all.map(idOf).toSorted());
    const [person] = (await listActors(scratch.db)).slice(-1);
    const theirs = await readAll({ person: person!.id });
    expect(theirs.every(({ actorName }) => actorName === person!.name)).toBe(true);
    expect(theirs).toHaveLength(all.filter(({ actorName }) => actorName === person!.name).length);
    const day = new Date(all[40]!.addedMs + 10 * 3_600_000).toISOString().slice(0, 10);
    const ofDay = await readAll({ day });
    expect(ofDay.length).toBeGreaterThan(0);
    expect(ofDay.length).toBeLessThan(all.length);
  });
});

describe("a mistake found in the history", () => {
  it("is told with its correction, and a change of a thing with what it was", async () => {
    const farm = await TestFarm.make();
    await farm.lot("molasses", 50, 1);
    await farm.lot("lactic-culture", 50, 1);
    const drum = await farm.vessel("Drum");
    const batchId = await farm.fill(drum, "cultured-extract", 80);
    const { entryId } = await logEntry(farm.context(), {
      requestKey: key(),
      batchId,
      entry: { kind: "ph", value: 4.2, instrument: "meter", spot: "mid-depth" },
    });
    await logEntry(farm.context(), { requestKey: key(), batchId, correctsId: entryId, entry: { kind: "withdrawn" } });
    await changeVessel(farm.context(), { requestKey: key(), id: drum, name: "Green drum" });
    await setThingState(farm.context(), { requestKey: key(), kind: "water", id: 1, state: "retired" });
    const view = await readHistory(farm.context(), (await findFarm(farm.scratch.db))!, {});
    const said = view.lines.map((line) => sayHistory(line.code, line, "metric"));
    expect(said).toEqual(
      expect.arrayContaining([
        "Green drum, plant extract: pH 4.2 by meter, halfway down",
        "Green drum, plant extract: an entry crossed out",
        "Green drum (vessel): renamed, was Drum",
        "Butt (water source): put away",
      ]),
    );
    expect(view.lines.find(({ code, word }) => code === "changed" && word === "vessel")!.extra).toMatchObject({
      was: { name: "Drum" },
      thingId: drum,
    });
    await farm.scratch.drop();
  });
});
