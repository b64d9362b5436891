import { DomainError } from "@/core/errors";
import { dilute } from "@/core/quantity/dilute";
import { mlPerLitreOfWater, percentOfMix, readDilutions, type Dilution } from "@/core/quantity/ratio";
import type { ReadAmount } from "@/core/quantity/typed/amount";
import { sayDilution, sayQuantity, sayVolume } from "../amounts";
import { formatNumber } from "../numbers";
import {
  doubtOf,
  everyReading,
  unreadable,
  volumeOf,
  which,
  type Figure,
  type FigureAnswer,
  type FigureOptions,
} from "./parts";
import { listedOr } from "../grammar";

/** "16 L at 1:500": how much concentrate, once if that is the whole mix and once if it is the water. */
export function mixFigure(
  left: ReadAmount,
  dilutions: readonly Dilution[],
  ratioText: string,
  options: FigureOptions,
): Figure {
  const { units, measures } = options;
  const volumes = volumeOf(everyReading(left), measures);
  if (volumes.length === 0) throw unreadable(sayQuantity(left.readings[0]!), { code: "ratio-without-volume" });
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
      `${text.trim()} may be ${listedOr(dilutions.map(({ partsWater }) => sayDilution(partsWater)))}: both are answered`,
    ];
  return /^\S+ in \S|^\d+ ?\/ ?\d+$/i.test(text.trim())
    ? ["1 in N is one part of N parts in all"]
    : ["1:N is 1 part concentrate to N parts water"];
}

/** "12 fl oz in 3 gal": the dose in every way of saying it. */
export function doseFigure(left: ReadAmount, right: ReadAmount, { measures }: FigureOptions): Figure {
  const doses = volumeOf(everyReading(left), measures);
  const waters = volumeOf(everyReading(right), measures);
  if (doses.length === 0 || waters.length === 0)
    throw unreadable(`${sayQuantity(left.readings[0]!)} in ${sayQuantity(right.readings[0]!)}`, {
      code: "both-volumes",
    });
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

/** "1:500" alone. */
export function ratioFigure(dilutions: readonly Dilution[], text: string): Figure {
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
export function tryDilutions(text: string, { measures, units }: FigureOptions): readonly Dilution[] {
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
