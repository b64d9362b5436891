import "server-only";
import { ID, MOMENT, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { findMethod } from "@/core/book";
import { drawCautionCard } from "@/core/practice/cautionCards";
import { DRILL_KINDS, drawDrill, isRightAnswer, type DrillLevel } from "@/core/practice/drills";
import { CARES, ENDINGS, LOOKS } from "@/core/practice/drum/deeds";
import { endedOf } from "@/core/practice/drum/play";
import { readDrumCode, setUpDrum } from "@/core/practice/drum/setup";
import { isActor } from "@/data/farm";
import { insertAttempt, insertLeave } from "@/data/practice";
import { act } from "../act";
import { dayOnFarm, momentOf, writtenBy } from "../checks";
import { atField, refuse } from "../refusal";

const HOUR = { type: "integer", minimum: 0, maximum: 5000 } as const;
const LOOKED = object(["hour", "kind", "look"], { hour: HOUR, kind: { const: "look" }, look: { enum: LOOKS } });
const CARED = object(["hour", "kind", "care"], { hour: HOUR, kind: { const: "care" }, care: { enum: CARES } });
const ENDED = object(["hour", "kind", "ending"], { hour: HOUR, kind: { const: "end" }, ending: { enum: ENDINGS } });

const LOG_DRUM = object(["requestKey", "code", "hour", "deeds"], {
  requestKey: REQUEST_KEY,
  code: { type: "string", minLength: 1, maxLength: 40 },
  hour: HOUR,
  at: MOMENT,
  deeds: {
    type: "array",
    maxItems: 600,
    items: { anyOf: [LOOKED, CARED, ENDED] },
  },
});

/**
 * Writes down a training drum that came to its end; the farm plays it once more, so that what became of it is what was done.
 * @throws {Refusal} for a code of no drum, and for one that goes on
 */
export const logPracticeDrum = act(
  { name: "logPracticeDrum", schema: LOG_DRUM, may: "helper" },
  async (db, { code, hour, deeds, at }, ctx): Promise<{ attemptId: number }> => {
    const read = readDrumCode(code);
    if (!read) throw refuse("practice-code", {}, "/code");
    const drum = setUpDrum(read.name, read.seed);
    const ended = endedOf(drum, { hour: Math.min(hour, drum.untilH), deeds });
    if (!ended) throw refuse("practice-unfinished", {});
    const attemptId = await insertAttempt(db, {
      ...{ exercise: "drum", code, methodId: drum.methodId, outcome: ended.outcome, judged: ended.judged },
      ...{ onDay: await dayOnFarm(db, momentOf(ctx, at)), ...writtenBy(ctx) },
    });
    return { attemptId };
  },
);

const SEED = { type: "integer", minimum: 1, maximum: 999_999 } as const;
const LOG_SUM = object(["requestKey", "kind", "level", "system", "seed", "said"], {
  requestKey: REQUEST_KEY,
  kind: { enum: DRILL_KINDS },
  level: { type: "integer", minimum: 1, maximum: 5 },
  system: { enum: ["metric", "us"] },
  seed: SEED,
  said: { type: "number", minimum: 0, maximum: 1_000_000 },
  at: MOMENT,
});

/** Writes down a sum done in the head, right or wrong. */
export const logPracticeSum = act(
  { name: "logPracticeSum", schema: LOG_SUM, may: "helper" },
  async (db, { kind, level, system, seed, said, at }, ctx): Promise<{ attemptId: number }> => {
    const drill = drawDrill(kind, level as DrillLevel, system, seed);
    const attemptId = await insertAttempt(db, {
      ...{ exercise: "sum", code: `${kind}-${level}-${system}-${seed}`, methodId: null, outcome: null },
      judged: [{ judgement: drill.judgement, isRight: isRightAnswer(drill, said) }],
      ...{ onDay: await dayOnFarm(db, momentOf(ctx, at)), ...writtenBy(ctx) },
    });
    return { attemptId };
  },
);

const LOG_CAUTION = object(["requestKey", "seed", "said"], {
  requestKey: REQUEST_KEY,
  seed: SEED,
  said: ID,
  at: MOMENT,
});

/** Writes down which caution somebody said belongs to a method. */
export const logPracticeCaution = act(
  { name: "logPracticeCaution", schema: LOG_CAUTION, may: "helper" },
  async (db, { seed, said, at }, ctx): Promise<{ attemptId: number }> => {
    const card = drawCautionCard(seed);
    const attemptId = await insertAttempt(db, {
      ...{ exercise: "caution", code: `caution-${seed}`, methodId: card.methodId, outcome: null },
      judged: [{ judgement: "caution", isRight: said === card.right }],
      ...{ onDay: await dayOnFarm(db, momentOf(ctx, at)), ...writtenBy(ctx) },
    });
    return { attemptId };
  },
);

const SET_LEAVE = object(["requestKey", "personId", "methodId", "isGiven"], {
  requestKey: REQUEST_KEY,
  personId: ROW_ID,
  methodId: ID,
  isGiven: { type: "boolean" },
});

/** Says that somebody may judge a method’s drums alone, or may not any more. @throws {Refusal} for a person or method that is none */
export const setPracticeLeave = act(
  { name: "setPracticeLeave", schema: SET_LEAVE, may: "steward" },
  async (db, { personId, methodId, isGiven }, ctx): Promise<{ leaveId: number }> => {
    atField("/methodId", () => findMethod(methodId));
    if (!(await isActor(db, personId))) throw refuse("not-found", { thing: "person" }, "/personId");
    return { leaveId: await insertLeave(db, { personId, methodId, isGiven, ...writtenBy(ctx) }) };
  },
);
