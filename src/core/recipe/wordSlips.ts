import { poisonIn } from "../book/plants";
import { readAmount } from "../quantity/typed/amount";
import { toBase } from "../quantity/units";
import type { RecipeDocument } from "./document";
import type { RecipeFlag } from "./recipeFlag";

/** Finer than this a bag clogs and holds fungi back. */
const FINE_MESH_UM = 50;
const NUMBER_WORDS: Readonly<Record<string, number>> = { five: 5, six: 6, ten: 10 };

/** Vessels that a recipe names by their size; one of each kind has one size. */
const VESSEL =
  /(\d+(?:[.,]\d+)?)[\s-]*(gal(?:lon)?s?|l|lit(?:re|er)s?)[\s-]*(bucket|pail|drum|barrel|tote|jar|tank)s?\b/gi;
/** Measures that differ from hand to hand. */
const LOOSE =
  /\b(?:a|one|two|three|\d+)\s+(handful|cup|shovelful|armful|scoop|pinch)s?\s+(?:of\s+)?(?:the\s+)?([a-z]{3,})/gi;
/** A fertiliser by its numbers: nitrogen, phosphorus, potash. */
const NPK = /\bn-?p-?k\b\D{0,12}((?:\d+(?:\.\d+)?\s*[-/:]\s*)*\d+(?:\.\d+)?)?/i;

interface Found {
  readonly index: number;
  readonly said: string;
  readonly value: string;
}

/** Things named alike with two values in one recipe: the first two that differ, by name. */
function twoValues(found: ReadonlyMap<string, readonly Found[]>): { name: string; first: Found; second: Found }[] {
  return [...found].flatMap(([name, all]) => {
    const second = all.find(({ value }) => value !== all[0]!.value);
    return second ? [{ name, first: all[0]!, second }] : [];
  });
}

function collect(
  texts: readonly string[],
  pattern: RegExp,
  read: (match: RegExpMatchArray) => { name: string; said: string; value: string } | null,
): Map<string, Found[]> {
  const found = new Map<string, Found[]>();
  texts.forEach((text, index) => {
    for (const match of text.matchAll(pattern)) {
      const one = read(match);
      if (one) found.set(one.name, [...(found.get(one.name) ?? []), { index, said: one.said, value: one.value }]);
    }
  });
  return found;
}

/** Figures that two steps give differently: a bucket of three gallons and of five, a handful and a cup of one thing. */
function contradictions(texts: readonly string[]): RecipeFlag[] {
  const sizes = collect(texts, VESSEL, ([said, count, unit, vessel]) => {
    const quantity = readAmount(`${count} ${unit}`, "us", [])?.readings[0];
    return quantity ? { name: vessel!.toLowerCase(), said, value: toBase(quantity).value.toFixed(1) } : null;
  });
  const measures = collect(texts, LOOSE, ([said, measure, thing]) => ({
    name: thing!.toLowerCase(),
    said,
    value: measure!.toLowerCase(),
  }));
  return [...twoValues(sizes), ...twoValues(measures)].map(({ first, second }) => ({
    weight: "unconfirmed",
    path: `/steps/${second.index}/text`,
    text: `Here “${second.said}”, in step ${first.index + 1} “${first.said}”. Which is meant?`,
  }));
}

function slipsIn(text: string, path: string): RecipeFlag[] {
  const flags: RecipeFlag[] = [];
  const mesh = /(\d+(?:\.\d+)?|six|five|ten)[\s-]*(?:µm|um|micron)/i.exec(text);
  if (mesh) {
    const micron = NUMBER_WORDS[mesh[1]!.toLowerCase()] ?? Number(mesh[1]);
    if (micron < FINE_MESH_UM)
      flags.push({
        weight: "unconfirmed",
        path,
        text: `A mesh of ${micron} µm clogs and holds fungi back; 400 µm is the usual class.`,
      });
  }
  if (/handful[s]?( of)?( sea)?[\s-]*salt/i.test(text))
    flags.push({ weight: "unconfirmed", path, text: "A handful of salt is three or four times too much: weigh it." });
  const npk = NPK.exec(text);
  if (npk && (npk[1]?.split(/[-/:]/).length ?? 0) !== 3)
    flags.push({
      weight: "unconfirmed",
      path,
      text: "N-P-K is three figures, for nitrogen, phosphorus and potash; here one is left out. Read the bag again.",
    });
  const poison = poisonIn(text);
  // A step that warns of a poisonous plant names it as well.
  if (poison && !/\b(no|never|not|without)\b/i.test(text))
    flags.push({ weight: "refused", path, text: poison.refused! });
  return flags;
}

/** Figures and names hidden in the words of a recipe's steps, and what they say twice and differently. */
export function wordSlips({ steps, note }: RecipeDocument): RecipeFlag[] {
  const texts = steps.map(({ text }) => text);
  return [
    ...texts.flatMap((text, index) => slipsIn(text, `/steps/${index}/text`)),
    ...slipsIn(note, "/note").filter(({ weight }) => weight === "unconfirmed"),
    ...contradictions(texts),
  ];
}
