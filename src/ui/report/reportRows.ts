import { sayMoney, sayVolume } from "@/formats/amounts";
import { sayPricePer } from "@/formats/fieldUnits";
import { formatNumber } from "@/formats/numbers";
import type { ReportView } from "@/services/report";
import { sayLossCause } from "@/words/said";
import type { BarRow } from "./Bars";

const hours = (value: number): string => `${formatNumber(value, 3)} h`;

/** Whether anything was written down of the time before. */
const isThereBefore = ({ hours: then, money }: ReportView["before"]): boolean =>
  then.making + then.applying > 0 || Object.values(money).some((minor) => minor > 0);

/** Money by kind, this season beside the one before. */
export function moneyRows({ report: { money }, before, farm }: ReportView): BarRow[] {
  const say = (minor: number): string => sayMoney(minor, farm.currency);
  const row = (key: keyof typeof money, label: string, isLost = false): BarRow => ({
    ...{ key, label, isLost, value: money[key], said: say(money[key]), saidBefore: say(before.money[key]) },
    ...(isThereBefore(before) ? { before: before.money[key] } : {}),
  });
  return [
    row("ingredientsMinor", "ingredients"),
    row("makingMinor", "work of making"),
    row("applyingMinor", "work of putting on"),
    row("powerMinor", "power"),
    row("lossMinor", "of it lost", true),
  ];
}
export function hourRows({ report, before }: ReportView): BarRow[] {
  const row = (key: "making" | "applying", label: string): BarRow => ({
    ...{ key, label, value: report.hours[key], said: hours(report.hours[key]), saidBefore: hours(before.hours[key]) },
    ...(isThereBefore(before) ? { before: before.hours[key] } : {}),
  });
  return [row("making", "making"), row("applying", "putting on, carrying")];
}
/** What a square metre cost, by crop; what has no area is left out. */
export const cropRows = ({ report, farm }: ReportView): BarRow[] =>
  report.crops.flatMap(({ key, perM2Minor }) =>
    perM2Minor === null
      ? []
      : [
          {
            ...{ key: key || "bare", label: key || "bare soil", value: perM2Minor },
            said: sayPricePer(perM2Minor, "m2", farm.currency, farm.units),
          },
        ],
  );
/** What a litre cost, by input, dearest first; and beside it how much was made. */
export const litreRows = ({ report, farm }: ReportView): BarRow[] =>
  report.inputs
    .flatMap(({ methodId, name, perLMinor, madeL }) =>
      perLMinor === null
        ? []
        : [
            {
              ...{ key: methodId, label: name, value: perLMinor },
              said: `${sayPricePer(perLMinor, "L", farm.currency, farm.units)}, ${sayVolume(madeL, farm.units)}`,
            },
          ],
    )
    .toSorted((one, other) => other.value - one.value);
export const lossRows = ({ report, farm }: ReportView): BarRow[] =>
  report.losses.map(({ cause, month, costMinor }) => ({
    ...{ key: `${month}${cause}`, label: `${month} ${sayLossCause(cause)}`, value: costMinor, isLost: true },
    said: sayMoney(costMinor, farm.currency),
  }));
