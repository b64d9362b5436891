"use client";
import type { Paper } from "@/core/paper/papers";
import { sayMoney, sayVolume } from "@/formats/amounts";
import { sayPricePer } from "@/formats/fieldUnits";
import { formatNumber } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import type { ReportView } from "@/services/report";
import { sayLossCause, sayTrialReason, VERDICT_NAMES } from "@/words/said";
import { sayForecasts, sayInShort } from "../report/ReportScreen";
import { hourRows, moneyRows } from "../report/reportRows";
import { TextField } from "../kit/fields";
import { PaperBar } from "./PaperBar";
import { LongPage } from "./PaperSheet";
import { RecordTable, SignHere } from "./RecordTable";
import { usePaperQuery } from "./usePaperQuery";

const Head = ({ children }: { readonly children: string }) => (
  <h2 className="mb-[1mm] mt-[5mm] text-[5mm]">{children}</h2>
);

const Tables = ({ view }: { readonly view: ReportView }) => {
  const { report, farm, plotNames } = view;
  const money = (minor: number): string => sayMoney(minor, farm.currency);
  const volume = (litres: number): string => sayVolume(litres, farm.units);
  const ground = (lines: typeof report.crops, nameOf: (key: string) => string) =>
    lines.map((line) => ({
      key: line.key,
      cells: [
        nameOf(line.key),
        String(line.times),
        volume(line.concentrateL),
        volume(line.mixL),
        money(line.costMinor),
        line.perM2Minor === null ? "" : sayPricePer(line.perM2Minor, "m2", farm.currency, farm.units),
      ],
    }));
  const groundHeads = ["times", "input", "mix", "cost", "by area"];
  return (
    <>
      <Head>Made, used, wasted</Head>
      <RecordTable
        label="Inputs"
        heads={["Input", "batches", "failed", "made", "put on", "wasted", "cost", "a litre"]}
        rows={report.inputs.map((line) => ({
          key: line.methodId,
          cells: [
            ...[line.name, String(line.batches), String(line.failed), volume(line.madeL), volume(line.usedL)],
            ...[volume(line.wastedL), money(line.costMinor)],
            line.perLMinor === null ? "" : sayPricePer(line.perLMinor, "L", farm.currency, farm.units),
          ],
        }))}
      />
      <Head>By crop</Head>
      <RecordTable
        label="Crops"
        heads={["Crop", ...groundHeads]}
        rows={ground(report.crops, (key) => key || "bare soil")}
      />
      <Head>By plot</Head>
      <RecordTable
        label="Plots"
        heads={["Plot", ...groundHeads]}
        rows={ground(report.plots, (key) => plotNames[key] ?? key)}
      />
      <Head>Money and hours</Head>
      <RecordTable
        label="Money and hours"
        heads={["For", "this season", "as long before"]}
        rows={[...moneyRows(view), ...hourRows(view)].map(({ key, label, said, saidBefore = "" }) => ({
          key,
          cells: [label, said, saidBefore],
        }))}
      />
      {report.losses.length > 0 ? <Head>Lost</Head> : null}
      {report.losses.length > 0 ? (
        <RecordTable
          label="Lost"
          heads={["Month", "Cause", "Cost"]}
          rows={report.losses.map(({ month, cause, costMinor }) => ({
            key: `${month}${cause}`,
            cells: [month, sayLossCause(cause), money(costMinor)],
          }))}
        />
      ) : null}
    </>
  );
};

/** The season's report on paper, with three questions left blank for the farm. */
export const ReportPaper = ({ view, paper }: { readonly view: ReportView; readonly paper: Paper }) => {
  const to = usePaperQuery();
  return (
    <div className="px-4 py-5 print:p-0">
      <PaperBar title="Season’s report" paper={paper.id}>
        <TextField
          label="From"
          type="date"
          defaultValue={view.span.from}
          onChange={({ target }) => to("from", target.value)}
        />
        <TextField
          label="To"
          type="date"
          defaultValue={view.span.to}
          onChange={({ target }) => to("to", target.value)}
        />
      </PaperBar>
      <LongPage paper={paper}>
        <h1 className="text-[7mm]">
          {view.farm.name}: {sayDay(view.span.from)} to {sayDay(view.span.to)}
        </h1>
        <p>{sayInShort(view)}</p>
        <Tables view={view} />
        <Head>Forecasts</Head>
        <p>{sayForecasts(view)}</p>
        {view.instead.length > 0 ? <Head>In place of it from the shop</Head> : null}
        {view.instead.map(({ methodId, name, inputName, answer }) => (
          <p key={methodId}>
            {name} in place of {inputName}:{" "}
            {answer
              ? `${formatNumber(answer.packs, 3)} packs, ${sayMoney(answer.costMinor, view.farm.currency)}.`
              : "can’t be compared."}
          </p>
        ))}
        <Head>Trials</Head>
        {view.trials.length === 0 ? <p>None.</p> : null}
        {view.trials.map(({ id, question, begunOn, verdicts, isStopped }) => (
          <p key={id} className="break-inside-avoid">
            {question} Begun {sayDay(begunOn)}.{" "}
            {verdicts.length === 0 ? (isStopped ? "Stopped." : "Not looked at yet.") : ""}
            {verdicts
              .map(({ input, verdict, confounders }) =>
                [`${input}: ${VERDICT_NAMES[verdict]}.`, ...confounders.map((one) => sayTrialReason(one))].join(" "),
              )
              .join(" ")}
          </p>
        ))}
        {view.overrides.length > 0 ? <Head>Done against a caution</Head> : null}
        {view.overrides.map(({ on, label, reason }, nth) => (
          <p key={`${on}${nth}`}>
            {sayDay(on)}: {label}. {reason}
          </p>
        ))}
        <Head>For next season</Head>
        {["What will we make less of?", "What will we do otherwise?", "What will we try, side by side?"].map(
          (question) => (
            <p key={question} className="mt-[4mm] break-inside-avoid">
              {question}
              <span className="mt-[8mm] block border-b-[0.2mm] border-black" />
              <span className="mt-[8mm] block border-b-[0.2mm] border-black" />
            </p>
          ),
        )}
        <SignHere />
      </LongPage>
    </div>
  );
};
