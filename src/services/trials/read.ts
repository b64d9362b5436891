import "server-only";
import { MOMENT, NOTE, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { CONTROL, READING_KINDS, MEASURES, requireReading, type MeasureKind, type Scale } from "@/core/trial";
import { agreement } from "@/core/trial/farm";
import { lockPlot } from "@/data/field";
import { insertReading, insertTrialEntry } from "@/data/trials";
import { act } from "../act";
import { dayOnFarm, momentOf, writtenBy } from "../checks";
import { atField, refuse } from "../refusal";
import { lockRunning } from "./begin";
import { PARTS, READ_UNIT } from "./schemas";
import { knowersOf, readPutOn, standingDraws } from "./standing";

/** Steps of the farm's card. */
export const CARD_STEPS = 5;

/** Passes readings of one unit on. @throws {Refusal} at the value that can be none of its kind */
function requireParts(parts: readonly number[], kind: MeasureKind, scale: Scale, path: string): void {
  for (const [nth, value] of parts.entries()) {
    if (scale === "ordinal" && !(Number.isInteger(value) && value >= 1 && value <= CARD_STEPS))
      throw refuse("trial-score-range", { steps: CARD_STEPS }, path);
    atField(path, () => requireReading(value, kind, scale, `/${nth}`));
  }
}

const MEASURE_PLOT = object(["requestKey", "plotId", "kind", "unit", "parts"], {
  requestKey: REQUEST_KEY,
  plotId: ROW_ID,
  strip: orNull({ type: "integer", minimum: 1, maximum: 24 } as const),
  kind: { enum: READING_KINDS },
  unit: READ_UNIT,
  parts: PARTS,
  note: NOTE,
  at: MOMENT,
});

/** Writes down what was measured, counted or scored of a plot. @throws {Refusal} for none, and for a value that can be none */
export const measurePlot = act(
  { name: "measurePlot", schema: MEASURE_PLOT, may: "helper" },
  async (db, { plotId, strip = null, kind, unit, parts, note = "", at }, ctx): Promise<{ readingId: number }> => {
    if (!(await lockPlot(db, plotId))) throw refuse("not-found", { thing: "plot" }, "/plotId");
    const scale = MEASURES[kind].scale;
    requireParts(parts, kind, scale === "ratio" ? "difference" : scale, "/parts");
    return {
      readingId: await insertReading(db, {
        ...{ plotId, strip, trialId: null, kind, unit: unit.trim(), parts },
        on: await dayOnFarm(db, momentOf(ctx, at)),
        ...{ isBlind: false, isAgain: false, note: note.trim(), ...writtenBy(ctx) },
      }),
    };
  },
);

const CODE = { type: "string", pattern: "^[A-Z]{2}[0-9]$" } as const;
const SCORE_TRIAL = object(["requestKey", "trialId", "readings", "guesses"], {
  requestKey: REQUEST_KEY,
  trialId: ROW_ID,
  /** In the order in which they were met. */
  readings: {
    type: "array",
    minItems: 1,
    maxItems: 500,
    items: object(["code", "parts", "isAgain"], { code: CODE, parts: PARTS, isAgain: { type: "boolean" } }),
  },
  /** Which got it? By who scored, for each that they would say anything of. */
  guesses: {
    type: "array",
    maxItems: 500,
    items: object(["code", "guess"], { code: CODE, guess: { enum: ["with", "without"] } }),
  },
  at: MOMENT,
});

/**
 * Writes down what was read by codes alone. Who knows which strip gets what is not blind, and that is written down with it.
 * @throws {Refusal} for a code that is none, a value that can be none
 */
export const scoreTrial = act(
  { name: "scoreTrial", schema: SCORE_TRIAL, may: "helper" },
  async (db, { trialId, readings, guesses, at }, ctx): Promise<{ readingIds: readonly number[]; isHard: boolean }> => {
    const trial = await lockRunning(db, trialId);
    const terms = trial.terms.at(-1)!.document;
    const on = await dayOnFarm(db, momentOf(ctx, at));
    const putOn = await readPutOn(db, [trial], ctx.now());
    const byCode = new Map(
      standingDraws(trial).flatMap((draw) => {
        const isBlind = !knowersOf(trial, draw, putOn).has(ctx.actor.id);
        const { units, placement } = draw.document;
        const arms = new Map(placement.blocks.flatMap((block) => block.units.map(({ unit, arm }) => [unit, arm])));
        return units.flatMap(({ unit, plotId, strip }) => {
          const code = placement.codes[unit];
          return code === undefined ? [] : [[code, { plotId, strip, isBlind, arm: arms.get(unit)! }] as const];
        });
      }),
    );
    const found = (code: string, path: string) => {
      const unit = byCode.get(code);
      if (!unit) throw refuse("not-found", { thing: "code" }, path);
      return unit;
    };
    const ids: number[] = [];
    const seen = new Set<string>();
    for (const [nth, { code, parts, isAgain }] of readings.entries()) {
      const path = `/readings/${nth}`;
      const { plotId, strip, isBlind } = found(code, `${path}/code`);
      if (seen.has(`${code}${isAgain}`)) throw refuse("trial-code-twice", {}, `${path}/code`);
      seen.add(`${code}${isAgain}`);
      requireParts(parts, terms.kind, terms.scale, `${path}/parts`);
      ids.push(
        await insertReading(db, {
          ...{ plotId, strip, trialId, kind: terms.kind, unit: terms.unit, parts, on },
          ...{ isBlind, isAgain, note: "", ...writtenBy(ctx) },
        }),
      );
    }
    const right = guesses.filter(
      ({ code, guess }, nth) => (found(code, `/guesses/${nth}/code`).arm === CONTROL) === (guess === "without"),
    ).length;
    if (guesses.length > 0)
      await insertTrialEntry(db, {
        ...{ trialId, kind: "guesses", on, document: { right, wrong: guesses.length - right } },
        ...writtenBy(ctx),
      });
    const meanOf = (parts: readonly number[]): number => parts.reduce((sum, one) => sum + one, 0) / parts.length;
    const twice = readings.flatMap(({ code, parts, isAgain }) => {
      const first = isAgain ? readings.find((one) => one.code === code && !one.isAgain) : undefined;
      return first ? [{ first: meanOf(first.parts), again: meanOf(parts) }] : [];
    });
    return { readingIds: ids, isHard: terms.scale === "ordinal" && (agreement(twice)?.isHard ?? false) };
  },
);
