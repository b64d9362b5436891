import { findFarm } from "@/data/farm/farm";
import { listViews, type QueryOf, type ViewName, VIEWS } from "@/services/views";
import { beginTrial } from "@/services/trials";
import { hoursAgo, key, NOW, TestFarm } from "@/testing/scratch";
import { trialTerms } from "@/testing/trial";
import type { Frame } from "@/services/context";
import { openStanding } from "../session";
import { viewDoor } from "./view";

jest.mock("../session", () => ({
  openStanding: jest.fn(),
  visitorNow: jest.fn(),
  keepToken: jest.fn(),
  turnToken: jest.fn(),
}));
const standing = openStanding as unknown as jest.Mock;
let frame: Frame;
const isIn = (within: Frame) => standing.mockResolvedValue({ type: "open", frame: within, found: {}, token: "" });

let farm: TestFarm;
let batchId: number;
let plotId: number;
let trialId: number;
beforeAll(async () => {
  farm = await TestFarm.make();
  await farm.lot("molasses", 9, 9);
  await farm.lot("lactic-culture", 9, 9);
  batchId = await farm.fill(await farm.vessel("Drum"), "cultured-extract", 70, hoursAgo(60));
  await farm.log(batchId, hoursAgo(1), { kind: "ph", value: 4.1, instrument: "meter", spot: "mid-depth" });
  plotId = await farm.plot("Bed", { crop: "leeks" });
  ({ trialId } = await beginTrial(farm.context(), {
    requestKey: key(),
    terms: trialTerms(),
    ...{ plotIds: [plotId], strips: 4, gradientDeg: null, edgePlotIds: [] },
  }));
  const { db } = farm.scratch;
  const found = (await findFarm(db))!;
  frame = { ctx: farm.context(NOW), farm: found, people: [{ id: 1, name: "Ana" }] };
  isIn(frame);
});
afterAll(() => farm.scratch.drop());

const HOST = "127.0.0.1:3200";
const get = async (name: string, query: Record<string, string> = {}, headers: Record<string, string> = {}) => {
  const url = `http://${HOST}/api/view/${name}?${new URLSearchParams(query)}`;
  const answer = await viewDoor(new Request(url, { headers: { host: HOST, ...headers } }), name);
  return {
    status: answer.status,
    ...((await answer.json()) as { ok: boolean; value?: unknown; error?: { code: string; fields?: object } }),
  };
};

/** What each view is asked on this farm; null where the farm has none of it. */
const ASKED: { readonly [N in ViewName]: () => QueryOf<N> | null } = {
  yard: () => ({}),
  access: () => ({}),
  find: () => ({}),
  settings: () => ({}),
  history: () => ({ part: "making" }),
  things: () => ({ kind: "vessel" }),
  programmes: () => ({}),
  season: () => ({}),
  practice: () => ({}),
  answerFacts: () => ({}),
  seasonYears: () => ({}),
  jobs: () => ({}),
  applicationRecord: () => ({ from: "2030-01-01" }),
  making: () => ({}),
  mixing: () => null,
  plannedMixing: () => null,
  batch: () => ({ id: batchId }),
  whatIf: () => ({ batchId, placeC: 24, byMs: NOW.getTime() + 864e5, forPeak: true }),
  book: () => ({ day: "2031-04-20" }),
  method: () => ({ id: "cultured-extract" }),
  shed: () => ({ item: "molasses" }),
  count: () => ({}),
  shopping: () => ({}),
  gather: () => ({}),
  equipment: () => ({}),
  field: () => ({}),
  plot: () => ({ id: plotId }),
  report: () => ({ from: "2030-04-01", to: "2031-03-31" }),
  trials: () => ({}),
  trial: () => ({ id: trialId }),
  trialScoring: () => ({ id: trialId }),
  trialStart: () => ({}),
  trialSize: () => ({ scale: "ratio", difference: 0.2, spread: 0.25, looks: "several", inputs: 1, pairs: 8 }),
  trace: () => ({ plotId }),
  devices: () => ({}),
  ledger: () => ({}),
  labels: () => ({ batch: batchId, origin: "http://127.0.0.1:3200" }),
};
const there = (Object.keys(ASKED) as ViewName[]).filter((name) => !/mixing/i.test(name));
const text = (query: object) => Object.fromEntries(Object.entries(query).map(([name, value]) => [name, String(value)]));

