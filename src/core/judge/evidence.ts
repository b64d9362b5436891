import type { Recipe } from "../book/recipe";
import type { CueMeaning } from "../book/types";
import type { Forecast } from "../ferment/forecast";
import { signsOf, type Observation, type SignObservation } from "../ferment/observations";
import type { VerdictReason } from "./reasons";

export interface JudgeInput {
  readonly recipe: Recipe;
  readonly nowH: number;
  readonly observations: readonly Observation[];
  readonly forecast: Forecast;
}

/** A nose's word holds for so long, h: a bloom moves in hours, the others in days. */
const SIGN_HOLDS_H = { bloom: 8, acid: 120, days: 60, fresh: 12 } as const;
/** "Nearly" is when the window may well open within this, h. */
const NEAR_H = { bloom: 6, acid: 24, days: 24, fresh: 1 } as const;

/** What was smelt and seen lately, and what it says. */
export interface Evidence {
  readonly input: JudgeInput;
  /** The newest word of each meaning that still holds. */
  readonly latestSign: { readonly sign: SignObservation; readonly says: CueMeaning; readonly because: string } | null;
  readonly disagreeing: VerdictReason | null;
}

/** The newest signs that still hold, and whether they contradict each other. */
export function weighSigns(input: JudgeInput): Evidence {
  const holdsH = SIGN_HOLDS_H[input.recipe.readiness.type];
  const read = signsOf(input.observations).flatMap((sign) => {
    const cue = input.recipe.cues.find((candidate) => candidate.kind === sign.kind && candidate.word === sign.word);
    return cue && input.nowH - sign.hour <= holdsH ? [{ sign, says: cue.says, because: cue.because }] : [];
  });
  const latestSign = read.at(-1) ?? null;
  const against =
    latestSign &&
    read.find((item) => item.says !== latestSign.says && latestSign.sign.hour - item.sign.hour < holdsH / 4);
  const disagreeing: VerdictReason | null = against
    ? { code: "signs-disagree", one: against.sign.word, other: latestSign.sign.word }
    : null;
  return { input, latestSign, disagreeing };
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
  };
}

/** Whether the window may well open soon. */
export function isNear({ recipe, forecast, nowH }: JudgeInput): boolean {
  const opens = forecast.window.start.p10;
  return opens !== null && opens - nowH <= NEAR_H[recipe.readiness.type];
}

/** When to look again: by the time the window may open, and no sooner than a gap. */
export const soon = (input: JudgeInput, gapH: number) => {
  const opens = input.forecast.window.start.p10;
  return Math.max(input.nowH + gapH, opens === null ? input.nowH + 2 * gapH : Math.min(opens, input.nowH + 168));
};

/** The words that would say ready. */
export const readyWords = ({ recipe }: JudgeInput): string[] =>
  recipe.cues.filter(({ says }) => says === "ready").map(({ word }) => word);
