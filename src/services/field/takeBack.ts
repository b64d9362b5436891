import "server-only";
import { writerOf } from "@/data/people";
import { MOMENT, NEEDED_REASON, REASON, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { timesBrought } from "@/core/apply/brought";
import { daysBetween } from "@/core/calendar";
import type { Queryable } from "@/data/db";
import { findFarm } from "@/data/farm";
import {
  addToBrought,
  copyApplication,
  insertBlend,
  insertJobDone,
  insertTakenBack,
  listStandingOfBlend,
  listStepsOf,
  seekLatest,
} from "@/data/field";
import { insertStoreMovement, lockStore, type Store } from "@/data/stores";
import { isoDay } from "@/formats/times";
import { act } from "../act";
import { momentOf } from "../checks";
import { refuse } from "../refusal";
import { weatherAt } from "../weather";

/** So long after it was written down a slip explains itself. */
const AT_ONCE_MS = 10 * 60_000;

const TAKE_BACK = object(["requestKey", "applicationId"], {
  requestKey: REQUEST_KEY,
  applicationId: ROW_ID,
  /** None for a slip that is seen at once. */
  reason: REASON,
});

/**
 * An application and what was in the can with it, with their stores locked, in one order, so that two do not wait for each other.
 * @throws {Refusal} where there is none, or it is taken back already
 */
async function lockStanding(db: Queryable, applicationId: number) {
  const before = await listStandingOfBlend(db, applicationId);
  if (before.length === 0) throw refuse("not-found", { thing: "application" }, "/applicationId");
  const stores: Store[] = [];
  for (const storeId of before.map((one) => one.storeId).toSorted((a, b) => a - b))
    stores.push((await lockStore(db, storeId))!);
  // Somebody else may have taken it back while the stores were waited for.
  const standing = await listStandingOfBlend(db, applicationId);
  if (standing.length === 0) throw refuse("not-found", { thing: "application" }, "/applicationId");
  return { standing, stores };
}

/**
 * An application that was a slip counts no more, and what was in the can with it neither: its litres are in the store again, its beds never got it. Water
 * that thinned it stays drawn, until the butt is read again.
 * @throws {Refusal} where there is none, or it is taken back already
 */
export const takeBackApplication = act(
  {
    name: "takeBackApplication",
    schema: TAKE_BACK,
    may: "helper",
    ofOthers: {
      may: "grower",
      ownerOf: (db, asked) => writerOf(db, "application", (asked as { applicationId: number }).applicationId),
    },
  },
  async (db, request, ctx): Promise<{ applicationId: number }> => {
    const { applicationId } = request;
    const { standing } = await lockStanding(db, applicationId);
    const clock = { timeZone: (await findFarm(db))?.timeZone ?? "UTC" };
    const reason = request.reason?.trim() ?? "";
    const writtenMs = Math.max(...standing.map(({ addedAt }) => addedAt.getTime()));
    if (reason === "" && ctx.now().getTime() - writtenMs > AT_ONCE_MS) throw refuse("needed", {}, "/reason");
    for (const { id, storeId, concentrateL, at, brings, plots } of standing) {
      await insertTakenBack(db, id, { reason, anewId: null }, ctx.actor.id, ctx.now());
      if (brings)
        for (const plot of plots)
          await addToBrought(db, plot.plotId, isoDay(at, clock), timesBrought(brings, -plot.concentrateL));
      await insertStoreMovement(db, {
        storeId,
        changeByL: concentrateL,
        kind: "corrected",
        applicationId: null,
        at: ctx.now(),
        actorId: ctx.actor.id,
        note: reason.slice(0, 200),
      });
    }
    await seekLatest(
      db,
      standing.flatMap(({ plots }) => plots.map(({ plotId }) => plotId)),
    );
    return { applicationId };
  },
);

const REDATE = object(["requestKey", "applicationId", "at", "reason"], {
  requestKey: REQUEST_KEY,
  applicationId: ROW_ID,
  at: MOMENT,
  reason: NEEDED_REASON,
});

/**
 * An application was put on at another time than was entered: it is taken back, and stands anew at that time, with what was in the can with it, its job's step,
 * the weather of that hour, and its beds' days before harvest.
 * @throws {Refusal} where there is none, it is taken back already, it lies ahead, or before its brew was in its container
 */
export const redateApplication = act(
  {
    name: "redateApplication",
    schema: REDATE,
    may: "helper",
    ofOthers: {
      may: "grower",
      ownerOf: (db, asked) => writerOf(db, "application", (asked as { applicationId: number }).applicationId),
    },
  },
  async (db, request, ctx): Promise<{ applicationId: number }> => {
    const { standing, stores } = await lockStanding(db, request.applicationId);
    const at = momentOf(ctx, request.at, new Date(Math.max(...stores.map(({ shelfFrom }) => shelfFrom.getTime()))));
    const farm = await findFarm(db);
    const clock = { timeZone: farm?.timeZone ?? "UTC" };
    const reason = request.reason.trim();
    const blendId = standing.length > 1 ? await insertBlend(db, ctx.now()) : null;
    const made = new Map<number, number>();
    for (const { id, storeId, concentrateL, at: before, brings, plots } of standing) {
      const [was, is] = [isoDay(before, clock), isoDay(at, clock)];
      const copyId = await copyApplication(
        db,
        id,
        { at, weather: await weatherAt(db, farm, at), blendId, addedAt: ctx.now() },
        daysBetween(was, is),
      );
      made.set(id, copyId);
      const steps = await listStepsOf(db, id);
      await insertTakenBack(db, id, { reason, anewId: copyId }, ctx.actor.id, ctx.now());
      // Whoever puts a date right has not done the step; and it was done, whatever became of the job since.
      for (const step of steps)
        await insertJobDone(db, {
          ...step,
          applicationId: copyId,
          note: "",
          takesBackId: null,
          at,
          addedAt: ctx.now(),
        });
      for (const { plotId, concentrateL: litres } of brings ? plots : []) {
        await addToBrought(db, plotId, was, timesBrought(brings!, -litres));
        await addToBrought(db, plotId, is, timesBrought(brings!, litres));
      }
      const movement = { storeId, at: ctx.now(), actorId: ctx.actor.id };
      await insertStoreMovement(db, {
        ...movement,
        changeByL: concentrateL,
        kind: "corrected",
        applicationId: null,
        note: reason.slice(0, 200),
      });
      await insertStoreMovement(db, {
        ...movement,
        changeByL: -concentrateL,
        kind: "applied",
        applicationId: copyId,
        at,
        note: "",
      });
    }
    await seekLatest(
      db,
      standing.flatMap(({ plots }) => plots.map(({ plotId }) => plotId)),
    );
    return { applicationId: made.get(request.applicationId)! };
  },
);
