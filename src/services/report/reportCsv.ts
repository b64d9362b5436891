import "server-only";
import { writeCsv } from "@/formats/csv/decode";
import { sayLossCause, sayTrialReason, VERDICT_NAMES } from "@/words/said";
import type { ReportView } from "./readReport";

type Row = readonly [part: string, of: string, what: string, value: string | number, unit: string];
const HEADS = ["part", "of", "what", "value", "unit"] as const;
const round = (value: number): number => Number(value.toFixed(3));

function inputRows({ report, farm }: ReportView): Row[] {
  return report.inputs.flatMap((line): Row[] => [
    ["input", line.name, "batches", line.batches, ""],
    ["input", line.name, "failed", line.failed, ""],
    ["input", line.name, "made", round(line.madeL), "L"],
    ["input", line.name, "put on", round(line.usedL), "L"],
    ["input", line.name, "wasted", round(line.wastedL), "L"],
    ["input", line.name, "cost", line.costMinor / 100, farm.currency],
    ...(line.perLMinor === null
      ? []
      : [["input", line.name, "cost a litre", round(line.perLMinor / 100), farm.currency] as const]),
  ]);
}
function groundRows({ report, plotNames, farm }: ReportView): Row[] {
  const rows = (part: string, lines: typeof report.crops, nameOf: (key: string) => string): Row[] =>
    lines.flatMap((line): Row[] => [
      [part, nameOf(line.key), "times", line.times, ""],
      [part, nameOf(line.key), "input", round(line.concentrateL), "L"],
      [part, nameOf(line.key), "mix", round(line.mixL), "L"],
      [part, nameOf(line.key), "cost", line.costMinor / 100, farm.currency],
      ...(line.perM2Minor === null
        ? []
        : [[part, nameOf(line.key), "cost a square metre", round(line.perM2Minor / 100), farm.currency] as const]),
    ]);
  return [
    ...rows("crop", report.crops, (key) => key || "bare soil"),
    ...rows("plot", report.plots, (key) => plotNames[key] ?? key),
  ];
}
function moneyRows({ report, before, boughtMinor, budget, farm }: ReportView): Row[] {
  const { money, hours } = report;
  const line = (what: string, minor: number, then: number): Row[] => [
    ["money", "this season", what, minor / 100, farm.currency],
    ["money", "season before", what, then / 100, farm.currency],
  ];
  const limit = (what: string, value: number | null | undefined, unit: string): Row[] =>
    value === null || value === undefined ? [] : [["budget", "this season", what, value, unit]];
  return [
    ...line("ingredients", money.ingredientsMinor, before.money.ingredientsMinor),
    ...line("work, making", money.makingMinor, before.money.makingMinor),
    ...line("work, putting on", money.applyingMinor, before.money.applyingMinor),
    ...line("power", money.powerMinor, before.money.powerMinor),
    ...line("lost", money.lossMinor, before.money.lossMinor),
    ["money", "this season", "bought", boughtMinor / 100, farm.currency],
    ["hours", "this season", "making", round(hours.making), "h"],
    ["hours", "this season", "putting on", round(hours.applying), "h"],
    ...limit("bought", budget?.boughtMinor == null ? null : budget.boughtMinor / 100, farm.currency),
    ...limit("hours", budget?.hours, "h"),
    ...limit("lost", budget?.lossMinor == null ? null : budget.lossMinor / 100, farm.currency),
  ];
}

/** The season's report as one table: what each line is of, what it says, the figure and its unit. */
export function reportCsv(view: ReportView): string {
  const { report, instead, overrides, trials, forecasts, farm } = view;
  const rows: Row[] = [
    ["season", farm.name, "from", view.span.from, ""],
    ["season", farm.name, "to", view.span.to, ""],
    ...inputRows(view),
    ...groundRows(view),
    ...moneyRows(view),
    ...report.losses.map(({ cause, month, costMinor }): Row => [
      "loss",
      month,
      sayLossCause(cause),
      costMinor / 100,
      farm.currency,
    ]),
    ...instead.flatMap(({ inputName, name, answer }): Row[] =>
      answer
        ? [
            ["instead", inputName, `${name}, packs`, round(answer.packs), ""],
            ["instead", inputName, `${name}, cost`, answer.costMinor / 100, farm.currency],
          ]
        : [["instead", inputName, name, "can't be compared", ""]],
    ),
    ["forecast", "ready", "within what was said", forecasts.hits, ""],
    ["forecast", "ready", "judged", forecasts.judged, ""],
    ...(forecasts.offD === null ? [] : [["forecast", "ready", "off by, median", round(forecasts.offD), "d"] as const]),
    ...trials.flatMap(({ question, verdicts, begunOn, isStopped }): Row[] =>
      verdicts.length === 0
        ? [["trial", question, `begun ${begunOn}`, isStopped ? "stopped" : "running", ""]]
        : verdicts.map(({ input, verdict, confounders }): Row => [
            ...(["trial", question, `${input}: ${VERDICT_NAMES[verdict]}`] as const),
            confounders.map((one) => sayTrialReason(one) ?? one).join(" "),
            "",
          ]),
    ),
    ...overrides.map(({ on, label, reason }): Row => ["override", on, label, reason, ""]),
  ];
  return writeCsv(HEADS, rows);
}
