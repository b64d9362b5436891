import type { CautionId } from "@/core/book/cautions";
import type { LabelFacts } from "@/core/paper/label";
import { sayDilution } from "@/formats/amounts";
import { nameIn } from "@/words/ingredientNames";
import { LABEL_WORDS, type LabelLanguage, type LabelWords } from "./labelLanguage";
import { clockTime, dateIn, type FarmClock } from "@/formats/times";

/** A label's lines in words; dates by the farm's calendar, so that a leap day is a day like another. */
export interface LabelText {
  readonly name: string;
  readonly number: string;
  readonly made: string;
  readonly ready: string;
  readonly contents: string;
  readonly maker: string;
  readonly dilution: string;
  readonly cautions: readonly string[];
  /** Their first sentences, for a small label. */
  readonly shortCautions: readonly string[];
  readonly never: string;
  readonly notToDrink: string;
  /** Its hazards in a word or two each, before all else; each with the caution whose picture stands beside it. */
  readonly hazards: readonly { readonly caution: CautionId; readonly words: string }[];
  readonly rows: LabelWords["rows"];
}

/** First sentence of a caution: what a label has room for. */
const short = (text: string) => text.split(/(?<=[.;])\s/)[0]!.replace(/;$/, ".");

function sayReady(
  { expected, useByMs, byTheHour }: LabelFacts,
  words: LabelWords,
  day: (ms: number) => string,
  hour: (ms: number) => string,
): string {
  if (useByMs !== null) return words.useBy(byTheHour ? `${day(useByMs)}, ${hour(useByMs)}` : day(useByMs));
  if (expected === null || expected.fromMs === null) return words.unknown;
  const from = day(expected.fromMs);
  if (expected.toMs === null) return words.likelyFrom(from);
  return from === day(expected.toMs) ? words.likely(from) : words.likelySpan(from, day(expected.toMs));
}

/** A label in words, in the language that whoever opens the drum reads; its own name stays as the farm has it. */
export function sayLabel(label: LabelFacts, clock: FarmClock, language: LabelLanguage = "en"): LabelText {
  const words = LABEL_WORDS[language];
  const day = (ms: number) => dateIn(new Date(ms), clock, words.locale);
  const hazards = label.cautions.flatMap((caution) => {
    const said = words.hazards[caution];
    return said ? [{ caution, words: said }] : [];
  });
  const cautions = label.cautions.flatMap((caution) => words.cautions[caution] ?? []);
  return {
    name: label.name,
    number: `No. ${label.number}`,
    made: day(label.madeMs),
    ready: sayReady(label, words, day, (ms) => clockTime(new Date(ms), clock)),
    contents: label.contents.map((ingredient) => nameIn(ingredient, language)).join(", "),
    maker: label.maker,
    dilution: label.dilution
      ? `${label.dilution.partsWater === 0 ? words.neat : sayDilution(label.dilution.partsWater)} ${words.uses[label.dilution.use]}`
      : words.notAsItIs,
    cautions,
    shortCautions: cautions.map(short),
    never: words.never,
    notToDrink: words.notToDrink,
    hazards: hazards.filter((one, index) => hazards.findIndex((other) => other.words === one.words) === index),
    rows: words.rows,
  };
}

/** The same for a marker on a lid: no more words than a thumb writes. */
export function markerLines(text: LabelText): readonly string[] {
  return [
    text.notToDrink,
    ...text.hazards.map(({ words }) => words),
    text.name,
    text.number,
    `${text.rows.made} ${text.made}`,
    text.ready,
    text.dilution,
    text.maker,
  ];
}
