import { METHODS } from "@/core/book";
import { DomainError } from "@/core/errors";
import { dilute } from "@/core/quantity/dilute";
import { mlPerLitreOfWater, percentOfMix, readDilutions, type Dilution } from "@/core/quantity/ratio";
import { readAmount, type ReadAmount } from "@/core/quantity/typed/amount";
import { readUnit } from "@/core/quantity/typed/unitWords";
import { fromBase, toBase, type Quantity, type UnitName } from "@/core/quantity/units";
import { sayDilution, sayMass, sayQuantity, sayVolume } from "../amounts";
import { formatNumber } from "../numbers";
import { perLitreFigure, servesFigure } from "./ingredientFigure";
import { measureFigure } from "./looseMeasures";
import { base, unreadable, volumeOf, which, type Figure, type FigureAnswer, type FigureOptions } from "./parts";
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

/** What may stand behind an amount without saying anything more of it. */
const FILLER = /^(?:of )?(?:the |a )?(?:water|mix|the mix|liquid|can|cans|knapsack|drum|tank|in all|total)$/i;

/** Every reading of the number as well as of its unit. */
const everyReading = ({ readings, value, orValue }: ReadAmount): readonly Quantity[] =>
  orValue === null
    ? readings
    : readings.flatMap((reading) => [reading, { value: (reading.value / value) * orValue, unit: reading.unit }]);

/** Says which number was meant where its mark left a choice. */
const doubtOf = (...amounts: readonly ReadAmount[]): string[] =>
  amounts.flatMap(({ orValue, value, typedNumber }) =>
    orValue === null
      ? []
      : [`${typedNumber} may be ${formatNumber(orValue, 9)} or ${formatNumber(value, 9)}: both are answered`],
  );

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

/** An amount with nothing left over behind it that would be dropped. */
function wholeAmount(text: string, options: FigureOptions, mayName = false): ReadAmount {
  const amount = needAmount(text, options);
  const rest = amount.rest.replace(/^of /i, "");
  if (amount.rest === "" || FILLER.test(amount.rest)) return amount;
  if (mayName && methodsNamed(rest).length > 0) return amount;
  throw unreadable(
    text,
    `"${amount.rest}" is left over: ${sayQuantity(amount.readings[0]!)} was read before it. Take it out, or say it otherwise.`,
  );
}

/** "16 L at 1:500": how much concentrate, once if that is the whole mix and once if it is the water. */
function mixFigure(
  left: ReadAmount,
  dilutions: readonly Dilution[],
  ratioText: string,
  options: FigureOptions,
): Figure {
  const { units, measures } = options;
  const volumes = volumeOf(everyReading(left), measures);
  if (volumes.length === 0) throw unreadable(sayQuantity(left.readings[0]!), "A ratio needs a volume before it.");
  const isWater = /\bwater\b/i.test(left.rest);
  const answers = dilutions.flatMap((dilution) =>
    volumes.flatMap(({ quantity, amount }): FigureAnswer[] => {
      const said = `${sayQuantity(quantity)}${which(quantity, left.readings.length)}`;
      const strength = dilutions.length > 1 ? `at ${sayDilution(dilution.partsWater)}, ` : "";
      const whole = dilute({ totalL: amount.value, dilution });
      const asTotal: FigureAnswer = {
        label: `${strength}concentrate, if ${said} is the whole mix`,
        quantity: { value: whole.concentrateL, unit: "L" },
        text: `${sayVolume(whole.concentrateL, units)} in ${sayVolume(whole.waterL, units, 4)} of water`,
      };
      if (dilution.partsWater === 0) return [asTotal];
      const water = dilute({ waterL: amount.value, dilution });
      const asWater: FigureAnswer = {
        label: `${strength}concentrate, if ${said} is the water`,
        quantity: { value: water.concentrateL, unit: "L" },
        text: `${sayVolume(water.concentrateL, units)}, ${sayVolume(water.totalL, units, 4)} in all`,
      };
      return isWater ? [asWater] : [asTotal, asWater];
    }),
  );
  const [first] = volumes;
  const n = dilutions[0]!.partsWater;
  const parts = isWater ? n : n + 1;
  return {
    answers,
    working: `${ratioText} is 1 part to ${formatNumber(n, 4)} of water: ${sayQuantity(first!.quantity)} ÷ ${formatNumber(parts, 6)} = ${answers[0]!.text.split(isWater ? "," : " in ")[0]}`,
    assumed: [...meantBy(ratioText, dilutions), ...doubtOf(left)],
  };
}

/** What a ratio was taken to mean. */
function meantBy(text: string, dilutions: readonly Dilution[]): string[] {
  if (dilutions.length > 1)
    return [
      `${text.trim()} may be ${dilutions.map(({ partsWater }) => sayDilution(partsWater)).join(" or ")}: both are answered`,
    ];
  return /^\S+ in \S|^\d+ ?\/ ?\d+$/i.test(text.trim())
    ? ["1 in N is one part of N parts in all"]
    : ["1:N is 1 part concentrate to N parts water"];
}

