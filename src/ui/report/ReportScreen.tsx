"use client";
import { usePathname, useRouter } from "next/navigation";
import { useState } from "react";
import { addDays } from "@/core/calendar";
import { sayMoney, sayVolume } from "@/formats/amounts";
import { findIngredient } from "@/core/book/ingredients";
import { counted, inText } from "@/formats/grammar";
import { formatNumber } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import type { ReportView } from "@/services/report";
import { sayTrialReason, VERDICT_NAMES } from "@/words/said";
import { Button, buttonClass } from "../kit/Button";
import { TextField } from "../kit/fields";
import { panel } from "../kit/later";
import { Link } from "../kit/Link";
import { Bars } from "./Bars";
import { cropRows, hourRows, litreRows, lossRows, moneyRows } from "./reportRows";

const InsteadSheet = panel(() => import("./InsteadSheet").then((module) => module.InsteadSheet));
const BudgetSheet = panel(() => import("./BudgetSheet").then((module) => module.BudgetSheet));

const YEAR_D = 365;
/** Below so many of them nothing is said of how right forecasts are. */
const FEW_FORECASTS = 5;

/** The days that it is of, and the ways out: paper and table. */
const SpanFields = ({ view: { span, today } }: { readonly view: ReportView }) => {
  const router = useRouter();
  const path = usePathname();
  const to = (from: string, until: string) => router.push(`${path}?from=${from}&to=${until}`, { scroll: false });
  const query = `from=${span.from}&to=${span.to}`;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <TextField
        label="From"
        type="date"
        defaultValue={span.from}
        onChange={({ target }) => target.value && to(target.value, span.to)}
      />
      <TextField
        label="To"
        type="date"
        defaultValue={span.to}
        onChange={({ target }) => target.value && to(span.from, target.value)}
      />
      <Button onClick={() => to(addDays(today, 1 - YEAR_D), today)}>Twelve months</Button>
      <Button onClick={() => to(addDays(span.from, -YEAR_D), addDays(span.to, -YEAR_D))}>A year earlier</Button>
      <Link href={`/paper/report?${query}`} className={buttonClass("plain")}>
        On paper
      </Link>
      <a href={`/api/report?${query}`} className={buttonClass("plain")} download>
        As CSV
      </a>
    </div>
  );
};

/** What was made, put on and lost, in a line. */
export function sayInShort({ report, farm }: ReportView): string {
  const sum = (of: (line: (typeof report.inputs)[number]) => number): number =>
    report.inputs.reduce((total, line) => total + of(line), 0);
  const failed = sum((line) => line.failed);
  return `${sayVolume(
    sum((line) => line.madeL),
    farm.units,
  )} made in ${counted(
    sum((line) => line.batches),
    { one: "one batch", other: "# batches" },
  )}${failed > 0 ? `, ${failed} of them failed` : ""}; ${sayVolume(
    sum((line) => line.usedL),
    farm.units,
  )} put on; ${sayMoney(report.money.lossMinor, farm.currency)} lost.`;
}

/** How right the forecasts were: said of what the logs could tell. */
export function sayForecasts({ forecasts: { hits, judged, offD, ruleOffD } }: ReportView): string {
  if (judged === 0) return "No batch of this time tells whether its forecast was right: log what you see on the way.";
  const said = `Ready within the span that was said: ${hits} of ${judged} times.`;
  if (judged < FEW_FORECASTS || offD === null) return `${said} So few tell nothing yet.`;
  const rule = ruleOffD === null ? "" : `; days by the book were ${formatNumber(ruleOffD, 2)} off`;
  return `${said} Eight in ten is right. At the start the likeliest day was ${formatNumber(offD, 2)} days off, in the middle of them all${rule}.`;
}

