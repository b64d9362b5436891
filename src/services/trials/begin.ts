import "server-only";
import { MEASURES } from "@/core/trial";
import { ARMS, type Joining, type TrialTerms, type TrialUnit } from "@/core/trial/farm";
import { findRecipe } from "@/core/book";
import { findUse } from "@/core/book/uses";
import type { Queryable } from "@/data/db";
import { findTrial, insertTrial, insertTrialDraw, insertTrialTerms, lockTrial, type TrialRow } from "@/data/trials";
import { act, type Asked } from "../act";
import { dayOnFarm, writtenBy } from "../checks";
import type { Context } from "../context";
import { atField, refuse } from "../refusal";
import { findDraw, standingDraws } from "./standing";
import { ADD_PAIRS, BEGIN_TRIAL, DRAW_AGAIN, SET_TERMS, type TERMS } from "./schemas";
import { drawLots, joiningUnits } from "./units";

/** Of what is added a change can be judged, not of what is multiplied or scored. */
const isOfChange = ({ scale }: Pick<TrialTerms, "scale">): boolean => scale === "difference";
/** Scores only compare, figures are told as a share or in their unit. */
const isScaleOf = ({ kind, scale }: Pick<TrialTerms, "kind" | "scale">): boolean =>
  (MEASURES[kind].scale === "ordinal") === (scale === "ordinal");

/** Terms as they were typed, whole and in order. @throws {Refusal} at the field that does not go with the others */
function termsOf({ inputs, ...asked }: Asked<typeof TERMS>, today: string): TrialTerms {
  if (!isScaleOf(asked)) throw refuse("trial-scale", {}, "/terms/scale");
  if (asked.isChange && !isOfChange(asked)) throw refuse("trial-change-kind", {}, "/terms/isChange");
  if (asked.looks === "any" && inputs.length > 1) throw refuse("trial-any-one-input", {}, "/terms/looks");
  if (asked.decidingOn < today) throw refuse("trial-day-past", {}, "/terms/decidingOn");
  if (asked.useId !== null) atField("/terms/useId", () => findUse(asked.useId!));
  for (const [nth, { methodId }] of inputs.entries())
    if (methodId !== null) atField(`/terms/inputs/${nth}/methodId`, () => findRecipe(methodId));
  return {
    ...asked,
    question: asked.question.trim(),
    unit: asked.unit.trim(),
    inputs: inputs.map(({ name, methodId }, nth) => ({ arm: ARMS[nth]!, name: name.trim(), methodId })),
  };
}

/** The trial, held to the end of the write. @throws {Refusal} for none, or one that was stopped */
export async function lockRunning(db: Queryable, trialId: number): Promise<TrialRow> {
  const isThere = await lockTrial(db, trialId);
  const trial = isThere ? await findTrial(db, trialId) : null;
  if (!trial) throw refuse("not-found", { thing: "trial" }, "/trialId");
  const last = trial.entries.findLast(({ kind }) => kind === "stopped" || kind === "resumed");
  if (last?.kind === "stopped") throw refuse("trial-stopped", {}, "/trialId");
  return trial;
}

interface Drawing {
  readonly trialId: number;
  readonly roundNo: number;
  readonly decidingOn: string;
  readonly units: readonly TrialUnit[];
  readonly joining: Joining;
  readonly terms: TrialTerms;
  readonly reason: string;
}
const draw = (db: Queryable, ctx: Context, { units, joining, terms, ...row }: Drawing): Promise<number> =>
  insertTrialDraw(db, {
    ...row,
    document: { units, joining, placement: drawLots(units, joining, terms) },
    ...writtenBy(ctx),
  });

/** Says what a trial asks, and draws lots for its strips. @throws {Refusal} at the fields at fault */
export const beginTrial = act(
  { name: "beginTrial", schema: BEGIN_TRIAL, may: "grower" },
  async (db, { terms: asked, requestKey: _key, ...joining }, ctx): Promise<{ trialId: number }> => {
    const today = await dayOnFarm(db, ctx.now());
    const terms = termsOf(asked, today);
    const units = await joiningUnits(db, joining, today);
    const trialId = await insertTrial(db, writtenBy(ctx));
    await insertTrialTerms(db, { trialId, terms, ...writtenBy(ctx) });
    await draw(db, ctx, { trialId, roundNo: 1, decidingOn: terms.decidingOn, units, joining, terms, reason: "" });
    return { trialId };
  },
);

/** Says anew what a trial asks. After the first application it is written down beside every verdict. @throws {Refusal} */
export const setTrialTerms = act(
  { name: "setTrialTerms", schema: SET_TERMS, may: "grower" },
  async (db, { trialId, terms: asked }, ctx): Promise<{ trialId: number }> => {
    const trial = await lockRunning(db, trialId);
    const before = trial.terms.at(-1)!.document;
    const today = await dayOnFarm(db, ctx.now());
    // A day that was named stands, however late it is by now.
    const isSameDay = asked.decidingOn === before.decidingOn;
    const terms = termsOf(asked, isSameDay ? asked.decidingOn : today);
    if (terms.inputs.length !== before.inputs.length) throw refuse("trial-arms-fixed", {}, "/terms/inputs");
    await insertTrialTerms(db, { trialId, terms, ...writtenBy(ctx) });
    return { trialId };
  },
);

/** Draws lots again for the strips of a round that nothing was put on yet, with the reason why. @throws {Refusal} */
export const drawTrialAgain = act(
  { name: "drawTrialAgain", schema: DRAW_AGAIN, may: "grower" },
  async (db, { trialId, roundNo, reason }, ctx): Promise<{ trialId: number }> => {
    const trial = await lockRunning(db, trialId);
    const found = await findDraw(db, trial, roundNo, ctx.now());
    if (!found) throw refuse("not-found", { thing: "draw" }, "/roundNo");
    if (found.isFrozen) throw refuse("trial-frozen", {}, "/reason");
    const { draw: drawn } = found;
    const { units, joining } = drawn.document;
    const terms = trial.terms.at(-1)!.document;
    await draw(db, ctx, {
      trialId,
      roundNo,
      decidingOn: drawn.decidingOn,
      units,
      joining,
      terms,
      reason: reason.trim(),
    });
    return { trialId };
  },
);

/** More strips join a trial that can't tell yet: lots are drawn for them alone. @throws {Refusal} for strips that are in it already */
export const addTrialPairs = act(
  { name: "addTrialPairs", schema: ADD_PAIRS, may: "grower" },
  async (
    db,
    { trialId, decidingOn, requestKey: _key, ...joining },
    ctx,
  ): Promise<{ trialId: number; roundNo: number }> => {
    const trial = await lockRunning(db, trialId);
    const today = await dayOnFarm(db, ctx.now());
    if (decidingOn < today) throw refuse("trial-day-past", {}, "/decidingOn");
    const units = await joiningUnits(db, joining, today);
    const draws = standingDraws(trial);
    const known = new Set(draws.flatMap(({ document }) => document.units.map(({ plotId }) => plotId)));
    const twice = units.find(({ plotId }) => known.has(plotId));
    if (twice) throw refuse("trial-bed-in-it", {}, "/plotIds");
    const roundNo = Math.max(...draws.map((one) => one.roundNo)) + 1;
    const terms = trial.terms.at(-1)!.document;
    await draw(db, ctx, { trialId, roundNo, decidingOn, units, joining, terms, reason: "" });
    return { trialId, roundNo };
  },
);
