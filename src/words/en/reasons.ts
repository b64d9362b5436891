import type { SignKind } from "@/core/book/words";
import type { ObservationType } from "@/core/ferment/evidence/observations";
import { KEPT_LOOK_EVERY_H } from "@/core/judge/keptOnAir";
import type { SmellAhead } from "@/core/judge/nextSmell";
import type { VerdictReason } from "@/core/judge/reasons";
import { sayTemperature, type UnitSystem } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { sayDuration, sayForecastMoment, saySpan, type FarmClock } from "@/formats/times";
import { afterColon, listedOr } from "@/formats/grammar";

/** What the words of a reason need: the farm's units and clock, and when the batch began. */
export interface Telling {
  readonly units: UnitSystem;
  readonly clock: FarmClock;
  readonly startedAt: Date;
  readonly now: Date;
}

export const atHour = ({ startedAt }: Telling, hour: number): Date => new Date(startedAt.getTime() + hour * 3_600_000);

const BASIS_WORDS = {
  read: "measured",
  place: "calculated from its place",
  air: "calculated from the air and how the brew goes",
  climate: "usual for this time of year",
  stated: "as entered at the start",
  guessed: "a guess: nothing was measured",
} as const;
/** So far outside its comfort is said. */
const OFF_C = 0.5;
function sayWarmth(reason: Extract<VerdictReason, { code: "warmth" }>, { units }: Telling): string {
  const share = Math.round(Math.min(1.5, reason.share) * 20) * 5;
  const progress = share >= 100 ? "most are ready by now" : `it is about ${share} % of the way to ready`;
  const cool =
    reason.meanC < reason.comfortLowC - OFF_C
      ? ", cooler than it likes"
      : reason.meanC > reason.comfortHighC + OFF_C
        ? ", warmer than it likes"
        : "";
  const hotNow =
    reason.nowC > reason.comfortHighC + OFF_C
      ? ` Now it stands at ${sayTemperature(reason.nowC, units)}; it likes ${sayTemperature(reason.comfortLowC, units)} to ${sayTemperature(reason.comfortHighC, units)}: shade it, or move it where it is cool.`
      : "";
  return `${sayTemperature(reason.meanC, units)} over the last 24 h (${BASIS_WORDS[reason.basis]})${cool}; by warmth ${progress}.${hotNow}`;
}

function sayPh(reason: Extract<VerdictReason, { code: "ph" }>): string {
  const trend =
    reason.perDay === null
      ? ""
      : reason.perDay > 0.005
        ? `, falling ${formatNumber(reason.perDay, 2)} a day`
        : ", no longer falling";
  const age = reason.ageH >= 24 ? ` (read ${sayDuration(reason.ageH)} ago)` : "";
  const tool = reason.instrument === "strip" ? " by strip" : "";
  const goal =
    reason.ph <= reason.target
      ? `at or under ${formatNumber(reason.target)}`
      : `it must reach ${formatNumber(reason.target)}`;
  return `pH ${formatNumber(reason.ph, 3)}${tool}${trend}${age}; ${goal}.`;
}

const SURPRISE_WORDS: Record<ObservationType, string> = {
  ph: "The last pH",
  foam: "The foam",
  smell: "A smell",
  film: "A film",
  bubbles: "The bubbles",
  sep: "How far it has parted",
  sink: "How much has sunk",
  core: "The bed’s warmth",
  judge: "A sign",
};
const SHELL_PH_WORDS = {
  "acid-spent": (ph: string) => `pH ${ph}: the vinegar has spent its acid. Shell that is left serves again.`,
  "acid-left": (ph: string) =>
    `pH ${ph}: acid is left. With shell still in it, wait, warmer if it is cold; with no shell left, add some.`,
  "between": (ph: string) => `pH ${ph}: most of the acid is used.`,
} as const;

function sayPace({ isAhead, leastH, mostH, spell }: Extract<VerdictReason, { code: "pace" }>): string {
  const took = saySpan(leastH, mostH);
  const Spell = spell.charAt(0).toUpperCase() + spell.slice(1);
  return isAhead
    ? `${Spell} took ${took} off, against a usual week here.`
    : `${Spell} cost it ${took}, against a usual week here.`;
}

const SIGN_VERBS: Record<SignKind, string> = {
  smell: "Smells",
  surface: "Foam:",
  film: "Film:",
  solids: "Solids:",
  liquid: "Liquid:",
  texture: "A handful, squeezed:",
  warmth: "Feels",
  lens: "Microscope",
};

const SMELL_AHEAD: Readonly<Record<SmellAhead["says"], (smell: SmellAhead) => string>> = {
  ready: ({ now, next }) => `After ${now} comes ${listedOr(next)}: that is ready.`,
  past: ({ now, next }) => `After ${now} comes ${listedOr(next)}: that is past, so don't wait for it.`,
  failed: ({ now, next }) =>
    `${listedOr(next).replace(/^./, (first) => first.toUpperCase())} after ${now} would mean that it has failed.`,
};

