import "server-only";
import { readableOf, traitsOf } from "@/core/ferment/models/classes";
import { standsIn } from "@/core/recipe/level";
import { phTarget, type Recipe } from "@/core/book/recipe";
import type { Lid } from "@/core/book/types";
import { SIGN_KINDS, SIGN_WORDS, type Act, type MeasureKind, type SignKind } from "@/core/book/words";
import type { Quantiles, Basis } from "@/core/judge/forecastBatch";
import type { Assessment } from "@/core/judge/assess";
import type { NextLook } from "@/core/judge/nextLook";
import { keptOnAir } from "@/core/judge/keptOnAir";
import { actsOf, type LogItem } from "@/core/judge/log";
import { latestAirOff } from "@/core/judge/reasons";
import { meaningOf, type SignMeaning } from "@/core/judge/rule/looks";
import type { NextAct } from "@/core/judge/judged";
import type { VerdictState } from "@/core/judge/verdictState";
import { recipeFrom } from "@/core/recipe/document";
import { solidsStillIn } from "@/core/tend/keptLong";
import { undoneOf } from "@/core/tend/dueTasks";
import { sealedAtH } from "@/core/tend/programme";
import type { Batch, Entry } from "@/data/batch";
import type { Farm } from "@/data/farm";
import { sayLook, sayRemaining, atHour, NEXT_WORDS, sayReason, sayState, sayWarmer, type Telling } from "@/words/said";
import { sayAge } from "@/formats/times";
import { closingOf, type Closing } from "./closing";
import { hourOf, logItemsOf, type MarkTimes, type RibbonPoint } from "../ferment";

/** A word that the log sheet offers, with what it would mean for this method. */
export interface WordChoice {
  readonly kind: SignKind;
  readonly word: string;
  readonly says: SignMeaning | null;
}

/** A running batch as the yard and its own page show it. */
export interface BatchView {
  readonly id: number;
  readonly methodId: string;
  readonly name: string;
  readonly shortName: string;
  readonly schoolName: string;
  readonly versionNo: number | null;
  readonly lid: Lid;
  readonly aerated: boolean;
  readonly airOn: boolean;
  readonly filledL: number;
  readonly basisAmount: number;
  readonly vesselL: number;
  readonly startedMs: number;
  readonly ageText: string;
  readonly state: VerdictState;
  readonly stateWords: string;
  readonly reasons: readonly string[];
  readonly ifWarmer: string | null;
  readonly next: { readonly act: NextAct; readonly words: string; readonly atMs: number };
  readonly window: { readonly start: MarkTimes; readonly peak: MarkTimes; readonly end: MarkTimes };
  readonly ribbon: readonly RibbonPoint[];
  readonly last: {
    readonly ph: number | null;
    readonly celsius: number | null;
    readonly surface: string | null;
    readonly film: string | null;
    readonly solids: string | null;
  };
  readonly liquidC: number;
  /** Where the temperature behind all this is from. */
  readonly basis: Basis;
  /** Held until it is looked at again, or failed for good. */
  readonly spoilt: "hold" | "discard" | null;
  readonly spoilChance: number;
  readonly ready: number;
  /** How fast it works over the last day, against the usual. */
  readonly rate: number;
  /** What may still be done with it. */
  readonly remaining: string;
  /** The look that would tell most now. */
  readonly bestLook: { readonly kind: NextLook["kind"]; readonly words: string } | null;
  /** Numbers that its log asks for besides pH and temperature. */
  readonly measures: readonly MeasureKind[];
  readonly hasHeater: boolean;
  readonly moved: boolean;
  readonly wrapped: boolean;
  readonly powerOff: boolean;
  /** Its lid or cloth was found off and not put back since. */
  readonly lidOff: boolean;
  /** A liquid that keeps still stands on its bag or solids. */
  readonly solidsIn: boolean;
  /** Kept on its air, and until when at most. */
  readonly keptUntilMs: number | null;
  readonly isBed: boolean;
  readonly phDecides: boolean;
  /** Two-stage soaks: when the open stage is over; and whether it was closed. */
  readonly seal: { readonly atMs: number | null; readonly done: boolean } | null;
  readonly words: readonly WordChoice[];
  readonly floatingSolids: boolean;
  /** What its recipe does once and a tap logs, while it is not done. */
  readonly onceActs: readonly Act[];
  /** What comes off at the end, as expected, how it is kept, and what is left. */
  readonly closing: Closing;
}

/** A batch as its panels want it: all but the points of its drawing, which are most of it. */
export type BatchBrief = Omit<BatchView, "ribbon">;

const lastOf = (entries: readonly Entry[], kind: Entry["kind"]) =>
  entries.findLast((entry) => entry.kind === kind) ?? null;

/** What any liquid may show; the other kinds are asked only where they decide. */
const ALWAYS_ASKED: readonly SignKind[] = ["smell", "surface", "film", "solids"];

/** Words of a method first (they decide), then the rest of the closed list. */
function wordChoices(recipe: Recipe): WordChoice[] {
  const kinds = SIGN_KINDS.filter(
    (kind) => ALWAYS_ASKED.includes(kind) || recipe.cues.some((cue) => cue.kind === kind),
  );
  const choices = kinds.flatMap((kind) =>
    SIGN_WORDS[kind].map((word): WordChoice => ({
      kind,
      word,
      says: meaningOf(recipe, { kind, word })?.says ?? null,
    })),
  );
  return [...choices.filter(({ says }) => says !== null), ...choices.filter(({ says }) => says === null)];
}

