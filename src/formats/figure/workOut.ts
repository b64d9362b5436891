import { METHODS } from "@/core/book";
import { DomainError } from "@/core/errors";
import { dilute } from "@/core/quantity/dilute";
import { mlPerLitreOfWater, parseDilution, percentOfMix, type Dilution } from "@/core/quantity/ratio";
import { fromBase, toBase, UNITS, type LocalMeasure, type UnitName } from "@/core/quantity/units";
import { sayDilution, sayMass, sayQuantity, sayVolume } from "../amounts";
import { formatNumber } from "../numbers";
import { measureFigure } from "./looseMeasures";
import { base, unreadable, volumeOf, which, type Figure, type FigureAnswer, type FigureOptions } from "./parts";
import { readAmount, readUnit, type ReadAmount } from "./readAmount";
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
const IN_OTHER_WORDS: Readonly<Record<string, readonly UnitName[]>> = {
  volume: ["L", "mL", "US gal", "imp gal", "US fl oz"],
  mass: ["kg", "g", "lb", "oz"],
  area: ["m2", "ha", "acre", "ft2"],
  length: ["m", "cm", "ft", "in"],
  time: ["min", "h", "d"],
  temperature: ["°C", "°F"],
};

const isGallon = (unit: string) => unit.endsWith("gal");
function needAmount(text: string, { units, measures }: FigureOptions): ReadAmount {
  const amount = readAmount(text, units, measures);
  if (!amount) throw unreadable(text, `This starts with no number. Try ${FIGURE_EXAMPLES[0]}.`);
  if (amount.readings.length === 0) {
    const own = measures.length > 0 ? `, or ${measures.map(({ name }) => name).join(", ")}` : "";
    throw unreadable(
      text,
      amount.rest === ""
        ? "Of what? Add a unit, such as L, gal, kg or ha."
        : `"${amount.rest}" is not a unit. Units are L, mL, gal, fl oz, cup, kg, g, lb, ha, acre, m2, °C, °F${own}.`,
    );
  }
  return amount;
}

/** "16 L at 1:500": how much concentrate, once if that is the whole mix and once if it is the water. */
function mixFigure(
  left: ReadAmount,
  dilution: Dilution,
  ratioText: string,
  { units, measures }: FigureOptions,
): Figure {
  const volumes = volumeOf(left.readings, measures);
  if (volumes.length === 0) throw unreadable(sayQuantity(left.readings[0]!), "A ratio needs a volume before it.");
  const n = dilution.partsWater;
  const answers = volumes.flatMap(({ quantity, amount }): FigureAnswer[] => {
    const said = `${sayQuantity(quantity)}${which(quantity, volumes.length)}`;
    const whole = dilute({ totalL: amount.value, dilution });
    const asTotal: FigureAnswer = {
      label: `concentrate, if ${said} is the whole mix`,
      quantity: { value: whole.concentrateL, unit: "L" },
      text: `${sayVolume(whole.concentrateL, units)} in ${sayVolume(whole.waterL, units, 4)} of water`,
    };
    if (n === 0) return [asTotal];
    const water = dilute({ waterL: amount.value, dilution });
    return [
      asTotal,
      {
        label: `concentrate, if ${said} is the water`,
        quantity: { value: water.concentrateL, unit: "L" },
        text: `${sayVolume(water.concentrateL, units)}, ${sayVolume(water.totalL, units, 4)} in all`,
      },
    ];
  });
  const first = volumes[0]!;
  return {
    answers,
    working: `${ratioText} is 1 part to ${formatNumber(n, 4)} of water: ${sayQuantity(first.quantity)} ÷ ${formatNumber(n + 1, 6)} = ${answers[0]!.text.split(" in ")[0]}`,
    assumed: ["1:N is 1 part concentrate to N parts water"],
  };
}

