import "server-only";
import { DAY, NEEDED_REASON, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { CONFOUNDERS, type Confounder } from "@/core/trial";
import { standingOf } from "@/core/trial/farm";
import { findFarm } from "@/data/farm";
import { findTrial, insertTrialEntry, listReadingsOfTrials, lockTrial } from "@/data/trials";
import { isoDay } from "@/formats/times";
import { act } from "../act";
import { dayOnFarm, writtenBy } from "../checks";
import { refuse } from "../refusal";
import { lockRunning } from "./begin";
import { armsOf, readPutOn, recordsOf, type LookDocument } from "./standing";

const BLOCK_ID = { type: "string", pattern: "^[1-9][0-9]{0,2}[.][1-9][0-9]{0,3}$" } as const;
const NOTE_TRIAL = object(["requestKey", "trialId", "note"], {
  requestKey: REQUEST_KEY,
  trialId: ROW_ID,
  note: {
    oneOf: [
      object(["type", "arm", "on"], { type: { const: "applied" }, arm: { type: "string", maxLength: 10 }, on: DAY }),
      object(["type", "blockId", "side", "reason"], {
        type: { const: "left-out" },
        blockId: BLOCK_ID,
        side: { enum: ["with", "without", "both"] },
        reason: NEEDED_REASON,
      }),
      object(["type", "code"], {
        type: { const: "confounder" },
        code: { enum: Object.keys(CONFOUNDERS) as Confounder[] },
      }),
      object(["type", "reason"], { type: { const: "stopped" }, reason: NEEDED_REASON }),
    ],
  },
});

/**
 * Notes something of a trial that is no reading: put on by hand, a block to be left out, what may lie behind a difference, the end of it.
 * @throws {Refusal} for a block whose readings were compared already, and for a day ahead
 */
export const noteTrial = act(
  { name: "noteTrial", schema: NOTE_TRIAL, may: "grower" },
  async (db, { trialId, note }, ctx): Promise<{ entryId: number }> => {
    const trial = await lockRunning(db, trialId);
    const today = await dayOnFarm(db, ctx.now());
    const add = (kind: "applied" | "left-out" | "confounder" | "stopped", on: string, document: object) =>
      insertTrialEntry(db, { trialId, kind, on, document, ...writtenBy(ctx) });
    if (note.type === "applied") {
      if (note.on > today) throw refuse("in-future", {}, "/note/on");
      if (!armsOf(trial).includes(note.arm)) throw refuse("not-found", { thing: "draw" }, "/note/arm");
      return { entryId: await add("applied", note.on, { arm: note.arm }) };
    }
    if (note.type === "left-out") {
      const { blockId: block, side, reason } = note;
      const isKnown = trial.draws.some(({ roundNo, document }) =>
        document.placement.blocks.some((one) => `${roundNo}.${one.block}` === block),
      );
      if (!isKnown) throw refuse("not-found", { thing: "pair" }, "/note/blockId");
      const looked = trial.entries.flatMap(({ kind, document }) =>
        kind === "look" ? (document as LookDocument).blockIds : [],
      );
      if (looked.includes(block)) throw refuse("trial-compared", {}, "/note/blockId");
      return { entryId: await add("left-out", today, { block, side, reason: reason.trim() }) };
    }
    if (note.type === "confounder") return { entryId: await add("confounder", today, { code: note.code }) };
    return { entryId: await add("stopped", today, { reason: note.reason.trim() }) };
  },
);

const OF_TRIAL = object(["requestKey", "trialId"], { requestKey: REQUEST_KEY, trialId: ROW_ID });

/** Goes on with a trial that was stopped. @throws {Refusal} for none */
export const resumeTrial = act(
  { name: "resumeTrial", schema: OF_TRIAL, may: "grower" },
  async (db, { trialId }, ctx): Promise<{ entryId: number }> => {
    if (!(await lockTrial(db, trialId))) throw refuse("not-found", { thing: "trial" }, "/trialId");
    const on = await dayOnFarm(db, ctx.now());
    return { entryId: await insertTrialEntry(db, { trialId, kind: "resumed", on, document: {}, ...writtenBy(ctx) }) };
  },
);

/** Shows who gets what to whoever puts it on. From then on what this person scores is not blind. @throws {Refusal} for none */
export const openPlacement = act(
  { name: "openPlacement", schema: OF_TRIAL, may: "helper" },
  async (db, { trialId }, ctx): Promise<{ entryId: number }> => {
    await lockRunning(db, trialId);
    const on = await dayOnFarm(db, ctx.now());
    return { entryId: await insertTrialEntry(db, { trialId, kind: "opened", on, document: {}, ...writtenBy(ctx) }) };
  },
);

/**
 * Looks at a trial: the verdict is asked for and written down with the readings that it rests on. Never taken back.
 * @throws {Refusal} while no pair has all its readings, or none has come since the last look
 */
export const lookAtTrial = act(
  { name: "lookAtTrial", schema: OF_TRIAL, may: "grower" },
  async (db, { trialId }, ctx): Promise<{ entryId: number }> => {
    if (!(await lockTrial(db, trialId))) throw refuse("not-found", { thing: "trial" }, "/trialId");
    const trial = (await findTrial(db, trialId))!;
    const farm = (await findFarm(db))!;
    const today = isoDay(ctx.now(), farm);
    const [putOn, readings] = await Promise.all([
      readPutOn(db, [trial], ctx.now()),
      listReadingsOfTrials(db, [trialId]),
    ]);
    const records = recordsOf(trial, readings, putOn, farm, today);
    const { asked, answer, blocks, judged } = standingOf(records);
    if (!asked || !answer) throw refuse("trial-unread", {}, "/trialId");
    const last = records.looks.at(-1);
    if (records.terms.looks === "one" && last) throw refuse("trial-looked", {}, "/trialId");
    if (last && last.blocks >= judged && last.on === today) throw refuse("trial-nothing-new", {}, "/trialId");
    const leftOut = new Set(records.notes.flatMap((note) => (note.type === "left-out" ? [note.block] : [])));
    const blockIds = blocks.filter(({ id, decidedOn }) => decidedOn !== null && !leftOut.has(id)).map(({ id }) => id);
    const document: LookDocument = { blockIds, asked, answer };
    return { entryId: await insertTrialEntry(db, { trialId, kind: "look", on: today, document, ...writtenBy(ctx) }) };
  },
);