/** Said wherever warming is. */
export const HEAT_SAFELY =
  "Heater: use a safety switch (RCD, GFCI) and a dry plug. Put it under water before you switch it on.";

type Words = {
  readonly [C in VerdictReason["code"]]: (reason: VerdictReason & { readonly code: C }, telling: Telling) => string;
};

/** Every reason that a verdict gives, by its code. */
const REASONS: Words = {
  "warmth": (reason, telling) => sayWarmth(reason, telling),
  "ph": (reason) => sayPh(reason),
  "ph-missing": () => "No pH yet. Measure it: pH decides when this is ready.",
  "ph-not-counted": (reason) =>
    reason.unsettled
      ? `pH ${formatNumber(reason.ph)} does not count: the meter was not steady. Wait until it stays the same for 30 seconds.`
      : `pH ${formatNumber(reason.ph)} from ${reason.spot === "mid-depth" ? "an unlikely reading" : `the ${reason.spot}`} does not count. Measure halfway down.`,
  "ph-very-low": (reason) =>
    `pH ${formatNumber(reason.ph)} is very sour: it can burn plants. Start with half the dose.`,
  "pace": (reason) => sayPace(reason),
  "cold-ahead": (reason, telling) =>
    `${sayForecastMoment(atHour(telling, reason.hour), telling.now, telling.clock)} its liquid may fall to ${sayTemperature(reason.celsius, telling.units)}: bring it in, wrap it, or set a heater to ${sayTemperature(reason.comfortC, telling.units)}. ${HEAT_SAFELY}`.replace(
      /^./,
      (letter) => letter.toUpperCase(),
    ),
  "heat-ahead": (reason, telling) =>
    `${sayForecastMoment(atHour(telling, reason.hour), telling.now, telling.clock)} its liquid may reach ${sayTemperature(reason.celsius, telling.units)}: shade it, or it peaks early and unseen.`.replace(
      /^./,
      (letter) => letter.toUpperCase(),
    ),
  "contradictory": () => "Readings and signs do not agree, so the forecast is wide. Measure once more with care.",
  "surprising": (reason) =>
    `${SURPRISE_WORDS[reason.what]} does not fit the rest, so it counts little. Measure it again.`,
  "fed-anew": (reason, telling) =>
    `Fed ${sayForecastMoment(atHour(telling, reason.hour), telling.now, telling.clock)}. Counts as a new start.`,
  "watch": (reason) =>
    `Small risk that it is spoiled (${formatNumber(100 * reason.chance, 1)} in 100). Smell it to be sure.`,
  "hold": (reason) =>
    reason.cleanLooks === 0
      ? `Do not use it yet. ${reason.by === "eyes" ? "Look at it" : "Smell it"} again, best with another person. 2 good checks: use it. A second bad one: hot compost.`
      : "Good since then. 1 more good check, and you can use it.",
  "two-bad-looks": (reason) => `${reason.looks} checks say so, and no good ones outweigh them.`,
  "doubt-lifted": (reason, telling) =>
    `${sayForecastMoment(atHour(telling, reason.hour), telling.now, telling.clock)} it was clean again: “${reason.word}” was not borne out.`.replace(
      /^./,
      (letter) => letter.toUpperCase(),
    ),
  "second-look": (reason) =>
    reason.what === "ph"
      ? "One reading says ready. Read it once more, on another day, to be sure."
      : "One sign says ready. Check once more to be sure.",
  "by-nose-alone": () => "No pH yet: only smells tell. A pH strip would make it sure.",
  "ph-rests-near": (reason) =>
    `pH ${formatNumber(reason.ph, 3)} and no longer falling, sour look after look: the meter may be off by that much. Check it in a buffer, or use a strip.`,
  "smell-first": () => "Not smelled for 2 days. Smell it before use.",
  "ph-rose": (reason) =>
    `pH ${formatNumber(reason.other, 3)} after ${formatNumber(reason.one, 3)}: a sour drum does not turn back. The meter is likely off: rinse it, check it in a buffer, or use a strip.`,
  "shell-ph": (reason) => SHELL_PH_WORDS[reason.says](formatNumber(reason.ph, 3)),
  "still-floats": (reason) =>
    reason.sunkPercent === null
      ? "Some of it still floats: stir it long, and weigh it under."
      : `Only ${formatNumber(reason.sunkPercent, 2)} % has sunk: stir it long, and weigh it under.`,
  "still-in-cold": (reason, telling) =>
    `No bubbles, but at ${sayTemperature(reason.meanC, telling.units)} they rest with acid left. Bring it to ${sayTemperature(reason.comfortLowC, telling.units)} or read the pH: spent vinegar is above 5.`,
  "half-day-over": (reason, telling) =>
    `Good for ${reason.lastsH} h once it is ready, and that was ${sayForecastMoment(atHour(telling, reason.readyH), telling.now, telling.clock)}. It must not be used any more, whatever it smells of now.`,
  "flies-in": (reason, telling) =>
    `Flies or ants got in: look for maggots from ${sayForecastMoment(atHour(telling, reason.looksFromH), telling.now, telling.clock)} on, and tie the cloth tight.`,
  "lid-was-off": (reason, telling) =>
    `Its lid was off: smell it from ${sayForecastMoment(atHour(telling, reason.looksFromH), telling.now, telling.clock)} on, before it is used.`,
  "heater-cut": (reason, telling) =>
    `Its heater lost its power ${sayForecastMoment(atHour(telling, reason.hour), telling.now, telling.clock)}, and nobody has said that it is back. Read the temperature; it cools until then.`,
  "closing": () => "It is good only until today. Use it today.",
  "place-unsaid": (reason, telling) =>
    `Nobody said where it stands: its liquid may be anything from ${sayTemperature(reason.lowC, telling.units)} to ${sayTemperature(reason.highC, telling.units)}. Say the place, or dip a thermometer in it.`,
  "place-doubted": (reason, telling) =>
    `It was said to stand elsewhere: a liquid of ${sayTemperature(reason.meanC, telling.units)} does not go with that place in this weather. Say its place again, or log the heater.`,
  "readings-stopped": (reason, telling) =>
    `No reading since ${sayForecastMoment(atHour(telling, reason.hour), telling.now, telling.clock)}. Check the sensor; until then the temperature is calculated.`,
  "overheated": () => "It was too hot for its culture. It will stay slower.",
  "slow": () => "Slower than usual at this temperature. Check the culture, the dose, and chlorine in the water.",
  "no-bloom": (reason, telling) =>
    `${sayTemperature(reason.meanC, telling.units)} over the last 24 h: too cold to foam. Warm it to ${sayTemperature(reason.comfortLowC, telling.units)} or more, or start again. ${HEAT_SAFELY}`,
  "ph-stuck": (reason, telling) =>
    `pH still ${formatNumber(reason.ph)} after ${formatNumber(reason.days, 2)} days, and not for cold (${sayTemperature(reason.meanC, telling.units)}). Check the meter; then add culture and half the sugar again, and close it.`,
  "not-done": (reason) =>
    `Not logged: ${afterColon(reason.text)} (day ${Math.round(reason.dueH / 24)}). Without it this is not what its recipe makes${reason.untilH === null ? "" : `, and after day ${Math.round(reason.untilH / 24)} it is too late for it`}. If it was done, log it with its day.`,
  "too-young": (reason) =>
    reason.byPh
      ? `Only ${formatNumber(reason.days, 2)} days old: read the pH again at ${reason.minimumDays} days before you trust it.`
      : `Only ${formatNumber(reason.days, 2)} days old: it takes ${reason.minimumDays} at least. Look and smell again then.`,
  "sign": (reason) => `${SIGN_VERBS[reason.kind]} ${reason.word}: ${reason.because}.`,
  "sign-missing": (reason) => `No sign yet that it is ready. Look for: ${listedOr(reason.words)}.`,
  "ph-at-odds": (reason) =>
    `pH ${formatNumber(reason.one, 3)}, then ${formatNumber(reason.other, 3)}: one is wrong. Rinse the meter, measure again halfway down, cross out the wrong one.`,
  "signs-disagree": (reason) => `The signs disagree (${reason.one}, then ${reason.other}). Try again in a few hours.`,
  "air-off": (reason) =>
    `Air off for ${sayDuration(reason.sinceH)}: on leaves within ${reason.leavesH} h, on soil within ${reason.soilH} h.`,
  "air-was-off": (reason, telling) =>
    `It stood without air for ${sayDuration(reason.hours)}, until ${sayForecastMoment(atHour(telling, reason.untilH), telling.now, telling.clock)}: not on leaves any more.${reason.hours > reason.soilH ? " Smell it before anything goes out." : ""}`,
  "kept-on-air": (reason, telling) =>
    reason.isOver
      ? "1 night on air is over and its food is gone. Use it now or compost it."
      : `Kept on its air until ${sayForecastMoment(atHour(telling, reason.untilH), telling.now, telling.clock)} at most; smell it every ${KEPT_LOOK_EVERY_H} hours, it is judged anew each time.`,
  "smell-ahead": (reason) => SMELL_AHEAD[reason.says](reason),
  "window-closed": (reason, telling) =>
    reason.hour === null
      ? "Past its best."
      : `Past its best since about ${sayForecastMoment(atHour(telling, reason.hour), telling.now, telling.clock)}.`,
  "cold": (reason, telling) =>
    `${sayTemperature(reason.meanC, telling.units)} over the last 24 h: too cold. Warm it to ${sayTemperature(reason.comfortLowC, telling.units)} or more, or start again. ${HEAT_SAFELY}`,
  "too-hot": (reason, telling) =>
    `${sayTemperature(reason.meanC, telling.units)} over the last 24 h: too hot. Cool it to ${sayTemperature(reason.comfortHighC, telling.units)}, and add fresh culture.`,
};

/** One reason in plain words. */
export const sayReason = (reason: VerdictReason, telling: Telling): string =>
  (REASONS[reason.code] as (reason: VerdictReason, telling: Telling) => string)(reason, telling);
