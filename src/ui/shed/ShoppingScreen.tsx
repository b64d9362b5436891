"use client";
import { Link } from "../kit/Link";
import { useState } from "react";
import { told } from "../kit/told";
import { sayMoney, sayStock } from "@/formats/amounts";
import { plural } from "@/formats/numbers";
import { sayDay } from "@/formats/times";
import type { ShoppingLine, ShoppingView } from "@/services/shed";
import type { Plan } from "@/services/types";
import { useFillAct } from "../acts/fill";
import { useUndo } from "../acts/undo";
import { Button, buttonClass } from "../kit/Button";
import { useReadAmount } from "../measures/AmountField";
import { bookOption } from "./ingredientOptions";
import { ShedNav } from "./ShedNav";
import { inText } from "@/formats/grammar";

const HEADS = { buy: "To buy", gather: "To gather or save", make: "To make first" } as const;

const Line = ({ line, view }: { readonly line: ShoppingLine; readonly view: ShoppingView }) => {
  const { inOurs } = useReadAmount();
  const [shown, setShown] = useState(false);
  const say = (amount: number) => sayStock(amount, line.unit, view.farm.units);
  const ours = inOurs(line.short, bookOption(line.ingredient));
  const ready = line.standIns.filter(({ inShed }) => inShed);
  return (
    <li className="py-2.5">
      <p className="flex flex-wrap justify-between gap-x-4">
        <Link
          href={`/shed?item=${line.ingredient}`}
          className="thumb font-semibold underline decoration-line underline-offset-4"
        >
          {line.name}
        </Link>
        <span className="reading text-lg font-semibold">
          {line.packs !== null && line.pack && line.how === "buy"
            ? `${plural(line.packs, line.pack.name)} of ${say(line.pack.amount)}`
            : say(line.short)}
        </span>
      </p>
      <p className="text-[0.92rem] text-soft">
        {say(line.short)} short{ours ? `, about ${ours}` : ""}; wanted {sayDay(line.firstDay)} for{" "}
        {line.forWhat.join(", ")}
        {line.costMinor === null || line.how !== "buy" ? "" : `; ${sayMoney(line.costMinor, view.farm.currency)}`}
      </p>
      {line.least === null ? null : (
        <p className="text-[0.92rem]">
          Scarce? {say(line.least)} in all still start these brews in good time; less does not.
        </p>
      )}
      {line.lateD > 0 ? (
        <p className="text-[0.92rem] font-semibold text-rust">
          ■ Ordered today it comes {plural(line.lateD, "day")} too late: move the batch, or take something in its place.
        </p>
      ) : line.orderBy && line.how === "buy" ? (
        <p className="text-[0.92rem] font-semibold">
          ▲ Order by {sayDay(line.orderBy)}: it takes {plural(line.pack!.leadD, "day")}.
        </p>
      ) : null}
      {line.maker && line.how === "make" ? (
        <p className="text-[0.92rem]">
          Made here:{" "}
          <Link href={`/book/${line.maker.methodId}`} className="underline">
            {line.maker.name}
          </Link>
        </p>
      ) : null}
      {line.standIns.length > 0 ? (
        <div className="print:hidden">
          <Button variant="quiet" className="-ml-3" onClick={() => setShown(!shown)} aria-expanded={shown}>
            {ready.length > 0 ? `◆ The shed has something in its place` : "What does in its place"}
          </Button>
          {shown ? (
            <ul className="mb-1 text-[0.92rem]">
              {line.standIns.map((standIn, index) => (
                <li key={standIn.use} className="py-0.5">
                  <span className="reading font-semibold">{sayOf(standIn.amount, standIn.use, view)}</span>{" "}
                  {inText(line.standInNames[index] ?? "")}
                  {standIn.inShed ? ", in the shed" : ""}
                  {standIn.costMinor === null ? "" : `, ${sayMoney(standIn.costMinor, view.farm.currency)}`}.{" "}
                  <span className="text-soft">{standIn.changes}</span>
                </li>
              ))}
            </ul>
          ) : null}
        </div>
      ) : null}
    </li>
  );
};

/** So much of another ingredient, in its own unit. */
const sayOf = (amount: number, id: ShoppingLine["ingredient"], view: ShoppingView) =>
  sayStock(amount, bookOption(id).unit, view.farm.units);

