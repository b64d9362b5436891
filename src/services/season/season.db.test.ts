import ICAL from "ical.js";
import Papa from "papaparse";
import { addDays } from "@/core/calendar";
import { planSeason } from "@/core/plan/planSeason";
import { seasonFaults } from "@/core/plan/faults";
import type { SeasonPlan } from "@/core/plan/season";
import { verifyPlan } from "@/core/plan/verify";
import { findFarm } from "@/data/farm";
import { listOpenPlans } from "@/data/shed";
import { demoFarm } from "@/testing/demoFarm";
import { key, refusalOf, type Scratch } from "@/testing/scratch";
import type { Context } from "../context";
import { readSeason, seasonCalendar, seasonCsv, setSeasonTerms, takeSeasonPlan, type SeasonView } from ".";

const still = () => 0;
const body = ({ batches, applications, purchases, forage, discards }: SeasonPlan) => ({
  batches: [...batches],
  applications: [...applications],
  purchases: [...purchases],
  forage: [...forage],
  discards: [...discards],
});

describe("the season of the made-up farm", () => {
  let scratch: Scratch;
  let ctx: Context;
  beforeAll(async () => {
    ({ scratch, ctx } = await demoFarm());
  });
  afterAll(() => scratch.drop());
  const read = async (): Promise<SeasonView> => readSeason(ctx, (await findFarm(scratch.db))!);
  const planned = ({ season }: SeasonView, iterations = 60): SeasonPlan =>
    planSeason(season, { iterations, seed: 1 }, still);
  const take = ({ season }: SeasonView, plan: SeasonPlan) =>
    takeSeasonPlan(ctx, { requestKey: key(), firstDay: season.firstDay, ...body(plan) } as never);

  test("is one that can be planned: what runs, what is in the shed and what the schedules want are in it", async () => {
    const { season, plan, names } = await read();
    expect(seasonFaults(season)).toEqual([]);
    expect(plan).toBeNull();
    expect(season.needs.length).toBeGreaterThan(20);
    expect(season.running.length).toBeGreaterThan(0);
    expect(season.stores.length).toBeGreaterThan(0);
    expect(season.durations.some(({ daysByStart }) => daysByStart.some((days) => days !== null && days > 0))).toBe(
      true,
    );
    for (const { id } of season.inputs) expect(names.inputs[id]).toBeTruthy();
    const found = planned(await read());
    expect(verifyPlan(season, found).broken).toEqual([]);
    expect(found.applications.length).toBeGreaterThan(0);
  });

  test("a plan that is taken stands, its next weeks are meant in the shed, and the next plan moves only those", async () => {
    const before = await read();
    const own = await listOpenPlans(scratch.db);
    const plan = planned(before);
    await take(before, plan);
    const after = await read();
    expect(verifyPlan({ ...after.season, previous: null }, after.plan!).broken.slice(0, 3)).toEqual([]);
    const soon = plan.batches.filter(
      ({ running, startDay }) => !running && startDay >= before.season.nowDay && startDay < before.season.nowDay + 21,
    );
    const open = await listOpenPlans(scratch.db);
    expect(
      open
        .filter(({ seasonBatch }) => seasonBatch !== null)
        .map(({ methodId, vesselId, forDay }) => `${methodId} ${vesselId} ${forDay}`)
        .sort(),
    ).toEqual(
      soon
        .map(({ input, vessel, startDay }) => `${input} ${vessel} ${addDays(before.season.firstDay, startDay)}`)
        .sort(),
    );
    expect(open.filter(({ seasonBatch }) => seasonBatch === null)).toHaveLength(own.length);
    // Taken once more, nothing of it moves.
    await take(after, planned(after, 5));
    const again = await listOpenPlans(scratch.db);
    const kept = open.filter(({ id }) => again.some((one) => one.id === id));
    expect(kept.length).toBeGreaterThanOrEqual(own.length);
  });

  test("its calendar and its table tell the same days, the same each time they are read", async () => {
    const farm = (await findFarm(scratch.db))!;
    const text = await seasonCalendar(ctx, farm);
    const events = new ICAL.Component(ICAL.parse(text) as never)
      .getAllSubcomponents("vevent")
      .map((one) => new ICAL.Event(one));
    const rows = Papa.parse<{ day: string; what: string }>(await seasonCsv(ctx, farm), {
      header: true,
      skipEmptyLines: true,
    }).data;
    expect(events.length).toBeGreaterThan(10);
    expect(events.map(({ startDate }) => startDate.toString())).toEqual(rows.map(({ day }) => day));
    const uids = (calendar: string) => [...calendar.matchAll(/^UID:(.*)$/gm)].map(([, uid]) => uid);
    expect(uids(await seasonCalendar(ctx, farm))).toEqual(uids(text));
    expect(new Set(uids(text)).size).toBe(events.length);
    for (const what of ["start", "strain", "apply"]) expect(rows.map((row) => row.what)).toContain(what);
  });

  test("a plan that does not hold as the farm stands is refused, and nothing of it is kept", async () => {
    const view = await read();
    const plan = planned(view, 5);
    const [first, ...rest] = plan.batches.filter(({ running }) => !running);
    const bent = {
      ...plan,
      batches: [...plan.batches.filter(({ running }) => running), { ...first!, fillL: 9000 }, ...rest],
    };
    expect(await refusalOf(take(view, bent))).toMatchObject({ code: "season-moved" });
    expect((await read()).plan!.id).toBe(view.plan!.id);
  });

  test("fewer hours leave more unmet, and are kept", async () => {
    const usual = planned(await read(), 5);
    await setSeasonTerms(ctx, { requestKey: key(), hoursAWeek: 1, canL: 20, cans: 10, weeks: 12 });
    const short = await read();
    expect(short).toMatchObject({ terms: { hoursAWeek: 1, weeks: 12 } });
    const share = (plan: SeasonPlan) => plan.applications.length / (plan.applications.length + plan.unmet.length);
    expect(share(planned(short, 5))).toBeLessThan(share(usual));
  });
});