/** "0.4 ha at 120 L/ha". */
function rateFigure(left: ReadAmount, rateText: string, options: FigureOptions): Figure | null {
  const match = /^(.+?)\s*(?:\/|\bper\b)\s*(.+)$/.exec(rateText);
  const rate = match ? readAmount(match[1]!, options.units, options.measures) : null;
  const per = match ? readUnit(match[2]!, options.units, options.measures)[0] : undefined;
  if (!match || !rate || rate.readings.length === 0 || !per) return null;
  const area = base(left.readings[0]!, options.measures);
  const perArea = toBase({ value: 1, unit: per }, options.measures);
  if (area.dimension !== perArea.dimension)
    throw unreadable(rateText, `${sayQuantity(left.readings[0]!)} and "per ${match[2]}" measure different things.`);
  const times = area.value / perArea.value;
  const answers = rate.readings.map((quantity): FigureAnswer => {
    const each = base(quantity, options.measures);
    const value = each.value * times;
    return {
      label: `in all${which(quantity, rate.readings.length)}`,
      quantity: { value, unit: each.dimension === "mass" ? "kg" : "L" },
      text: each.dimension === "mass" ? sayMass(value, options.units) : sayVolume(value, options.units, 4),
    };
  });
  return {
    answers,
    working: `${formatNumber(times, 4)} ${per} × ${sayQuantity(rate.readings[0]!)} = ${answers[0]!.text}`,
    assumed: [],
  };
}

/** "12 fl oz in 3 gal": the dose in every way of saying it. */
function doseFigure(left: ReadAmount, right: ReadAmount, { measures }: FigureOptions): Figure {
  const doses = volumeOf(left.readings, measures);
  const waters = volumeOf(right.readings, measures);
  if (doses.length === 0 || waters.length === 0)
    throw unreadable(
      `${sayQuantity(left.readings[0]!)} in ${sayQuantity(right.readings[0]!)}`,
      "Both must be volumes.",
    );
  const dose = doses[0]!;
  // A fluid ounce in US measure goes with the US gallon; both are worked out where the word alone does not tell.
  const answers = waters.flatMap(({ quantity, amount }): FigureAnswer[] => {
    const dilution = { partsWater: amount.value / dose.amount.value };
    const say = which(quantity, waters.length);
    return [
      {
        label: `to a litre of water${say}`,
        quantity: { value: mlPerLitreOfWater(dilution), unit: "mL" },
        text: `${formatNumber(mlPerLitreOfWater(dilution))} mL/L`,
      },
      { label: `ratio${say}`, quantity: null, text: sayDilution(dilution.partsWater) },
      { label: `share of the mix${say}`, quantity: null, text: `${formatNumber(percentOfMix(dilution))} %` },
    ];
  });
  const water = waters[0]!;
  return {
    answers,
    working: `${sayQuantity(water.quantity)} ÷ ${sayQuantity(dose.quantity)} = ${formatNumber(water.amount.value / dose.amount.value, 4)} parts of water to 1`,
    assumed:
      waters.some(({ quantity }) => isGallon(quantity.unit)) && waters.length > 1
        ? ["both gallons, since the word alone does not tell"]
        : [],
  };
}

/** An amount alone, or "5 gal in L": the same in other units. */
function convertFigure(left: ReadAmount, to: readonly string[] | null, { measures }: FigureOptions): Figure {
  const answers = left.readings.flatMap((quantity): FigureAnswer[] => {
    const amount = base(quantity, measures);
    const units = to ?? (IN_OTHER_WORDS[amount.dimension] ?? []).filter((unit) => unit !== quantity.unit);
    return units.map((unit) => {
      const found = fromBase(amount, unit, measures, "/text");
      return { label: `${sayQuantity(quantity)} is`, quantity: found, text: sayQuantity(found) };
    });
  });
  return {
    answers,
    working: `${sayQuantity(left.readings[0]!)} = ${answers[0]?.text ?? "itself"}`,
    assumed:
      left.readings.length > 1
        ? [`"${left.readings[0]!.unit}" and "${left.readings[1]!.unit}" go by the same word`]
        : [],
  };
}