it.each(there)("%s says to a program what its page shows, with nothing lost on the way", async (name) => {
  const asked = ASKED[name]()!;
  const shown = await VIEWS[name](frame, asked);
  const { status, value } = await get(name, text(asked));
  expect(status).toBe(200);
  expect(value).toEqual(shown);
});
it.each<[string, string, Record<string, string>, Record<string, string>, number, string]>([
  ["another site", "yard", {}, { origin: "http://evil.example" }, 403, "stranger"],
  ["a view that there is none of", "passwords", {}, {}, 404, "no-act"],
  ["a name of every object", "constructor", {}, {}, 404, "no-act"],
  ["what there is none of", "batch", { id: "999999" }, {}, 404, "not-there"],
  ["a mixing that there is none of", "mixing", { id: "1" }, {}, 404, "not-there"],
  ["a word for a number", "batch", { id: "drum" }, {}, 400, "bad-request"],
  ["nothing where something is needed", "batch", {}, {}, 400, "bad-request"],
  ["what no view is asked", "yard", { sort: "name" }, {}, 400, "bad-request"],
])("refuses %s", async (_what, name, query, headers, status, code) =>
  expect(await get(name, query, headers)).toMatchObject({ status, ok: false, error: { code } }),
);
it.each(there)("%s is shown by a clock that was set back, or stood still for years", async (name) => {
  for (const days of [-400, -3, 4000]) {
    const ctx = farm.context(new Date(NOW.getTime() + days * 86_400_000));
    standing.mockResolvedValueOnce({ type: "open", frame: { ...frame, ctx }, found: {}, token: "" });
    expect([days, (await get(name, text(ASKED[name]()!))).status]).toEqual([days, 200]);
  }
});
it("is closed until there is a farm", async () => {
  standing.mockResolvedValueOnce({ type: "not-set-up" });
  expect(await get("yard")).toMatchObject({ status: 404, error: { code: "no-farm" } });
});
it.each(listViews().map(({ viewName }) => viewName))("%s answers junk in words", async (name) => {
  const { properties = {} } = VIEWS[name as ViewName].schema as { properties?: object };
  for (const field of Object.keys(properties))
    for (const junk of ["", "NaN", "1e308", "-1", "0", "'; drop table farm; --", "\u0000", "9".repeat(400), "true"]) {
      const { status } = await get(name, { ...text(ASKED[name as ViewName]() ?? { id: 1 }), [field]: junk });
      expect([field, junk, status < 500]).toEqual([field, junk, true]);
    }
});

describe("what was read once", () => {
  const later = new Date(NOW.getTime() + 60_000);
  const yardOf = async (context = farm.context(NOW)) => VIEWS.yard({ ...frame, ctx: context }, {});

  it("stands until something is written", async () => {
    const first = await yardOf();
    expect(await yardOf()).toBe(first);
    await farm.vessel("Pail");
    const names = (await yardOf()).vessels.map(({ name }) => name);
    expect(names).toEqual(["Drum", "Pail"]);
  });
  it("is read anew in the next minute, and by somebody else", async () => {
    const first = await yardOf();
    expect((await yardOf(farm.context(later))).nowMs).toBe(later.getTime());
    const other = { ...farm.context(NOW), actor: { ...farm.context(NOW).actor, id: 2 } };
    expect(await yardOf(other)).not.toBe(first);
  });
  it("is not kept where it failed", async () => {
    const context = farm.context(NOW);
    const broken = {
      ...context,
      now: () => NOW,
      pool: Object.assign(Object.create(context.pool) as typeof context.pool, {
        execute: () => Promise.reject(new Error("away")),
      }),
    };
    await farm.vessel("Tub");
    await expect(yardOf(broken)).rejects.toThrow("away");
    expect((await yardOf()).vessels).toHaveLength(3);
  });
});
