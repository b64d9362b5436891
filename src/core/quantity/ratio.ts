import { DomainError } from "../errors";
import { readAmount } from "./typed/amount";
import { readNumber, splitNumber } from "./typed/number";
import type { UnitSystem } from "./typed/unitWords";
import { toBase, type LocalMeasure } from "./units";

/**
 * A dilution: parts of water to one part of concentrate, by volume.
 * Ruchka's one convention: 1:N is 1 part concentrate to N parts water, so the mix is N + 1 parts. Neat is N = 0.
 */
export interface Dilution {
  readonly partsWater: number;
}

/** Nobody mixes a concentrate with a fifth of its water: "500:1" is likelier the other way round, and is asked about. */
const TURNED_ROUND = 5;

interface Reading {
  readonly units: UnitSystem;
  readonly measures: readonly LocalMeasure[];
  readonly path: string;
}

const unreadableRatio = (text: string, path: string) => new DomainError("ratio-unreadable", { text }, path);

/** Every pair of readings of two numbers. */
const pairs = (one: string, other: string): (readonly [number, number])[] =>
  readNumber(one).flatMap((a) => readNumber(other).map((b) => [a, b] as const));

function partsReadings(one: string, other: string, text: string, path: string): Dilution[] {
  return pairs(one, other).flatMap(([concentrate, water]) => {
    if (water === 0) throw new DomainError("ratio-without-water", { text }, path);
    if (!(concentrate > 0) || !(water > 0)) throw unreadableRatio(text, path);
    const asWritten = { partsWater: water / concentrate };
    return concentrate >= TURNED_ROUND && concentrate / water >= TURNED_ROUND
      ? [asWritten, { partsWater: concentrate / water }]
      : [asWritten];
  });
}

/** One part in so many of the whole mix: "1 in 500", "1/500". */
function shareReadings(one: string, other: string, text: string, path: string): Dilution[] {
  return pairs(one, other).map(([part, whole]) => {
    if (!(part > 0) || !(whole > 0)) throw unreadableRatio(text, path);
    if (part >= whole) throw new DomainError("ratio-too-strong-to-be-a-mix", { text }, path);
    return { partsWater: whole / part - 1 };
  });
}

function percentReadings(number: string, text: string, path: string): Dilution[] {
  return readNumber(number).map((percent) => {
    if (!(percent > 0)) throw unreadableRatio(text, path);
    if (percent >= 100) throw new DomainError("ratio-too-strong-to-be-a-mix", { text }, path);
    return { partsWater: 100 / percent - 1 };
  });
}

/** Litres that an amount of a dose may be; an ounce in a dose is a fluid one. */
function volumesOf(text: string, { units, measures, path }: Reading, whole: string): number[] {
  const amount = readAmount(/^[\d.,½¼¾⅓⅔⅛+-]/u.test(text) ? text : `1 ${text}`, units, measures);
  if (!amount || amount.rest.replace(/^of water$/i, "") !== "") {
    const rest = amount?.rest ?? text;
    throw amount && amount.readings.length === 0
      ? new DomainError("unknown-unit", { unit: rest }, path)
      : unreadableRatio(whole, path);
  }
  const litres = amount.readings.flatMap((reading) => {
    const { dimension, value } = toBase(reading, measures, path);
    return dimension === "volume" ? [value] : [];
  });
  if (litres.length === 0)
    throw new DomainError(
      "dimension-mismatch",
      { from: `"${whole}"`, to: "a dilution, which needs two volumes" },
      path,
    );
  return amount.orValue === null
    ? litres
    : [...litres, ...litres.map((litre) => (litre / amount.value) * amount.orValue!)];
}

/** A gallon that may be either goes with the other's own: 1 oz to a gallon is of the same system, so the first readings count. */
function doseReadings(dose: string, per: string, text: string, reading: Reading): Dilution[] {
  const doses = volumesOf(dose, reading, text);
  // A US ounce goes with the US gallon.
  const waters = volumesOf(
    /\bfl\.? ?oz|\boz\b|ounce|\bus\b/i.test(dose) ? per.replace(/(?<!us |imp )\b(gals?|gallons?)\b/i, "US gal") : per,
    reading,
    text,
  );
  return doses.flatMap((doseL) =>
    waters.map((waterL) => {
      if (!(doseL > 0) || !(waterL > 0)) throw unreadableRatio(text, reading.path);
      return { partsWater: waterL / doseL };
    }),
  );
}

