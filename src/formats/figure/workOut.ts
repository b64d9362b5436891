import { METHODS } from "@/core/book";
import { readAmount, type ReadAmount } from "@/core/quantity/typed/amount";
import { readUnit } from "@/core/quantity/typed/unitWords";
import { toBase } from "@/core/quantity/units";
import { sayQuantity, sayVolume } from "../amounts";
import { formatNumber } from "../numbers";
import { convertFigure, rateFigure, sameKind } from "./amountFigure";
import { doseFigure, mixFigure, ratioFigure, tryDilutions } from "./dilutionFigure";
import { perLitreFigure, servesFigure } from "./ingredientFigure";
import { measureFigure } from "./looseMeasures";
import { base, doubtOf, everyReading, unreadable, volumeOf, which, type Figure, type FigureOptions } from "./parts";
import { methodsNamed, recipeFigure } from "./recipeFigure";

export const FIGURE_EXAMPLES = [
  "16 L at 1:500",
  "12 fl oz in 3 gal",
  "200 L cultured extract",
  "0.4 ha at 120 L/ha",
  "90 F",
  "5 gal in L",
  "7 pails",
  "2 handfuls of leaf mould",
] as const;

/** What may stand behind an amount without saying anything more of it. */
const FILLER = /^(?:of )?(?:the |a )?(?:water|mix|the mix|liquid|can|cans|knapsack|drum|tank|in all|total)$/i;

function needAmount(text: string, { units, measures }: FigureOptions): ReadAmount {
  const amount = readAmount(text, units, measures);
  if (!amount) throw unreadable(text, { code: "no-number" });
  if (amount.readings.length === 0) {
    const own = measures.map(({ name }) => name);
    throw unreadable(
      text,
      amount.rest === ""
        ? { code: "no-unit", measures: own }
        : { code: "not-a-unit", word: amount.rest, measures: own },
    );
  }
  return amount;
}

/** An amount with nothing left over behind it that would be dropped. */
function wholeAmount(text: string, options: FigureOptions, mayName = false): ReadAmount {
  const amount = needAmount(text, options);
  const rest = amount.rest.replace(/^of /i, "");
  if (amount.rest === "" || FILLER.test(amount.rest)) return amount;
  if (mayName && methodsNamed(rest).length > 0) return amount;
  throw unreadable(text, { code: "left-over", rest: amount.rest, read: amount.readings[0]! });
}

/**
 * Works out a figure as a person types it: a mix, a dose, a rate over an area, a recipe for a vessel, a conversion, a ratio alone.
 * Where a word or a mark may mean two things both are answered; nothing that was typed is dropped.
 * @throws {DomainError} `figure-unreadable` with a hint, and the refusals of what it asks for
 */
export function workOutFigure(text: string, options: FigureOptions): Figure {
  const tidy = text
    .replace(/[ \t\n]+/g, " ")
    .trim()
    .replace(/^an? (?=[a-z])/i, "1 ");
  if (tidy === "") throw unreadable("", { code: "nothing-typed" });
  const perLitre = perLitreFigure(tidy, options);
  if (perLitre) return perLitre;
  const alone = tryDilutions(tidy, options);
  if (alone.length > 0) return ratioFigure(alone, tidy);
  // "2 tbsp per gal in 40 gal" is the strength first, and what it is for behind the last "in".
  const turned = /^(.+)\s+(?:in|into|for|on)\s+(?:an? |the )?(.+)$/i.exec(tidy);
  const strength = turned ? tryDilutions(turned[1]!, options) : [];
  if (turned && strength.length > 0)
    return mixFigure(wholeAmount(turned[2]!, options, true), strength, turned[1]!, options);
  const at = /^(.+?)\s+(?:at|@)\s+(.+)$/i.exec(tidy);
  if (at) return atFigure(wholeAmount(at[1]!, options, true), at[2]!, options);
  const inside = /^(.+?)\s+(?:in|into|to|as|per)\s+(.+)$/i.exec(tidy);
  if (inside) {
    const parts = partsFigure(inside[1]!, inside[2]!, options);
    return parts ?? insideFigure(wholeAmount(inside[1]!, options, true), inside[2]!, options);
  }
  const amount = readAmount(tidy, options.units, options.measures);
  const loose = amount && amount.readings.length === 0 && amount.rest !== "" ? measureFigure(amount, options) : null;
  if (loose) return loose;
  if (amount && amount.rest !== "" && amount.readings.length > 0 && !FILLER.test(amount.rest))
    return namedFigure(amount, tidy, options);
  return convertFigure(needAmount(tidy, options), null, options);
}