const PlanRow = ({ plan, view }: { readonly plan: Plan; readonly view: ShoppingView }) => {
  const drop = useFillAct("dropPlan", "toast");
  const undo = useUndo();
  const late = plan.forDay < view.today;
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-3 py-1.5">
      <span>
        <span className="font-semibold">{plan.name}</span>{" "}
        <span className={late ? "font-semibold text-rust" : "text-soft"}>
          {late ? "■ was meant for" : ""} {sayDay(plan.forDay)}
          {plan.note ? `; ${plan.note}` : ""}
        </span>
      </span>
      <span className="flex gap-1 print:hidden">
        {plan.vesselId ? (
          <Link href={`/?fill=${plan.vesselId}&plan=${plan.id}`} className={buttonClass("plain")}>
            Fill it
          </Link>
        ) : null}
        <Link href={`/paper/mixing?plan=${plan.id}`} className={buttonClass("quiet")}>
          Sheet
        </Link>
        <Button
          variant="quiet"
          disabled={drop.busy}
          onClick={async () => {
            if (await drop.run({ planId: plan.id }))
              told(`${plan.name} cancelled; its stock is free again.`, undo({ kind: "plan-drop", id: plan.id }));
          }}
        >
          Cancel
        </Button>
      </span>
    </li>
  );
};

/** One list over all that is planned, minus what the shed holds: what to buy, to gather, to make first, and by when. */
export const ShoppingScreen = ({ view }: { readonly view: ShoppingView }) => {
  const groups = (["buy", "gather", "make"] as const)
    .map((how) => ({ how, lines: view.lines.filter((line) => line.how === how) }))
    .filter(({ lines }) => lines.length > 0);
  const total = view.lines.reduce((sum, { how, costMinor }) => sum + (how === "buy" ? (costMinor ?? 0) : 0), 0);
  const unpriced = view.lines.some(({ how, costMinor }) => how === "buy" && costMinor === null);
  return (
    <div className="px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Shopping</h1>
        <Link href="/paper/shopping" className={buttonClass("plain")}>
          Print list
        </Link>
      </div>
      <ShedNav here="/shed/shopping" />
      <div className="mt-5 grid gap-8 md:grid-cols-[1fr_22rem]">
        <div className="grid content-start gap-6">
          {view.lines.length === 0 ? (
            <p>
              {view.plans.length === 0
                ? "No plans yet. In the yard press Fill, then “Plan for later”."
                : "◆ The shed holds all that is planned."}
            </p>
          ) : null}
          {groups.map(({ how, lines }) => (
            <section key={how} aria-label={HEADS[how]}>
              <h2 className="text-xl">{HEADS[how]}</h2>
              <ul className="divide-y divide-line border-y border-line empty:hidden">
                {lines.map((line) => (
                  <Line key={line.ingredient} line={line} view={view} />
                ))}
              </ul>
              {how === "buy" && total > 0 ? (
                <p className="mt-1 text-right">
                  In all <span className="reading font-semibold">{sayMoney(total, view.farm.currency)}</span>
                  {unpriced ? ", where a price is known" : ""}
                </p>
              ) : null}
            </section>
          ))}
          {view.reorder.length > 0 ? (
            <section aria-label="Running low">
              <h2 className="text-xl">Running low</h2>
              <ul className="divide-y divide-line border-y border-line empty:hidden">
                {view.reorder.map((item) => (
                  <li key={item.itemId} className="flex flex-wrap justify-between gap-3 py-2">
                    <Link
                      href={`/shed?item=${item.itemId}`}
                      className="thumb font-semibold underline decoration-line underline-offset-4"
                    >
                      {item.name}
                    </Link>
                    <span>
                      {sayStock(item.onHand, item.unit, view.farm.units)} left, order when below{" "}
                      {sayStock(item.terms!.reorderAt!, item.unit, view.farm.units)}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          ) : null}
        </div>
        <section aria-label="What is planned">
          <h2 className="text-xl">What is planned</h2>
          {view.plans.length === 0 ? <p className="text-soft">Nothing yet.</p> : null}
          <ul className="divide-y divide-line border-y border-line empty:hidden">
            {view.plans.map((plan) => (
              <PlanRow key={plan.id} plan={plan} view={view} />
            ))}
          </ul>
          <p className="mt-2 text-[0.9rem] text-soft">
            Ingredients are reserved, earliest plan first. Expired stock is not counted.
          </p>
        </section>
      </div>
    </div>
  );
};
