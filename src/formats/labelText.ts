import { CAUTIONS } from "@/core/book/cautions";
import { HAZARD_WORDS, type LabelFacts } from "@/core/paper/label";
import { sayDilution } from "./amounts";
import { fullDate, type FarmClock } from "./times";

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
  /** Its hazards in a word or two each, before all else. */
  readonly hazards: readonly string[];
}

/** First sentence of a caution: what a label has room for. */
const short = (text: string) => text.split(/(?<=[.;])\s/)[0]!.replace(/;$/, ".");

export function sayLabel(label: LabelFacts, clock: FarmClock): LabelText {
  const day = (ms: number) => fullDate(new Date(ms), clock);
  const { expected, useByMs } = label;
  const ready =
    useByMs !== null
      ? `use by ${day(useByMs)}`
      : expected === null || expected.fromMs === null
        ? "not to be told yet: look and smell"
        : expected.toMs === null
          ? `likely from ${day(expected.fromMs)}`
          : day(expected.fromMs) === day(expected.toMs)
            ? `likely ${day(expected.fromMs)}`
            : `likely ${day(expected.fromMs)} to ${day(expected.toMs)}`;
  return {
    name: label.name,
    number: `No. ${label.number}`,
    made: day(label.madeMs),
    ready,
    contents: label.contents.join(", ").toLowerCase(),
    maker: label.maker,
    dilution: label.dilution
      ? `${sayDilution(label.dilution.partsWater)} ${label.dilution.use.toLowerCase()}`
      : "not put on as it is",
    cautions: label.cautions.map((caution) => CAUTIONS[caution]),
    shortCautions: label.cautions.map((caution) => short(CAUTIONS[caution])),
    never: "NOT TO DRINK. Not for skin. Keep from children and animals.",
    hazards: [...new Set(label.cautions.flatMap((caution) => HAZARD_WORDS[caution] ?? []))],
  };
}

/** The same for a marker on a lid: no more words than a thumb writes. */
export function markerLines(text: LabelText): readonly string[] {
  return [
    "NOT TO DRINK",
    ...text.hazards,
    text.name,
    text.number,
    `made ${text.made}`,
    text.ready,
    text.dilution,
    text.maker,
  ];
}