/** "1:500" alone. */
function ratioFigure(dilution: Dilution, text: string): Figure {
  const n = dilution.partsWater;
  if (n === 0)
    return {
      answers: [{ label: "neat", quantity: null, text: "undiluted" }],
      working: "neat has no water",
      assumed: [],
    };
  return {
    answers: [
      { label: "ratio", quantity: null, text: sayDilution(n) },
      {
        label: "to a litre of water",
        quantity: { value: 1000 / n, unit: "mL" },
        text: `${formatNumber(1000 / n)} mL/L`,
      },
      {
        label: "to a US gallon of water",
        quantity: { value: 128 / n, unit: "US fl oz" },
        text: `${formatNumber(128 / n)} US fl oz/US gal`,
      },
      { label: "share of the mix", quantity: null, text: `${formatNumber(percentOfMix(dilution))} %` },
    ],
    working: `${text}: 1000 mL ÷ ${formatNumber(n, 5)} = ${formatNumber(1000 / n)} mL to the litre`,
    assumed: ["1:N is 1 part concentrate to N parts water"],
  };
}

function tryDilution(text: string, measures: readonly LocalMeasure[]): Dilution | null {
  // Growers write "2 ml/l"; the core's units are written as the book writes them.
  const tidy = text
    .replace(/\bml\b/gi, "mL")
    .replace(/\bl\b/g, "L")
    .replace(/\bfl oz\b/gi, "US fl oz")
    .replace(/US US/g, "US")
    .replace(/\/\s*gal\b/gi, "/US gal");
  try {
    return parseDilution(tidy, measures, "/text");
  } catch (error) {
    if (
      error instanceof DomainError &&
      (error.code === "ratio-without-water" || error.code === "ratio-too-strong-to-be-a-mix")
    )
      throw error;
    return null;
  }
}

/**
 * Works out a figure as a person types it: a mix, a dose, a rate over an area, a recipe for a vessel, a conversion, a ratio alone.
 * Where a word may mean two things both are answered.
 * @throws {DomainError} `figure-unreadable` with a hint, and the refusals of what it asks for
 */
export function workOutFigure(text: string, options: FigureOptions): Figure {
  const tidy = text
    .replace(/\s+/g, " ")
    .trim()
    .replace(/^an? (?=[a-z])/i, "1 ");
  if (tidy === "") throw unreadable("", `Type a figure, such as ${FIGURE_EXAMPLES.slice(0, 3).join(", or ")}.`);
  const alone = tryDilution(tidy, options.measures);
  if (alone) return ratioFigure(alone, tidy);
  const at = /^(.+?)\s+(?:at|@)\s+(.+)$/i.exec(tidy);
  if (at) return atFigure(needAmount(at[1]!, options), at[2]!, options);
  const inside = /^(.+?)\s+(?:in|into|to|as)\s+(.+)$/i.exec(tidy);
  if (inside) return insideFigure(needAmount(inside[1]!, options), inside[2]!, options);
  const amount = readAmount(tidy, options.units, options.measures);
  const loose = amount && amount.readings.length === 0 && amount.rest !== "" ? measureFigure(amount, options) : null;
  if (loose) return loose;
  if (amount && amount.rest !== "" && amount.readings.length > 0) {
    const named = methodsNamed(amount.rest);
    if (named.length === 1) return recipeFigure(amount, named[0]!, options);
    if (named.length > 1)
      throw unreadable(
        tidy,
        `“${amount.rest}” may be ${named.map(({ name, lookAlike }) => `${name.toLowerCase()} (${lookAlike.sugar}; ${lookAlike.time})`).join(", or ")}. Say which: they are not the same.`,
      );
    throw unreadable(
      tidy,
      `"${amount.rest}" is no method in the book. It has ${METHODS.map(({ name }) => name.toLowerCase()).join(", ")}.`,
    );
  }
  return convertFigure(needAmount(tidy, options), null, options);
}

function atFigure(left: ReadAmount, right: string, options: FigureOptions): Figure {
  const dilution = tryDilution(right, options.measures);
  if (dilution) return mixFigure(left, dilution, right, options);
  const rate = rateFigure(left, right, options);
  if (rate) return rate;
  throw unreadable(right, "After “at” comes a ratio (1:500, 2 mL/L, 0.2 %) or a rate (120 L/ha).");
}

function insideFigure(left: ReadAmount, right: string, options: FigureOptions): Figure {
  const unit = readUnit(right, options.units, options.measures);
  if (unit.length > 0)
    return convertFigure(left, unit.some((name) => Object.hasOwn(UNITS, name)) ? unit.slice(0, 2) : unit, options);
  return doseFigure(left, needAmount(right, options), options);
}
