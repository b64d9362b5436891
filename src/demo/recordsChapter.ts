import { chanceFrom } from "@/core/chance";
import { CONTROL, type MeasureKind } from "@/core/trial";
import type { TrialTerms } from "@/core/trial/farm";
import { findTrial } from "@/data/trials";
import { setBudget, setInstead } from "@/services/report";
import { beginTrial, lookAtTrial, measurePlot, noteTrial, openPlacement, scoreTrial } from "@/services/trials";
import type { Telling } from "./shedChapter";

const DAY_H = 24;
/** Who puts it on, and who reads and does not know. */
const [PUTS_ON, READS] = [0, 2];

interface Told {
  readonly act: string;
  readonly begunAgoD: number;
  readonly decidesAgoD: number;
  readonly terms: Pick<TrialTerms, "question" | "kind" | "scale" | "unit" | "smallest" | "useId"> & {
    readonly input: string;
    readonly methodId: string | null;
  };
  readonly plotIds: readonly number[];
  readonly strips: number;
  readonly asked: number;
}

async function begin(tell: Telling, { act, begunAgoD, decidesAgoD, terms, plotIds, strips, asked }: Told) {
  const { input, methodId, ...rest } = terms;
  const { trialId } = await beginTrial(tell.context(begunAgoD * DAY_H, PUTS_ON), {
    requestKey: tell.keyOf(`trial ${act}`),
    terms: {
      ...rest,
      ...{ inputs: [{ name: input, methodId }], card: [], isChange: false, looks: "several", asked },
      decidingOn: tell.day(decidesAgoD * DAY_H),
    },
    ...{ plotIds, strips, gradientDeg: null, edgePlotIds: [] },
  });
  await openPlacement(tell.context((begunAgoD - 1) * DAY_H, PUTS_ON), {
    requestKey: tell.keyOf(`trial ${act} open`),
    trialId,
  });
  return trialId;
}

/** Puts it on by hand on these days. */
async function putOn(tell: Telling, act: string, trialId: number, agoD: readonly number[]): Promise<void> {
  for (const days of agoD)
    await noteTrial(tell.context(days * DAY_H, PUTS_ON), {
      requestKey: tell.keyOf(`trial ${act} on ${days}`),
      trialId,
      note: { type: "applied", arm: "with", on: tell.day(days * DAY_H) },
    });
}

/** Reads all strips by their codes: neighbours alike, the treated ones by so much more. */
async function read(
  tell: Telling,
  act: string,
  trialId: number,
  agoD: number,
  law: {
    readonly seed: number;
    readonly usual: number;
    readonly spread: number;
    readonly more: number;
    readonly digits: number;
  },
): Promise<void> {
  const context = tell.context(agoD * DAY_H, READS);
  const { document } = (await findTrial(context.pool, trialId))!.draws.at(-1)!;
  const chance = chanceFrom(law.seed);
  const round = (value: number): number => Number(Math.max(0, value).toFixed(law.digits));
  const readings = document.placement.blocks.flatMap(({ units }) => {
    const ground = law.usual * (1 + 0.15 * chance.normal());
    // By what a strip gets and not by how it was drawn: the story ends alike each time it is told.
    const noise = { treated: chance.normal(), control: chance.normal() };
    return units.map(({ unit, arm }) => {
      const isTreated = arm !== CONTROL;
      const value = ground + law.spread * (isTreated ? noise.treated : noise.control) + (isTreated ? law.more : 0);
      return { code: document.placement.codes[unit]!, parts: [round(value)], isAgain: false };
    });
  });
  await scoreTrial(context, {
    requestKey: tell.keyOf(`trial ${act} read ${agoD}`),
    ...{ trialId, readings, guesses: [] },
    at: tell.moment(agoD * DAY_H),
  });
}

const look = (tell: Telling, act: string, trialId: number, agoD: number) =>
  lookAtTrial(tell.context(agoD * DAY_H, PUTS_ON), { requestKey: tell.keyOf(`trial ${act} look`), trialId });

/** What is measured of a bed on the way, what the shop has in place of a brew, and what the season may cost. */
async function tellFigures(tell: Telling, plot: (name: string) => number): Promise<void> {
  for (const [agoD, parts] of [
    [30, [6.1, 5.8]],
    [16, [6.9, 7.2, 6.8]],
    [2, [8.1, 7.7]],
  ] as const)
    await measurePlot(tell.context(agoD * DAY_H, READS), {
      requestKey: tell.keyOf(`brix ${agoD}`),
      ...{ plotId: plot("Bed 1"), kind: "brix", unit: "°Bx", parts: [...parts], at: tell.moment(agoD * DAY_H) },
    });
  await setInstead(tell.context(20 * DAY_H, PUTS_ON), {
    requestKey: tell.keyOf("instead of extract"),
    ...{ methodId: "cultured-extract", name: "Bottled plant feed", price: 16, coversM2: 120, wouldBuy: true },
  });
  await setBudget(tell.context(20 * DAY_H, PUTS_ON), {
    requestKey: tell.keyOf("budget"),
    ...{ year: Number(tell.day(0).slice(0, 4)), bought: 400, hours: 60, loss: 25 },
  });
}

/** Three trials: one that tells, one that runs, one that never could; and figures of the season. */
export async function tellRecordsChapter(tell: Telling, plot: (name: string) => number): Promise<void> {
  await tellFigures(tell, plot);
  const weighed = { kind: "weight" as MeasureKind, scale: "ratio", unit: "g", smallest: 0.15 } as const;
  const potatoes = await begin(tell, {
    ...{ act: "potatoes", begunAgoD: 120, decidesAgoD: 40, strips: 8, asked: 4 },
    plotIds: [plot("Bed 9"), plot("Bed 10")],
    terms: {
      ...weighed,
      question: "Does last season’s castings tea help the potatoes?",
      input: "Castings tea",
      methodId: null,
      useId: "drench-growing",
    },
  });
  await putOn(tell, "potatoes", potatoes, [110, 96, 82, 68]);
  for (const [agoD, usual, more] of [
    [90, 60, 2],
    [65, 210, 20],
    [40, 640, 105],
  ] as const)
    await read(tell, "potatoes", potatoes, agoD, { seed: 7, usual, spread: usual * 0.06, more, digits: 0 });
  await look(tell, "potatoes", potatoes, 39);

  const peas = await begin(tell, {
    ...{ act: "peas", begunAgoD: 70, decidesAgoD: 10, strips: 6, asked: 2 },
    plotIds: [plot("Bed 6")],
    terms: {
      ...{
        question: "Does char in the drill help the peas?",
        input: "Char from the burn",
        methodId: null,
        useId: "drench-growing",
      },
      ...{ kind: "height", scale: "difference", unit: "cm", smallest: 8 },
    },
  });
  await putOn(tell, "peas", peas, [68, 60]);
  await read(tell, "peas", peas, 10, { seed: 11, usual: 64, spread: 4, more: 6, digits: 1 });
  await look(tell, "peas", peas, 9);

  const roots = await begin(tell, {
    ...{ act: "roots", begunAgoD: 24, decidesAgoD: -20, strips: 4, asked: 3 },
    plotIds: [plot("Bed 3"), plot("Bed 4"), plot("Bed 7")],
    terms: {
      ...{ question: "Does cultured extract help roots and onions?", input: "Cultured extract" },
      ...{ methodId: "cultured-extract", useId: "drench-growing" },
      ...{ kind: "height", scale: "difference", unit: "cm", smallest: 3 },
    },
  });
  await read(tell, "roots", roots, 12, { seed: 5, usual: 18, spread: 1.4, more: 0.8, digits: 1 });
}
