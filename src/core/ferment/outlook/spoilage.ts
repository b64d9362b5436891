import { airEvents } from "../batch";
import { isBelievable, MISREPORT } from "../evidence/likelihood";
import { FILM_CLASSES, SMELL_CLASSES, type Observation } from "../evidence/observations";
import { chanceAt, FILM_TABLES, PLAIN_SMELL, SMELL_TABLES, SPOILED_SMELL } from "../evidence/tables";
import { normalPdf } from "../normal";
import { weightWhere, type Belief } from "./belief";

export type SpoilLevel = "ok" | "watch" | "hold" | "discard";
export type HardRule = "coloured-film-and-rotten" | "rotten-and-not-sour" | "rotten-without-air";

export interface Spoilage {
  readonly chance: number;
  readonly level: SpoilLevel;
  readonly hard: readonly HardRule[];
  readonly needsSmellCheck: boolean;
}

const WATCH_AT = 0.05;
const HOLD_AT = 0.1;
const DISCARD_AT = 0.6;
const MOST_FOR = 20;
const MOST_AGAINST = 1 / 5;
/** A rotten smell that tells this much holds a batch whatever its odds were: shell and char hardly ever spoil, and a few do. */
const HOLDS_ALONE = 10;
const REPEAT_H = 6;
const SMELL_HOLDS_H = { bloom: 6, other: 72 };
/** Odds that a lid lifted, or flies seen, bring something in. */
const EVENT_ODDS = { opened: 1.3, insects: 3 } as const;
const PH_SD = { meter: 0.1, strip: 0.3 } as const;
const PH_SPREAD = 0.3;
const SOUR_ENOUGH_PH = 4.4;
const NOT_SOUR_PH = 4.6;

const logit = (p: number) => Math.log(p / (1 - p));
const isRotten = (observation: Observation) => observation.type === "smell" && observation.value === "rotten";

/** Chances of a report on a sound batch and on a spoiled one; null where it says nothing of that. */
function chances(belief: Belief, index: number): { ok: number; bad: number; random: number } | null {
  const observation = belief.taken[index]!;
  const { model } = belief.batch;
  const mean = (value: (features: { ph?: number; phase?: number }) => number) =>
    belief.ways.reduce((sum, { weight, path }) => sum + weight * value(path.features[index]!), 0);
  if (observation.type === "smell") {
    const column = SMELL_CLASSES.indexOf(observation.value);
    const { smellTable } = model;
    const ok = smellTable
      ? mean(({ phase }) => chanceAt(SMELL_TABLES[smellTable], phase!, column))
      : PLAIN_SMELL[column]!;
    return { ok, bad: SPOILED_SMELL[column]!, random: 1 / SMELL_CLASSES.length };
  }
  if (observation.type === "film") {
    const column = FILM_CLASSES.indexOf(observation.value);
    const { sound, spoiled } = FILM_TABLES[model.cls];
    return { ok: sound[column]!, bad: spoiled[column]!, random: 1 / FILM_CLASSES.length };
  }
  if (observation.type === "ph" && model.cls === "acid") {
    const sd = Math.hypot(observation.sd ?? PH_SD[observation.method], PH_SPREAD);
    const ok = mean(({ ph }) => normalPdf((observation.value - ph!) / sd) / sd);
    return { ok, bad: observation.value >= SOUR_ENOUGH_PH ? 1 / 3.6 : 0.01, random: 1 / 7 };
  }
  return null;
}

function hardRules(belief: Belief): HardRule[] {
  const { taken, nowH, batch } = belief;
  if (!taken.some(isRotten)) return [];
  const rules: HardRule[] = [];
  if (taken.some((observation) => observation.type === "film" && observation.value === "coloured"))
    rules.push("coloured-film-and-rotten");
  const lastPh = taken
    .filter((observation): observation is Extract<Observation, { type: "ph" }> => observation.type === "ph")
    .toSorted((a, b) => a.hour - b.hour)
    .at(-1);
  const overdue = weightWhere(belief, ({ path }, shiftH) => nowH + shiftH >= 1.5 * path.startH);
  if (batch.model.cls === "acid" && lastPh && lastPh.value > NOT_SOUR_PH && overdue > 0.5)
    rules.push("rotten-and-not-sour");
  const lastSwitch = airEvents(batch).findLast(({ hour }) => hour <= nowH);
  if (batch.model.cls === "bloom" && batch.model.air && lastSwitch?.type === "air_off" && nowH - lastSwitch.hour > 6)
    rules.push("rotten-without-air");
  return rules;
}

/**
 * Whether a batch has gone off, apart from how far it is, and cautious on purpose: bad news does not age, good news does, and one rotten
 * smell holds it until it is looked at again. It says nothing of germs.
 */
export function spoilageOf(belief: Belief): Spoilage {
  const { batch, nowH, taken } = belief;
  const isBloom = batch.model.cls === "bloom";
  const first = logit(batch.model.spoilChance);
  const fadesH = isBloom ? 12 : 72;
  let odds = first;
  let lastH = 0;
  let adverse = 0;
  let lastSmellHolds = false;
  const age = (hour: number) => {
    if (odds < first) odds = first + (odds - first) * Math.exp(-(hour - lastH) / fadesH);
    lastH = hour;
  };
  const happenings = [
    ...taken.map((observation, index) => ({ hour: observation.hour, index, event: null })),
    ...(batch.events ?? []).flatMap((event) =>
      (event.type === "opened" || event.type === "insects") && event.hour <= nowH
        ? [{ hour: event.hour, index: -1, event: event.type }]
        : [],
    ),
  ].toSorted((a, b) => a.hour - b.hour);
  for (const { hour, index, event } of happenings) {
    if (event) {
      odds += Math.log(EVENT_ODDS[event]);
      continue;
    }
    const report = chances(belief, index);
    if (!report || !isBelievable(taken[index]!)) continue;
    age(hour);
    const mixed = (p: number) => (1 - MISREPORT) * p + MISREPORT * report.random;
    const ratio = Math.min(MOST_FOR, Math.max(MOST_AGAINST, mixed(report.bad) / mixed(report.ok)));
    if (ratio > 2) adverse += 1;
    if (taken[index]!.type === "smell") lastSmellHolds = isRotten(taken[index]!) && ratio >= HOLDS_ALONE;
    const repeats = taken.some(
      (other, at) =>
        at !== index &&
        other.type === taken[index]!.type &&
        (other.hour < hour || (other.hour === hour && at < index)) &&
        hour - other.hour < REPEAT_H,
    );
    odds += Math.log(ratio) * (repeats ? 0.5 : 1);
  }
  age(nowH);
  const chance = 1 / (1 + Math.exp(-odds));
  const hard = hardRules(belief);
  const rottenHours = taken.filter(isRotten).map(({ hour }) => hour);
  const apart = rottenHours.length > 1 && Math.max(...rottenHours) - Math.min(...rottenHours) >= REPEAT_H;
  const isGone = hard.length > 0 || (chance >= DISCARD_AT && (adverse >= 2 || apart));
  const holdsH = isBloom ? SMELL_HOLDS_H.bloom : SMELL_HOLDS_H.other;
  return {
    chance,
    level: isGone ? "discard" : chance >= HOLD_AT || lastSmellHolds ? "hold" : chance >= WATCH_AT ? "watch" : "ok",
    hard,
    needsSmellCheck: !taken.some(({ type, hour }) => type === "smell" && nowH - hour <= holdsH),
  };
}
