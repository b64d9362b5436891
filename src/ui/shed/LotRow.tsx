"use client";
import { addDays } from "@/core/calendar";
import { BEAN_TEST_D } from "@/core/safety/provenance";
import { handTestOf } from "@/core/stock/handTest";
import { sayMass, sayStock, sayVolume } from "@/formats/amounts";
import { sayPricePer } from "@/formats/fieldUnits";
import { sayHold } from "@/words/en/holds";
import { sayDay } from "@/formats/times";
import type { FarmView } from "@/services/farm";
import type { LotView } from "@/services/shed";
import { Button } from "../kit/Button";
import { Link } from "../kit/Link";
import type { LotAct } from "./LotSheet";

import { sayCameWith } from "@/words/said";

/** What a lot's papers say, in words. */
function sayOrigin({ provenance, fromBatchId, cameWithBatchId, origin }: LotView, units: FarmView["units"]): string[] {
  const { dung, urine, charSource, plant, firstRinse, overrideReason } = provenance;
  return [
    ...(dung ? [`${dung.age} ${dung.animal} dung`] : []),
    ...(urine ? [`urine of ${urine.donor}, ${sayDay(urine.collectedFrom)} to ${sayDay(urine.collectedUntil)}`] : []),
    ...(charSource ? [`char of ${charSource}`] : []),
    ...(plant ? [`${plant.part} of ${plant.species}, ${plant.place}`] : []),
    ...(firstRinse
      ? [`first rinse, ${sayVolume(firstRinse.rinseL, units)} off ${sayMass(firstRinse.riceKg, units)} of rice`]
      : []),
    ...(fromBatchId ? [`batch ${fromBatchId}`] : []),
    ...(cameWithBatchId ? [sayCameWith(cameWithBatchId, origin)] : []),
    ...(overrideReason ? [`taken in because: ${overrideReason}`] : []),
  ];
}

const dueOn = (day: string) => addDays(day, BEAN_TEST_D);

/** What can be done to a lot as it stands. */
function actsOn(lot: LotView): readonly (readonly [LotAct, string])[] {
  const { state } = lot;
  const suspected = lot.provenance.herbicideSuspected === true || state.beans.sownOn !== null;
  return [
    ...(state.openedOn === null ? ([["opened", "Opened"]] as const) : []),
    ["place", "Moved"],
    ["waste", "Went out"],
    ["count", "Count"],
    ["expiry", "Another day"],
    ...(suspected && state.beans.result === null
      ? state.beans.sownOn === null
        ? ([["beans-sown", "Beans sown"]] as const)
        : ([["beans", "Read the beans"]] as const)
      : []),
    ...(handTestOf(lot.ingredientId).length > 0 ? ([["vigour", "A handful"]] as const) : []),
  ];
}

/** The way to all that was made of a lot. */
const WhereItWent = ({ lot }: { readonly lot: Pick<LotView, "id" | "origin" | "receivedOn"> }) => (
  <Link
    href={`/trace?lot=${lot.id}`}
    className="inline-flex min-h-11 items-center px-3 font-semibold underline"
    aria-label={`Where it went: ${lot.origin}, ${sayDay(lot.receivedOn)}`}
  >
    Where it went
  </Link>
);

/** A lot as it lies: what is left, where, until when, what holds it back; and what can be done to it. */
export const LotRow = ({
  lot,
  farm,
  today,
  onAct,
}: {
  readonly lot: LotView;
  readonly farm: FarmView;
  readonly today: string;
  readonly onAct: (act: LotAct) => void;
}) => {
  const { state } = lot;
  const say = (amount: number) => sayStock(amount, lot.unit, farm.units);
  const past = state.expiresOn !== null && state.expiresOn < today;
  const acts = actsOn(lot);
  return (
    <li className="py-2.5">
      <p className="flex flex-wrap justify-between gap-x-3">
        <span className="font-semibold">
          {lot.origin}, {sayDay(lot.receivedOn)}
        </span>
        <span className="reading">
          {say(lot.onHand)} of {say(lot.received)}
        </span>
      </p>
      <p className="text-[0.9rem] text-soft">
        {[
          lot.received > 0 && lot.costMinor > 0
            ? sayPricePer(lot.costMinor / lot.received, lot.unit, farm.currency, farm.units)
            : "",
          state.place,
          state.openedOn ? `opened ${sayDay(state.openedOn)}` : "",
          state.expiresOn ? `keeps to ${sayDay(state.expiresOn)}` : "",
          state.vigour ? `a handful: ${state.vigour}` : "",
          ...sayOrigin(lot, farm.units),
          lot.note,
        ]
          .filter(Boolean)
          .join("; ")}
      </p>
      {past ? <p className="text-[0.9rem] font-semibold text-rust">■ expired</p> : null}
      {lot.hold ? (
        <p className="text-[0.9rem] font-semibold text-rust">
          ■ {lot.hold.hard ? "never goes in" : "on hold"}: {sayHold(lot.hold.because)}
        </p>
      ) : null}
      {state.hazards
        .map(({ because }) => sayHold(because))
        .filter((words) => !lot.hold || words !== sayHold(lot.hold.because))
        .map((words) => (
          <p key={words} className="text-[0.9rem] font-semibold">
            ▲ {words}
          </p>
        ))}
      {state.beans.sownOn && state.beans.result === null ? (
        <p className="text-[0.9rem]">
          Three beans sown {sayDay(state.beans.sownOn)}: look on {sayDay(dueOn(state.beans.sownOn))}.
        </p>
      ) : null}
      <div className="-ml-3 flex flex-wrap">
        {acts.map(([act, word]) => (
          <Button
            key={act}
            variant="quiet"
            onClick={() => onAct(act)}
            aria-label={`${word}: ${lot.origin}, ${sayDay(lot.receivedOn)}`}
          >
            {word}
          </Button>
        ))}
        <WhereItWent lot={lot} />
      </div>
    </li>
  );
};