const InsteadPart = ({ view, onSay }: { readonly view: ReportView; readonly onSay: () => void }) => {
  const { instead, farm } = view;
  const say = (minor: number): string => sayMoney(Math.abs(minor), farm.currency);
  return (
    <section>
      <h2 className="text-[1.15rem]">What would the shop have cost?</h2>
      <p className="text-soft">
        By the area that was treated, each time counted. A brew made for its life has no equal in a bag; and nothing is
        saved by what was not shown to help.
      </p>
      <ul className="mt-1 divide-y divide-line border-y border-line empty:hidden">
        {instead.map(({ methodId, inputName, name, answer, wouldBuy }) => (
          <li key={methodId} className="py-1.5">
            <b>{name}</b> in place of {inputName || methodId}:{" "}
            {answer === null
              ? "can’t be compared, as nothing with a known area was treated."
              : `${formatNumber(answer.packs, 3)} packs (${answer.wholePacks} whole ones), ${say(answer.costMinor)}. ${
                  answer.savingMinor >= 0
                    ? `${say(answer.savingMinor)} ${wouldBuy ? "saved" : "more than your own"}.`
                    : `The shop’s is ${say(answer.savingMinor)} cheaper.`
                }`}
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={onSay}>
        Say what you would buy
      </Button>
    </section>
  );
};

/** The dearest ingredient of each input, and the cheapest that stands in for it. */
const DriverPart = ({ view: { drivers, report, farm } }: { readonly view: ReportView }) => {
  const say = (minor: number): string => sayMoney(Math.abs(minor), farm.currency);
  const nameOf = (id: string): string => report.inputs.find(({ methodId }) => methodId === id)?.name ?? id;
  return drivers.length === 0 ? null : (
    <section>
      <h2 className="text-[1.15rem]">What makes it dear?</h2>
      <ul aria-label="What makes it dear" className="divide-y divide-line border-y border-line">
        {drivers.map(({ methodId, ingredientId, costMinor, share, standIns: [cheapest] }) => (
          <li key={methodId} className="py-1.5">
            <b>{nameOf(methodId)}</b>: {inText(findIngredient(ingredientId).name)}, {say(costMinor)},{" "}
            {Math.round(100 * share)} % of its ingredients.{" "}
            {cheapest === undefined
              ? "Nothing that stands in for it has a price here."
              : cheapest.savingMinor > 0
                ? `${findIngredient(cheapest.ingredientId).name} in its place: ${say(cheapest.savingMinor)} less. ${cheapest.changes}`
                : `Nothing that stands in for it is cheaper; ${inText(findIngredient(cheapest.ingredientId).name)} would have cost ${say(cheapest.savingMinor)} more.`}
          </li>
        ))}
      </ul>
    </section>
  );
};

const BudgetPart = ({ view, onSet }: { readonly view: ReportView; readonly onSet: () => void }) => {
  const { budget, boughtMinor, report, farm } = view;
  const say = (minor: number): string => sayMoney(minor, farm.currency);
  const spentH = report.hours.making + report.hours.applying;
  const lines = [
    ...(budget?.boughtMinor == null ? [] : [`bought ${say(boughtMinor)} of ${say(budget.boughtMinor)}`]),
    ...(budget?.hours == null ? [] : [`${formatNumber(spentH, 3)} h of ${formatNumber(budget.hours, 3)} h`]),
    ...(budget?.lossMinor == null ? [] : [`lost ${say(report.money.lossMinor)} of ${say(budget.lossMinor)}`]),
  ];
  return (
    <section>
      <h2 className="text-[1.15rem]">Does the budget last?</h2>
      <p>
        {lines.length === 0
          ? `Bought: ${say(boughtMinor)}. No budget is set for ${view.span.to.slice(0, 4)}.`
          : `${view.span.to.slice(0, 4)}: ${lines.join("; ")}.`}
      </p>
      <Button className="mt-2" onClick={onSet}>
        Set the budget
      </Button>
    </section>
  );
};

const Learned = ({ view }: { readonly view: ReportView }) => (
  <>
    <section>
      <h2 className="text-[1.15rem]">How often was the forecast right?</h2>
      <p>{sayForecasts(view)}</p>
    </section>
    <section>
      <h2 className="text-[1.15rem]">What did the trials say?</h2>
      {view.trials.length === 0 ? <p>No trial in this time.</p> : null}
      <ul className="divide-y divide-line border-y border-line empty:hidden">
        {view.trials.map(({ id, question, verdicts, isStopped }) => (
          <li key={id} className="py-1.5">
            <Link href={`/field/trials/${id}`} className="thumb underline decoration-line underline-offset-4">
              {question}
            </Link>{" "}
            {verdicts.length === 0 ? (isStopped ? "Stopped." : "Not looked at yet.") : ""}
            {verdicts.map(({ input, verdict, confounders }) => (
              <span key={input} className="block">
                {input}: {VERDICT_NAMES[verdict]}. {confounders.map((one) => sayTrialReason(one)).join(" ")}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
    {view.overrides.length > 0 ? (
      <section>
        <h2 className="text-[1.15rem]">Done against a caution</h2>
        <ul className="divide-y divide-line border-y border-line">
          {view.overrides.map(({ on, label, reason }, nth) => (
            <li key={`${on}${nth}`} className="py-1">
              <span className="text-soft">{sayDay(on)}:</span> {label}. {reason}
            </li>
          ))}
        </ul>
      </section>
    ) : null}
  </>
);

/** The season's report: each drawing answers one question, with its table behind it; beside the season before. */
export const ReportScreen = ({ view }: { readonly view: ReportView }) => {
  const [sheet, setSheet] = useState<"instead" | "budget" | null>(null);
  const rows = { crops: cropRows(view), litres: litreRows(view), losses: lossRows(view) };
  return (
    <div className="px-4 py-5 md:px-8">
      <p className="text-soft">
        <Link href="/ledger" className="underline">
          Costs
        </Link>
      </p>
      <h1 className="text-2xl">Season’s report</h1>
      <p className="mb-3">{sayInShort(view)}</p>
      <SpanFields view={view} />
      <div className="mt-6 grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Bars
          question="Where did the money go?"
          rows={moneyRows(view)}
          file="money"
          heads={["For", "this season", "before"]}
        />
        <Bars question="And the hours?" rows={hourRows(view)} file="hours" heads={["At", "this season", "before"]} />
        {rows.litres.length > 0 ? (
          <Bars
            question="Which input is dear, by the litre?"
            rows={rows.litres}
            file="inputs"
            heads={["Input", "a litre, made"]}
          />
        ) : null}
        {rows.crops.length > 0 ? (
          <Bars
            question="What does the ground cost, by crop?"
            rows={rows.crops}
            file="crops"
            heads={["Crop", "by area"]}
          />
        ) : null}
        {rows.losses.length > 0 ? (
          <Bars
            question="What was thrown away, and why?"
            rows={rows.losses}
            file="losses"
            heads={["Month and cause", "cost"]}
          />
        ) : null}
        <DriverPart view={view} />
        <InsteadPart view={view} onSay={() => setSheet("instead")} />
        <BudgetPart view={view} onSet={() => setSheet("budget")} />
        <Learned view={view} />
      </div>
      {sheet === "instead" ? <InsteadSheet view={view} onClose={() => setSheet(null)} /> : null}
      {sheet === "budget" ? <BudgetSheet view={view} onClose={() => setSheet(null)} /> : null}
    </div>
  );
};
