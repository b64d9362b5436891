import { DomainError } from "../errors";
import { toBase, type LocalMeasure } from "./units";

/**
 * A dilution: parts of water to one part of concentrate, by volume.
 * Ruchka's one convention: 1:N is 1 part concentrate to N parts water, so the mix is N + 1 parts. Neat is N = 0.
 */
export interface Dilution {
  readonly partsWater: number;
}

const NUMBER = "(\\d+(?:[.,]\\d+)?)";
const PARTS = new RegExp(`^${NUMBER}\\s*:\\s*${NUMBER}$`);
const PERCENT = new RegExp(`^${NUMBER}\\s*%$`);
const DOSE = new RegExp(`^${NUMBER}\\s*([^/]+?)\\s*(?:/|\\bper\\b)\\s*(.+)$`);
const toNumber = (text: string) => Number(text.replace(",", "."));

/**
 * Reads a dilution in any notation that growers use: parts ("1:500", "2:1"), dose in water ("2 mL/L",
 * "1 US fl oz/US gal", "1 cap per can" with the farm's measures), share of the mix ("0.2 %"), "neat".
 * @throws {DomainError} `ratio-unreadable`, `ratio-without-water`, `ratio-too-strong-to-be-a-mix`, `dimension-mismatch`, `unknown-unit`
 * @example parseDilution("2 mL/L").partsWater; // 500
 */
export function parseDilution(text: string, measures: readonly LocalMeasure[] = [], path = "/ratio"): Dilution {
  const tidy = text.trim();
  if (/^(neat|undiluted)$/i.test(tidy)) return { partsWater: 0 };
  const parts = PARTS.exec(tidy);
  if (parts) return fromParts(toNumber(parts[1]!), toNumber(parts[2]!), text, path);
  const percent = PERCENT.exec(tidy);
  if (percent) return fromPercentOfMix(toNumber(percent[1]!), text, path);
  const dose = DOSE.exec(tidy);
  if (dose) return fromDose(toNumber(dose[1]!), dose[2]!, dose[3]!, text, measures, path);
  throw new DomainError("ratio-unreadable", { text }, path);
}

function fromParts(concentrate: number, water: number, text: string, path: string): Dilution {
  if (water === 0) throw new DomainError("ratio-without-water", { text }, path);
  if (concentrate === 0) throw new DomainError("ratio-unreadable", { text }, path);
  return { partsWater: water / concentrate };
}

function fromPercentOfMix(percent: number, text: string, path: string): Dilution {
  if (percent === 0) throw new DomainError("ratio-unreadable", { text }, path);
  if (percent >= 100) throw new DomainError("ratio-too-strong-to-be-a-mix", { text }, path);
  return { partsWater: 100 / percent - 1 };
}

function fromDose(
  amount: number,
  unit: string,
  perText: string,
  text: string,
  measures: readonly LocalMeasure[],
  path: string,
): Dilution {
  if (amount === 0) throw new DomainError("ratio-unreadable", { text }, path);
  const per = /^(\d+(?:[.,]\d+)?)\s*(.+)$/.exec(perText);
  const dose = toBase({ value: amount, unit }, measures, path);
  const water = toBase({ value: per ? toNumber(per[1]!) : 1, unit: per ? per[2]! : perText }, measures, path);
  if (dose.dimension !== "volume" || water.dimension !== "volume") {
    throw new DomainError("dimension-mismatch", { from: `"${text}"`, to: "a dilution, which needs two volumes" }, path);
  }
  return { partsWater: water.value / dose.value };
}

/**
 * Reads a recipe's parts in the method's order.
 * @returns at least two non-negative numbers, as written
 * @throws {DomainError} `ratio-unreadable`
 * @example parseParts("1:1:1:100"); // [1, 1, 1, 100]
 */
export function parseParts(text: string, path = "/ratio"): number[] {
  const parts = text.split(":").map((part) => part.trim());
  if (parts.length < 2 || parts.some((part) => !/^\d+(?:[.,]\d+)?$/.test(part)))
    throw new DomainError("ratio-unreadable", { text }, path);
  return parts.map(toNumber);
}

/** mL of concentrate to each litre of water; Infinity for neat. */
export const mlPerLitreOfWater = ({ partsWater }: Dilution): number => 1000 / partsWater;

/** Concentrate as a share of the whole mix, % by volume. */
export const percentOfMix = ({ partsWater }: Dilution): number => 100 / (1 + partsWater);
