import type { Act, MeasureKind, PhInstrument, PhSpot, SignKind } from "../book/words";
import { PH_BELIEVED } from "../ferment/evidence/observations";

/** What was logged of a batch, at an hour of it, in growers' words. Corrected entries never reach the core. */
export type LogItem = {
  readonly hour: number;
  /** Who looked, by any name; two people at one hour are two looks. Missing where nobody says. */
  readonly by?: string;
} & (
  | {
      readonly kind: "ph";
      readonly value: number;
      readonly instrument: PhInstrument;
      readonly spot: PhSpot;
      /** Whether the figure stood still when it was read; missing in older logs, which are taken at their word. */
      readonly settled?: boolean;
      /** How far off it may be, pH, where that is more than the instrument's usual: probes drift. */
      readonly sd?: number;
    }
  | { readonly kind: SignKind; readonly word: string }
  | {
      readonly kind: "act";
      readonly act: Act;
      /** Litres topped up; °C of a place or of a thermostat; share of the recipe's food that was fed. */
      readonly amount?: number;
    }
  /** Shares in per cent. */
  | { readonly kind: MeasureKind; readonly value: number }
);

export type PhItem = Extract<LogItem, { kind: "ph" }>;
export type SignItem = Extract<LogItem, { kind: SignKind }>;
export type ActItem = Extract<LogItem, { kind: "act" }>;

const byHour = (a: LogItem, b: LogItem) => a.hour - b.hour;
const isMeasure = ({ kind }: LogItem) => kind === "bubbles" || kind === "sunk" || kind === "parted" || kind === "core";

/** Whether a pH stands for the batch: mid-depth, settled, and believable. */
export const countsAsPh = ({ spot, settled, value }: PhItem): boolean =>
  spot === "mid-depth" && settled !== false && value >= PH_BELIEVED.min && value <= PH_BELIEVED.max;

/** pH readings that stand for the batch, oldest first. */
export const countedPh = (log: readonly LogItem[]): PhItem[] =>
  log.filter((item): item is PhItem => item.kind === "ph" && countsAsPh(item)).toSorted(byHour);

export const isSign = (item: LogItem): item is SignItem =>
  item.kind !== "ph" && item.kind !== "act" && !isMeasure(item);

/** Signs seen or smelt, oldest first. */
export const signsOf = (log: readonly LogItem[]): SignItem[] => log.filter(isSign).toSorted(byHour);

/** What was done, oldest first. */
export const actsOf = (log: readonly LogItem[]): ActItem[] =>
  log.filter((item): item is ActItem => item.kind === "act").toSorted(byHour);