/** What is counted or measured of a method's batch, by its model. */
function measuring({ readiness }: Recipe): Pick<BatchView, "measures" | "isBed"> {
  if (readiness.type === "fresh") return { measures: [], isBed: false };
  const { model } = readiness;
  const { parted, sunk, core } = readableOf(model);
  return {
    isBed: !traitsOf(model).isLiquid,
    measures: [
      ...(model.bubblesPerMin > 0 ? (["bubbles"] as const) : []),
      ...(parted ? (["parted"] as const) : []),
      ...(sunk ? (["sunk"] as const) : []),
      ...(core ? (["core"] as const) : []),
    ],
  };
}

/** How its vessel stands, by what was logged last of each. */
function standing(log: readonly LogItem[]): Pick<BatchView, "hasHeater" | "moved" | "wrapped" | "powerOff" | "lidOff"> {
  const acts = actsOf(log);
  const last = (...of: readonly string[]) => acts.findLast(({ act }) => of.includes(act))?.act;
  return {
    hasHeater: last("heater-on", "heater-off") === "heater-on",
    moved: last("moved", "moved-back") === "moved",
    wrapped: last("wrapped", "unwrapped") === "wrapped",
    powerOff: last("power-cut", "power-back") === "power-cut",
    lidOff: last("lid-off", "lid-checked", "sealed") === "lid-off",
  };
}

/** Puts a running batch, its log and its assessment into the shape and the words that screens show. */
export function batchView(
  batch: Batch,
  entries: readonly Entry[],
  assessment: Assessment,
  farm: Farm,
  now: Date,
  lines: readonly { readonly ingredientId: string; readonly used: number }[] = [],
): BatchView {
  const recipe = recipeFrom(batch.recipe.document);
  const telling: Telling = { units: farm.units, clock: { timeZone: farm.timeZone }, startedAt: batch.startedAt, now };
  const ms = (hour: number | null) => (hour === null ? null : atHour(telling, hour).getTime());
  const times = ({ p10, p50, p90 }: Quantiles): MarkTimes => ({ p10: ms(p10), p50: ms(p50), p90: ms(p90) });
  const { forecast, verdict, ifWarmer } = assessment;
  const log = logItemsOf(batch, entries);
  return {
    id: batch.id,
    methodId: batch.methodId,
    name: batch.recipe.methodName,
    shortName: batch.recipe.shortName,
    schoolName: batch.recipe.schoolName,
    versionNo: batch.recipe.versionNo,
    lid: recipe.lid,
    aerated: recipe.aerated,
    airOn: recipe.aerated && latestAirOff(log) === null,
    filledL: standsIn(batch),
    basisAmount: batch.basisAmount,
    vesselL: batch.vesselL,
    startedMs: batch.startedAt.getTime(),
    ageText: sayAge(hourOf(batch, now)),
    state: verdict.state,
    stateWords: sayState(verdict),
    reasons: verdict.reasons.map((reason) => sayReason(reason, telling)),
    ifWarmer: sayWarmer(ifWarmer, telling),
    next: {
      act: verdict.next.act,
      words: NEXT_WORDS[verdict.next.act],
      atMs: ms(Math.max(verdict.next.hour, hourOf(batch, now)))!,
    },
    window: { start: times(forecast.window.start), peak: times(forecast.window.peak), end: times(forecast.window.end) },
    ribbon: forecast.curve.map(({ hour, ready, past }) => ({ atMs: ms(hour)!, ready, past })),
    last: {
      ph: lastOf(entries, "ph")?.numberValue ?? null,
      celsius: lastOf(entries, "temperature")?.numberValue ?? null,
      surface: lastOf(entries, "surface")?.word ?? null,
      film: lastOf(entries, "film")?.word ?? null,
      solids: lastOf(entries, "solids")?.word ?? null,
    },
    liquidC: forecast.liquidNowC,
    basis: forecast.temperatureBasis,
    spoilt: verdict.spoilt,
    spoilChance: forecast.spoilage.chance,
    ready: forecast.probabilityReady,
    rate: forecast.meanRate24h,
    remaining: sayRemaining(assessment.remaining),
    bestLook: assessment.looks[0] ? { kind: assessment.looks[0].kind, words: sayLook(assessment.looks[0]) } : null,
    ...measuring(recipe),
    ...standing(log),
    solidsIn: solidsStillIn(recipe, log),
    keptUntilMs: ms(keptOnAir(recipe, log, forecast.window.end.p50)?.untilH ?? null),
    phDecides: phTarget(recipe) !== null,
    seal: forecast.seal && {
      atMs: ms(forecast.seal.p50),
      done: sealedAtH(log) !== null,
    },
    words: wordChoices(recipe),
    closing: closingOf(batch, recipe, lines),
    floatingSolids: recipe.basis === "plant",
    onceActs: undoneOf(recipe, log, Infinity).flatMap(({ act }) => (act === "joined" ? [act] : [])),
  };
}