/** "0.4 ha at 120 L/ha". */
function rateFigure(left: ReadAmount, rateText: string, options: FigureOptions): Figure | null {
  const match = /^(.+?)\s*(?:\/|\bper\b|\ban?\b)\s*(.+)$/i.exec(rateText);
  const rate = match ? readAmount(match[1]!, options.units, options.measures) : null;
  const per = match ? perUnit(match[2]!, options) : null;
  if (!match || !rate || rate.readings.length === 0 || rate.rest !== "" || per === null) return null;
  const area = base(left.readings[0]!, options.measures);
  if (area.dimension !== per.dimension)
    throw unreadable(rateText, `${sayQuantity(left.readings[0]!)} and "per ${match[2]}" measure different things.`);
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

/** "12 fl oz in 3 gal": the dose in every way of saying it. */
function doseFigure(left: ReadAmount, right: ReadAmount, { measures }: FigureOptions): Figure {
  const doses = volumeOf(everyReading(left), measures);
  const waters = volumeOf(everyReading(right), measures);
  if (doses.length === 0 || waters.length === 0)
    throw unreadable(
      `${sayQuantity(left.readings[0]!)} in ${sayQuantity(right.readings[0]!)}`,
      "Both must be volumes.",
    );
  const answers = doses.flatMap((dose) =>
    waters.flatMap(({ quantity, amount }): FigureAnswer[] => {
      const dilution = { partsWater: amount.value / dose.amount.value };
      const say = `${which(dose.quantity, doses.length)}${which(quantity, waters.length)}`;
      return [
        {
          label: `to a litre of water${say}`,
          quantity: { value: mlPerLitreOfWater(dilution), unit: "mL" },
          text: `${formatNumber(mlPerLitreOfWater(dilution))} mL/L`,
        },
        { label: `ratio${say}`, quantity: null, text: sayDilution(dilution.partsWater) },
        { label: `share of the mix${say}`, quantity: null, text: `${formatNumber(percentOfMix(dilution))} %` },
      ];
    }),
  );
  const [water, dose] = [waters[0]!, doses[0]!];
  return {
    answers,
    working: `${sayQuantity(water.quantity)} ÷ ${sayQuantity(dose.quantity)} = ${formatNumber(water.amount.value / dose.amount.value, 4)} parts of water to 1`,
    assumed: [
      ...(right.readings.length > 1 ? ["both gallons, since the word alone does not tell"] : []),
      ...doubtOf(left, right),
    ],
  };
}

/** An amount alone, or "5 gal in L": the same in other units. */
function convertFigure(left: ReadAmount, to: readonly string[] | null, { measures }: FigureOptions): Figure {
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
const sameKind = (quantity: Quantity, to: readonly string[], measures: FigureOptions["measures"]) =>
  to.some(
    (unit) => toBase({ value: 1, unit }, measures).dimension === toBase({ ...quantity, value: 1 }, measures).dimension,
  );

/** "1:500" alone. */
function ratioFigure(dilutions: readonly Dilution[], text: string): Figure {
  const answers = dilutions.flatMap(({ partsWater: n }): FigureAnswer[] => {
    if (n === 0) return [{ label: "neat", quantity: null, text: "undiluted" }];
    const say = dilutions.length > 1 ? `, if ${sayDilution(n)}` : "";
    return [
      { label: `ratio${say}`, quantity: null, text: sayDilution(n) },
      {
        label: `to a litre of water${say}`,
        quantity: { value: 1000 / n, unit: "mL" },
        text: `${formatNumber(1000 / n)} mL/L`,
      },
      {
        label: `to a US gallon of water${say}`,
        quantity: { value: 128 / n, unit: "US fl oz" },
        text: `${formatNumber(128 / n)} US fl oz/US gal`,
      },
      {
        label: `share of the mix${say}`,
        quantity: null,
        text: `${formatNumber(percentOfMix({ partsWater: n }))} %`,
      },
    ];
  });
  const n = dilutions[0]!.partsWater;
  if (n === 0) return { answers, working: "neat has no water", assumed: [] };
  return {
    answers,
    working: `${text}: 1000 mL ÷ ${formatNumber(n, 5)} = ${formatNumber(1000 / n)} mL to the litre`,
    assumed: meantBy(text, dilutions),
  };
}

/** The dilutions a text may mean; none where it is no dilution at all. */
function tryDilutions(text: string, { measures, units }: FigureOptions): readonly Dilution[] {
  try {
    return readDilutions(text, measures, "/text", units);
  } catch (error) {
    if (
      error instanceof DomainError &&
      (error.code === "ratio-without-water" || error.code === "ratio-too-strong-to-be-a-mix")
    )
      throw error;
    return [];
  }
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
  if (tidy === "") throw unreadable("", `Type a figure, such as ${FIGURE_EXAMPLES.slice(0, 3).join(", or ")}.`);
  const perLitre = perLitreFigure(tidy, options);
  if (perLitre) return perLitre;
  const alone = tryDilutions(tidy, options);
  if (alone.length > 0) return ratioFigure(alone, tidy);
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
    throw unreadable(
      text,
      `“${name}” may be ${named.map(({ name: method, lookAlike }) => `${method.toLowerCase()} (${lookAlike.sugar}; ${lookAlike.time})`).join(", or ")}. Say which: they are not the same.`,
    );
  throw unreadable(
    text,
    `"${name}" is no method, unit or measure that Ruchka knows${nearest(name)}. ${sayQuantity(amount.readings[0]!)} was read before it.`,
  );
}

/** A method of the book whose name starts alike, so that a slip of the key is put right. */
function nearest(name: string): string {
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
  return like ? `; did you mean ${like.name.toLowerCase()}?` : "";
}

/** "1:1:1:100 in 5 gal": each part of a recipe's ratio for that much in all. */
function partsFigure(left: string, right: string, options: FigureOptions): Figure | null {
  const parts = /^[\d.,: ]+$/.test(left) ? left.split(":").map(Number) : [];
  if (parts.length < 3 || parts.some((part) => !(part >= 0))) return null;
  const whole = parts.reduce((sum, part) => sum + part, 0);
  const amount = wholeAmount(right, options, true);
  const volumes = volumeOf(everyReading(amount), options.measures);
  if (volumes.length === 0 || whole === 0) throw unreadable(right, "Parts need a volume behind them.");
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
  throw unreadable(right, "After “at” comes a ratio (1:500, 2 mL/L, 0.2 %) or a rate (120 L/ha).");
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
