import { readAmount, type ReadAmount } from "@/core/quantity/typed/amount";
import { readUnit } from "@/core/quantity/typed/unitWords";
import { fromBase, toBase, type Quantity, type UnitName } from "@/core/quantity/units";
import { sayMass, sayQuantity, sayVolume } from "../amounts";
import { formatNumber } from "../numbers";
import {
  base,
  doubtOf,
  everyReading,
  unreadable,
  which,
  type Figure,
  type FigureAnswer,
  type FigureOptions,
} from "./parts";

const IN_OTHER_WORDS: Readonly<Record<string, readonly UnitName[]>> = {
  volume: ["L", "mL", "US gal", "imp gal", "US fl oz"],
  mass: ["kg", "g", "lb", "oz"],
  area: ["m2", "ha", "acre", "ft2"],
  length: ["m", "cm", "ft", "in"],
  time: ["min", "h", "d"],
  temperature: ["°C", "°F"],
};

/** "0.4 ha at 120 L/ha". */
export function rateFigure(left: ReadAmount, rateText: string, options: FigureOptions): Figure | null {
  const match = /^(.+?)\s*(?:\/|\bper\b|\ban?\b)\s*(.+)$/i.exec(rateText);
  const rate = match ? readAmount(match[1]!, options.units, options.measures) : null;
  const per = match ? perUnit(match[2]!, options) : null;
  if (!match || !rate || rate.readings.length === 0 || rate.rest !== "" || per === null) return null;
  const area = base(left.readings[0]!, options.measures);
  if (area.dimension !== per.dimension)
    throw unreadable(rateText, { code: "differs-in-kind", read: left.readings[0]!, per: match[2]! });
  const areas = everyReading(left).map((quantity) => base(quantity, options.measures));
  const rates = everyReading(rate).filter(({ unit }) =>
    ["volume", "mass"].includes(toBase({ value: 1, unit }, options.measures).dimension),
  );
  const answers = areas.flatMap(({ value: areaM2 }) =>
    rates.map((quantity): FigureAnswer => {
      const each = base(quantity, options.measures);
      const value = (each.value * areaM2) / per.value;
      return {
        label: `in all${which(quantity, rate.readings.length)}`,
        quantity: { value, unit: each.dimension === "mass" ? "kg" : "L" },
        text: each.dimension === "mass" ? sayMass(value, options.units) : sayVolume(value, options.units, 4),
      };
    }),
  );
  if (answers.length === 0) return null;
  return {
    answers,
    working: `${formatNumber(area.value / per.value, 4)} × ${sayQuantity(rate.readings[0]!)} = ${answers[0]!.text}`,
    assumed: doubtOf(left, rate),
  };
}

/** What a rate is per: a unit alone ("ha"), or so many of it ("10 ft2"). */
function perUnit(text: string, { units, measures }: FigureOptions) {
  const [unit] = readUnit(text, units, measures);
  if (unit) return toBase({ value: 1, unit }, measures);
  const amount = readAmount(text, units, measures);
  return amount && amount.rest === "" && amount.readings[0] && amount.orValue === null
    ? toBase(amount.readings[0], measures)
    : null;
}

/** An amount alone, or "5 gal in L": the same in other units. */
export function convertFigure(left: ReadAmount, to: readonly string[] | null, { measures }: FigureOptions): Figure {
  const readings = everyReading(left);
  const fitting = to ? readings.filter((quantity) => sameKind(quantity, to, measures)) : readings;
  const answers = (fitting.length > 0 ? fitting : readings.slice(0, 1)).flatMap((quantity): FigureAnswer[] => {
    const amount = base(quantity, measures);
    const units = to ?? (IN_OTHER_WORDS[amount.dimension] ?? []).filter((unit) => unit !== quantity.unit);
    return units.map((unit) => {
      const found = fromBase(amount, unit, measures, "/text");
      return { label: `${sayQuantity(quantity)} is`, quantity: found, text: sayQuantity(found) };
    });
  });
  return {
    answers,
    working: `${sayQuantity((fitting[0] ?? left.readings[0])!)} = ${answers[0]?.text ?? "itself"}`,
    assumed: [
      ...(left.readings.length > 1
        ? [`"${left.readings[0]!.unit}" and "${left.readings[1]!.unit}" go by the same word`]
        : []),
      ...doubtOf(left),
    ],
  };
}
/** Whether an amount measures the same kind of thing as one of the units. */
export const sameKind = (quantity: Quantity, to: readonly string[], measures: FigureOptions["measures"]) =>
  to.some(
    (unit) => toBase({ value: 1, unit }, measures).dimension === toBase({ ...quantity, value: 1 }, measures).dimension,
  );
