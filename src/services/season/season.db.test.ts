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
import {
  endSeasonFeed,
  newSeasonFeed,
  readSeason,
  readSeasonFeed,
  readYears,
  refreshSeason,
  seasonCalendar,
  seasonCsv,
  setSeasonTerms,
  takeSeasonPlan,
  type SeasonView,
} from ".";

/** Terms with nobody's day off and nothing ruled out. */
const FREE = { hoursAWeek: 10, canL: 20, cans: 20, weeks: 26, closedWeekdays: [], hands: [], forbidden: [] };
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
    await setSeasonTerms(ctx, { requestKey: key(), ...FREE, hoursAWeek: 1, cans: 10, weeks: 12 });
    const short = await read();
    expect(short).toMatchObject({ terms: { hoursAWeek: 1, weeks: 12 } });
    const share = (plan: SeasonPlan) => plan.applications.length / (plan.applications.length + plan.unmet.length);
    expect(share(planned(short, 5))).toBeLessThan(share(usual));
  });

  test("a day off, hours by person and what is ruled out hold in the next plan", async () => {
    await setSeasonTerms(ctx, { requestKey: key(), ...FREE });
    const [first] = planned(await read(), 10).batches.filter(({ running }) => !running);
    await setSeasonTerms(ctx, {
      requestKey: key(),
      ...FREE,
      closedWeekdays: [6, 2],
      hands: [{ actorId: ctx.actor.id, hoursAWeek: 7 }],
      forbidden: [{ methodId: first!.input, vesselId: Number(first!.vessel), fromOn: null, toOn: null }],
    });
    const view = await read();
    expect(view.season.labour.weekMin[0]).toBe(7 * 60);
    const plan = planned(view, 10);
    expect(verifyPlan(view.season, plan).broken).toEqual([]);
    const fresh = plan.batches.filter(({ running }) => !running);
    expect(fresh.some(({ input, vessel }) => input === first!.input && vessel === first!.vessel)).toBe(false);
    for (const day of [...fresh.map(({ startDay }) => startDay), ...plan.applications.map((one) => one.day)])
      expect([6, 2]).not.toContain(day % 7);
    const bent = { ...plan, batches: plan.batches.map((one) => (one === fresh[0] ? { ...one, ...first! } : one)) };
    expect(verifyPlan(view.season, bent).broken.map(({ code }) => code)).toContain("forbidden");
    await take(view, plan);
    const rows = Papa.parse<{ who: string }>(await seasonCsv(ctx, (await findFarm(scratch.db))!), {
      header: true,
    }).data;
    expect(rows.some(({ who }) => who === ctx.actor.name)).toBe(true);
    const farm = (await findFarm(scratch.db))!;
    expect(await seasonCalendar(ctx, farm, { personId: 999_999 })).not.toContain("BEGIN:VEVENT");
    const quiet = await seasonCalendar(ctx, farm, { personId: ctx.actor.id, alarms: [] });
    expect(quiet).toContain("BEGIN:VEVENT");
    expect(quiet).not.toContain("BEGIN:VALARM");
  });

  test("years of weather are the farm's own, the same each time, and as slow as they are cold", async () => {
    const farm = (await findFarm(scratch.db))!;
    const [{ season }, { years }] = [await read(), await readYears(ctx, farm)];
    expect(years).toHaveLength(20);
    expect((await readYears(ctx, farm)).years).toEqual(years);
    for (const rows of years)
      expect(rows.map(({ input, vessels }) => [input, vessels])).toEqual(
        season.durations.map(({ input, vessels }) => [input, vessels]),
      );
    expect(new Set(years.map((rows) => JSON.stringify(rows))).size).toBe(20);
  });

  test("at night what fits is left alone, and what does not is planned anew and laid before whoever looks next", async () => {
    await setSeasonTerms(ctx, { requestKey: key(), ...FREE });
    const view = await read();
    await take(view, planned(view, 10));
    expect((await read()).since).toEqual([]);
    expect(await refreshSeason(ctx, 500)).toBe("fits");
    expect((await read()).proposal).toBeNull();
    // Fewer hours than the plan takes.
    await setSeasonTerms(ctx, { requestKey: key(), ...FREE, hoursAWeek: 1 });
    const tomorrow = { ...ctx, now: () => new Date(ctx.now().getTime() + 60_000) };
    expect(await refreshSeason(tomorrow, 500)).toBe("proposed");
    const { proposal, plan, season } = await read();
    expect(verifyPlan({ ...season, previous: null }, proposal!).broken).toEqual([]);
    expect(verifyPlan({ ...season, previous: null }, plan!).broken).not.toEqual([]);
    // Nobody's plan was changed; taken, it is the plan, and nothing is proposed any more.
    const later = { ...ctx, now: () => new Date(ctx.now().getTime() + 120_000) };
    const { madeMs: _made, ...taken } = proposal!;
    await takeSeasonPlan(later, {
      requestKey: key(),
      firstDay: season.firstDay,
      ...body(taken as unknown as SeasonPlan),
    } as never);
    expect((await read()).proposal).toBeNull();
  });

  test("a calendar's address shows what a viewer sees, until it is ended or a new one is made", async () => {
    const open = (token: string) => readSeasonFeed(scratch.pool, ctx.now, token, {});
    const { token } = await newSeasonFeed(ctx, { requestKey: key() });
    expect((await open(token))!.text).toBe(await seasonCalendar(ctx, (await findFarm(scratch.db))!));
    expect((await read()).feedSinceMs).toBe(ctx.now().getTime());
    const second = await newSeasonFeed(ctx, { requestKey: key() });
    expect(await open(token)).toBeNull();
    expect(await open(second.token)).not.toBeNull();
    await endSeasonFeed(ctx, { requestKey: key() });
    expect(await open(second.token)).toBeNull();
    expect(await open("")).toBeNull();
    expect((await read()).feedSinceMs).toBeNull();
  });
});