const distinct = (dilutions: readonly Dilution[]): Dilution[] =>
  dilutions.filter(
    ({ partsWater }, index) =>
      dilutions.findIndex((other) => Math.abs(other.partsWater - partsWater) <= 1e-9 * partsWater) === index,
  );

/**
 * The dilutions that a text may mean, in any notation that growers use: parts ("1:500", "2:1"), a part of the whole ("1 in 500", "1/500"), a dose in
 * water ("2 mL/L", "1 oz per gal", "30ml per 4 L", with the farm's measures too), a share of the mix ("0.2 %"), "neat". More than one where a
 * mark, a gallon or the order leaves a choice; the likeliest first.
 * @throws {DomainError} `ratio-unreadable`, `ratio-without-water`, `ratio-too-strong-to-be-a-mix`, `dimension-mismatch`, `unknown-unit`
 * @example readDilutions("1:1,000"); // 1:1 and 1:1000
 */
export function readDilutions(
  text: string,
  measures: readonly LocalMeasure[] = [],
  path = "/ratio",
  units: UnitSystem = "metric",
): readonly Dilution[] {
  const tidy = text.trim().replace(/\s+/gu, " ");
  const reading: Reading = { units, measures, path };
  if (/^(neat|undiluted|straight)$/i.test(tidy)) return [{ partsWater: 0 }];
  const parts =
    /^([^:]+):([^:]+)$/u.exec(tidy) ?? /^(.+?)(?: parts?)? to ([^a-z]+)(?: parts?(?: of)?(?: water)?)?$/iu.exec(tidy);
  if (parts && readNumber(parts[1]!).length > 0 && readNumber(parts[2]!).length > 0)
    return distinct(partsReadings(parts[1]!, parts[2]!, text, path));
  if (parts && tidy.includes(":")) throw unreadableRatio(text, path);
  const share = /^(\S+) in (\S.*)$/iu.exec(tidy) ?? /^(\d+) ?\/ ?(\d[\d.,\s]*)$/u.exec(tidy);
  if (share && readNumber(share[1]!).length > 0 && readNumber(share[2]!).length > 0)
    return distinct(shareReadings(share[1]!, share[2]!, text, path));
  const percent = /^(.+?) ?(?:%|percent|per cent)$/iu.exec(tidy);
  if (percent && readNumber(percent[1]!).length > 0) return distinct(percentReadings(percent[1]!, text, path));
  const dose = /^(.+?) ?(?:(?<!\d)\/|\bper\b|\bto each\b) ?(.+)$/iu.exec(tidy);
  if (dose && splitNumber(dose[1]!)) return distinct(doseReadings(dose[1]!, dose[2]!, text, reading));
  throw unreadableRatio(text, path);
}

/**
 * The one dilution that a text means. @throws {DomainError} as `readDilutions`, and `ratio-ambiguous` where it may mean several
 * @example parseDilution("2 mL/L").partsWater; // 500
 */
export function parseDilution(
  text: string,
  measures: readonly LocalMeasure[] = [],
  path = "/ratio",
  units: UnitSystem = "metric",
): Dilution {
  const [first, ...others] = readDilutions(text, measures, path, units);
  if (!first) throw unreadableRatio(text, path);
  if (others.length > 0)
    throw new DomainError(
      "ratio-ambiguous",
      { text, partsWater: [first, ...others].map(({ partsWater }) => partsWater) },
      path,
    );
  return first;
}

/**
 * Reads a recipe's parts in the method's order.
 * @returns at least two non-negative numbers, as written
 * @throws {DomainError} `ratio-unreadable`
 * @example parseParts("1:1:1:100"); // [1, 1, 1, 100]
 */
export function parseParts(text: string, path = "/ratio"): number[] {
  const parts = text.split(":").map((part) => part.trim());
  const values = parts.map(readNumber);
  if (parts.length < 2 || values.some((readings) => readings.length !== 1 || !(readings[0]! >= 0)))
    throw unreadableRatio(text, path);
  return values.map(([value]) => value!);
}

/** mL of concentrate to each litre of water; Infinity for neat. */
export const mlPerLitreOfWater = ({ partsWater }: Dilution): number => 1000 / partsWater;

/** Concentrate as a share of the whole mix, % by volume. */
export const percentOfMix = ({ partsWater }: Dilution): number => 100 / (1 + partsWater);