/** "200 L cultured extract": the recipe, or what was not understood. */
function namedFigure(amount: ReadAmount, text: string, options: FigureOptions): Figure {
  const name = amount.rest.replace(/^of /i, "");
  // What is weighed in the hand is the ingredient; a drum of it is asked for by volume.
  const isMass = amount.readings.every((quantity) => base(quantity, options.measures).dimension === "mass");
  const serves = isMass ? servesFigure(amount, name, options) : null;
  if (serves) return serves;
  const named = methodsNamed(name);
  if (named.length === 1) return recipeFigure(amount, named[0]!, options);
  if (named.length > 1)
    throw unreadable(text, {
      code: "which-method",
      name,
      methods: named.map(({ name: method, lookAlike: { sugar, time } }) => ({ name: method, sugar, time })),
    });
  throw unreadable(text, { code: "unknown-name", name, nearest: nearest(name), read: amount.readings[0]! });
}

/** A method of the book whose name starts alike, so that a slip of the key is put right. */
function nearest(name: string): string | null {
  const start = name.trim().toLowerCase().slice(0, 3);
  const like =
    start.length < 3
      ? undefined
      : METHODS.find(({ name: method }) =>
          method
            .toLowerCase()
            .split(/\W/)
            .some((word) => word.startsWith(start)),
        );
  return like?.name ?? null;
}

/** "1:1:1:100 in 5 gal": each part of a recipe's ratio for that much in all. */
function partsFigure(left: string, right: string, options: FigureOptions): Figure | null {
  const parts = /^[\d.,: ]+$/.test(left) ? left.split(":").map(Number) : [];
  if (parts.length < 3 || parts.some((part) => !(part >= 0))) return null;
  const whole = parts.reduce((sum, part) => sum + part, 0);
  const amount = wholeAmount(right, options, true);
  const volumes = volumeOf(everyReading(amount), options.measures);
  if (volumes.length === 0 || whole === 0) throw unreadable(right, { code: "parts-without-volume" });
  return {
    answers: volumes.flatMap(({ quantity, amount: { value } }) =>
      parts.map((part, index) => ({
        label: `part ${index + 1} (${part})${which(quantity, volumes.length)}`,
        quantity: { value: (value * part) / whole, unit: "L" },
        text: sayVolume((value * part) / whole, options.units),
      })),
    ),
    working: `${sayQuantity(volumes[0]!.quantity)} ÷ ${formatNumber(whole, 6)} parts = ${sayVolume(volumes[0]!.amount.value / whole, options.units)} a part`,
    assumed: [`${sayQuantity(volumes[0]!.quantity)} is all of it together`, ...doubtOf(amount)],
  };
}

function atFigure(left: ReadAmount, right: string, options: FigureOptions): Figure {
  const rate = rateFigure(left, right, options);
  if (rate && toBase(left.readings[0]!, options.measures).dimension === "area") return rate;
  const dilutions = tryDilutions(right, options);
  if (dilutions.length > 0) return mixFigure(left, dilutions, right, options);
  if (rate) return rate;
  throw unreadable(right, { code: "ratio-after-at" });
}

function insideFigure(left: ReadAmount, right: string, options: FigureOptions): Figure {
  const unit = readUnit(right, options.units, options.measures);
  if (unit.length > 0) {
    // "5 gal in c": of what a word may mean, what measures the same.
    const same = unit.filter((name) => left.readings.some((quantity) => sameKind(quantity, [name], options.measures)));
    return convertFigure(left, same.length > 0 ? same : unit.slice(0, 1), options);
  }
  return doseFigure(left, wholeAmount(right, options), options);
}
