import { traitsOf } from "../ferment/models/classes";
import { phTarget, type Recipe } from "../book/recipe";
import type { BatchForecast } from "./forecastBatch";
import { signsOf, type LogItem, type SignItem } from "./log";
import { phAtOdds } from "./phEvidence";
import type { VerdictReason } from "./reasons";
import { meaningOf, type SignMeaning } from "./rule/looks";

export interface JudgeInput {
  readonly recipe: Recipe;
  readonly nowH: number;
  readonly log: readonly LogItem[];
  readonly forecast: BatchForecast;
}

/** How a recipe is judged: by the hour, by pH and nose, by days and signs, or by its steps alone. */
export type JudgedBy = "bloom" | "acid" | "days" | "fresh";

export function judgedBy({ readiness }: Recipe): JudgedBy {
  return readiness.type === "fresh" ? "fresh" : traitsOf(readiness.model).judgedBy;
}

/** A nose's word holds for so long, h: a bloom moves in hours, the others in days. */
const SIGN_HOLDS_H = { bloom: 8, acid: 120, days: 60, fresh: 12 } as const;
/** "Nearly" is when the window may well open within this, h. */
const NEAR_H = { bloom: 6, acid: 24, days: 24, fresh: 1 } as const;

/** What was smelt and seen lately, and what it says. */
export interface Evidence {
  readonly input: JudgeInput;
  /** The newest word of each meaning that still holds. */
  readonly latestSign: { readonly sign: SignItem; readonly says: SignMeaning; readonly because: string } | null;
  readonly disagreeing: VerdictReason | null;
  /** Two readings that can't both be right, where pH decides. */
  readonly phAtOdds: VerdictReason | null;
}

/** The newest signs that still hold, and whether they contradict each other. */
export function weighSigns(input: JudgeInput): Evidence {
  const holdsH = SIGN_HOLDS_H[judgedBy(input.recipe)];
  const read = signsOf(input.log).flatMap((sign) => {
    const cue = meaningOf(input.recipe, sign);
    const fresh = input.nowH - sign.hour <= holdsH && sign.hour >= input.forecast.stageFromH;
    return cue && fresh ? [{ sign, says: cue.says, because: cue.because }] : [];
  });
  const latestSign = read.at(-1) ?? null;
  const against =
    latestSign &&
    read.find((item) => item.says !== latestSign.says && latestSign.sign.hour - item.sign.hour < holdsH / 4);
  const disagreeing: VerdictReason | null = against
    ? { code: "signs-disagree", one: against.sign.word, other: latestSign.sign.word }
    : null;
  return { input, latestSign, disagreeing, phAtOdds: phTarget(input.recipe) === null ? null : phAtOdds(input.log) };
}

/** The newest sign as a reason. */
export const signReason = ({ latestSign }: Evidence): VerdictReason[] =>
  latestSign
    ? [
        {
          code: "sign",
          kind: latestSign.sign.kind,
          word: latestSign.sign.word,
          says: latestSign.says,
          because: latestSign.because,
        },
      ]
    : [];

/** The warmth of the last day as a reason. */
export function warmthReason({ forecast, recipe }: JudgeInput): VerdictReason {
  return {
    code: "warmth",
    meanC: forecast.meanLiquidC24h,
    basis: forecast.temperatureBasis,
    share: forecast.share,
    comfortLowC: recipe.comfortC.low,
    comfortHighC: recipe.comfortC.high,
    nowC: forecast.liquidNowC,
  };
}

/** Whether the window may well open soon. */
export function isNear({ recipe, forecast, nowH }: JudgeInput): boolean {
  const opens = forecast.window.start.p10;
  return opens !== null && opens - nowH <= NEAR_H[judgedBy(recipe)];
}

/** The words that would say ready. */
export const readyWords = ({ recipe }: JudgeInput): string[] =>
  recipe.cues.filter(({ says }) => says === "ready").map(({ word }) => word);
