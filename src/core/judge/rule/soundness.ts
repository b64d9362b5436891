import { phTarget, type Recipe } from "../../book/recipe";
import type { VerdictReason } from "../reasons";
import { hasSmell, type Look, type ReadSign } from "./looks";

export interface Soundness {
  /** Hold: not used, looked at again. Discard: never on a crop. null: nothing stands against it. */
  readonly level: "hold" | "discard" | null;
  readonly reasons: readonly VerdictReason[];
}

/** What one look adds to the doubt, in looks. */
const BAD = 1;
const WARNING = 0.5;
/** What a clean look takes off it: two lift one bad look; once there were two bad ones it takes four. */
const CLEAN = 0.5;
const CLEAN_AFTER_TWO = 0.25;
/**
 * So much doubt from two looks at least throws a batch out; from three where a meter or strip found
 * it sour twice, or look after look was clean before.
 */
const THROWN_OUT_AT = 2;
const THROWN_OUT_ONCE_CLEAN = 3;
/** So many clean looks before the first bad one say that the nose may be what is off. */
const CLEAN_BEFORE = 4;
/** Of one bad look this much is left when it is forgiven. */
const FORGIVEN = 0.25;
/** From so much doubt on it is not used: a bad look that was answered by one clean one at the most. */
const HOLDS_AT = 0.5;

interface Doubt {
  points: number;
  /** Looks that spoke against it since it was last forgiven. */
  looks: Look[];
  signs: ReadSign[];
}
const none = (): Doubt => ({ points: 0, looks: [], signs: [] });

/** How much one look of a sense speaks against a batch, and by which words. */
function against(signs: readonly ReadSign[]): { readonly points: number; readonly signs: readonly ReadSign[] } {
  const failed = signs.filter(({ says }) => says === "failed");
  if (failed.length > 0) return { points: BAD, signs: failed };
  const warned = signs.filter(({ says }) => says === "warns");
  return { points: warned.length > 0 ? WARNING : 0, signs: warned };
}

function weigh(doubt: Doubt, look: Look, signs: readonly ReadSign[]): Doubt {
  const found = against(signs);
  if (found.points > 0)
    return {
      points: doubt.points + found.points,
      looks: [...doubt.looks, look],
      signs: [...doubt.signs, ...found.signs],
    };
  const points = doubt.points - (doubt.looks.length > 1 ? CLEAN_AFTER_TWO : CLEAN);
  return points <= FORGIVEN ? none() : { ...doubt, points };
}

/** Whether two readings of a meter or strip say that an acid ferment is sour enough: hardly anything rots in that. */
function isSourTwice(recipe: Recipe, looks: readonly Look[]): boolean {
  const target = phTarget(recipe);
  if (target === null) return false;
  return looks.filter(({ ph }) => ph.some(({ value }) => value <= target)).length >= 2;
}

/** The words against it, each once, newest last. */
function namedIn(doubts: readonly Doubt[]): VerdictReason[] {
  const signs = doubts.flatMap((doubt) => doubt.signs).toSorted((a, b) => a.sign.hour - b.sign.hour);
  return signs
    .filter(({ sign }, index) => signs.findIndex((other) => other.sign.word === sign.word) === index)
    .slice(-2)
    .map(({ sign, says, because }) => ({ code: "sign", kind: sign.kind, word: sign.word, says, because }));
}

/** Whether so many looks speak against it that it is thrown out. */
function isOut(recipe: Recipe, before: readonly Look[], doubts: readonly Doubt[]): boolean {
  const points = doubts.reduce((sum, doubt) => sum + doubt.points, 0);
  const bad = new Set(doubts.flatMap((doubt) => doubt.looks));
  if (bad.size < 2 || !doubts.some(({ signs }) => signs.some(({ says }) => says === "failed"))) return false;
  const firstBadH = Math.min(...[...bad].map(({ hour }) => hour));
  const wasClean = before.filter((look) => look.hour < firstBadH && hasSmell(look)).length >= CLEAN_BEFORE;
  return points >= (wasClean || isSourTwice(recipe, before) ? THROWN_OUT_ONCE_CLEAN : THROWN_OUT_AT);
}

/**
 * Whether a batch may be used at all, by what was smelt and seen of it. One look that speaks of rot or coloured mould holds it until two
 * clean looks; two such looks with no clean one to outweigh them throw it out for good, and only correcting an entry takes that back.
 * Temperature, hours and a forecast never do either.
 */
export function soundnessOf(recipe: Recipe, looks: readonly Look[]): Soundness {
  let [nose, eyes] = [none(), none()];
  let lifted: VerdictReason | null = null;
  for (const [index, look] of looks.entries()) {
    const smelt = look.signs.filter(({ sign }) => sign.kind === "smell");
    const seen = look.signs.filter(({ sign }) => sign.kind !== "smell");
    const last = [...nose.signs, ...eyes.signs].at(-1);
    if (hasSmell(look)) nose = weigh(nose, look, smelt);
    if (look.words.some(({ kind }) => kind === "film") || seen.some(({ says }) => says === "failed"))
      eyes = weigh(eyes, look, seen);
    const doubts = [nose, eyes];
    if (isOut(recipe, looks.slice(0, index + 1), doubts)) {
      const bad = new Set(doubts.flatMap((doubt) => doubt.looks)).size;
      return { level: "discard", reasons: [...namedIn(doubts), { code: "two-bad-looks", looks: bad }] };
    }
    if (last && last.says === "failed" && nose.points + eyes.points === 0)
      lifted = { code: "doubt-lifted", word: last.sign.word, hour: look.hour };
  }
  // A warning alone holds nothing; the method's rule does not call it ready on that look, and names the smell.
  const isBad = [...nose.signs, ...eyes.signs].some(({ says }) => says === "failed");
  if (nose.points + eyes.points < (isBad ? HOLDS_AT : BAD)) return { level: null, reasons: lifted ? [lifted] : [] };
  const doubts = [nose, eyes];
  const badH = Math.max(...doubts.flatMap((doubt) => doubt.looks.map(({ hour }) => hour)));
  const by = eyes.points > nose.points ? "eyes" : "nose";
  const cleanLooks = looks.filter(
    (look) => look.hour > badH && (by === "nose" ? hasSmell(look) : look.words.some(({ kind }) => kind === "film")),
  ).length;
  return { level: "hold", reasons: [...namedIn(doubts), { code: "hold", cleanLooks, by }] };
}
